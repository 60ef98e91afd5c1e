import { isFigure, say, type Derived } from '../figures'
import { machinesOf, type MachineSeries } from '../motors'
import { ratedPower } from '../units'
import type { Compared } from './compared'

/** One machine on one of those compared: how often it started, and the lowest volts that were seen. */
interface StartCell extends MachineSeries {
  readonly lowest: Derived
}

/** A machine that was tried on several, by its name in any case. */
export interface StartRow {
  readonly load: string
  readonly cells: readonly (StartCell | undefined)[]
}

const named = (load: string) => load.trim().toLowerCase()

function cellOf(load: string, { analysis }: Compared): StartCell | undefined {
  const own = machinesOf(analysis).filter((one) => named(one.load) === named(load))
  if (!own.length) return undefined
  const lows = analysis.motors.attempts
    .filter(({ entry }) => named(entry.reading.load) === named(load))
    .map(({ lowest }) => lowest)
  const [lowest] = lows.filter(isFigure).sort((a, b) => a.x.value - b.x.value)
  return {
    load,
    started: own.reduce((sum, one) => sum + one.started, 0),
    tried: own.reduce((sum, one) => sum + one.tried, 0),
    lowest: lowest ?? lows[0] ?? { missing: 'No volts were read.' },
  }
}

/** Machines that two or more of those compared were tried with, in the order of their first trial (docs/method/comparisons.md). */
export function startsAcross(list: readonly Compared[]): StartRow[] {
  const loads = new Map<string, string>()
  for (const { load } of list.flatMap(({ analysis }) => machinesOf(analysis)))
    if (!loads.has(named(load))) loads.set(named(load), load)
  return [...loads.values()]
    .map((load) => ({ load, cells: list.map((one) => cellOf(load, one)) }))
    .filter(({ cells }) => cells.filter(Boolean).length > 1)
}

const always = (cell: StartCell | undefined) => cell !== undefined && cell.started === cell.tried
const never = (cell: StartCell | undefined) => cell?.started === 0

/** Where a unit of no higher rating started what another did not: the rating alone did not tell. */
export function ratingMisled(list: readonly Compared[], rows: readonly StartRow[]): string[] {
  const rated = list.map(({ analysis }) => ratedPower(analysis.record.revision.unit))
  return rows.flatMap(({ load, cells }) => {
    for (const [i, does] of cells.entries())
      for (const [k, doesNot] of cells.entries()) {
        const [a, b] = [rated[i], rated[k]]
        if (!always(does) || !never(doesNot) || a === undefined || b === undefined || a > b) continue
        return [
          `${list[i]?.name ?? ''}, rated ${say(a, 'W')}, started ${load}; ${list[k]?.name ?? ''}, rated ${say(b, 'W')}, did not. The rating alone did not tell.`,
        ]
      }
    return []
  })
}
