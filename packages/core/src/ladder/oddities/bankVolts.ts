import { bankStands } from '../../evidence'
import { isFigure, say, sayFigure } from '../../figures'
import { onceEach, type Keyed, type Notice } from '../../oddities'
import { bankNominal } from '../../supply'
import { eachStep, placeOfStep } from './eachStep'

const farFromBank = eachStep((step, analysis): Keyed[] => {
  const nominal = bankNominal(analysis.record.revision.rig.bank)
  if (!(nominal > 0)) return []
  return (['V_A', 'V_B'] as const).flatMap((quantity): Keyed[] => {
    const figure = step.read[quantity]
    if (!isFigure(figure) || figure.grade !== 'measured') return []
    const share = figure.x.value / nominal
    if (share >= bankStands[0] && share <= bankStands[1]) return []
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
