import { solveNetwork, type Branch } from '@even-watt/core'
import { fullStore, openVolts, stepStore, type StoreModel, type StoreState } from './store'

/** Batteries side by side, each with a store and links of its own, taken off at two of them. */
export interface ParallelModel {
  readonly batteries: readonly StoreModel[]
  readonly link: number
  readonly positiveAt: number
  readonly negativeAt: number
}

export interface BankMoment {
  readonly at: number
  readonly volts: number
  readonly amps: readonly number[]
  readonly each: readonly number[]
  /** The battery whose BMS or low cell has cut off, by its place. */
  readonly cut: readonly boolean[]
}

/** Runs batteries side by side down at steady watts, until the volts at the take-off fall to a cutoff. */
export function runBank(
  { batteries, link, positiveAt, negativeAt }: ParallelModel,
  watts: number,
  cutoff: number,
  step = 10,
  most = 40 * 3600,
): BankMoment[] {
  const n = batteries.length
  let states: StoreState[] = batteries.map(() => fullStore)
  const moments: BankMoment[] = []
  let volts = batteries[0] ? openVolts(batteries[0], fullStore).whole : 0
  for (let at = 0; at <= most; at += step) {
    const branches: Branch[] = batteries.map((battery, i) => {
      const state = states[i] ?? fullStore
      return {
        from: n + i,
        to: i,
        emf: openVolts(battery, state).whole - state.slow,
        resistance: battery.R0,
        open: state.cut,
      }
    })
    for (let i = 0; i < n - 1; i++)
      branches.push(
        { from: i, to: i + 1, emf: 0, resistance: link, open: false },
        { from: n + i, to: n + i + 1, emf: 0, resistance: link, open: false },
      )
    // Constant watts: the current follows the volts of the step before, twice over.
    let amps: number[] = []
    for (let round = 0; round < 3; round++) {
      const solution = solveNetwork({ nodes: 2 * n, branches }, n + negativeAt, [
        { from: positiveAt, into: n + negativeAt, current: watts / volts },
      ])
      if (!solution) return moments
      amps = batteries.map((_, i) => solution.currents[i] ?? 0)
      volts = (solution.voltages[positiveAt] ?? 0) - (solution.voltages[n + negativeAt] ?? 0)
    }
    const each = batteries.map((battery, i) => {
      const state = states[i] ?? fullStore
      return openVolts(battery, state).whole - state.slow - (amps[i] ?? 0) * battery.R0
    })
    moments.push({ at, volts, amps, each, cut: states.map(({ cut }) => cut) })
    if (!(volts > cutoff) || states.every(({ cut }) => cut)) return moments
    states = states.map((state, i) => stepStore(batteries[i] as StoreModel, state, amps[i] ?? 0, step).state)
  }
  return moments
}
