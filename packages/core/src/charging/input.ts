import type { ChargingOf, EntryOf } from '@even-watt/contract'
import { say } from '../figures'
import type { Log } from '../logs'
import { seriesFor } from '../logs'
import { readingsOf, type RevisionRecord } from '../trials'

/** What a charging input took at one setting of its source. */
export interface InputPoint {
  readonly entry: EntryOf<'charging'>
  readonly source: ChargingOf<'input'>['source']
  readonly volts: number | undefined
  readonly amps: number | undefined
  readonly watts: number
  readonly irradiance: number | undefined
}

export const chargingTests = <T extends ChargingOf<'input'>['test'] | 'panel'>(
  record: RevisionRecord,
  test: T,
): { entry: EntryOf<'charging'>; reading: ChargingOf<T> }[] =>
  readingsOf(record, 'charging').flatMap((entry) =>
    entry.reading.test === test ? [{ entry, reading: entry.reading as ChargingOf<T> }] : [],
  )

/** Every reading of an input that comes to watts, by rising volts. */
export function inputPoints(record: RevisionRecord): InputPoint[] {
  return chargingTests(record, 'input')
    .flatMap(({ entry, reading }): InputPoint[] => {
      const of = (...names: string[]) =>
        reading.values.find(({ quantity }) => names.includes(quantity))?.value
      const [volts, amps] = [of('V_in'), of('I_in')]
      const watts =
        of('P_in', 'P_wall') ?? (volts !== undefined && amps !== undefined ? volts * amps : undefined)
      if (watts === undefined) return []
      return [
        {
          entry,
          source: reading.source,
          volts,
          amps: amps ?? (volts ? watts / volts : undefined),
          watts,
          irradiance: reading.irradiance,
        },
      ]
    })
    .sort((a, b) => (a.volts ?? 0) - (b.volts ?? 0))
}

/** How an input limits what it takes: by amps at low volts, by watts above. */
export interface InputCourse {
  /** A of the part where its amps stay alike, W of the part where its watts do; absent: there is no such part. */
  readonly amps: number | undefined
  readonly watts: number | undefined
  /** V between the two. */
  readonly turnsAt: number | undefined
  readonly sentence: string
}

const scatter = (values: readonly number[]) => {
  const mean = values.reduce((sum, x) => sum + x, 0) / values.length
  return { mean, squares: values.reduce((sum, x) => sum + (x / mean - 1) ** 2, 0) }
}

/** A part that scatters more than this is neither. */
const alike = 0.05

/**
 * Divides readings by rising volts into a part of constant amps and one of constant watts, wherever both together scatter
 * least; each needs two readings (docs/method/charging.md). Undefined for fewer than three with volts.
 */
export function inputCourse(points: readonly InputPoint[]): InputCourse | undefined {
  const read = points.flatMap(({ volts, amps, watts }) =>
    volts !== undefined && amps !== undefined && amps > 0 && watts > 0 ? [{ volts, amps, watts }] : [],
  )
  if (read.length < 3) return undefined
  let best: { split: number; squares: number } | undefined
  for (let split = 0; split <= read.length; split++) {
    const [low, high] = [read.slice(0, split), read.slice(split)]
    const squares =
      (low.length ? scatter(low.map(({ amps }) => amps)).squares : 0) +
      (high.length ? scatter(high.map(({ watts }) => watts)).squares : 0)
    // A part of one reading always fits: it is no part.
    if (low.length === 1 || high.length === 1) continue
    if (!best || squares < best.squares - 1e-12) best = { split, squares }
  }
  const split = best?.split ?? 0
  const [low, high] = [read.slice(0, split), read.slice(split)]
  const part = (values: number[]) => {
    if (values.length < 2) return undefined
    const { mean, squares } = scatter(values)
    return Math.sqrt(squares / (values.length - 1)) <= alike ? mean : undefined
  }
  const amps = part(low.map((one) => one.amps))
  const watts = part(high.map((one) => one.watts))
  const turnsAt = amps !== undefined && watts !== undefined ? watts / amps : undefined
  return { amps, watts, turnsAt, sentence: sentenceOf(amps, watts, turnsAt, read) }
}

function sentenceOf(
  amps: number | undefined,
  watts: number | undefined,
  turnsAt: number | undefined,
  read: readonly { watts: number }[],
): string {
  if (amps !== undefined && watts !== undefined)
    return `It takes ${say(amps, 'A')} up to about ${say(turnsAt ?? 0, 'V')}, and ${say(watts, 'W')} above.`
  if (watts !== undefined) return `It takes ${say(watts, 'W')} whatever its volts.`
  if (amps !== undefined) return `It takes ${say(amps, 'A')} at all volts that were tried.`
  return `It took up to ${say(Math.max(...read.map((one) => one.watts)), 'W')}; neither its amps nor its watts stay alike.`
}

/** Watts under this share of their median are none. */
const nothing = 0.1
/** Watts whose quarter is at least so far under their top did not stay there. */
const middle = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0

export interface SolarDay {
  readonly Wh: number
  readonly most: number
  /** Share of its time at nearly nothing. */
  readonly hunting: number
  /** W per W/m², where the light was read. */
  readonly perLight: number | undefined
  readonly sentence: string
}

/** An hour or a day of sun: what came of it, and the share of its time in which it hunted (docs/method/charging.md). */
export function solarDay(log: Log): SolarDay | undefined {
  const watts = seriesFor(log, 'P_in')
  if (!watts || watts.points.length < 4) return undefined
  const values = watts.points.map(({ value }) => value)
  const least = nothing * middle(values)
  const hunting = values.filter((value) => value < least).length / values.length
  const light = seriesFor(log, 'irradiance')?.points ?? []
  const per = light.flatMap(({ at, value }) => {
    const near = watts.points.find((point) => Math.abs(point.at - at) < 1)
    return near && value > 50 && near.value > least ? [near.value / value] : []
  })
  const most = Math.max(...values)
  const Wh = watts.integral.value
  const hunts =
    hunting > 0.01
      ? ` For ${say(100 * hunting, '%', 2)} of the time it took next to nothing: it hunts, or clouds passed.`
      : ''
  return {
    Wh,
    most,
    hunting,
    perLight: per.length > 2 ? middle(per) : undefined,
    sentence: `${say(Wh, 'Wh')} came from the sun, ${say(most, 'W')} at most.${hunts}`,
  }
}
