import type { PlacedPart } from '@even-watt/contract'
import { placedKey, type Logged, type StretchState } from './question'

/** A block, or a part put before it, that was begun. */
export interface Begun {
  readonly block: string
  readonly part: PlacedPart | undefined
  readonly state: Exclude<StretchState, 'planned'>
  readonly from: number
  /** When it ended; undefined: not yet. */
  readonly to: number | undefined
  /** ms that were worked on it up to now, pauses left out. */
  readonly worked: number
}

export interface History {
  /** In the order in which they were begun. */
  readonly begun: readonly Begun[]
  /** Keys of what was skipped before it was begun. */
  readonly skipped: ReadonlySet<string>
}

/**
 * What the log says up to now, whatever order its lines came in. An action that does not fit (a pause of what does not
 * run, a second start) changes nothing. Skipping what runs ends it there.
 */
export function historyOf(log: readonly Logged[], now: number): History {
  interface Open extends Omit<Begun, 'state' | 'worked'> {
    state: Begun['state']
    to: number | undefined
    worked: number
    /** Since when it runs. */
    since: number
  }
  const begun = new Map<string, Open>()
  const skipped = new Set<string>()
  for (const { at, event } of [...log].sort((a, b) => a.at - b.at)) {
    const key = placedKey(event)
    const open = begun.get(key)
    if (event.action === 'start' && !open) {
      skipped.delete(key)
      begun.set(key, {
        block: event.block,
        part: event.part,
        state: 'running',
        from: at,
        to: undefined,
        worked: 0,
        since: at,
      })
    } else if (event.action === 'skip' && !open) {
      skipped.add(key)
    } else if (
      open?.state === 'running' &&
      event.action !== 'start' &&
      event.action !== 'resume' &&
      event.action !== 'check-in'
    ) {
      open.worked += at - open.since
      open.state = event.action === 'pause' ? 'paused' : 'done'
      if (open.state === 'done') open.to = at
    } else if (open?.state === 'paused' && event.action === 'resume') {
      open.state = 'running'
      open.since = at
    } else if (open?.state === 'paused' && (event.action === 'finish' || event.action === 'skip')) {
      open.state = 'done'
      open.to = at
    }
  }
  return {
    skipped,
    begun: [...begun.values()]
      .sort((a, b) => a.from - b.from)
      .map(({ since, ...open }) => ({
        ...open,
        worked: open.state === 'running' ? open.worked + Math.max(0, now - since) : open.worked,
      })),
  }
}
