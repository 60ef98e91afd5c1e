import type { Limiter } from '@even-watt/contract'
import type { Said } from './evidence'

type Outcome = 'met' | 'not met'

/**
 * Everything that keeps an attempt from showing what it seems to show. Each spoils only the outcome that it could have caused:
 * what was adverse breaks no promise, what helped shows none (docs/method/findings.md). Who answers for it stands beside it.
 * One list for all subjects: a new one is a line here, and the matrix of tests asks for it.
 */
const table = {
  // Ended by somebody else than the unit: of promises to carry or to last only what the unit ended is broken.
  'ended by protection': ['not met', 'protection'],
  'ended by a joint': ['both', 'joint'],
  'ended by the leads': ['both', 'leads'],
  'ended by the supply': ['both', 'supply'],
  'ended by the machine': ['both', 'machine'],
  'ended by the load': ['not met', 'load'],
  'ended by a person': ['not met', 'person'],
  'ended when time was up': ['not met', 'time'],
  'end not known': ['not met', 'meter'],
  'alarm not named': ['not met', 'time'],
  // Adverse: they break no promise.
  'input low': ['not met', 'supply'],
  'room hot': ['not met', 'time'],
  'store cold': ['not met', 'supply'],
  'other ports loaded': ['not met', 'load'],
  'load on while charging': ['not met', 'load'],
  'store low': ['not met', 'supply'],
  'ended by a battery': ['not met', 'supply'],
  'taper only': ['not met', 'time'],
  'not full': ['not met', 'supply'],
  'fullness not noted': ['not met', 'supply'],
  'source gave no more': ['not met', 'supply'],
  'loud load': ['not met', 'load'],
  'heavy load': ['not met', 'load'],
  'read nearer': ['not met', 'meter'],
  'background not read': ['not met', 'meter'],
  'lead not known': ['not met', 'meter'],
  'cable for less': ['not met', 'meter'],
  'the lead takes it': ['not met', 'meter'],
  'label not clear': ['not met', 'meter'],
  'better elsewhere': ['not met', 'load'],
  'leads included': ['not met', 'meter'],
  clipped: ['not met', 'meter'],
  // Helpful: they show no promise.
  'room cold': ['met', 'time'],
  'room not recorded': ['met', 'time'],
  'charger on': ['met', 'supply'],
  'not from empty': ['met', 'supply'],
  'soft starter': ['met', 'machine'],
  'light load': ['met', 'load'],
  'read farther': ['met', 'meter'],
  'not at its loudest': ['met', 'load'],
  'still rising': ['met', 'time'],
  'few attempts': ['met', 'time'],
  'no curve': ['met', 'meter'],
  'time too short': ['met', 'time'],
  'time not noted': ['both', 'time'],
  warned: ['met', 'time'],
  'less than it seems': ['met', 'meter'],
  // Neither: nothing of the kind can be told from it.
  'not watched': ['both', 'meter'],
  'meter too slow': ['both', 'meter'],
  'too few cycles': ['both', 'time'],
  'another unit': ['both', 'meter'],
  'may not decide': ['both', 'meter'],
  'something connected': ['both', 'load'],
  'wants no more': ['both', 'load'],
  'beyond what is promised': ['both', 'load'],
  'not tried closely': ['both', 'load'],
} as const satisfies Record<string, readonly [Outcome | 'both', Limiter]>

export type HindranceCode = keyof typeof table
export const hindranceCodes = Object.keys(table) as HindranceCode[]

export interface Hindrance {
  readonly code: HindranceCode
  readonly by: Limiter
  /** Why, and what would show it. */
  readonly say: () => Said
}

/** Something that stands in the way, with its words; they are made when they are asked for. */
export const hindrance = (code: HindranceCode, say: () => Said): Hindrance => ({
  code,
  by: table[code][1],
  say,
})

/** Which outcome a hindrance spoils. */
export const spoiledBy = (code: HindranceCode): Outcome | 'both' => table[code][0]

export const spoils = ({ code }: Hindrance, outcome: Outcome): boolean =>
  table[code][0] === 'both' || table[code][0] === outcome

/** Of several that answer for what is not shown, who is named: what stopped a test before what was missing in it. */
const order: readonly Limiter[] = [
  'protection',
  'joint',
  'leads',
  'supply',
  'machine',
  'meter',
  'person',
  'time',
  'load',
]
export const rankOf = ({ by }: Pick<Hindrance, 'by'>): number => order.indexOf(by)
