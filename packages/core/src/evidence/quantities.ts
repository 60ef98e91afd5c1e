import type { Quantity, Readable } from '@even-watt/contract'
import type { FigureUnit } from '../figures'

/** Where something is read; a power station has an input and ports in place of A and B. */
type Tap = 'A' | 'B' | 'C' | 'in' | 'port' | 'any'

/** What each quantity is read as, in which unit, and where (docs/method/evidence.md). */
export const quantityData: Record<Quantity, { reads: Readable; unit: FigureUnit; words: string; tap: Tap }> =
  {
    V_A: { reads: 'DC voltage', unit: 'V', words: 'volts at the posts', tap: 'A' },
    I_bank: { reads: 'DC current', unit: 'A', words: 'bank current', tap: 'A' },
    V_B: { reads: 'DC voltage', unit: 'V', words: 'volts at the terminals', tap: 'B' },
    I: { reads: 'DC current', unit: 'A', words: 'input current', tap: 'B' },
    P_B: { reads: 'DC power', unit: 'W', words: 'watts at the terminals', tap: 'B' },
    Q_B: { reads: 'charge', unit: 'Ah', words: 'amp-hours counted', tap: 'B' },
    E_B: { reads: 'energy', unit: 'Wh', words: 'watt-hours counted', tap: 'B' },
    V_C: { reads: 'AC voltage', unit: 'V', words: 'volts at the outlet', tap: 'C' },
    I_C: { reads: 'AC current', unit: 'A', words: 'output current', tap: 'C' },
    P_C: { reads: 'active power', unit: 'W', words: 'watts at the outlet', tap: 'C' },
    PF: { reads: 'power factor', unit: '', words: 'power factor', tap: 'C' },
    f: { reads: 'frequency', unit: 'Hz', words: 'frequency', tap: 'C' },
    THD: { reads: 'THD', unit: '%', words: 'distortion', tap: 'C' },
    T: { reads: 'temperature', unit: '°C', words: 'temperature', tap: 'any' },
    V_L1: { reads: 'AC voltage', unit: 'V', words: 'volts of leg L1', tap: 'C' },
    V_L2: { reads: 'AC voltage', unit: 'V', words: 'volts of leg L2', tap: 'C' },
    I_L1: { reads: 'AC current', unit: 'A', words: 'current of leg L1', tap: 'C' },
    I_L2: { reads: 'AC current', unit: 'A', words: 'current of leg L2', tap: 'C' },
    P_L1: { reads: 'active power', unit: 'W', words: 'watts of leg L1', tap: 'C' },
    P_L2: { reads: 'active power', unit: 'W', words: 'watts of leg L2', tap: 'C' },
    E_C: { reads: 'energy', unit: 'Wh', words: 'watt-hours counted at the outlet', tap: 'C' },
    P_wall: { reads: 'active power', unit: 'W', words: 'watts from the wall', tap: 'in' },
    E_wall: { reads: 'energy', unit: 'Wh', words: 'watt-hours from the wall', tap: 'in' },
    V_in: { reads: 'DC voltage', unit: 'V', words: 'volts at the charge input', tap: 'in' },
    I_in: { reads: 'DC current', unit: 'A', words: 'amps into the charge input', tap: 'in' },
    P_in: { reads: 'DC power', unit: 'W', words: 'watts into the charge input', tap: 'in' },
    E_in: { reads: 'energy', unit: 'Wh', words: 'watt-hours into the charge input', tap: 'in' },
    V_port: { reads: 'DC voltage', unit: 'V', words: 'volts of a port', tap: 'port' },
    I_port: { reads: 'DC current', unit: 'A', words: 'amps of a port', tap: 'port' },
  }

/** The unit in which something that a meter reads is shown. */
export const unitRead = (reads: Readable): FigureUnit =>
  Object.values(quantityData).find((one) => one.reads === reads)?.unit ?? ''

/** Why something that needs a quantity is missing, in a sentence. */
export function notRead(quantity: Quantity): string {
  const { words } = quantityData[quantity]
  const several = /^(volts|watts|amps|amp-hours|watt-hours) /.test(words)
  return `The ${words} ${several ? 'were' : 'was'} not read.`
}

export const quantities = Object.keys(quantityData) as Quantity[]

/** Read at ports, at charging inputs and by counters over hours: no step of a ladder asks for them. */
export const besideSteps: ReadonlySet<Quantity> = new Set<Quantity>([
  'E_C',
  'P_wall',
  'E_wall',
  'V_in',
  'I_in',
  'P_in',
  'E_in',
  'V_port',
  'I_port',
])
