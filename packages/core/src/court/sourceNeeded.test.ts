import { ladderEntry, revisionOf, trialOf, unitOf, uuid } from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { viewTrial } from '../view'

const rated = claimOf({ value: 1400 })
const alarm = claimOf({
  id: uuid(40),
  quantity: 'alarm voltage',
  comparator: 'at least',
  value: 21.6,
  unit: 'V',
})
const findings = (entries: Parameters<typeof viewTrial>[1], wouldShow?: string) =>
  viewTrial(
    trialOf([revisionOf({ unit: unitOf({ claims: [rated, alarm] }) })], {
      limiters: [{ claim: rated.id, revision: 1, limiter: 'supply', ...(wouldShow ? { wouldShow } : {}) }],
    }),
    entries,
  ).findings[0]?.standing

describe('a promise that the source was too weak for', () => {
  it('is not tested, with the reason and the amps that it would take', () => {
    const standing = findings([])
    expect(standing?.outcome).toBe('not tested')
    // 1400 W over 85 % of 21.6 V.
    expect(standing?.wouldShow).toBe('A source that gives about 76 A at 21.6 V would show it.')
    expect(standing?.sentence).toContain('It could not be tested: the supply gave out first.')
  })

  it('is not shown by less, and asks for the source, not for a larger load', () => {
    const standing = findings([ladderEntry({ V_B: 25, I: 30, P_C: 700, V_C: 229 }, { held: 900 })])
    expect(standing?.outcome).toBe('not shown')
    expect(standing?.wouldShow).toBe('A source that gives about 76 A at 21.6 V would show it.')
  })

  it('keeps the tester’s own word on what would show it', () => {
    expect(findings([], 'Two banks in parallel.')?.wouldShow).toBe('Two banks in parallel.')
  })
})
