import { isFigure, say, sayFigure } from '../../figures'
import { onceEach, type Keyed, type Notice } from '../../oddities'
import { bankNominal } from '../../supply'
import { eachStep, placeOfStep } from './eachStep'

/** Shares of a bank's nominal volts between which any bank stands, tired and loaded or being charged. */
const lowest = 0.7
const highest = 1.35

const farFromBank = eachStep((step, analysis): Keyed[] => {
  const nominal = bankNominal(analysis.record.revision.rig.bank)
  if (!(nominal > 0)) return []
  return (['V_A', 'V_B'] as const).flatMap((quantity): Keyed[] => {
    const figure = step.read[quantity]
    if (!isFigure(figure) || figure.grade !== 'measured') return []
    const share = figure.x.value / nominal
    if (share >= lowest && share <= highest) return []
    return [
      {
        key: quantity,
        number: 18,
        odd: `${quantity} is ${sayFigure(figure)} on a bank of ${say(nominal, 'V')}.`,
        why: 'No such bank stands there under load: a digit slipped, or it is another bank.',
        todo: 'Read it again, or put the bank of the rig right.',
        at: { ...placeOfStep(step, analysis), quantity },
      },
    ]
  })
})

/** 18: volts of the input that no bank of this kind has. */
export const noticeFarFromBank: Notice = (context) => onceEach(farFromBank(context))
