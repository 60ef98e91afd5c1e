import { answerOf } from '../../answer'
import { capital } from '../../figures'
import { claimValue, sayClaim } from '../../units'
import type { Asking } from '../answer'
import { markOf } from '../claims'
import { aStep, toShow } from '../cost'

/** Does it give what it says? */
export const gives: Asking = {
  id: 'gives',
  place: 'AC',
  page: 'findings',
  dependsOn: [],
  asks: 'Does it give what it says?',
  asksOf: ({ view }) => {
    const power = view.findings.find(({ claim }) => claim.quantity === 'continuous power')
    return power && `Does it give its ${sayClaim(power.claim).replace(/^[≥≤]\s*/, '')}?`
  },
  know: ({ on: { analysis }, view: { findings, analyses }, trial }) => {
    const power = findings.find(({ claim }) => claim.quantity === 'continuous power') ?? findings[0]
    if (!power)
      return {
        said: ['Nobody noted what it promises.'],
        why: [],
        mark: 'not read',
        open: {
          todo: 'Note what its label and manual promise.',
          button: 'Note it',
          page: 'look-over',
          readings: 1,
          minutes: 3,
          wattHours: 0,
        },
      }
    const { claim, standing } = power
    const { outcome, sentence, wouldShow } = standing
    const mark = markOf[outcome]
    const others = findings.length > 1 ? [answerOf(findings, analyses).claims] : []
    const isOpen = outcome === 'not tested' || outcome === 'not shown'
    return {
      said: [capital(sentence)],
      why: others,
      mark,
      ...(isOpen
        ? {
            open: {
              todo: wouldShow ?? sentence,
              button: 'Load it',
              page: 'ladder',
              ...aStep(toShow(claimValue(claim), analysis), claim.duration ?? trial.hold),
            },
          }
        : {}),
    }
  },
}
