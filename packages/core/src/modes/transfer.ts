import type { EntryOf, ModeOf } from '@even-watt/contract'
import { say, type Figure } from '../figures'
import { capturesOf } from '../evidence'
import { methodSource, rectangular, uncertain } from '../meters'
import { scopeOf, type Analysis, type RevisionRecord } from '../trials'
import { modeTests } from './draw'

/** s for which equipment rides through without any volts (the lowest line of the ITI curve). */
const ridesThrough = 0.02

export interface Transfer {
  readonly entry: EntryOf<'mode'>
  readonly reading: ModeOf<'transfer'>
  /** ms without its sine; undefined: not timed. */
  readonly gap: Figure | undefined
  readonly sentence: string
}

/** ms by which a capture and a watch may be early or late. */
const offBy = { capture: 1, watch: 150, 'by eye': 200 } as const

/** Changeovers between grid and battery, from captures where there are some (docs/method/modes.md). */
export function transfersOf({ record }: Pick<Analysis, 'record'>): Transfer[] {
  return modeTests(record, 'transfer').map(({ entry, reading }) => {
    const captured = capturedGap(entry, record)
    const ms = captured ?? reading.gap
    const seen = captured === undefined ? reading.seen : 'capture'
    const gap: Figure | undefined =
      ms === undefined
        ? undefined
        : {
            symbol: 'transfer',
            unit: 'ms',
            x: uncertain(
              ms,
              methodSource('transfer', `${entry.id}|${scopeOf(record)}`),
              rectangular(offBy[seen]),
            ),
            grade: seen === 'by eye' ? 'observed' : 'measured',
            ...doubtOf(entry, record),
            working: {
              formula:
                captured === undefined
                  ? `timed by ${seen}`
                  : 'from the sample that leaves its sine to the one from which it stays within',
              inputs: [],
              notes: [],
              entries: [entry.id],
            },
          }
    const equipment = reading.equipment ? ` (${reading.equipment})` : ''
    const rode =
      reading.rodeThrough === undefined
        ? ms === undefined
          ? ''
          : ms <= 1000 * ridesThrough
            ? '; most equipment rides through that'
            : `; over the ${1000 * ridesThrough} ms that other equipment is sure to ride through`
        : reading.rodeThrough
          ? `; what ran on it rode through${equipment}`
          : `; what ran on it restarted${equipment}`
    return {
      entry,
      reading,
      gap,
      sentence: `${reading.way.charAt(0).toUpperCase()}${reading.way.slice(1)}: ${ms === undefined ? 'not timed' : `${say(ms, 'ms', 2)} without its sine, ${say((ms * record.revision.unit.outputFrequency) / 1000, '', 2)} cycles`}${rode}.`,
    }
  })
}

/** What is doubted decides nothing. */
function doubtOf({ id }: EntryOf<'mode'>, { doubts }: RevisionRecord) {
  const doubt = doubts.readings.get(id)
  return doubt === undefined ? {} : { refused: { why: `it is doubted: ${doubt}.`, todo: 'Time it again.' } }
}

/** ms of the changeover that a capture of this test shows; the longest of several. */
function capturedGap(entry: EntryOf<'mode'>, record: RevisionRecord): number | undefined {
  const gaps = capturesOf(record, [entry]).flatMap(({ reading }) => reading.figures.transfer?.seconds ?? [])
  return gaps.length ? 1000 * Math.max(...gaps) : undefined
}
