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
 * What stands, for the next change to build on: what is shown, and over it what this page asked for, as long as that is under
 * way or what is shown is older. A look at the trial that began before a save may come back after it.
 */
export const standing = (shown: Trial, last: SavedLast | undefined): Trial =>
  last && (last.pending || last.version > shown.version)
    ? { ...shown, ...last.wanted, version: Math.max(shown.version, last.version) }
    : shown
