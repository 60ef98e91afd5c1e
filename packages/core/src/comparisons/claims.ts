import type { Claim, Outcome } from '@even-watt/contract'
import type { Finding } from '../court'
import { sayClaim } from '../units'
import type { Compared } from './compared'

/** One promise beside the same promise of others: what each promises, and how that stands on the rig compared. */
export interface ClaimRow {
  readonly words: string
  /** In the order of what is compared; undefined: it promises nothing of the kind. */
  readonly cells: readonly (ClaimCell | undefined)[]
}

interface ClaimCell {
  readonly promised: string
  readonly outcome: Outcome
  readonly finding: Finding
}

/** What makes two promises promises of the same thing, whatever their figures. */
const kindOf = ({ quantity, eachLeg, port, portVolts, mode, source, load }: Claim): string =>
  [quantity, eachLeg ? 'each leg' : '', port ?? '', portVolts ?? '', mode ?? '', source ?? '']
    .concat(quantity === 'run time' ? String(load ?? '') : '')
    .join('|')

const wordsOf = ({ quantity, eachLeg, port, mode, source }: Claim): string =>
  [
    quantity,
    eachLeg && 'of each leg',
    port && `of ${port}`,
    mode && `in ${mode}`,
    source && `from ${source === 'solar' ? 'the sun' : source}`,
  ]
    .filter(Boolean)
    .join(' ')

/**
 * All promises of all units, each kind in one row; of several of one kind (tiers of surge), the first with the first. A
 * promise that was decided on another rig of the trial is not tested on this one.
 */
export function claimsAcross(list: readonly Compared[]): ClaimRow[] {
  const keys = new Map<string, Claim>()
  const cells = list.map(({ findings, analysis }) => {
    const own = new Map<string, ClaimCell>()
    const counted = new Map<string, number>()
    for (const { claim, standing, earlier } of findings) {
      const kind = kindOf(claim)
      const n = counted.get(kind) ?? 0
      counted.set(kind, n + 1)
      const key = `${kind}#${n}`
      if (!keys.has(key)) keys.set(key, claim)
      const { number } = analysis.record.revision
      const finding = [standing, ...earlier].find(({ revision }) => revision === number) ?? {
        claim,
        revision: number,
        outcome: 'not tested' as const,
        code: 'no evidence',
        sentence: 'Not tested on this rig.',
      }
      own.set(key, { promised: sayClaim(claim), outcome: finding.outcome, finding })
    }
    return own
  })
  return [...keys].map(([key, claim]) => ({
    words: wordsOf(claim),
    cells: cells.map((own) => own.get(key)),
  }))
}
