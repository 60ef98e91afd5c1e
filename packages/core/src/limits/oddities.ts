import { isFigure, sayFigure } from '../figures'
import { contradict, expanded, subtract } from '../meters'
import type { Notice } from '../oddities'
import { claimValue, sayClaim } from '../units'

/** 21: DC watts against an AC rating. */
export const noticeDcAgainstAc: Notice = ({ analysis, unit }) => {
  const claim = unit.claims.find((candidate) => candidate.quantity === 'continuous power')
  if (!claim) return []
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
  const ended = analysis.ladder.steps.filter((step) =>
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
