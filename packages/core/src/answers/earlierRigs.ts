import type { Touchable } from '@even-watt/contract'
import { touchedBetween, type Analysis } from '../trials'
import type { Asked, Asking, Known } from './answer'

const words: Readonly<Record<Touchable, string>> = {
  unit: 'the unit',
  bank: 'the bank',
  path: 'the leads or a joint',
  tap: 'the place of a meter',
}

/** What was touched since a rig, up to another one. */
function touchedSince(all: readonly Analysis[], from: Analysis, to: Analysis): Set<Touchable> {
  const revisions = all.slice(all.indexOf(from), all.indexOf(to) + 1).map(({ record }) => record.revision)
  return new Set(
    revisions.flatMap((after, i) => {
      const before = revisions[i - 1]
      return before ? touchedBetween(before, after) : []
    }),
  )
}

/**
 * What is known of a question on the rig that tells most, else on the newest one before it from which nothing was touched that
 * it depends on; where something was, that is said, and nothing is taken over (docs/method/answers.md).
 */
export function knownOver({ know, dependsOn }: Asking, asked: Asked): Known {
  const known = know(asked)
  if (known.mark !== 'not read') return known
  const { analyses } = asked.view
  const earlier = analyses.slice(0, Math.max(0, analyses.indexOf(asked.on.analysis))).toReversed()
  let touchedFirst: string | undefined
  for (const analysis of earlier) {
    const before = know({ ...asked, on: { ...asked.on, analysis } })
    if (before.mark === 'not read') continue
    const { number } = analysis.record.revision
    const touched = [...touchedSince(analyses, analysis, asked.on.analysis)].filter((one) =>
      dependsOn.includes(one),
    )
    if (!touched.length)
      return {
        ...before,
        why: [...before.why, `Read on rig ${number}; nothing that it rests on changed since.`],
      }
    touchedFirst ??= `It was read on rig ${number}; ${touched.map((one) => words[one]).join(' and ')} changed since.`
  }
  return touchedFirst === undefined ? known : { ...known, why: [...known.why, touchedFirst] }
}
