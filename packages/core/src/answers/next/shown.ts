import type { Assignable, Entry, Quantity, Value } from '@even-watt/contract'
import { quantityData } from '../../evidence'
import { halfWidth, rangeFor } from '../../meters'
import type { Analysis } from '../../trials'
import type { May, Truth } from './may'
import { truthOf } from './may'

/** A load, or none, held for so long. */
export interface Load {
  readonly watts: number
  readonly seconds: number
}

const atSteps = [
  'V_A',
  'V_B',
  'I',
  'P_B',
  'V_C',
  'I_C',
  'P_C',
  'PF',
  'f',
  'THD',
] as const satisfies readonly Quantity[]
type Told = (typeof atSteps)[number]
const isTold = (quantity: Assignable): quantity is Told => atSteps.some((one) => one === quantity)

/** What the meters of a rig would show of it, each off by its own error and rounded to its count. */
function valuesOf({ record }: Analysis, may: May, truth: Truth, idle: boolean): Value[] {
  const { rig, meters } = record.revision
  const apart = idle && rig.assignments.some(({ quantity }) => quantity === 'idle I')
  return rig.assignments.flatMap(({ quantity: assigned, meter: id }): Value[] => {
    const quantity = idle && assigned === 'idle I' ? 'I' : assigned
    if (!isTold(quantity) || (apart && assigned === 'I') || (idle && atOutletOnly.has(quantity))) return []
    const meter = meters.find((one) => one.id === id)
    const value = truth[quantity]
    const range = meter && value !== undefined && rangeFor(meter.ranges, quantityData[quantity].reads, value)
    if (!range || value === undefined || value > range.upTo) return []
    const off = value + may.off(`${id} ${range.id}`) * halfWidth(range, value)
    const shown = Math.round(off / range.count) * range.count
    return [{ quantity, value: shown, grade: 'measured', meter: id }]
  })
}

const atOutletOnly: ReadonlySet<Quantity> = new Set(['I_C', 'P_C', 'PF'])

/** An entry as it would be captured of one that the unit may be; undefined: its supply cannot give that load. */
export function wouldRead(
  analysis: Analysis,
  may: May,
  { watts, seconds }: Load,
  at: string,
): Entry | undefined {
  const truth = truthOf(may, watts)
  if (!truth) return undefined
  const values = valuesOf(analysis, may, truth, watts === 0)
  const base = { id: 'would be read', revision: analysis.record.revision.number, at }
  if (watts === 0) return { ...base, kind: 'no load', reading: { mode: 'on', values } }
  return {
    ...base,
    kind: 'ladder',
    reading: {
      step: 'would be read',
      position: 1e6,
      load: 'a load',
      kind: 'element',
      values,
      end: 'carried',
      ...(seconds ? { held: seconds } : {}),
    },
  }
}
