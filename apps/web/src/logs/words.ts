import type { LogKind } from '@even-watt/contract'
import { say, sayDuration, type Log } from '@even-watt/core'

/** "Run-down at 300 W", "Charge from the wall". */
export function nameOfLog({ entry: { reading } }: Pick<Log, 'entry'>): string {
  const { what, watts, load, source, port, mode } = reading
  const name = what.charAt(0).toUpperCase() + what.slice(1)
  const of =
    what === 'charge'
      ? source &&
        ` from ${source === 'solar' ? 'the sun' : source === 'several together' ? 'several sources' : `the ${source}`}`
      : what === 'soak'
        ? port && ` of ${port}`
        : what === 'idle'
          ? mode && `, ${mode}`
          : watts !== undefined
            ? ` at ${say(watts, 'W')}`
            : load && ` with ${load}`
  return `${name}${of ?? ''}`
}

/** Minutes are enough for what takes hours. */
export const sayMinutes = (seconds: number): string =>
  seconds < 60 ? sayDuration(Math.round(seconds)) : sayDuration(60 * Math.round(seconds / 60))

/** How many logs of which kinds, for the work order. */
export const countLogs = (logs: readonly Log[], kinds: readonly LogKind[]): number =>
  logs.filter(({ entry }) => kinds.includes(entry.reading.what)).length

/** A log that still runs: begun, not ended, and not forgotten for a week. */
export const isRunning = ({ entry, ended }: Pick<Log, 'entry' | 'ended'>, now: number): boolean =>
  !ended && now - Date.parse(entry.at) < 7 * 86_400_000 && Date.parse(entry.at) <= now + 60_000
