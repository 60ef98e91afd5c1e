import type { Temperature } from '@even-watt/contract'
import { capital, sayRise, sayTemperature } from '../figures'
import { usualTerminal } from '../conductors'
import { placed } from '../rigs'
import { readingsOf, type Analysis } from '../trials'

export interface HotSpot {
  readonly where: string
  /** The hottest that was read of it, °C, and what it may usually have. */
  readonly celsius: number
  readonly limit: number
  readonly limitOf: string
  /** °C to its limit; below 0: over it. */
  readonly left: number
}

/** °C that places may usually have: metal that is touched, a plug, cells, and heat sinks inside. */
const usual: Readonly<
  Record<Exclude<Temperature['place'], 'room' | 'part of the rig'>, readonly [number, string]>
> = {
  case: [60, 'metal that is touched'],
  'heat sink': [90, 'a heat sink'],
  transistors: [110, 'transistors'],
  transformer: [120, 'a transformer'],
  capacitors: [85, 'electrolytic capacitors'],
  store: [45, 'cells under load'],
  plug: [70, 'a plug'],
}

/** Every place that was felt in readings and runs, the one nearest to its limit first (docs/method/endurance.md). */
export function hotSpots({ record, logs }: Pick<Analysis, 'record' | 'logs'>): HotSpot[] {
  const elements = new Map(placed(record.revision.rig).map(({ element }) => [element.id as string, element]))
  const most = new Map<string, number>()
  const add = (place: string, celsius: number) =>
    most.set(place, Math.max(most.get(place) ?? -Infinity, celsius))
  for (const kind of ['ladder', 'no load'] as const)
    for (const { id, reading } of readingsOf(record, kind))
      if (!record.doubts.readings.has(id))
        for (const { place, part, celsius } of reading.temperatures ?? []) add(part ?? place, celsius)
  for (const { series } of logs)
    for (const { quantity, place = 'case', refused, points } of series)
      if (quantity === 'T' && !refused) for (const { value } of points) add(place, value)
  return [...most]
    .flatMap(([place, celsius]): HotSpot[] => {
      const element = elements.get(place)
      const known = element
        ? element.kind === 'cable'
          ? ([element.insulation, 'its insulation'] as const)
          : ([usualTerminal, 'a terminal'] as const)
        : usual[place as keyof typeof usual]
      if (!known) return []
      const [limit, limitOf] = known
      return [{ where: element?.name ?? place, celsius, limit, limitOf, left: limit - celsius }]
    })
    .sort((a, b) => a.left - b.left)
}

/** Those of a rig that are over, or near: in sentences; a joint that is hot is a danger. */
export function sayHotSpots(spots: readonly HotSpot[]): string[] {
  return spots.map(({ where, celsius, limit, limitOf, left }, i) => {
    const said = `${i + 1}. ${capital(where)}: ${sayTemperature(celsius)} of ${sayTemperature(limit)} for ${limitOf}`
    return left < 0
      ? `${said}: too hot. Switch off, let it cool, then tighten, clean or replace it.`
      : `${said}; ${sayRise(left)} are left.`
  })
}
