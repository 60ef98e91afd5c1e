import { places, type Rig, type Temperature } from '@even-watt/contract'
import { placed } from '@even-watt/core'
import { readTemperature, typedTemperature } from '../ui/units'

/** A temperature as typed: a place, or the id of a part of the rig, and its text. */
export interface TypedTemperature {
  readonly where: string
  readonly text: string
}

/** Where a temperature may be taken: places of the unit and the room, then the parts of the rig by name, where it has a rig. */
export const whereChoices = (rig: Rig | undefined): (readonly [string, string])[] => [
  ...places.filter((place) => place !== 'part of the rig').map((place) => [place, place] as const),
  ...(rig ? placed(rig) : []).map(({ element }) => [element.id, element.name] as const),
]

/** What was typed as temperatures; a sentence where one cannot be read. Rows that were left empty are nothing. */
export function readTemperatures(typed: readonly TypedTemperature[]): {
  temperatures: Temperature[]
  fault: string | undefined
} {
  let fault: string | undefined
  const temperatures = typed.flatMap(({ where, text }): Temperature[] => {
    if (!text.trim()) return []
    const parsed = readTemperature(text)
    if (!parsed.ok) {
      fault ??= `Temperature: ${parsed.why}`
      return []
    }
    const place = places.find((one) => one === where)
    return [
      place
        ? { place, celsius: parsed.value }
        : { place: 'part of the rig', part: where, celsius: parsed.value },
    ]
  })
  return { temperatures, fault }
}

/** Back in the fields, to be corrected. */
export const typedTemperatures = (temperatures: readonly Temperature[] = []): TypedTemperature[] =>
  temperatures.map(({ place, part, celsius }) => ({ where: part ?? place, text: typedTemperature(celsius) }))
