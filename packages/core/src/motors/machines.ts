import { formatNumber, seriesOf, type Series } from '../figures'
import type { Analysis } from '../trials'
import type { AttemptFigures } from './attempt'

/** All attempts at one machine, together. */
export interface MachineSeries {
  readonly load: string
  readonly started: number
  readonly tried: number
  /** Figures that at least two attempts have. */
  readonly series: readonly (readonly [words: string, of: Series])[]
}

const figures = [
  ['lowest volts', ({ lowest }) => lowest],
  ['most amps', ({ current }) => current],
  ['most watts', ({ watts }) => watts],
  ['lowest input volts', ({ lowestInput }) => lowestInput],
] as const satisfies readonly (readonly [string, (attempt: AttemptFigures) => AttemptFigures['lowest']])[]

/** Machines in the order in which they were first tried. */
export function machinesOf({ motors: { attempts } }: Pick<Analysis, 'motors'>): MachineSeries[] {
  return [...new Set(attempts.map(({ entry }) => entry.reading.load))].map((load) => {
    const own = attempts.filter(({ entry }) => entry.reading.load === load)
    return {
      load,
      started: own.filter(({ outcome }) => outcome === 'started').length,
      tried: own.length,
      series: figures.flatMap(([words, of]) => {
        const series = seriesOf(own.map(of))
        return series ? [[words, series] as const] : []
      }),
    }
  })
}

/** "hoist, in 2 of 4 attempts (50 %): marginal"; of a single attempt only its name. */
export function sayStarted({ load, started, tried }: MachineSeries): string {
  if (tried === 1) return load
  const rate = `${started} of ${tried} attempts (${formatNumber((100 * started) / tried, 0)} %)`
  return `${load}, in ${rate}${started < tried ? ': marginal' : ''}`
}
