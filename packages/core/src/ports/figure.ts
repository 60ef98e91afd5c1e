import type { Figure } from '../figures'
import { halfWidth, methodSource, rangeFor, rectangular, specificationSource } from '../meters'
import { scopeOf, type Analysis } from '../trials'
import type { PortPoint, PortSweep } from './sweep'

export type PortUnit = 'A' | 'W' | 'V'

const symbols = { A: 'I_port', W: 'P_port', V: 'V_port' } as const
const formulas = { A: 'I within tolerance', W: '(V + I·R_lead)·I', V: 'V + I·R_lead' } as const

/**
 * What a port gave at one point, as amps, watts or volts. It passes the gate as any value does: nobody doubts the test or its
 * meter, which reads amps and volts, and its range holds them (docs/method/evidence.md).
 */
export function portFigure(
  { entry, reading }: Pick<PortSweep, 'entry' | 'reading'>,
  point: PortPoint,
  unit: PortUnit,
  { record, evidence: { gate } }: Analysis,
): Figure {
  const { revision } = record
  const meter =
    revision.meters.find(({ id }) => id === reading.meter) ??
    revision.meters.find(({ id }) =>
      revision.rig.assignments.some((one) => one.quantity === 'I_port' && one.meter === id),
    )
  const amps = meter && rangeFor(meter.ranges, 'DC current', point.amps)
  const volts = meter && rangeFor(meter.ranges, 'DC voltage', point.atPort)
  const sources = new Map<string, number>()
  const value = unit === 'A' ? point.amps : unit === 'W' ? point.watts : point.atPort
  if (meter && amps && unit !== 'V')
    sources.set(
      specificationSource(meter.id, amps.id),
      rectangular(halfWidth(amps, point.amps)) * (unit === 'W' ? point.atPort : 1),
    )
  if (meter && volts && unit !== 'A')
    sources.set(
      specificationSource(meter.id, volts.id),
      rectangular(halfWidth(volts, point.atPort)) * (unit === 'W' ? point.amps : 1),
    )
  // The step of the load is as fine as it was raised.
  sources.set(methodSource('step of the load', `${entry.id}|${scopeOf(record)}`), rectangular(0.005 * value))
  const on = meter ? { meter: meter.id } : {}
  const refused =
    (unit === 'V'
      ? undefined
      : gate({ quantity: 'I_port', value: point.amps, grade: 'measured', ...on }, entry.id)) ??
    (unit === 'A'
      ? undefined
      : gate({ quantity: 'V_port', value: point.volts, grade: 'measured', ...on }, entry.id))
  return {
    symbol: symbols[unit],
    unit,
    x: { value, sources },
    grade: 'measured',
    ...(refused ? { refused } : {}),
    working: { formula: formulas[unit], inputs: [], notes: [], entries: [entry.id] },
  }
}
