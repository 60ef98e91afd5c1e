import type { Claim, Entry, EntryOf, Revision, StoredUnit } from '@even-watt/contract'
import { viewTrial } from '../src/view'
import { ladderEntry, meterOf, rangeOf, revisionOf, stationOf, trialOf, unitOf, uuid } from './makers'

export type Entries = Parameters<typeof viewTrial>[1]

export const claimOf = (patch: Partial<Claim> = {}): Claim => ({
  id: uuid(30),
  quantity: 'continuous power',
  comparator: 'at least',
  value: 1400,
  unit: 'W',
  readWhere: 'label',
  ...patch,
})

/** What stands of one claim; the revision may be another one than the usual. */
export function verdictOn(
  patch: Partial<Claim>,
  entries: Entries,
  { unit = {}, ...revision }: Partial<Omit<Revision, 'unit'>> & { unit?: Partial<StoredUnit> } = {},
) {
  const claims = [claimOf(patch), ...(unit.claims ?? [])]
  const made = revisionOf({ ...revision, unit: unitOf({ ...unit, claims }) })
  const numbers = Math.max(...entries.map((entry) => entry.revision))
  const revisions = Array.from({ length: numbers }, (_, i) => ({ ...made, number: i + 1 }))
  const finding = viewTrial(trialOf(revisions), entries).findings[0]?.standing
  if (!finding) throw new Error('no finding')
  return finding
}

/** A step on a stiff 24 V supply, held for ten minutes unless told otherwise. */
export const stepOf = (
  P_C: number,
  more: Partial<EntryOf<'ladder'>['reading']> & { revision?: number; V_B?: number } = {},
) => {
  const { V_B = 25.6, ...rest } = more
  return ladderEntry(
    { V_A: V_B + 0.3, V_B, I: P_C / 0.93 / V_B, P_C, V_C: 229 },
    { load: `${P_C} W`, held: 600, ...rest },
  )
}

const usual = meterOf()
/** A meter that counts energy and reads what a station's bench needs beside the usual. */
export const counting = {
  ...usual,
  ranges: [
    ...usual.ranges,
    rangeOf('energy', 1e5, 1, 1, 0.1),
    rangeOf('DC power', 3000, 1, 1, 1),
    rangeOf('charge', 1e4, 1, 1, 0.1),
  ],
}

/** What stands of one promise of a power station. */
export const onStation = (claim: Partial<Claim>, entries: readonly Entry[], more: Claim[] = []) => {
  const unit = stationOf([claimOf(claim), ...more])
  const [found] = viewTrial(trialOf([revisionOf({ unit, meters: [counting] })]), entries).findings
  if (!found) throw new Error('no finding')
  return found.standing
}
