import { isFigure, type Derived } from '../figures'
import { bankNominal, describeBank } from '../supply'
import type { Compared } from './compared'

interface BankCell {
  readonly bank: string
  /** Ω at 10 s of load. */
  readonly R: Derived
  /** Share of its own watts that the bank keeps at the common load: P·R/V²; undefined: its R is not known. */
  readonly kept: number | undefined
}

export interface Banks {
  /** W that all of them carried. */
  readonly load: number
  readonly cells: readonly BankCell[]
}

/**
 * Banks by their resistance, not by how far each sagged: sag is of the amps that its unit drew. At one load P a bank of
 * nominal V and resistance R keeps about P·R/V² of what it gives. Undefined: no bank’s R is known, or no load was carried
 * by all. See docs/method/comparisons.md.
 */
export function banksOf(list: readonly Compared[]): Banks | undefined {
  const tops = list.map(({ analysis }) =>
    Math.max(
      0,
      ...analysis.ladder.steps.flatMap(({ carried, P_C }) => (carried && isFigure(P_C) ? [P_C.x.value] : [])),
    ),
  )
  const load = Math.min(...tops)
  const cells = list.map(({ analysis }): BankCell => {
    const { bank } = analysis.record.revision.rig
    const R = analysis.supply.known.R_bank
    return {
      bank: describeBank(bank),
      R,
      kept: isFigure(R) ? (load * R.x.value) / bankNominal(bank) ** 2 : undefined,
    }
  })
  return load > 0 && cells.some(({ kept }) => kept !== undefined) ? { load, cells } : undefined
}
