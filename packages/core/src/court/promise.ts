import type { ClaimUnit, Comparator } from '@even-watt/contract'
import type { Asked } from './asked'
import type { Evidence } from './evidence'
import type { Hindrance } from './hindrances'
import type { Verdict } from './verdict'

/**
 * What several attempts make together. Attempts to carry, start or last: a failure of the unit in fair circumstances outweighs
 * what was carried. Worst: a promise over all of them. Best: one that is kept anywhere. Pooled: a steady figure, whose like
 * ones are averaged first.
 */
type Several = 'attempts' | 'worst' | 'best' | 'pooled'

/** What a promise says little without: which field of it the form asks for at once. */
type Detail = 'port' | 'mode' | 'means' | 'source' | 'load'

/** What the room does to it: heat is against it, or cold is; none: only a promise that states a room depends on it. */
type RoomMatters = 'heat' | 'cold' | 'stated'

/** A promise of one kind: everything that is known of the kind, in one place. */
export interface Promised {
  readonly units: readonly ClaimUnit[]
  readonly usual: { readonly unit: ClaimUnit; readonly comparator: Comparator; readonly value?: string }
  readonly asks?: readonly Detail[]
  /** Where it is decided: pages show the promises of their own. */
  readonly at: 'ladder' | 'no load' | 'waves' | 'limits' | 'endurance' | 'ports' | 'charging' | 'modes'
  readonly several: Several
  readonly room: RoomMatters
  /** What it depends on and labels leave out: said with what it was. */
  readonly leavesOut?: readonly ('input' | 'room')[]
  /** Which readings count where it states input volts. */
  readonly voltsOf: 'steady' | 'carrying'
  /** Of each leg of a split phase, or of both together. */
  readonly legs?: true
  /** Which way it is judged, where that is not as printed. */
  readonly comparator?: (asked: Asked) => Comparator
  /** What is promised in the unit of its figures; absent: in SI as printed. */
  readonly wanted?: (asked: Asked) => number
  readonly evidence: (asked: Asked) => readonly Evidence[]
  /** What speaks against all that kept it, together: loads too light for a promise of all of them. */
  readonly covers?: (asked: Asked, kept: readonly Evidence[]) => Hindrance | undefined
  /** Why there is nothing to judge, in a sentence. */
  readonly absent: (asked: Asked) => string
  /** What is said beside a verdict. */
  readonly beside?: (verdict: Verdict, asked: Asked) => readonly string[]
}
