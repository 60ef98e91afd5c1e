/** Watts that everybody knows, the least first. */
const known: readonly (readonly [from: number, words: string])[] = [
  [0.5, 'a night light'],
  [3, 'a telephone that charges'],
  [7, 'a bright lamp'],
  [25, 'a laptop'],
  [60, 'a lamp of old, too hot to touch'],
  [150, 'a large television'],
  [500, 'a small heater on its low setting'],
  [1000, 'an iron'],
  [1800, 'a kettle'],
]

/** "as much as a bright lamp": watts beside something that everybody has at home; undefined under half a watt. */
export function everyday(watts: number): string | undefined {
  const words = known.findLast(([from]) => watts >= from)?.[1]
  return words && `as much as ${words}`
}

/** Wh that boil a litre and a half of cold water in a kettle. */
const kettle = 160

/** "enough for 20 kettles of water": watt-hours beside something that everybody does. */
export function everydayEnergy(Wh: number): string | undefined {
  const kettles = Math.round(Wh / kettle)
  return kettles < 1
    ? undefined
    : `enough for ${kettles} ${kettles === 1 ? 'kettle' : 'kettles'} of boiling water`
}
