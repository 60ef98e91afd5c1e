import type { Trial, TrialSettings } from '@even-watt/contract'

/** The last change of a trial's settings that was asked for by this page. */
export interface SavedLast {
  /** Not answered yet. */
  readonly pending: boolean
  /** The version that this page made last; 0: none yet. */
  readonly version: number
  /** What was asked for. */
  readonly wanted: TrialSettings
}

/**
 * A trial as it stands: what the server gave, and over it what this page asked for, as long as that is under way or what was
 * given is older. A look at the trial that began before a save may come back after it.
 */
export const standing = (given: Trial, last: SavedLast | undefined): Trial =>
  last && (last.pending || last.version > given.version)
    ? { ...given, ...last.wanted, version: Math.max(given.version, last.version) }
    : given

/** A save under way or done: the next one goes after it. */
export interface Save extends SavedLast {
  readonly done: Promise<unknown>
}

/** The last save of each trial by this page. */
export const lastSaves = new Map<string, Save>()

/** What the server gave, as it stands. A save that it knows of is forgotten: no older look is under way by then. */
export function asItStands(given: Trial): Trial {
  const last = lastSaves.get(given.id)
  if (last && !last.pending && given.version >= last.version) lastSaves.delete(given.id)
  return standing(given, last)
}

/** Has the browser ask before the page is left while a change is not answered yet: one that waits for another is not sent. */
export function askBeforeLeaving(): void {
  addEventListener('beforeunload', (event) => {
    if ([...lastSaves.values()].some(({ pending }) => pending)) event.preventDefault()
  })
}
