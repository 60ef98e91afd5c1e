import { sayDuration } from '../figures'
import type { Log } from '../logs'
import type { PlaceHeat } from './heat'

/** What a running log was to come to. */
export interface Reached {
  readonly what: 'time is up' | 'settled'
  /** s of the log at which it came to it. */
  readonly at: number
  readonly sentence: string
}

/**
 * What a log has come to at a time of it, in s since its beginning, with its places as `heatOf` has them: the end of the time it was meant to last; or, of a
 * hold without such a time, that every place that was felt has settled. A place whose curve is not known yet keeps it
 * waiting. Undefined: it ended already, or there is nothing to wait for yet (docs/method/endurance.md).
 */
export function reachedOf(log: Log, places: readonly PlaceHeat[], seconds: number): Reached | undefined {
  const { what, planned } = log.entry.reading
  if (log.ended) return undefined
  if (planned !== undefined)
    return seconds < planned
      ? undefined
      : { what: 'time is up', at: planned, sentence: `Its ${sayDuration(planned)} are up.` }
  if (what !== 'rated hold' && what !== 'tier hold') return undefined
  const at = Math.max(...places.map(({ settledAt }) => settledAt ?? Infinity))
  if (!places.length || at > seconds) return undefined
  const seen = log.checkIns.at(-1)?.at ?? log.seconds
  return {
    what: 'settled',
    at,
    sentence:
      at <= seen
        ? 'It has settled: the hold may end.'
        : 'By its curve it has settled now: feel it once more, and the hold may end.',
  }
}
