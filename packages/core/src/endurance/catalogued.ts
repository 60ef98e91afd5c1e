import type { RigFigured } from '../figured'
import { decides, furthest } from '../figures'
import { heatOf } from './heat'
import { noisesOf } from './noise'
import { runDownsOf } from './runDown'

const here = {
  per: 'rig',
  page: 'endurance',
  method: 'endurance',
  dependsOn: ['unit', 'load', 'room'],
} as const

/** For how long, how warm and how loud, over everything that was watched. */
export const enduranceFigures: readonly RigFigured[] = [
  {
    ...here,
    id: 'loudest',
    words: 'loudest beside it',
    head: 'noise',
    unit: 'dB(A)',
    looked: ['noise', 'fan', 'hum', 'decibel', 'loud'],
    page: 'endurance/noise',
    promise: 'noise',
    of: (analysis) =>
      furthest(
        'highest',
        noisesOf(analysis).map(({ level }) => level),
        'Its noise was not read.',
      ),
  },
  {
    ...here,
    id: 'hottest',
    words: 'hottest place',
    head: 'hottest',
    unit: '°C',
    looked: ['heat', 'case', 'temperature', 'soak', 'warm'],
    promise: 'case temperature',
    of: (analysis) =>
      furthest(
        'highest',
        analysis.logs.flatMap((log) => heatOf(log, analysis).map(({ hottest }) => hottest)),
        'No temperature was watched over time.',
      ),
  },
  {
    ...here,
    id: 'delivered',
    words: 'most energy delivered in a run-down',
    head: 'delivered',
    unit: 'Wh',
    looked: ['capacity', 'watt-hours', 'run time', 'energy'],
    dependsOn: ['unit', 'bank', 'load'],
    promise: 'energy',
    of: (analysis) =>
      furthest(
        'highest',
        runDownsOf(analysis)
          .map(({ delivered }) => delivered)
          .filter(decides),
        'No run-down was watched to its end.',
      ),
  },
]
