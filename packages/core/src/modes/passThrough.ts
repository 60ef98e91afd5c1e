import { say } from '../figures'
import type { RevisionRecord } from '../trials'
import { modeTests } from './draw'

/** Share within which an output that follows the grid stays beside it. */
const beside = 0.02
/** W beyond what passing on takes itself. */
const rises = 20

export interface PassThrough {
  /** W that stay inside: for the store, and what passing takes. */
  readonly kept: number | undefined
  /** Whether the output follows the grid; undefined: the grid did not move enough to tell. */
  readonly follows: boolean | undefined
  readonly sentence: string
}

/** What the grid’s side takes, what goes on to the outlet, and whether the output follows the grid (docs/method/modes.md). */
export function passThroughOf(record: RevisionRecord): PassThrough | undefined {
  const tests = modeTests(record, 'pass-through').map(({ reading }) => reading)
  const last = tests.at(-1)
  if (!last) return undefined
  const both = tests
    .filter(({ gridWatts, outletWatts }) => gridWatts !== undefined && outletWatts !== undefined)
    .at(-1)
  const kept = both ? (both.gridWatts ?? 0) - (both.outletWatts ?? 0) : undefined
  const pairs = tests.flatMap(({ gridVolts, outletVolts }) =>
    gridVolts !== undefined && outletVolts !== undefined ? [{ gridVolts, outletVolts }] : [],
  )
  const alike = pairs.filter(({ gridVolts, outletVolts }) => Math.abs(outletVolts / gridVolts - 1) <= beside)
  const grids = pairs.map(({ gridVolts }) => gridVolts)
  const moved = pairs.length > 1 && Math.max(...grids) / Math.min(...grids) - 1 > 2 * beside
  const follows =
    !pairs.length || (pairs.length > 0 && alike.length === pairs.length && !moved)
      ? undefined
      : alike.length === pairs.length
  const power = both
    ? `${say(both.gridWatts ?? 0, 'W')} come from ${both.fedBy ?? 'the grid'} for ${say(both.outletWatts ?? 0, 'W')} at the outlet: ${(kept ?? 0) < 0 ? `${say(-(kept ?? 0), 'W')} come out of the store, so its charge falls` : `${say(kept ?? 0, 'W')} go to the store and to passing it on${(kept ?? 0) > rises ? ', so its charge rises' : ''}`}. `
    : ''
  const chain =
    last.through === undefined
      ? ''
      : ` Through ${last.through}${last.lamps === undefined ? '' : ` lamps ${last.lamps === 'steady' ? 'are steady' : 'flicker'}`}.`
  const volts = !pairs.length
    ? ''
    : follows === undefined
      ? 'Its volts stand beside the grid’s; try it at another grid voltage to tell whether they follow.'
      : follows
        ? 'Its volts follow the grid’s.'
        : 'Its volts are its own, whatever the grid does.'
  return {
    kept,
    follows,
    sentence: `${power}${volts}${chain}`.trim() || 'Neither watts nor volts were read.',
  }
}
