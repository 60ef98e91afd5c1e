import { legVolts } from '../evidence'
import type { EntryOf, Quantity, Revision, StoredMeter, Value } from '@even-watt/contract'
import { isFigure, type Derived } from '../figures'
import { isSlow } from '../meters'
import { instrumentId } from '../waveform/kept'
import type { SeenStart } from './start'

/** Shares of the usual volts under which output or input are gone: that tells that something opened, not how far it fell. */
const outputGone = 0.1
export const inputGone = 0.5

/** Of a split phase the same is read on a leg. */
const onALeg: Readonly<Partial<Record<Quantity, readonly Quantity[]>>> = {
  V_C: ['V_L1', 'V_L2'],
  I_C: ['I_L1', 'I_L2'],
  P_C: ['P_L1', 'P_L2'],
}

/** The meter that hangs on a quantity of the rig, else on the same of a leg. */
function hung(quantity: Quantity, { rig, meters }: Revision): StoredMeter | undefined {
  const assigned = [quantity, ...(onALeg[quantity] ?? [])].flatMap((wanted) =>
    rig.assignments.filter((one) => one.quantity === wanted),
  )[0]
  return meters.find(({ id }) => id === assigned?.meter)
}

export function onMeter(quantity: Quantity, value: number, revision: Revision): Value {
  const meter = hung(quantity, revision)
  return { quantity, value, grade: 'measured', ...(meter ? { meter: meter.id } : {}) }
}

/** What was typed of an attempt, each on the meter that hangs there; what went to nothing is no lowest value. */
export function typedValues({ reading }: EntryOf<'motors'>, revision: Revision): Value[] {
  const { inputVoltage } = revision.unit
  const unless = (value: number | undefined, least: number) => ((value ?? 0) < least ? undefined : value)
  const typed: [Quantity, number | undefined][] = [
    ['I_C', reading.peakCurrent],
    ['P_C', reading.seenWatts],
    ['V_C', unless(reading.lowestOutput, outputGone * legVolts(revision.unit))],
    ['V_B', unless(reading.lowestInput, inputGone * (inputVoltage ?? 0))],
  ]
  return typed.flatMap(([quantity, value]) =>
    value === undefined ? [] : [onMeter(quantity, value, revision)],
  )
}

const ranges = {
  V_C: 'AC voltage',
  I_C: 'AC current',
  P_C: 'active power',
  V_B: 'DC voltage',
  I: 'DC current',
} as const

/** Something that a capture shows, as a value on its instrument. */
export const capturedValue = (
  quantity: keyof typeof ranges,
  value: number,
  { reading: { instrument }, at }: EntryOf<'capture'>,
): Value => ({
  quantity,
  value,
  grade: 'measured',
  meter: instrumentId(instrument.name),
  range: ranges[quantity],
  at,
})

export function seenValues(seen: SeenStart, capture: EntryOf<'capture'>): Value[] {
  const found = {
    I_C: seen.worst,
    P_C: seen.watts,
    V_C: seen.lowest,
    V_B: seen.lowestInput,
    I: seen.highestInput,
  }
  return (Object.keys(found) as (keyof typeof found)[]).flatMap((quantity) => {
    const value = found[quantity]
    return value === undefined ? [] : [capturedValue(quantity, value, capture)]
  })
}

/** A meter that reads too seldom for what lasted so shortly shows something beside the extreme: that decides nothing. */
export const unlessSlow =
  (lasted: number | undefined, byClamp: boolean, revision: Revision) =>
  (figure: Derived, quantity: Quantity): Derived => {
    if (!isFigure(figure) || (quantity === 'I_C' && byClamp)) return figure
    const meter = hung(quantity, revision)
    if (lasted !== undefined && !isSlow(meter, lasted)) return figure
    const rate = meter?.updateRate === undefined ? 'a few times' : `${meter.updateRate} times`
    return {
      ...figure,
      refused: {
        why: `${meter?.name ?? 'its meter'} reads ${rate} a second, ${lasted === undefined ? 'and how long it lasted is not noted.' : 'too seldom for so short a time.'}`,
        todo: 'Capture it on a scope, or use a clamp with an inrush mode.',
      },
    }
  }
