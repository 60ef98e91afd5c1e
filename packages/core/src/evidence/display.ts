import type { Display as Shown, Quantity, Value } from '@even-watt/contract'
import { plain } from '../figures'
import type { ReadingValues } from './readingValues'

/** What the unit shows, in the order of its path: field, words, unit, and the quantity that it claims to be. */
export const displayed = [
  ['inputVoltage', 'input', 'V', 'V_B'],
  ['outputVoltage', 'output', 'V', 'V_C'],
  ['outputPower', 'output', 'W', 'P_C'],
  ['frequency', 'frequency', 'Hz', 'f'],
] as const satisfies readonly (readonly [keyof Shown, string, string, Quantity])[]

const bars = [
  ['loadBars', 'loadBarsOf', 'of load'],
  ['chargeBars', 'chargeBarsOf', 'of charge'],
] as const satisfies readonly (readonly [keyof Shown, keyof Shown, string])[]

/** What stands in the way of a display: where these were read, it would only contradict them. */
const readInstead: Readonly<Partial<Record<Quantity, readonly Quantity[]>>> = {
  V_B: ['V_A', 'V_B'],
  P_C: ['P_C', 'I_C'],
}

interface WithDisplay {
  readonly id: string
  readonly reading: { readonly values: readonly Value[]; readonly display?: Shown | undefined }
}

/**
 * The values of readings that repeat each other; of what no meter read, the unit's display, graded as such
 * (docs/method/evidence.md).
 */
export function shownReadings(entries: readonly WithDisplay[]): ReadingValues[] {
  const read = new Set(entries.flatMap(({ reading }) => reading.values.map(({ quantity }) => quantity)))
  const wanted = displayed.filter(
    ([, , , quantity]) => !(readInstead[quantity] ?? [quantity]).some((one) => read.has(one)),
  )
  return entries.map(({ id, reading: { values, display } }) => ({
    entry: id,
    values: [
      ...values,
      ...wanted.flatMap(([key, , , quantity]): Value[] => {
        const value = display?.[key]
        return value === undefined ? [] : [{ quantity, value, grade: 'display' }]
      }),
    ],
  }))
}

/** "its display: input 26.5 V, output 231 V"; nothing where nothing was noted. */
export const sayDisplay = (display: Shown = {}): string => {
  const said = displayed.flatMap(([key, words, unit]) => {
    const [value, half = 0] = [display[key], display.jumps?.[key]]
    if (value === undefined) return []
    const shown = half ? `${plain(value - half)} to ${plain(value + half)}` : plain(value)
    return [`${words} ${shown} ${unit}`]
  })
  if (display.charge !== undefined) said.push(`charge ${plain(100 * display.charge)} %`)
  for (const [key, of, words] of bars) {
    const inAll = display[of]
    if (display[key] !== undefined)
      said.push(
        `${display[key]} ${inAll === undefined ? '' : `of ${inAll} `}${(inAll ?? display[key]) === 1 ? 'bar' : 'bars'} ${words}`,
      )
  }
  return said.length ? `its display: ${said.join(', ')}` : ''
}

/** Cells of a table of readings. */
export const displayCells = (display: Shown = {}): Readonly<Record<string, number>> =>
  Object.fromEntries(
    [
      ...displayed.flatMap(([key, words, unit]) => [
        [`display ${words} [${unit}]`, display[key]] as const,
        [`display ${words} jumps by ± [${unit}]`, display.jumps?.[key]] as const,
      ]),
      ['display charge [%]', display.charge === undefined ? undefined : 100 * display.charge] as const,
      ...bars.flatMap(([key, of, words]) => [
        [`display bars ${words}`, display[key]] as const,
        [`display bars ${words} in all`, display[of]] as const,
      ]),
    ].flatMap(([head, shown]) => (shown === undefined ? [] : [[head, shown] as const])),
  )
