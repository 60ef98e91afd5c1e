import type { Quantity, Value } from '@even-watt/contract'
import { quantityData, rangeOf } from '../../evidence'
import { formatNumber, isFigure, sayFigure, type Figure } from '../../figures'
import { eachStep, placeOfStep, type StepFigures } from '../../ladder'
import { arbitrate, divide, measured, multiply, type Route, type Uncertain } from '../../meters'
import { onceEach, type Keyed, type Notice } from '../../oddities'
import type { Analysis } from '../../trials'

/** Every meter of one quantity at one step, each as a way of its own to know it. */
function metersOf(
  quantity: Quantity,
  step: StepFigures,
  { record: { revision }, evidence: { gate } }: Analysis,
): Route[] {
  const values = new Map<string, Value[]>()
  for (const { id, reading } of step.step.readings) {
    for (const value of reading.values) {
      // What the gate refuses is said elsewhere; it is no witness here.
      if (value.quantity !== quantity || value.meter === undefined || gate(value, id)) continue
      values.set(value.meter, [...(values.get(value.meter) ?? []), value])
    }
  }
  return [...values].flatMap(([id, list]) => {
    const meter = revision.meters.find((candidate) => candidate.id === id)
    const sample = list[0]
    const range = meter && sample && rangeOf(meter, sample)
    if (!meter || !range) return []
    const numbers = list.map(({ value }) => value)
    return [
      {
        name: meter.name,
        x: measured({ values: numbers, spread: 0 }, id, range, `${quantity} on ${id}`, step.step.id),
      },
    ]
  })
}

const oddMeters = eachStep(
  (step, analysis): Keyed[] => {
    const { revision } = analysis.record
    const { V_C, I_C, P_C } = step.read
    const resistive = step.kind === 'element' || step.kind === 'filament'
    const balance =
      resistive && isFigure(V_C) && isFigure(I_C) && isFigure(P_C) && I_C.x.value > 0 && V_C.x.value > 0
        ? { V_C: divide(P_C.x, I_C.x), I_C: divide(P_C.x, V_C.x), P_C: multiply(V_C.x, I_C.x) }
        : undefined
    const derived = (name: string, x: Uncertain | undefined): Route[] => (x ? [{ name, x }] : [])
    const byQuantity: readonly (readonly [Quantity, Route[]])[] = [
      ['V_C', derived('P_C / I_C', balance?.V_C)],
      ['I_C', derived('P_C / V_C', balance?.I_C)],
      ['P_C', derived('V_C·I_C', balance?.P_C)],
      [
        'I',
        [
          ...(revision.rig.support === undefined ? metersOf('I_bank', step, analysis) : []),
          ...currentFromWatts(step),
          ...currentFromPath(step, analysis.supply.surveyedPath),
        ],
      ],
    ]
    return byQuantity.flatMap(([quantity, others]): Keyed[] => {
      const ruling = arbitrate([...metersOf(quantity, step, analysis), ...others])
      if (!ruling) return []
      const unit = quantityData[quantity].unit
      const agreeing = ruling.others.map(({ name, x }) => `${name} ${sayFigure({ x, unit })}`).join(', ')
      return [
        {
          key: `${quantity} ${ruling.odd.name}`,
          number: 29,
          odd: `${ruling.odd.name} says ${sayFigure({ x: ruling.odd.x, unit })} for ${quantity}; ${agreeing} agree with each other (E_n ${formatNumber(ruling.error, 1)}).`,
          why: 'Two ways that agree outvote the third: it is the odd one.',
          todo: `Check ${ruling.odd.name}: range, zero, wave, battery. The others are used.`,
          at: { ...placeOfStep(step, analysis), quantity },
        },
      ]
    })
  },
  ({ supply }) => [supply.surveyedPath],
)

/** 29: of three ways to one quantity, the one that the others contradict. */
export const noticeOddMeter: Notice = (context) => onceEach(oddMeters(context))

/** Watts over volts of a wattmeter at the terminals: a way of its own where no ammeter’s amps are in its watts. */
function currentFromWatts({ step, read: { P_B, V_B } }: StepFigures): Route[] {
  const metersFor = (wanted: Quantity) =>
    step.readings.flatMap(({ reading }) =>
      reading.values.flatMap(({ quantity, meter }) => (quantity === wanted && meter ? [meter] : [])),
    )
  const ammeters = new Set(metersFor('I'))
  const apart = metersFor('P_B').some((meter) => !ammeters.has(meter))
  return apart && isFigure(P_B) && isFigure(V_B) && V_B.x.value > 0
    ? [{ name: 'P_B / V_B', x: divide(P_B.x, V_B.x) }]
    : []
}

/** The path as a shunt: its surveyed resistance and the drop of this step. */
function currentFromPath(step: StepFigures, surveyed: Figure | { missing: string }): Route[] {
  if (!isFigure(surveyed) || !isFigure(step.drop) || surveyed.x.value <= 0) return []
  return [{ name: 'the drop over the surveyed path', x: divide(step.drop.x, surveyed.x) }]
}
