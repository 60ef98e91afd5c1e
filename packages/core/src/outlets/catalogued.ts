import { furthestOf, type RigFigured } from '../figured'
import { cordsOf } from './cord'
import { eachOutlet } from './eachOutlet'

const here = { page: 'outlets', method: 'outlets', dependsOn: ['unit', 'load'] } as const

/** What is lost, and what differs, behind the outlets. */
export const outletFigures: readonly RigFigured[] = [
  furthestOf(
    'highest',
    (analysis) => cordsOf(analysis).map(({ drop, cord }) => ({ of: drop, what: cord })),
    'No cord was read at both of its ends.',
    {
      ...here,
      id: 'cord drop',
      words: 'most volts that a cord takes',
      head: 'lost in a cord',
      unit: 'V',
      looked: ['extension', 'lead', 'cable', 'drop'],
    },
  ),
  furthestOf(
    'highest',
    (analysis) => eachOutlet(analysis).map(({ apart, entry }) => ({ of: apart, what: entry.id })),
    'The outlets were not read one after the other.',
    {
      ...here,
      id: 'outlets apart',
      words: 'volts between the highest and the lowest outlet',
      head: 'outlets apart',
      unit: 'V',
      looked: ['socket', 'receptacle', 'spread'],
    },
  ),
]
