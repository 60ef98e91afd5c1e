import { expanded } from '../../meters'
import { isFigure } from '../../figures'
import { modeDraws } from '../../modes'
import type { Analysis } from '../../trials'
import { isStation } from '../../units'
import { notRead, type Asking, type Known } from '../answer'
import { aLook } from '../cost'

/** Share of an idle draw by which it may be unsure and still be an answer. */
const roughly = 0.25

/** A power station has no terminals to read it at: what its modes draw, first the one in which it is simply on. */
function ofStation(analysis: Analysis): Known {
  const draws = modeDraws(analysis).filter(({ watts }) => isFigure(watts))
  const draw = draws.find(({ mode }) => mode === 'on') ?? draws[0]
  if (!draw || !isFigure(draw.watts))
    return notRead({
      todo: 'Let it stand switched on for hours, and note what it lost.',
      button: 'Note it',
      page: 'modes',
      readings: 2,
      minutes: 240,
      wattHours: 0,
    })
  const isRough = expanded(draw.watts.x) > roughly * Math.abs(draw.watts.x.value)
  return { said: [draw.watts, ` in mode “${draw.mode}”.`], why: [], mark: isRough ? 'roughly' : 'yes' }
}

/** What does it take for nothing? */
export const nothing: Asking = {
  id: 'nothing',
  place: 'heat',
  page: 'no-load',
  dependsOn: ['unit'],
  asks: 'What does it take for nothing?',
  judgedBy: ['idle draw', 'mode draw'],
  know: ({ on: { analysis } }) => {
    if (isStation(analysis.record.revision.unit)) return ofStation(analysis)
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
