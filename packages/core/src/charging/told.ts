import type { ChargingOf } from '@even-watt/contract'
import { say } from '../figures'
import type { Analysis } from '../trials'
import { chargingTests, inputCourse, inputPoints, type InputCourse, type InputPoint } from './input'

/** Watts of a silicon panel fall by this share a kelvin above what its label is stated for. */
const perKelvin = 0.004
const labelHeat = 25
const fullSun = 1000

/** Every reading of a charging input in sentences, by its entry. */
export function inputSentences({ record }: Pick<Analysis, 'record'>): ReadonlyMap<string, readonly string[]> {
  const points = inputPoints(record)
  const course = inputCourse(points)
  const printed = chargingTests(record, 'panel').reduce(
    (sum, { reading }) => sum + reading.owned * reading.watts,
    0,
  )
  return new Map(
    chargingTests(record, 'input').map(({ entry, reading }): [string, string[]] => {
      const point = points.find((one) => one.entry.id === entry.id)
      return [
        entry.id,
        [
          takenWords(reading, point),
          ...(point && reading.source === 'solar' && printed > 0
            ? panelWords(point.watts, printed, reading)
            : []),
          ...(point && course ? gainWords(point, course) : []),
        ],
      ]
    }),
  )
}

function takenWords(
  { source, beside, irradiance }: ChargingOf<'input'>,
  point: InputPoint | undefined,
): string {
  const taken = point
    ? `${say(point.watts, 'W')}${point.volts === undefined ? '' : ` at ${say(point.volts, 'V')}`}`
    : 'read, without watts'
  return `From ${source === 'solar' ? 'the sun' : source}: ${taken}${irradiance === undefined ? '' : `, ${say(irradiance, 'W/m²')}`}${beside ? `, beside ${beside}` : ''}.`
}

/** Against what is printed on the panels, and against what this light and heat leave of it (docs/method/charging.md). */
export const panelExpected = (
  printed: number,
  { irradiance, panelHeat = labelHeat }: Pick<ChargingOf<'input'>, 'irradiance' | 'panelHeat'>,
): number | undefined =>
  irradiance === undefined
    ? undefined
    : Math.max(0, (printed * irradiance * (1 - perKelvin * (panelHeat - labelHeat))) / fullSun)

function panelWords(watts: number, printed: number, reading: ChargingOf<'input'>): string[] {
  const expected = panelExpected(printed, reading)
  const heat = reading.panelHeat === undefined ? '' : ` at ${say(reading.panelHeat, '°C')}`
  return [
    `That is ${say((100 * watts) / printed, '%')} of the ${say(printed, 'W')} printed on the panels.`,
    expected === undefined || expected === 0
      ? 'How much light there was was not read.'
      : `In that light${heat} they should give ${say(expected, 'W')}: ${say((100 * watts) / expected, '%')} of it came.`,
  ]
}

/** What more volts would gain where the amps are what limits. */
function gainWords({ volts }: InputPoint, { amps, watts, turnsAt }: InputCourse): string[] {
  if (volts === undefined || amps === undefined || watts === undefined || turnsAt === undefined) return []
  const gain = watts - volts * amps
  return volts < turnsAt && gain > 0
    ? [
        `Here amps limit it. From ${say(turnsAt, 'V')} on, by panels in series or a converter, it would take ${say(gain, 'W', 2)} more.`,
      ]
    : []
}

/** W under which an input takes nothing. */
const nothing = 2

/** Between which volts it begins to take something; undefined: nothing was tried below. */
export function startsAt(points: readonly InputPoint[]): { from: number; to: number } | undefined {
  const read = points.flatMap(({ volts, watts }) => (volts === undefined ? [] : [{ volts, watts }]))
  const first = read.find(({ watts }) => watts > nothing)
  const below = first && read.findLast(({ volts, watts }) => volts < first.volts && watts <= nothing)
  return first && below ? { from: below.volts, to: first.volts } : undefined
}

export const sayStartsAt = (points: readonly InputPoint[]): string | undefined => {
  const found = startsAt(points)
  const least = points.find(({ volts, watts }) => volts !== undefined && watts > nothing)?.volts
  if (found) return `It begins to take something between ${say(found.from, 'V')} and ${say(found.to, 'V')}.`
  return least === undefined
    ? undefined
    : `The lowest volts at which it was seen to take something: ${say(least, 'V')}.`
}
