import type { Rig, StoredUnit } from '@even-watt/contract'
import fc from 'fast-check'
import { unitOf, uuid } from '../../test/makers'
import { bondingOf, includedLeads, sayLink } from '.'

const claim = (
  quantity: 'continuous power' | 'alarm voltage' | 'efficiency',
  value: number,
  unit: 'W' | 'V' | '%',
) => ({
  id: uuid(value),
  quantity,
  comparator: 'at least' as const,
  value,
  unit,
  readWhere: 'label',
})
const label = [
  claim('continuous power', 1400, 'W'),
  claim('efficiency', 92, '%'),
  claim('alarm voltage', 21.6, 'V'),
]
const unit = (area: number, more: Partial<StoredUnit> = {}, fuse?: number) =>
  unitOf({
    inputVoltage: 24,
    claims: label,
    leads: { gauge: { unit: 'mm²', area }, length: 0.6, ...(fuse ? { fuse } : {}) },
    ...more,
  })

describe('leads from the box', () => {
  it('are asked for the current at the lowest volts: the handbook’s 70.5 A', () => {
    expect(includedLeads(unit(16))?.current).toBeCloseTo(70.45, 2)
    expect(includedLeads(unit(16))).toMatchObject({ carries: 130, faults: [] })
  })

  it('that are too thin say how many watts cannot be shown on them', () => {
    // 60 A of 6 mm² against 70.45 A: 10.45 A, at 21.6 V and 92 % 208 W.
    expect(includedLeads(unit(6))?.faults).toEqual([
      'The 6 mm² leads carry 60.0 A at best, 10.5 A less than the 70.5 A that 1400 W takes at 21.6 V: 208 W of the promise cannot be shown on them.',
    ])
  })

  it('and a fuse that is too small or too large for them are told', () => {
    expect(includedLeads(unit(16, {}, 60))?.faults[0]).toMatch(/fuse.*60\.0 A, carries 10\.5 A less/)
    expect(includedLeads(unit(10, {}, 125))?.faults).toEqual([
      'The fuse that comes with it, 125 A, does not protect the leads: they carry 90.0 A at best.',
    ])
    expect(includedLeads(unit(2.5))?.faults[0]).toMatch(/smaller than any table/)
  })

  it('without a label that says more are asked at nine tenths of nominal and 90 %', () => {
    const found = includedLeads(unit(16, { claims: label.slice(0, 1) }))
    expect(found).toMatchObject({ volts: 21.6, efficiency: 0.9 })
  })

  it('say nothing where there are none, no promise or no input', () => {
    expect(includedLeads(unitOf({ claims: label }))).toBeUndefined()
    expect(includedLeads(unit(16, { claims: [] }))).toBeUndefined()
    const { leads, claims } = unit(16)
    if (!leads) throw new Error('no leads')
    expect(includedLeads({ leads, claims })).toBeUndefined()
  })

  it('that are thicker never have more faults', () => {
    fc.assert(
      fc.property(fc.integer({ min: 6, max: 120 }), fc.integer({ min: 6, max: 120 }), (a, b) => {
        const faults = (area: number) => includedLeads(unit(area))?.faults.length ?? 0
        return faults(Math.max(a, b)) <= faults(Math.min(a, b))
      }),
    )
  })
})

describe('neutral and earth', () => {
  const kind = (bonding: StoredUnit['bonding'], bond: Rig['bond']) =>
    bondingOf(bonding ? { bonding } : {}, bond ? { bond } : {}).kind

  it('are never joined twice in silence', () => {
    for (const inside of ['neutral bonded inside', 'bonds by itself'] as const) {
      for (const outside of ['a plug or link on the bench', 'in what it feeds'] as const)
        expect(kind(inside, outside)).toBe('two bonds')
      for (const outside of ['not known', undefined] as const)
        expect(kind(inside, outside)).toBe('may be two')
      expect(kind(inside, 'none')).toBe('one bond')
    }
  })

  it('suggest what the arrangement is, and leave the decision to manual, code and licence', () => {
    expect(kind('floating', 'none')).toBe('floating')
    expect(kind('floating', undefined)).toBe('floating')
    expect(kind('floating', 'in what it feeds')).toBe('one bond')
    expect(kind(undefined, undefined)).toBe('not known')
    expect(kind('not known', 'a plug or link on the bench')).toBe('not known')
    for (const inside of ['floating', 'neutral bonded inside', 'not known'] as const)
      expect(bondingOf({ bonding: inside }, {}).sentences.at(-1)).toMatch(
        /manual and the local code.*licensed/,
      )
  })
})

describe('the link of an opened unit', () => {
  it.each([
    [0, true],
    [4.9, true],
    [-4.9, true],
    [5, false],
    [-170, false],
    [400, false],
  ])('at %d V: dead is %p', (volts, dead) => expect(sayLink(volts).dead).toBe(dead))

  it('that holds volts is not to be touched', () => {
    expect(sayLink(310).sentence).toMatch(/^It still holds 310 V: touch nothing/)
  })
})
