import type { Revision } from '@even-watt/contract'
import { rangeFor } from '../meters'
import { bankNominal } from '../supply'

/** What a voltmeter of the rig makes of a small drop. */
export interface OwnDrop {
  /** In counts of that voltmeter. */
  readonly counts: number
  /** Under half a count: it cannot be seen on this meter, and need not be asked about. */
  readonly negligible: boolean
}

/** V of one count of the voltmeter at the terminals, else at the posts, on the range it takes there; undefined: none is hung. */
export function voltCount({ rig, meters }: Pick<Revision, 'rig' | 'meters'>): number | undefined {
  const hung =
    rig.assignments.find(({ quantity }) => quantity === 'V_B') ??
    rig.assignments.find(({ quantity }) => quantity === 'V_A')
  const ranges = meters.find(({ id }) => id === hung?.meter)?.ranges
  return ranges && rangeFor(ranges, 'DC voltage', bankNominal(rig.bank))?.count
}

/** A lead's, fuse's or shunt's own drop, V, against one count of a voltmeter (docs/method/rigs.md). */
export const ownDrop = (volts: number, count: number): OwnDrop => ({
  counts: Math.abs(volts) / count,
  negligible: Math.abs(volts) < count / 2,
})

/** By what share an efficiency comes out wrong where a drop, V, is left out of the input volts: both, as read. */
export const efficiencyError = (drop: number, volts: number): number => Math.abs(drop) / volts
