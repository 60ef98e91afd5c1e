import type { Claim, Entry, Grade, ReadingKind } from '@even-watt/contract'
import { analyse } from './analyse'
import type { Promised } from './court'
import { say } from './figures'
import { remembering } from './remember'
import type { Analysis, RevisionRecord } from './trials'

/** A reading stands at stated volts within this share of them: labels round. */
const roundedBy = 0.02

const sameRange = remembering<RevisionRecord, Analysis>()

/**
 * The evidence that was taken under the input volts a claim is stated for; all of it where none are stated. A reading
 * whose volts at the terminals were not read is not counted: nobody knows what they were (docs/method/findings.md).
 */
export function underItsVolts({ volts }: Claim, { voltsOf: of }: Promised, analysis: Analysis): Analysis {
  const { record } = analysis
  if (!volts) return analysis
  const carries = of === 'carrying'
  return sameRange(record, [volts.from, volts.to, carries], () => {
    const counts = (entry: Entry) => {
      const at = voltsOf(entry, analysis)
      return at !== undefined && at >= volts.from * (1 - roundedBy) && at <= volts.to * (1 + roundedBy)
    }
    const standing = new Map(record.standing)
    for (const kind of [...readAtVolts, ...(carries ? carriedAtVolts : [])])
      standing.set(
        kind,
        (record.standing.get(kind) ?? []).filter((entry) => !isOverVolts(entry) || counts(entry)),
      )
    return analyse({ ...record, standing })
  })
}

/** Kinds that are read at some input volts, and those that carry a load at them too. */
export const readAtVolts: readonly ReadingKind[] = ['ladder', 'no load']
const carriedAtVolts: readonly ReadingKind[] = ['limit', 'log']

/** Of the tests of limits only an overload carries anything; the others look for the volts themselves, or for times. */
const isOverVolts = (entry: Entry) => entry.kind !== 'limit' || entry.reading.test === 'overload'

/** Volts that a meter read at the terminals, the mean of several; undefined: none did. */
export function voltsOf(entry: Entry, { logs }: Analysis): number | undefined {
  const read = readVolts(entry, logs)
  return read.length ? read.reduce((sum, value) => sum + value, 0) / read.length : undefined
}

function readVolts(entry: Entry, logs: Analysis['logs']): number[] {
  const measured = ({ quantity, grade }: { quantity: string; grade: Grade }) =>
    quantity === 'V_B' && grade === 'measured'
  if (entry.kind === 'ladder' || entry.kind === 'no load')
    return entry.reading.values.filter(measured).map(({ value }) => value)
  if (entry.kind === 'limit')
    return entry.reading.test === 'overload' ? [entry.reading.inputVolts ?? []].flat() : []
  return logs
    .filter((log) => log.entry.id === entry.id)
    .flatMap(({ series }) => series.filter(measured))
    .flatMap(({ points }) => points.map(({ value }) => value))
}

/** What was left out for its volts. */
export function sayVolts(volts: NonNullable<Claim['volts']>, all: Analysis, counted: Analysis): string {
  const [of, n] = [all, counted].map(({ ladder }) => ladder.steps.length)
  return n === of ? '' : `Stated for ${sayRange(volts.from, volts.to)}: ${n} of ${of} steps were read there.`
}

export const sayRange = (from: number, to: number): string =>
  say(from, 'V') === say(to, 'V') ? say(from, 'V') : `${say(from, '')} to ${say(to, 'V')}`
