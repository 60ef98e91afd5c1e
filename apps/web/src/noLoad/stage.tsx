import { isFigure, readingsOf, sayFigure } from '@even-watt/core'
import { reportParts, type Stage } from '../stage'

export const noLoad: Stage = {
  words: 'No load',
  pages: [
    {
      path: 'no-load',
      load: async () => ({ default: (await import('./NoLoadPage')).NoLoadPage }),
    },
  ],
  state: ({ analysis }) => {
    const { P_idle, weak } = analysis.noLoad.on
    if (!isFigure(P_idle))
      return readingsOf(analysis.record, 'no load').length
        ? { said: 'idle incomplete', done: 'part' }
        : { said: 'not read', done: 'none' }
    return {
      said: `${sayFigure({ ...P_idle, x: { ...P_idle.x, sources: new Map() } })} idle${weak ? ', weak' : ''}`,
      done: 'whole',
    }
  },
  report: reportParts('rig', () => import('./ReportPart'), [['No load', 'NoLoadPart']]),
  works: ['no load'],
}
