import type { Rig } from '@even-watt/contract'
import { formatNumber, isFigure, plain, say, sayDuration, sayFigure } from '../../figures'
import type { Notice, Oddity } from '../../oddities'
import { cables, weakestLinks } from '../../rigs'

const protective = ['fuse', 'breaker', 'BMS']

/** Rated parts that a current exceeds by more than a tenth. */
const exceeded = (rig: Rig, current: number) =>
  weakestLinks(rig, current).filter(({ margin }) => margin !== undefined && margin < -0.1)

const shouldHaveOpened = {
  why: 'It should have opened: the current, the rating or the time is not what it says.',
  todo: 'Check the clamp’s zero and range, and what is printed on the device.',
}
const tooMuchForIt = {
  why: 'It is over its rating for that time: it heats, and drifts or gives way.',
  todo: 'Stay under its rating, hold it for less, or fit a larger one.',
}

/** 23: a current that a part of the path should not have carried for that long. */
export const noticeProtection: Notice = ({ analysis }) => {
  const { rig, number } = analysis.record.revision
  const read = analysis.ladder.steps.flatMap((step) =>
    isFigure(step.read.I) ? [{ step, I: step.read.I }] : [],
  )
  // What the highest current does not exceed, none does.
  if (!read.length || !exceeded(rig, Math.max(...read.map(({ I }) => I.x.value))).length) return []
  return read.flatMap(({ step, I }): Oddity[] => {
    const held = Math.max(0, ...step.step.readings.map(({ reading }) => reading.held ?? 0))
    const over = exceeded(rig, I.x.value).find(({ allowed }) => (allowed ?? 10) < held)
    const entry = step.step.readings.at(-1)?.id
    if (!over) return []
    return [
      {
        number: 23,
        odd: `${sayFigure(I)} flowed for ${sayDuration(held)} through the ${over.name}, rated ${say(over.continuous ?? 0, 'A')}.`,
        ...(protective.includes(over.kind) ? shouldHaveOpened : tooMuchForIt),
        at: { revision: number, step: step.step.id, quantity: 'I', ...(entry ? { entry } : {}) },
      },
    ]
  })
}

/** 30: a gauge that cannot carry this: thickness in mm taken for mm², or the other way. */
export const noticeGauge: Notice = ({ analysis }) => {
  const { rig, number } = analysis.record.revision
  const highest = Math.max(
    0,
    ...analysis.ladder.steps.map((step) => (isFigure(step.read.I) ? step.read.I.x.value : 0)),
  )
  return cables(rig).flatMap(({ element }): Oddity[] => {
    const area = element.conductors.reduce(
      (sum, { gauge, runs }) => sum + (gauge.unit === 'mm²' ? gauge.area * runs : NaN),
      0,
    )
    const density = highest / area
    if (!(density > 15)) return []
    return [
      {
        number: 30,
        odd: `${formatNumber(highest, 0)} A through ${plain(area)} mm² is ${formatNumber(density, 0)} A/mm².`,
        why: 'A thickness in mm is easily taken for an area in mm².',
        todo: `Check ${element.name}.`,
        at: { revision: number, part: 'rig' },
      },
    ]
  })
}
