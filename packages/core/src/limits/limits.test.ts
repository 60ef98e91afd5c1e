import {
  bankOf,
  cableOf,
  ladderEntry,
  noLoadEntry,
  revisionOf,
  rigOf,
  trialOf,
  unitOf,
  uuid,
} from '../../test/makers'
import { claimOf as claim } from '../../test/verdicts'
import { viewTrial } from '../view'

const alarm = claim({
  id: uuid(31),
  quantity: 'alarm voltage',
  comparator: 'at most',
  value: 21.6,
  unit: 'V',
})

const findingOf = (entries: Parameters<typeof viewTrial>[1], rig = rigOf()) => {
  const unit = unitOf({ claims: [claim({}), alarm] })
  const found = viewTrial(trialOf([revisionOf({ unit, rig })]), entries).findings[0]?.standing
  if (!found) throw new Error('no finding')
  return found
}
const idle = noLoadEntry({ V_A: 26.4, V_B: 26.4, I: 0.4 })

describe('what ended a test before the claim could be shown', () => {
  it('is the supply, though a joint takes too much, where the bank took nearly all: with where the volts went and how stiff it would have to be', () => {
    const step = ladderEntry(
      { V_A: 21.9, V_B: 21.5, I: 55, P_C: 1060, V_C: 229 },
      { alarm: 'low voltage', end: 'alarmed', held: 30 },
    )
    const finding = findingOf([idle, step])
    expect(finding).toMatchObject({ outcome: 'not shown', limiter: 'supply', step: step.reading.step })
    expect(finding.sentence).toMatch(
      /It warned at 1060.* The low-voltage alarm came with 21\.5.* at the terminals\./,
    )
    expect(finding.sentence).toMatch(/Of the 4\.90 V missing there, 4\.50 V in the bank/)
  })

  it('says how many milliohms would show it once the ladder knows its own supply', () => {
    const at = (I: number, more = {}) => {
      const V_A = 26.4 - 0.08 * I
      return ladderEntry({ V_A, V_B: V_A - 0.003 * I, I, P_C: 0.9 * (V_A - 0.003 * I) * I, V_C: 229 }, more)
    }
    const finding = findingOf([
      noLoadEntry({ V_A: 26.368, V_B: 26.3668, I: 0.4 }),
      at(10),
      at(25),
      at(40),
      at(57, { alarm: 'low voltage', end: 'alarmed' }),
    ])
    expect(finding.wouldShow).toMatch(
      /Bank and path together have 83\.\d mΩ; at most 6\d\.\d mΩ would show it\./,
    )
  })

  it('is a joint when the alarm would not have come without it', () => {
    const step = ladderEntry(
      { V_A: 25.7, V_B: 21.5, I: 55, P_C: 1060, V_C: 229 },
      { alarm: 'low voltage', end: 'alarmed', held: 30 },
    )
    const finding = findingOf([idle, step])
    expect(finding).toMatchObject({ outcome: 'not shown', limiter: 'joint' })
    expect(finding.wouldShow).toContain('Remaking the joints would lift the terminals to about 25.')
  })

  it('is the rig’s own protection when that had to open', () => {
    const rig = rigOf({
      positive: [{ id: uuid(51), name: 'fuse', kind: 'fuse', continuous: 40 }, cableOf('positive lead', 52)],
    })
    const tripped = ladderEntry(
      { V_A: 25.8, V_B: 25.6, I: 55, P_C: 1300, V_C: 229 },
      { end: 'tripped', held: 20 },
    )
    const finding = findingOf([idle, tripped], rig)
    expect(finding).toMatchObject({ outcome: 'not shown', limiter: 'protection' })
    expect(finding.sentence).toMatch(/more than the fuse carries \(40\.0 A\)/)
    // The same trip inside the fuse's rating is the unit giving up.
    expect(findingOf([idle, tripped]).outcome).toBe('not met')
  })

  it('is the protection of one battery of several that works hardest', () => {
    const bank = bankOf()
    const [first] = bank.strings[0] ?? []
    if (!first) throw new Error('no battery')
    const weak = (name: string, n: number, resistance: number) => [
      { ...first, id: uuid(n), name, nominal: 25.6, rest: 26.4, resistance, limit: 40 },
    ]
    const rig = rigOf({
      bank: {
        ...bank,
        strings: [weak('a', 61, 0.004), weak('b', 62, 0.02)],
        join: { kind: 'in line', positive: [0.0003], negative: [0.0003], positiveAt: 0, negativeAt: 0 },
      },
      positive: [cableOf('positive lead', 52)],
    })
    const tripped = ladderEntry(
      { V_A: 26.1, V_B: 25.9, I: 55, P_C: 1300, V_C: 229 },
      { end: 'tripped', held: 20 },
    )
    expect(findingOf([idle, tripped], rig).sentence).toContain('BMS of a')
  })

  it('is the joint that was too hot to go on', () => {
    const step = ladderEntry(
      { V_A: 25.7, V_B: 24.9, I: 60, P_C: 1405, V_C: 229 },
      { end: 'stopped by hand', held: 200 },
    )
    expect(findingOf([idle, step])).toMatchObject({ limiter: 'joint' })
    const heat = ladderEntry(
      { V_A: 25.7, V_B: 24.9, I: 60, P_C: 1405, V_C: 229 },
      { alarm: 'heat', end: 'alarmed', held: 200 },
    )
    expect(findingOf([idle, heat]).outcome).toBe('not shown')
  })

  it('is still what the tester says it was', () => {
    const step = ladderEntry(
      { V_A: 21.9, V_B: 21.5, I: 55, P_C: 1060 },
      { alarm: 'low voltage', end: 'alarmed' },
    )
    const unit = unitOf({ claims: [claim({}), alarm] })
    const limiters = [{ claim: uuid(30), revision: 1, limiter: 'meter' as const }]
    const view = viewTrial(trialOf([revisionOf({ unit })], { limiters }), [idle, step])
    expect(view.findings[0]?.standing).toMatchObject({ limiter: 'meter' })
  })
})
