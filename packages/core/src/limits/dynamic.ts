import type { EntryOf, LimitOf } from '@even-watt/contract'
import { ownPromise, type Evidence, type Promised } from '../court'
import { derive, isFigure, sayDuration } from '../figures'
import { exact } from '../meters'
import { readingsOf, type Analysis } from '../trials'
import { stepResponse } from './stepResponse'

/** What a capture of it shows stands in place of what was typed. */
export function asCaptured(
  reading: LimitOf<'dynamic'>,
  { id }: EntryOf<'limit'>,
  { record }: Pick<Analysis, 'record'>,
): LimitOf<'dynamic'> {
  const course = readingsOf(record, 'capture').find(
    ({ reading: { about, picture, reference } }) => about === id && !picture && !reference,
  )?.reading.figures.course
  const seen = course && stepResponse(course)
  if (!seen) return reading
  return {
    ...reading,
    lowest: seen.lowest,
    highest: seen.highest,
    ...(seen.back === undefined ? {} : { back: seen.back }),
    hunts: seen.hunts !== undefined,
    blanks: seen.blanked !== undefined,
  }
}

/**
 * For how long the output is gone when a load changes, s (docs/method/limits.md): of an output that blanked until it was steady again,
 * half a cycle at least; of one that did not, half a cycle at most, for less than that is no blank.
 */
export const goneAtSteps: Promised = {
  ...ownPromise,
  several: 'worst',
  evidence: ({ analysis }) =>
    readingsOf(analysis.record, 'limit').flatMap((entry): Evidence[] => {
      if (entry.reading.test !== 'dynamic') return []
      const { from, to, blanks, back } = asCaptured(entry.reading, entry, analysis)
      const half = 0.5 / analysis.record.revision.unit.outputFrequency
      const gone = derive(
        't_gone',
        's',
        'until steady again',
        [],
        exact(blanks ? Math.max(half, back ?? half) : half),
      )
      if (!isFigure(gone)) return []
      const step = `from ${from} to ${to} W`
      return [
        {
          code: blanks ? 'blanked' : 'stayed',
          figure: gone,
          bound: blanks ? (back === undefined ? 'at least' : 'exact') : 'at most',
          hindrances: [],
          found: () =>
            blanks
              ? `its output was gone ${back === undefined ? 'for over half a cycle' : `for ${sayDuration(back)}`} ${step}`
              : `its output stayed ${step}`,
        },
      ]
    }),
  absent: () => 'No change of the load was looked at.',
}
