import type { Rig, Temperature } from '@even-watt/contract'
import { placed } from './elements'
import { sayRise, sayTemperature } from '../figures'

/** °C of a hot room, to which a rise is carried over. */
const hotRoom = 40

/** A temperature of a reading, and what its rise over the room means. */
export interface Warmth {
  /** "heat sink", "negative lug". */
  readonly where: string
  readonly celsius: number
  /** K over the room; undefined where the room was not recorded, or it is the room itself. */
  readonly rise: number | undefined
  /** °C that it would have in a hot room at the same load. */
  readonly inHotRoom: number | undefined
  /** °C that its insulation stands, where it is a cable. */
  readonly insulation: number | undefined
}

/**
 * Temperatures of one reading by place, the room last: rise over the room, and that rise in a room of 40 °C, to be held
 * against the insulation's rating (docs/method/conductors.md).
 */
export function warmthOf(temperatures: readonly Temperature[], rig: Rig): Warmth[] {
  const room = temperatures.find(({ place }) => place === 'room')?.celsius
  const elements = new Map(placed(rig).map(({ element }) => [element.id, element]))
  return temperatures
    .map(({ place, part, celsius }): Warmth => {
      const element = part === undefined ? undefined : elements.get(part)
      const rise = room === undefined || place === 'room' ? undefined : celsius - room
      return {
        where: element?.name ?? place,
        celsius,
        rise,
        inHotRoom: rise === undefined ? undefined : hotRoom + rise,
        insulation: element?.kind === 'cable' ? element.insulation : undefined,
      }
    })
    .sort((a, b) => Number(a.where === 'room') - Number(b.where === 'room'))
}

/** "negative lug 48 °C, 26 K over the room". */
export function sayWarmth({ where, celsius, rise, inHotRoom, insulation }: Warmth): string {
  const over = rise === undefined ? '' : `, ${sayRise(rise)} over the room`
  const limit =
    insulation === undefined || inHotRoom === undefined
      ? ''
      : `; in a room of ${sayTemperature(hotRoom)} ${sayTemperature(inHotRoom)}, ${inHotRoom > insulation ? 'more than' : 'of'} the ${sayTemperature(insulation)} that its insulation stands`
  return `${where} ${sayTemperature(celsius, 1)}${over}${limit}`
}

/** Cells of a table of readings, by place. */
export const temperatureCells = (
  temperatures: readonly Temperature[] = [],
  rig: Rig,
): Readonly<Record<string, number>> =>
  Object.fromEntries(warmthOf(temperatures, rig).map(({ where, celsius }) => [`${where} [°C]`, celsius]))
