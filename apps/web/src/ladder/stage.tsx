import { hasFit } from '@even-watt/core'
import { many, reportParts, type Stage } from '../stage'

export const ladder: Stage = {
  words: 'Ladder',
  pages: [
    {
      path: 'ladder',
      load: async () => ({ default: (await import('./LadderPage')).LadderPage }),
    },
    {
      path: 'readings',
      load: async () => ({
        default: (await import('../readings/ImportReadingsPage')).ImportReadingsPage,
      }),
    },
  ],
  state: ({ analysis }) => {
    const { steps, unitFit, systemFit } = analysis.ladder
    if (!steps.length) return { said: 'no step yet', done: 'none' }
    const curve = hasFit(unitFit) ? '' : hasFit(systemFit) ? ', curve from A to C' : ', no curve yet'
    return {
      said: `${many(steps.length, 'step')}${curve}`,
      done: hasFit(unitFit) || hasFit(systemFit) ? 'whole' : 'part',
    }
  },
  report: reportParts('rig', () => import('./ReportPart'), [
    ['Ladder', 'LadderPart'],
    ['Efficiency and losses', 'CurvesPart'],
    ['What the curve says', 'CurveFiguresPart'],
  ]),
  works: ['ladder'],
  names: { ladder: ({ load }) => load },
}
