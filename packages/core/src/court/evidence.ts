import type { Figure } from '../figures'
import type { Hindrance } from './hindrances'
import type { Bound } from './rule'

/** Why something is so, and what would show more; made from figures when it is asked for. */
export interface Said {
  readonly why: string
  readonly would: string
}

/** What one attempt says of what is promised: an interval, never a bare number, with all that speaks against it. */
export interface Evidence {
  /** What was found: "carried", "gave up". */
  readonly code: string
  readonly figure: Figure
  readonly bound: Bound
  readonly hindrances: readonly Hindrance[]
  /** Loads come in steps: what failed no further than this past a promise failed at it, within uncertainty. */
  readonly about?: number
  /** Something else than the figure makes that sure: volts that are out beyond doubt at just what is promised. */
  readonly surely?: true
  /** Who is to be asked where its bound shows nothing; absent: the load wanted no more, or what is beyond a promise. */
  readonly open?: Hindrance
  /** W that were on, where a promise is over loads; 0: nothing was connected; undefined: nobody knows. */
  readonly load?: number | undefined
  /** Attempts of one kind, whose exact figures are pooled before they are judged; absent: it stands alone. */
  readonly alike?: string
  /** The step that it ended, for splitting what was lost. */
  readonly step?: string
  /** "1521 ± 39 W was carried for 10 min". */
  readonly found: () => string
  /** Sentences of its own after what was found. */
  readonly beside?: () => readonly string[]
}
