import { Settings } from '@even-watt/contract'
import {
  degrees,
  inUnit,
  parseMeasure,
  parseShaftPower,
  parseTemperature,
  shortened,
  typedNumber,
  usualWriting,
  writeIn,
  writing,
  writingOf,
  type Dimension,
  type Parsed,
  type Writing,
} from '@even-watt/core'
import { useSyncExternalStore } from 'react'
import { remembered } from './browserStore'

const name = 'units'
const keys = Object.keys(usualWriting) as (keyof Writing)[]

/** Of what was chosen, whatever can be; anything else is as usual. */
const understood = (known: Readonly<Record<string, unknown>>): Writing =>
  writingOf(Object.fromEntries(keys.map((key) => [key, Settings.shape[key].safeParse(known[key]).data])))

function kept(): Writing {
  try {
    return understood(JSON.parse(remembered.read(name) ?? '{}') as Record<string, unknown>)
  } catch {
    return usualWriting
  }
}
// Known here before the server answers, from the last time.
writeIn(kept())

const listeners = new Set<() => void>()
function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Names how figures are written, so that what shows them can be drawn again when it changes. */
export const useWriting = (): string => useSyncExternalStore(subscribe, () => JSON.stringify(writing()))

/** Takes over what the bench chose. */
export function chooseUnits(settings: Partial<Settings>): void {
  const next = understood(settings)
  if (keys.every((key) => next[key] === writing()[key])) return
  writeIn(next)
  remembered.keep(name, JSON.stringify(next))
  for (const listener of listeners) listener()
}

/** °C of what was typed; a plain number is in the unit that the bench chose, as in all that follow. */
export const readTemperature = (text: string): Parsed => parseTemperature(text, writing().temperature)
export const readLength = (text: string): Parsed => parseMeasure(text, 'length', writing().length)
export function readSide(text: string): Parsed {
  const read = parseMeasure(text, 'length', sideUnit())
  return read.ok && read.value < 0.001
    ? { ok: false, why: `Is "${text.trim()}" in ${sideUnit()}? Add the unit.` }
    : read
}
export const readMass = (text: string): Parsed => parseMeasure(text, 'mass', writing().mass)
export const readTorque = (text: string): Parsed => parseMeasure(text, 'torque', writing().torque)

export const readShaftPower = (text: string): Parsed => parseShaftPower(text, writing().motors)

/**
 * As a person would type it. What has no short figure in the unit of the bench is left as it is stored, with its unit: what
 * a field shows and nobody changed must not change what is kept.
 */
function typedIn(value: number | undefined, dimension: Dimension, unit: string, stored: string): string {
  if (value === undefined) return ''
  const there = inUnit(value, dimension, unit)
  const short = shortened(there, 5)
  return unit === stored || Math.abs(short - there) < 1e-9 * there
    ? typedNumber(there)
    : `${typedNumber(value)} ${stored}`
}

/** For a field, as a person would type it. */
export const typedTemperature = (celsius: number | undefined): string =>
  celsius === undefined ? '' : typedNumber(degrees(celsius))
export const typedLength = (metres: number | undefined): string =>
  typedIn(metres, 'length', writing().length, 'm')
export const typedSide = (metres: number | undefined): string => typedIn(metres, 'length', sideUnit(), 'm')
export const typedMass = (kilograms: number | undefined): string =>
  typedIn(kilograms, 'mass', writing().mass, 'kg')

export const typedShaftPower = (watts: number | undefined): string =>
  typedIn(watts, 'power', writing().motors, 'W')

/** The sides of a thing that stands on a bench. */
export const sideUnit = () => (writing().length === 'm' ? 'mm' : 'in')

/** The unit in which a quantity is typed and read on this bench. */
export const unitOf = (unit: string): string =>
  unit === '°C' ? writing().temperature : unit === 'm' ? writing().length : unit
