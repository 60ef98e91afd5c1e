import type { Entry, ReadingKind, Revision, Touchable } from '@even-watt/contract'
import type { RevisionRecord, Standing } from './record'

type Described = Pick<Revision, 'unit' | 'rig' | 'meters'>

const differ = (a: unknown, b: unknown): boolean => JSON.stringify(a) !== JSON.stringify(b)

/**
 * What a change of the description says of the bench itself. A meter more, a promise or a name touches nothing of it; a change
 * that leaves the description as it was, a lug made anew, is one of the path.
 */
export function touchedIn(before: Described, after: Described): Touchable[] {
  const [a, b] = [before.rig, after.rig]
  const touched: Touchable[] = []
  if (before.unit.id !== after.unit.id || differ(before.unit.firmware, after.unit.firmware))
    touched.push('unit')
  if (differ([a.bank, a.support], [b.bank, b.support])) touched.push('bank')
  if (differ([a.positive, a.negative, a.leads], [b.positive, b.negative, b.leads])) touched.push('path')
  if (differ(placesOf(before), placesOf(after))) touched.push('tap')
  const isDescribed =
    differ(before.meters, after.meters) ||
    differ(a.assignments, b.assignments) ||
    differ(before.unit, after.unit) ||
    differ(a.name, b.name)
  return touched.length || isDescribed ? touched : ['path']
}

/** Where along the path the meters stand that hang on both: one that was moved reads something else. */
const placesOf = ({ rig: { assignments } }: Described) =>
  assignments.flatMap(({ quantity, on }) => (on ? [`${quantity} ${on}`] : [])).sort()

/** What the tester said was touched. Where nobody said, what the descriptions tell, and the path in any case. */
export const touchedBetween = (before: Revision, after: Revision): readonly Touchable[] =>
  after.touched ?? [...new Set<Touchable>([...touchedIn(before, after), 'path'])]

/** Readings of the unit alone: with next to no current the path takes nothing, so that none of them knows of it. */
const ofUnitAlone: ReadonlySet<ReadingKind> = new Set(['no load', 'port', 'charging', 'mode', 'noise'])

/** Readings of the rig before that stand on the next one too. */
export interface Carried {
  readonly standing: readonly (readonly [ReadingKind, readonly Entry[]])[]
  /** Nothing was touched: all of it is one bench. */
  readonly whole: boolean
}

/**
 * A change takes nothing away that it does not touch (docs/method/rigs.md): where the bench stayed as it was, all that was read
 * stands on; after a change of the path, what is of the unit alone, where the new rig has none of its own.
 */
export function carriedInto(revision: Revision, own: Standing, last: RevisionRecord | undefined): Carried {
  if (!last) return { standing: [], whole: false }
  const touched = touchedBetween(last.revision, revision)
  const whole = touched.length === 0
  const onlyPath = touched.every((one) => one === 'path')
  return {
    whole,
    standing: [...last.standing].filter(
      ([kind]) => whole || (onlyPath && ofUnitAlone.has(kind) && !own.has(kind)),
    ),
  }
}
