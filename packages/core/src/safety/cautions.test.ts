import type { StoredLoad } from '@even-watt/contract'
import { bankOf, cableOf, parallelOf, rigOf, unitOf, uuid } from '../../test/makers'
import { authority, cautionsFor, estimatedCapacitance, precharge, stillToAcknowledge } from '.'

const names = (...asked: Parameters<typeof cautionsFor>) => cautionsFor(...asked).map(({ name }) => name)

describe('cautions', () => {
  it('follow the rig and the unit', () => {
    const lithium = names({ unit: unitOf(), rig: rigOf() })
    expect(lithium).toContain('breaking capacity')
    for (const absent of ['hydrogen', 'stepped wave', 'parallel batteries', 'second source', 'one leg']) {
      expect(lithium).not.toContain(absent)
    }
    const agm = bankOf({
      strings: bankOf().strings.map((string) => string.map((one) => ({ ...one, chemistry: 'AGM' as const }))),
    })
    const lead = cautionsFor({
      unit: unitOf({ wave: 'stepped', phase: 'split' }),
      rig: rigOf({ positive: [], bank: agm }),
    })
    expect(lead.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['hydrogen', 'stepped wave', 'one leg']),
    )
    expect(lead.find(({ name }) => name === 'fuse')?.sentence).toContain('This rig has no fuse')
    expect(lead.find(({ name }) => name === 'hydrogen')?.because).toContain('battery 1')
    expect(names({ unit: unitOf(), rig: rigOf({ bank: parallelOf([0.01, 0.01]) }) })).toContain(
      'parallel batteries',
    )
    expect(authority).toContain('licensed electrician')
  })

  it('say why each applies here: support, little margin, motors of the plan', () => {
    const motor = { id: uuid(1), name: 'pump', kind: 'induction motor' } as StoredLoad
    const cautions = cautionsFor({
      unit: unitOf(),
      rig: rigOf({ support: { kind: 'charger', name: 'Charger', current: 30, ownUse: 0 } }),
      plan: {
        outlets: 1,
        excluded: [],
        steps: [{ target: 1, expected: 1, locked: false, uses: [{ load: uuid(1), setting: uuid(2) }] }],
      },
      loads: [motor],
      nearLimit: ['fuse'],
    })
    const because = (name: string) => cautions.find((caution) => caution.name === name)?.because
    expect(because('second source')).toBe('Charger')
    expect(because('heat')).toBe('little margin: fuse')
    expect(because('motors')).toBe('in the plan: pump')
    for (const { because: why } of cautions) expect(why).not.toBe('')
  })

  it('are asked again for what changed, and only for that', () => {
    const before = cautionsFor({ unit: unitOf(), rig: rigOf() })
    expect(stillToAcknowledge(before, [])).toEqual(before)
    expect(stillToAcknowledge(before, before)).toEqual([])
    const unfused = cautionsFor({ unit: unitOf(), rig: rigOf({ positive: [cableOf('lead', 52)] }) })
    expect(stillToAcknowledge(unfused, before).map(({ name }) => name)).toEqual(['fuse'])
  })
})

describe('pre-charge', () => {
  it('takes 0.87 s, 3.5 J and 31.7 W at first through 22 Ω into 10 mF at 26.4 V', () => {
    const { time, energy, peak } = precharge(26.4, 22, 0.01, 0.5)
    expect(time).toBeCloseTo(0.87, 2)
    expect(energy).toBeCloseTo(3.5, 1)
    expect(peak).toBeCloseTo(31.7, 1)
  })
  it('has nothing to wait for once the difference is allowed', () => {
    expect(precharge(26.4, 22, 0.01, 30).time).toBe(0)
  })
  it('estimates less capacitance at a higher input voltage', () => {
    expect(estimatedCapacitance(1400, 24)).toBeCloseTo(estimatedCapacitance(1400, 12) / 4, 12)
  })

  it('of a station are of its outlet, its store and its inputs, and not of posts and cables', () => {
    const station = names({ unit: unitOf({ kind: 'power station' }), rig: rigOf() })
    expect(station).toEqual(
      expect.arrayContaining(['mains voltage', 'store inside', 'solar input', 'unattended']),
    )
    for (const name of ['short circuit', 'fuse', 'pre-charge', 'breaking capacity', 'second source'])
      expect(station).not.toContain(name)
  })
})
