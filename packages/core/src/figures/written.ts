import type { Settings } from '@even-watt/contract'

/** Units and decimal mark that a bench reads and types in. */
export type Writing = Required<
  Pick<Settings, 'decimal' | 'length' | 'temperature' | 'mass' | 'gauge' | 'torque' | 'motors'>
>

/** What a bench begins with. */
export const usualWriting: Writing = {
  decimal: '.',
  length: 'm',
  temperature: '°C',
  mass: 'kg',
  gauge: 'mm²',
  torque: 'N·m',
  motors: 'W',
}

/** How a bench writes that chose these settings; what it did not choose is as usual. */
export function writingOf(settings: Partial<Settings> | undefined): Writing {
  const keys = Object.keys(usualWriting) as (keyof Writing)[]
  const known = keys.filter((key) => settings?.[key] !== undefined).map((key) => [key, settings?.[key]])
  return { ...usualWriting, ...Object.fromEntries(known) }
}

let chosen = usualWriting

/** How figures are written at the moment; the same object until it is chosen anew. */
export const writing = (): Writing => chosen

/**
 * Chooses how all figures and sentences are written from now on (docs/method/evidence.md). It changes words alone: values are
 * kept and computed in SI, and files are written with a decimal point whatever is chosen.
 */
export function writeIn(next: Writing): void {
  chosen = next
}

/** What is worded in one way of writing, whichever is chosen; that one stands again afterwards. */
export function wordedIn<T>(way: Writing, word: () => T): T {
  const before = chosen
  chosen = way
  try {
    return word()
  } finally {
    chosen = before
  }
}

/** A sentence as it reads with a decimal point: the same, whichever mark was chosen when it was written. */
export const withPoint = (sentence: string | undefined): string | undefined =>
  sentence?.replace(/(\d),(\d)/g, '$1.$2')
