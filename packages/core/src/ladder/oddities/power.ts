import type { Quantity } from '@even-watt/contract'
import { formatNumber, isFigure, sayFigure, type Derived, type Figure } from '../../figures'
import { clearlyOver, multiply, subtract } from '../../meters'
import type { Notice, Oddity } from '../../oddities'
import { isImpossible } from '../plausible'
import type { StepFigures } from '../step'
import { eachStep, placeOfStep } from './eachStep'

const exceeds = (x: Figure['x'], limit: Figure['x']): boolean => clearlyOver(subtract(x, limit))

/** Looks at every step where both figures are known. */
const eachPair = (
  find: (figures: readonly [Figure, Figure]) => Omit<Oddity, 'at'> | undefined,
  of: (step: StepFigures) => readonly [Derived, Derived],
  quantity: Quantity,
): Notice =>
  eachStep((step, analysis) => {
    const [first, second] = of(step)
    if (!isFigure(first) || !isFigure(second)) return []
    const oddity = find([first, second])
    return oddity ? [{ ...oddity, at: { ...placeOfStep(step, analysis), quantity } }] : []
  })

/** 1: efficiency over 98 %, or more out than in. */
export const noticeImpossibleEfficiency = eachPair(
  ([eta, out]) =>
    isImpossible(eta)
      ? {
          number: 1,
          odd: `The efficiency would be ${sayFigure(eta)}${eta.x.value > 1 ? ', more out than in' : ''}.`,
          why: `No such inverter exists; one of the readings behind ${sayFigure(out)} is off.`,
          todo: 'Read input volts, amps and output watts again; look at ranges and zero.',
        }
      : undefined,
  // With volts at the posts alone it is seen with its leads.
  (step) => [isFigure(step.eta_unit) ? step.eta_unit : step.eta_system, step.P_C],
  'P_C',
)

/** 2: more watts than volt-amperes. */
export const noticeWattsOverVoltAmperes = eachStep((step, analysis) => {
  const { V_C, I_C, P_C } = step.read
  if (!isFigure(V_C) || !isFigure(I_C) || !isFigure(P_C)) return []
  const product = multiply(V_C.x, I_C.x)
  if (!exceeds(P_C.x, product)) return []
  return [
    {
      number: 2,
      odd: `${sayFigure(P_C)} is more than ${formatNumber(product.value, 0)} VA.`,
      why: 'Watts cannot exceed volts times amps: one of the three is misread or on the wrong range.',
      todo: 'Read V_C, I_C and P_C again.',
      at: { ...placeOfStep(step, analysis), quantity: 'P_C' },
    },
  ]
})

/** 3: the terminals above the posts. */
export const noticeTerminalsAbovePosts = eachPair(
  ([b, a]) =>
    exceeds(b.x, a.x)
      ? {
          number: 3,
          odd: `B (${sayFigure(b)}) is above A (${sayFigure(a)}).`,
          why: 'Current flows from the posts to the terminals, so the posts stand higher.',
          todo: 'Are the two swapped, or was one read at another load?',
        }
      : undefined,
  (step) => [step.read.V_B, step.read.V_A],
  'V_B',
)
