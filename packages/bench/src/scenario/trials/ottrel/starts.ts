import type { Entry } from '@even-watt/contract'
import type { BenchModel } from '../../../ladder/operate'
import type { BenchHand } from '../../capture'
import { machines, unitLimits } from '../../machines'
import { attempt } from '../../starts'
import { type Files } from '../../waves'

/** Machines from light to heavy, each alone and on a base load; the tired bank is L24 at the end of a long day. */
export function startsOf(files: Files, hand: BenchHand, bench: BenchModel): Entry[] {
  const limits = unitLimits.ottrel
  const tired: BenchModel = { ...bench, bank: { E: 24.9, R: 0.033 } }
  const breaker = { rating: 100, seconds: 0.2 }
  return [
    ...attempt(
      files,
      hand,
      bench,
      machines.vacuum,
      { revision: 2, seed: 4401, conditions: { limits, seconds: 1.4 } },
      { number: 1, state: 'line open' },
    ),
    ...attempt(
      files,
      hand,
      bench,
      machines.freezer,
      { revision: 2, seed: 4403, conditions: { limits, seconds: 1.6 } },
      { number: 2, state: 'just stopped, pressure up' },
    ),
    ...attempt(
      files,
      hand,
      tired,
      machines.transfer,
      { revision: 2, seed: 4405, conditions: { limits, base: 350, seconds: 2.6 } },
      { number: 3, state: 'primed', note: 'Bank at the end of the day.' },
    ),
    ...attempt(
      files,
      hand,
      bench,
      machines.transfer,
      { revision: 2, seed: 4407, conditions: { limits, base: 350, seconds: 2.2 } },
      { number: 4, state: 'primed', note: 'Bank charged.' },
    ),
    ...attempt(
      files,
      hand,
      bench,
      machines.winch,
      { revision: 2, seed: 4409, conditions: { limits, seconds: 3 } },
      { number: 5, state: 'slack rope', opened: 'the unit' },
    ),
    ...attempt(
      files,
      hand,
      bench,
      machines.mill,
      { revision: 2, seed: 4411, conditions: { limits, base: 700, protection: breaker, seconds: 3 } },
      { number: 6, state: 'empty', opened: 'breaker' },
    ),
  ]
}
