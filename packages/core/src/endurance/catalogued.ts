import { furthestOf, type RigFigured } from '../figured'
import { decides, type Derived } from '../figures'
import { meanPower, type Log } from '../logs'
import type { Analysis } from '../trials'
import { heatOf } from './heat'
import { noisesOf } from './noise'
import { runDownsOf } from './runDown'

const here = { page: 'endurance', method: 'endurance', dependsOn: ['unit', 'load', 'room'] } as const

/** A figure of every run, by what the run was for. */
const ofRuns = (of: (log: Log) => Derived) => (analysis: Analysis) =>
  analysis.logs.map((log) => ({ of: of(log), what: log.entry.reading.what }))

/** For how long, how warm and how loud, over everything that was watched. */
export const enduranceFigures: readonly RigFigured[] = [
  furthestOf(
    'highest',
    (analysis) =>
      noisesOf(analysis).map(({ level, entry }) => ({ of: level, what: entry.reading.load ?? 'the unit' })),
    'Its noise was not read.',
    {
      ...here,
      id: 'loudest',
      words: 'loudest beside it',
      head: 'noise',
      unit: 'dB(A)',
      looked: ['noise', 'fan', 'hum', 'decibel', 'loud'],
      page: 'endurance/noise',
      promise: 'noise',
    },
  ),
  furthestOf(
    'highest',
    (analysis) =>
      analysis.logs.flatMap((log) =>
        heatOf(log, analysis).map(({ hottest, place }) => ({ of: hottest, what: place })),
      ),
    'No temperature was watched over time.',
    {
      ...here,
      id: 'hottest',
      words: 'hottest place',
      head: 'hottest',
      unit: '°C',
      looked: ['heat', 'case', 'temperature', 'soak', 'warm'],
      promise: 'case temperature',
    },
  ),
  furthestOf(
    'highest',
    (analysis) =>
      runDownsOf(analysis)
        .filter(({ delivered }) => decides(delivered))
        .map(({ delivered }) => ({ of: delivered, what: 'run-down' })),
    'No run-down was watched to its end.',
    {
      ...here,
      id: 'delivered',
      words: 'most energy delivered in a run-down',
      head: 'delivered',
      unit: 'Wh',
      looked: ['capacity', 'watt-hours', 'run time', 'energy'],
      dependsOn: ['unit', 'bank', 'load'],
      promise: 'energy',
    },
  ),
  furthestOf('highest', ofRuns(meanPower), 'No run has watts at the outlet over a time.', {
    ...here,
    id: 'mean watts of a run',
    words: 'mean watts of a run',
    head: 'mean watts',
    unit: 'W',
    looked: ['average', 'watt-hours an hour', 'wh per hour', 'log'],
    dependsOn: ['load'],
  }),
  furthestOf(
    'highest',
    ofRuns(({ efficiency }) => efficiency),
    'No run has watt-hours in and out.',
    {
      ...here,
      id: 'efficiency of a run',
      words: 'efficiency over a run',
      head: 'efficiency',
      unit: '%',
      looked: ['watt-hours', 'overall', 'average'],
      dependsOn: ['unit', 'load'],
      better: 'more',
    },
  ),
]
