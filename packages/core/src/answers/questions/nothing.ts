import { expanded } from '../../meters'
import { isFigure } from '../../figures'
import { notRead, type Asking } from '../answer'
import { aLook } from '../cost'

/** Share of an idle draw by which it may be unsure and still be an answer. */
const roughly = 0.25

/** What does it take for nothing? */
export const nothing: Asking = {
  id: 'nothing',
  place: 'heat',
  page: 'no-load',
  dependsOn: ['unit'],
  asks: 'What does it take for nothing?',
  judgedBy: ['idle draw'],
  know: ({ on: { analysis } }) => {
    const { P_idle, perNight, weak } = analysis.noLoad.on
    const open = {
      todo: 'Read its input with nothing connected.',
      button: 'Read it',
      page: 'no-load',
      ...aLook,
    }
    if (!isFigure(P_idle)) return notRead(open, [P_idle.missing])
    const isRough = !!weak || !!P_idle.refused || expanded(P_idle.x) > roughly * Math.abs(P_idle.x.value)
    return {
      said: [
        P_idle,
        ...(isFigure(perNight) ? ['. A night left on takes ', perNight, ' of the battery.'] : ['.']),
      ],
      why: [
        ...(weak ? [weak] : []),
        ...(P_idle.refused ? [`It decides nothing: ${P_idle.refused.why}`] : []),
      ],
      mark: isRough ? 'roughly' : 'yes',
      ...(isRough
        ? {
            open: {
              ...open,
              todo:
                P_idle.refused?.todo ??
                'Read its idle amps on a series ammeter or a shunt: the clamp is too coarse.',
              button: 'Read it again',
            },
          }
        : {}),
    }
  },
}
