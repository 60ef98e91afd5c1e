import { formatNumber } from '../figures'
import type { Analysis } from '../trials'

/** All attempts at one machine, together. */
export interface MachineSeries {
  readonly load: string
  readonly started: number
  readonly tried: number
}

/** Machines in the order in which they were first tried. */
export function machinesOf({ motors: { attempts } }: Pick<Analysis, 'motors'>): MachineSeries[] {
  return [...new Set(attempts.map(({ entry }) => entry.reading.load))].map((load) => {
    const own = attempts.filter(({ entry }) => entry.reading.load === load)
    return {
      load,
      started: own.filter(({ outcome }) => outcome === 'started').length,
      tried: own.length,
    }
  })
}

/** "hoist, in 2 of 4 attempts (50 %): marginal"; of a single attempt only its name. */
export function sayStarted({ load, started, tried }: MachineSeries): string {
  if (tried === 1) return load
  const rate = `${started} of ${tried} attempts (${formatNumber((100 * started) / tried, 0)} %)`
  return `${load}, in ${rate}${started < tried ? ': marginal' : ''}`
}
