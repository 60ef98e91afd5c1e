import { isFigure, say, type Figure } from '../../figures'
import { judgeFigure, notTested, type Evidence, type Judge } from '../../findings'
import type { StepFigures } from '../step'

/** The figure of largest size over the ladder and no load, measured ones first. */
function worst(
  evidence: Evidence,
  of: (step: StepFigures) => StepFigures['regulation'],
  also?: Figure,
): Figure | undefined {
  const figures = [...evidence.analysis.ladder.steps.map(of).filter(isFigure), ...(also ? [also] : [])]
  const measured = figures.filter((figure) => figure.grade === 'measured')
  return (measured.length ? measured : figures).reduce<Figure | undefined>(
    (most, figure) => (!most || Math.abs(figure.x.value) > Math.abs(most.x.value) ? figure : most),
    undefined,
  )
}

/** ±x % against nominal over the ladder; the input range not covered is said (docs/method/ladder.md). */
export const judgeRegulation: Judge = (evidence) => {
  const figure = worst(evidence, (step) => step.regulation)
  if (!figure) return notTested('Regulation was not tested: no output voltage under load.')
  const verdict = judgeFigure(evidence, figure, 'The largest deviation from nominal')
  const inputs = evidence.analysis.ladder.steps.map((step) => step.read.V_B).filter(isFigure)
  if (!inputs.length) return verdict
  const low = Math.min(...inputs.map((input) => input.x.value))
  const high = Math.max(...inputs.map((input) => input.x.value))
  return {
    ...verdict,
    sentence: `${verdict.sentence} Seen with ${say(low, '', 4)} to ${say(high, 'V', 4)} at the terminals; the rest of the input range is not shown.`,
  }
}

export const judgeDistortion: Judge = (evidence) => {
  const { THD } = evidence.analysis.noLoad.on.read
  const figure = worst(evidence, (step) => step.read.THD, isFigure(THD) ? THD : undefined)
  return figure
    ? judgeFigure(evidence, figure, 'The highest THD read')
    : notTested('Distortion was not tested: no THD was read.')
}
