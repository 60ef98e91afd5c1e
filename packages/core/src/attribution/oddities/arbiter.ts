import type { Quantity, Revision, Value } from '@even-watt/contract'
import { quantityData, unfitOnWave } from '../../evidence'
import { type Figure, isFigure, sayFigure } from '../../figures'
import type { StepFigures } from '../../ladder'
import { arbitrate, divide, measured, multiply, rangeFor, type Route } from '../../meters'
import type { Notice } from '../../oddities'

/** Every meter of one quantity at one step, each as a way of its own to know it. */
function metersOf(quantity: Quantity, step: StepFigures, revision: Revision): Route[] {
  const values = new Map<string, Value[]>()
  for (const { reading } of step.step.readings) {
    for (const value of reading.values) {
      if (value.quantity !== quantity || value.meter === undefined || value.grade !== 'measured') continue
      values.set(value.meter, [...(values.get(value.meter) ?? []), value])
    }
  }
  return [...values].flatMap(([id, list]) => {
    const meter = revision.meters.find((candidate) => candidate.id === id)
    const sample = list[0]
    const range = meter && sample && rangeFor(meter.ranges, quantityData[quantity].reads, sample.value)
    // What a meter cannot read on this wave is said elsewhere (6); it is no witness here.
    if (!meter || !range || !sample || unfitOnWave(revision.unit)(meter, sample)) return []
    const numbers = list.map(({ value }) => value)
    return [
      {
        name: meter.name,
        x: measured({ values: numbers, spread: 0 }, id, range, `${quantity} on ${id}`, step.step.id),
      },
    ]
  })
}

/** 29: of three ways to one quantity, the one that the others contradict. */
export const noticeOddMeter: Notice = ({ analysis }) => {
  const { revision } = analysis.record
  const seen = new Set<string>()
  return analysis.ladder.steps.flatMap((step) => {
    const { V_C, I_C, P_C } = step.read
    const resistive = step.kind === 'element' || step.kind === 'filament'
    const balance =
      resistive && isFigure(V_C) && isFigure(I_C) && isFigure(P_C) && I_C.x.value > 0 && V_C.x.value > 0
        ? { V_C: divide(P_C.x, I_C.x), I_C: divide(P_C.x, V_C.x), P_C: multiply(V_C.x, I_C.x) }
        : undefined
    const alongCable = currentFromPath(step, analysis.supply.surveyedPath)
    const sameCurrent = revision.rig.support === undefined ? metersOf('I_bank', step, revision) : []
    const byQuantity: readonly (readonly [Quantity, Route[]])[] = [
      [
        'V_C',
        [...metersOf('V_C', step, revision), ...(balance ? [{ name: 'P_C / I_C', x: balance.V_C }] : [])],
      ],
      [
        'I_C',
        [...metersOf('I_C', step, revision), ...(balance ? [{ name: 'P_C / V_C', x: balance.I_C }] : [])],
      ],
      [
        'P_C',
        [...metersOf('P_C', step, revision), ...(balance ? [{ name: 'V_C·I_C', x: balance.P_C }] : [])],
      ],
      ['I', [...metersOf('I', step, revision), ...sameCurrent, ...alongCable]],
    ]
    return byQuantity.flatMap(([quantity, routes]) => {
      const ruling = arbitrate(routes)
      if (!ruling || seen.has(quantity + ruling.odd.name)) return []
      seen.add(quantity + ruling.odd.name)
      const unit = quantityData[quantity].unit
      const others = ruling.others.map(({ name, x }) => `${name} ${sayFigure({ x, unit })}`).join(', ')
      const entry = step.step.readings.at(-1)?.id
      return [
        {
          number: 29,
          odd: `${ruling.odd.name} says ${sayFigure({ x: ruling.odd.x, unit })} for ${quantity}; ${others} agree with each other (E_n ${ruling.error.toFixed(1)}).`,
          why: 'Two ways that agree outvote the third: it is the odd one.',
          todo: `Check ${ruling.odd.name}: range, zero, wave, battery. The others are used.`,
          at: { revision: revision.number, step: step.step.id, quantity, ...(entry ? { entry } : {}) },
        },
      ]
    })
  })
}

/** The path as a shunt: its surveyed resistance and the drop of this step. */
function currentFromPath(step: StepFigures, surveyed: Figure | { missing: string }): Route[] {
  if (!isFigure(surveyed) || !isFigure(step.drop) || surveyed.x.value <= 0) return []
  return [{ name: 'the drop over the surveyed path', x: divide(step.drop.x, surveyed.x) }]
}
