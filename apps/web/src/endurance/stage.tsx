import { lazy } from 'react'
import { countLogs, isRunning } from '../logs/words'
import { many, reportParts, type Stage } from '../stage'

/** Hours of holds and run-downs, and how loud it is. */
export const endurance: Stage = {
  words: 'Endurance',
  pages: [
    {
      path: 'endurance',
      tab: 'Runs',
      load: async () => ({ default: (await import('./EndurancePage')).EndurancePage }),
    },
    {
      path: 'endurance/noise',
      tab: 'Noise',
      load: async () => ({ default: (await import('./NoisePage')).NoisePage }),
    },
    {
      path: 'endurance/log',
      load: async () => ({ default: (await import('../logs/LogPage')).LogPage }),
    },
  ],
  state: ({ analysis }) => {
    const running = analysis.logs.some((log) => isRunning(log, Date.now()))
    const count = countLogs(analysis.logs, ['run-down', 'rated hold', 'tier hold', 'idle'])
    return {
      said: running ? 'it runs' : count ? many(count, 'log') : 'nothing run',
      done: running ? 'part' : count ? 'whole' : 'none',
    }
  },
  report: reportParts('rig', () => import('./ReportPart'), [
    ['Run-downs', 'RunDownsPart'],
    ['Logs over time', 'LogsPart'],
    ['Noise', 'NoisePart'],
  ]),
  strip: {
    when: ({ analysis }) => analysis.logs.some((log) => isRunning(log, Date.now())),
    Part: lazy(async () => ({ default: (await import('../logs/LogStrip')).LogStrip })),
  },
  works: ['rated hold', 'run-down'],
  names: {
    log: ({ what }) => `beginning of a ${what}`,
    'check-in': () => 'check-in',
    'log file': ({ source }) => `table ${source.name}`,
    noise: () => 'noise',
  },
}
