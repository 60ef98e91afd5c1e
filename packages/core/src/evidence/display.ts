import type { LadderReading } from '@even-watt/contract'

type Shown = NonNullable<LadderReading['display']>

/** What the unit shows, in the order of its path: field, words, unit. */
export const displayed: readonly (readonly [keyof Shown, string, string])[] = [
  ['inputVoltage', 'input', 'V'],
  ['outputVoltage', 'output', 'V'],
  ['outputPower', 'output', 'W'],
  ['frequency', 'frequency', 'Hz'],
]

/** "its display: input 26.5 V, output 231 V"; nothing where nothing was noted. */
export const sayDisplay = (display: Shown = {}): string => {
  const said = displayed.flatMap(([key, words, unit]) =>
    display[key] === undefined ? [] : [`${words} ${display[key]} ${unit}`],
  )
  return said.length ? `its display: ${said.join(', ')}` : ''
}

/** Cells of a table of readings. */
export const displayCells = (display: Shown = {}): Readonly<Record<string, number>> =>
  Object.fromEntries(
    displayed.flatMap(([key, words, unit]) =>
      display[key] === undefined ? [] : [[`display ${words} [${unit}]`, display[key]] as const],
    ),
  )
