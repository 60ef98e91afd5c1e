import type { Settings } from '@even-watt/contract'
import { parseMeasure, parseTemperature, type Figure, type Parsed } from '@even-watt/core'
import { useSyncExternalStore } from 'react'
import { remembered } from './browserStore'

/** Units that a bench types and reads in; all else is SI. */
export type Units = Required<Pick<Settings, 'length' | 'temperature'>>

const usual: Units = { length: 'm', temperature: '°C' }
const name = 'units'

const kept = (): Units => {
  const [length, temperature] = (remembered.read(name) ?? '').split(' ')
  return { length: length === 'ft' ? 'ft' : 'm', temperature: temperature === '°F' ? '°F' : '°C' }
}
let chosen = kept()

const listeners = new Set<() => void>()
function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Names what is chosen, so that what shows figures can be drawn again when it changes. */
export const useChosenUnits = (): string =>
  useSyncExternalStore(subscribe, () => `${chosen.length} ${chosen.temperature}`)

/** What the bench chose: known here before the server answers, from the last time. */
export const units = (): Units => chosen

/** Takes over what the bench chose. */
export function chooseUnits(settings: Partial<Units>): void {
  const next = { ...usual, ...settings }
  const changes = next.length !== chosen.length || next.temperature !== chosen.temperature
  chosen = { length: next.length, temperature: next.temperature }
  remembered.keep(name, `${chosen.length} ${chosen.temperature}`)
  if (changes) for (const listener of listeners) listener()
}

/** °C of what was typed; a plain number is in the unit that the bench chose. */
export const readTemperature = (text: string): Parsed => parseTemperature(text, chosen.temperature)
/** m of what was typed; a plain number is in the unit that the bench chose. */
export const readLength = (text: string): Parsed => parseMeasure(text, 'length', chosen.length)

const metresAFoot = 0.3048
const inFahrenheit = (celsius: number) => (celsius * 9) / 5 + 32
const short = (x: number | undefined): string => (x === undefined ? '' : String(Number(x.toPrecision(12))))

/** For a field, as a person would type it. */
export const typedTemperature = (celsius: number | undefined): string =>
  short(celsius !== undefined && chosen.temperature === '°F' ? inFahrenheit(celsius) : celsius)
export const typedLength = (metres: number | undefined): string =>
  short(metres !== undefined && chosen.length === 'ft' ? metres / metresAFoot : metres)

/** "41 °C", in whole degrees. */
export const sayTemperature = (celsius: number): string =>
  `${Math.round(chosen.temperature === '°F' ? inFahrenheit(celsius) : celsius)} ${chosen.temperature}`

/** The unit in which a quantity is typed and read on this bench. */
export const unitOf = (unit: string): string => (unit === '°C' ? chosen.temperature : unit)

/** A figure in the unit that the bench reads in, with the name of that unit. */
export function inUnits(figure: Figure): Pick<Figure, 'x'> & { readonly unit: string } {
  if (figure.unit !== '°C' || chosen.temperature === '°C') return figure
  const sources = new Map([...figure.x.sources].map(([source, u]) => [source, (u * 9) / 5]))
  return { x: { value: inFahrenheit(figure.x.value), sources }, unit: '°F' }
}
