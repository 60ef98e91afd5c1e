import type { EntryOf, OutletOf } from '@even-watt/contract'
import { isFigure, say, type Derived } from '../figures'
import type { Analysis } from '../trials'
import { outletTests } from './tests'

type Attempt = Analysis['motors']['attempts'][number]

export interface BesideMains {
  readonly entry: EntryOf<'outlet'>
  /** The attempt on the unit that is held beside it: the one that gave most. */
  readonly attempt: Attempt | undefined
  /** How much less the unit gave: in A, else in W; undefined where neither stands on both sides. */
  readonly shortfall: { readonly mains: number; readonly unit: number; readonly in: 'A' | 'W' } | undefined
  readonly sentences: readonly string[]
}

/** Nearer than this share the two are as good as one. */
const asGoodAsOne = 0.05

const sameWords = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()
const valueOf = (figure: Derived): number | undefined => (isFigure(figure) ? figure.x.value : undefined)

/** What a load pulls from the mains at its start, beside what the unit gave it (docs/method/outlets.md). */
export const besideMains = ({ record, motors }: Analysis): BesideMains[] =>
  outletTests(record, 'on the mains').map(({ entry, reading }) => {
    const attempts = motors.attempts.filter((one) => sameWords(one.entry.reading.load, reading.load))
    const most = (of: (one: Attempt) => Derived) =>
      attempts
        .flatMap((attempt) => {
          const value = valueOf(of(attempt))
          return value === undefined ? [] : [{ attempt, value }]
        })
        .toSorted((a, b) => b.value - a.value)[0]
    const amps = reading.peakAmps === undefined ? undefined : most(({ current }) => current)
    const watts = reading.peakWatts === undefined ? undefined : most(({ watts }) => watts)
    const shortfall =
      amps && reading.peakAmps !== undefined
        ? { mains: reading.peakAmps, unit: amps.value, in: 'A' as const }
        : watts && reading.peakWatts !== undefined
          ? { mains: reading.peakWatts, unit: watts.value, in: 'W' as const }
          : undefined
    const attempt = (amps ?? watts)?.attempt ?? attempts[0]
    const nominal = record.revision.unit.outputVoltage
    return { entry, attempt, shortfall, sentences: told(reading, attempt, shortfall, nominal) }
  })

function told(
  reading: OutletOf<'on the mains'>,
  attempt: Attempt | undefined,
  shortfall: BesideMains['shortfall'],
  nominal: number,
): string[] {
  const { load, peakAmps, peakWatts, runningAmps, runningWatts, volts = nominal } = reading
  const pulled = [
    peakAmps === undefined ? undefined : `${say(peakAmps, 'A')} (${say(peakAmps * volts, 'VA')})`,
    peakWatts === undefined ? undefined : say(peakWatts, 'W'),
  ].filter((one) => one !== undefined)
  const running = runningAmps ?? runningWatts
  const peak = runningAmps === undefined ? peakWatts : peakAmps
  return [
    pulled.length
      ? `On the mains ${load} pulls ${pulled.join(', ')} in its start.`
      : `Type what ${load} pulls from the mains in its start.`,
    ...(running !== undefined && peak !== undefined
      ? [`That is ${say(peak / running, '', 2)} times what it takes running.`]
      : []),
    ...(attempt
      ? besideWords(shortfall, attempt, volts)
      : pulled.length
        ? [`No attempt on the unit is called “${load}” yet.`]
        : []),
  ]
}

function besideWords(
  shortfall: BesideMains['shortfall'],
  { outcome, ended }: Attempt,
  volts: number,
): string[] {
  if (!shortfall) return ['What the unit gave it was not read in the same unit: amps or watts.']
  const { mains, unit } = shortfall
  const less = mains - unit
  const share = less / mains
  if (share <= asGoodAsOne) return [`The unit gave ${say(unit, shortfall.in)}: as much as the mains.`]
  const inWatts = shortfall.in === 'A' ? `, ${say(less * volts, 'VA')}` : ''
  const ran = outcome === 'started' || outcome === 'started late'
  const who =
    ran || !ended
      ? 'the unit held it back, not the load'
      : ended.who === 'unit'
        ? 'the unit limited it, not the load'
        : 'the load wanted more; who held it back stands at the attempt'
  return [
    `The unit gave ${say(unit, shortfall.in)}: ${say(less, shortfall.in)}${inWatts} or ${say(100 * share, '%', 2)} less. So ${who}.`,
  ]
}
