import { isFigure, say, sayDuration, sayFigure } from '../figures'
import { eachStep, isCarried, placeOfStep, type StepFigures } from '../ladder'
import { contradict, expanded, isSlow, subtract } from '../meters'
import type { Notice, Oddity, OddityContext } from '../oddities'
import { weakestLinks } from '../rigs'
import { claimValue, sayClaim } from '../units'
import { overloadsOf } from './overload'

/** Whether a ladder goes on upwards: more is planned, or its highest step is the last thing that was captured. */
function goesOn({ analysis: { ladder, record }, plan }: OddityContext): boolean {
  const power = (step: StepFigures) => (isFigure(step.P_B) ? step.P_B.x.value : 0)
  const highest = ladder.steps.reduce<StepFigures | undefined>(
    (most, step) => (!most || power(step) > power(most) ? step : most),
    undefined,
  )
  const last = highest?.step.readings.at(-1)
  if (!highest || !last || !isCarried(last)) return false
  const out = isFigure(highest.P_C) ? highest.P_C.x.value : 0
  if (plan?.steps.some(({ target }) => target > out * 1.02)) return true
  return ![...record.standing.values()].some((entries) => entries.some(({ at }) => at > last.at))
}

/** 21: DC watts against an AC rating, once the ladder has ended. */
export const noticeDcAgainstAc: Notice = (context) => {
  const { analysis, unit } = context
  const claim = unit.claims.find((candidate) => candidate.quantity === 'continuous power')
  if (!claim || goesOn(context)) return []
  const rated = claimValue(claim)
  const outputs = analysis.ladder.steps.map((step) => step.P_C).filter(isFigure)
  const inputs = analysis.ladder.steps.map((step) => step.P_B).filter(isFigure)
  const top = (figures: typeof inputs) =>
    figures.reduce<(typeof inputs)[number] | undefined>(
      (most, x) => (!most || x.x.value > most.x.value ? x : most),
      undefined,
    )
  const [out, into] = [top(outputs), top(inputs)]
  if (!into || into.x.value < rated || (out && out.x.value + expanded(out.x) >= rated)) return []
  return [
    {
      number: 21,
      odd: `Input reached ${sayFigure(into)}, output ${out ? `only ${sayFigure(out)}` : 'was not read'}, for ${sayClaim(claim)}.`,
      why: 'A rating is AC watts at the outlet; DC watts never judge it.',
      todo: 'Add load until the output reaches the rating.',
      at: { revision: analysis.record.revision.number, claim: claim.id },
    },
  ]
}

/** 28: different tests that ended at the same watts. */
export const noticeEqualCeilings: Notice = ({ analysis }) => {
  const all = [...analysis.ladder.steps, ...overloadsOf(analysis).map(({ step }) => step)]
  const ended = all.filter((step) =>
    step.step.readings.some(
      (entry) =>
        entry.reading.end === 'alarmed' ||
        entry.reading.end === 'tripped' ||
        entry.reading.alarm === 'low voltage',
    ),
  )
  for (const [i, first] of ended.entries()) {
    for (const second of ended.slice(i + 1)) {
      if (!isFigure(first.P_B) || !isFigure(second.P_B) || first.load === second.load) continue
      if (
        contradict(first.P_B.x, second.P_B.x) ||
        Math.abs(subtract(first.P_B.x, second.P_B.x).value) > 0.03 * first.P_B.x.value
      )
        continue
      return [
        {
          number: 28,
          odd: `Two different tests ended at the same input, ${sayFigure(first.P_B)} and ${sayFigure(second.P_B)}.`,
          why: 'When continuous and peak end alike, the supply is the usual cause, not the unit.',
          todo: 'Look at V_A and V_B there; try a stiffer bank before blaming the unit.',
          at: { revision: analysis.record.revision.number, step: second.step.id },
        },
      ]
    }
  }
  return []
}

/** 22: a step held so shortly that its meter hardly read it. */
export const noticeSlowMeter: Notice = eachStep((step, analysis) => {
  const held = Math.max(0, ...step.step.readings.map(({ reading }) => reading.held ?? 0))
  const value = step.step.readings
    .flatMap(({ reading }) => reading.values)
    .find(({ quantity, meter }) => {
      const found = analysis.record.revision.meters.find(({ id }) => id === meter)
      return quantity === 'P_C' && found?.updateRate !== undefined && isSlow(found, held)
    })
  const meter = analysis.record.revision.meters.find(({ id }) => id === value?.meter)
  if (!meter || held === 0) return []
  return [
    {
      number: 22,
      odd: `${meter.name} reads ${meter.updateRate} times a second, and the step lasted ${sayDuration(held)}.`,
      why: 'What it showed is a mean over more than the surge, or of a moment beside it.',
      todo: 'Capture it, or use a meter that reads several times in that time.',
      at: { ...placeOfStep(step, analysis), quantity: 'P_C' },
    },
  ]
})

/** Efficiency of a unit far over its rating, where the ladder does not reach: taken high, so that less current is implied. */
const generous = 0.95
const beyondRating = -0.1
const unknownCurve = 10

/** 23: an overload whose watts imply a current that a fuse, breaker or BMS should not have carried for so long. */
export const noticeOverloadCurrent: Notice = ({ analysis }) => {
  const { rig, number, unit } = analysis.record.revision
  return overloadsOf(analysis).flatMap(({ entry, reading, went }): Oddity[] => {
    const { watts, inputVolts = unit.inputVoltage, lasted } = reading
    if (inputVolts === undefined) return []
    if (went.device || lasted === undefined) return []
    const implied = watts / generous / inputVolts
    const over = weakestLinks(rig, implied).find(
      ({ kind, margin, allowed }) =>
        ['fuse', 'breaker', 'BMS'].includes(kind) &&
        (margin ?? 0) < beyondRating &&
        (allowed ?? unknownCurve) < lasted,
    )
    if (!over) return []
    return [
      {
        number: 23,
        odd: `${say(watts, 'W')} for ${sayDuration(lasted)} takes at least ${say(implied, 'A')} through the ${over.name}, rated ${say(over.continuous ?? 0, 'A')}.`,
        why: 'It should have opened: the watts, the rating or the time is not what it says.',
        todo: 'Look which of them gave up, and what is printed on the device.',
        at: { revision: number, entry: entry.id },
      },
    ]
  })
}
