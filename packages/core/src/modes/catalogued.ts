import { furthestOf, type RigFigured } from '../figured'
import type { Derived } from '../figures'
import { modeDraws } from './draw'
import { transfersOf } from './transfer'

const here = { page: 'modes', method: 'modes', dependsOn: ['unit'] } as const

/** What its modes draw, and how it goes over from one to another. */
export const modeFigures: readonly RigFigured[] = [
  furthestOf(
    'highest',
    (analysis) => modeDraws(analysis).map(({ watts, mode }) => ({ of: watts, what: mode })),
    'No mode’s draw was read.',
    {
      ...here,
      id: 'mode watts',
      words: 'most watts that a mode draws',
      head: 'draws',
      unit: 'W',
      looked: ['standby', 'phantom load', 'eco', 'sleep', 'off'],
    },
  ),
  furthestOf(
    'highest',
    (analysis) =>
      transfersOf(analysis).map(({ gap, reading }) => {
        const of: Derived = gap ?? { missing: 'It was not timed.' }
        return { of, what: reading.way }
      }),
    'No changeover was timed.',
    {
      ...here,
      id: 'transfer gap',
      words: 'longest gap of a changeover',
      head: 'without its sine',
      unit: 'ms',
      looked: ['transfer time', 'ups', 'switchover', 'pass-through'],
      promise: 'transfer time',
    },
  ),
]
