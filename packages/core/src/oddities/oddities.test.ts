import type { Battery, Claim, EntryOf, LadderPlanned, Quantity } from '@even-watt/contract'
import {
  bankOf,
  cableOf,
  cleanLadder,
  ladderEntry,
  meterOf,
  motorEntry,
  noLoadEntry,
  parallelOf,
  rangeOf,
  revisionOf,
  rigOf,
  trialOf,
  unitOf,
  uuid,
  valuesOf,
} from '../../test/makers'
import { claimOf as claim } from '../../test/verdicts'
import { slipOf } from '../ladder'
import { viewTrial } from '../view'
import { keptWhy } from '.'

type Revision = Parameters<typeof revisionOf>[0]
const odd = (entries: Parameters<typeof viewTrial>[1], revision: Revision = {}) =>
  (viewTrial(trialOf([revisionOf(revision)]), entries).oddities[0] ?? []).map((oddity) => oddity.number)

const good = { V_A: 25.92, V_B: 25.61, I: 41.3, V_C: 230, I_C: 4.2, P_C: 964, PF: 0.99 }
const with_ = (patch: Partial<Record<Quantity, number>>) => [ladderEntry({ ...good, ...patch })]

describe('what is noticed by itself', () => {
  it('says nothing of a clean step, ladder and rig', () => {
    expect(odd([ladderEntry(good)])).toEqual([])
    expect(odd(cleanLadder())).toEqual([])
  })

  it.each([
    [1, 'an efficiency over 98 %', with_({ I: 36 })],
    [2, 'more W than VA', with_({ I_C: 3.5 })],
    [3, 'B above A', with_({ V_B: 26.3 })],
    [8, 'a reading over its range', with_({ V_A: 61 })],
    [18, 'volts of 12 on a rig of 24', with_({ V_A: 13.4, V_B: 13.2 })],
    [11, 'a current of a few counts', [ladderEntry({ ...good, I: 1.2 })]],
  ] as const)('%p: %s', (number, _words, entries) => expect(odd([...entries])).toContain(number))

  it('stays silent while the uncertainty explains it', () => {
    expect(odd(with_({ I: 39 }))).not.toContain(1)
    expect(odd(with_({ I_C: 4.15 }))).not.toContain(2)
    expect(odd(with_({ V_B: 25.92 }))).not.toContain(3)
  })

  it('4: a load in an idle reading', () => {
    expect(odd([noLoadEntry({ V_B: 26, I: 2.5, P_C: 40 })])).toContain(4)
    expect(odd([noLoadEntry({ V_B: 26, I: 2.5, P_C: 0 })])).not.toContain(4)
  })

  it('6: an average-responding meter on a stepped or unknown wave, and one that does not stand it', () => {
    const pocket = meterOf({ ranges: [rangeOf('AC voltage', 600, 1.2, 5, 1, { response: 'average' })] })
    const entries = [ladderEntry({ V_C: 213 })]
    expect(odd(entries, { meters: [pocket], unit: unitOf({ wave: 'stepped' }) })).toContain(6)
    expect(odd(entries, { meters: [pocket], unit: unitOf({ wave: 'unstated' }) })).toContain(6)
    expect(odd(entries, { meters: [pocket] })).not.toContain(6)
    const plug = meterOf({ ranges: [rangeOf('active power', 3000, 1, 1, 1, { standsSteppedWave: false })] })
    expect(odd([ladderEntry({ P_C: 500 })], { meters: [plug], unit: unitOf({ wave: 'stepped' }) })).toContain(
      6,
    )
  })

  it('9: input and output read over 30 s apart, or repeats that still drift', () => {
    const at = (second: number) => `2026-03-12T09:00:${String(second).padStart(2, '0')}.000Z`
    const timed = (gap: number) => [
      ladderEntry(
        {},
        {
          values: [
            ...valuesOf({ V_B: 25.6, I: 41.3 }).map((value) => ({ ...value, at: at(0) })),
            ...valuesOf({ P_C: 964 }).map((value) => ({ ...value, at: at(gap) })),
          ],
        },
      ),
    ]
    expect(odd(timed(45))).toContain(9)
    expect(odd(timed(20))).not.toContain(9)
    const step = uuid(71)
    expect(odd([1020, 1000, 985].map((P_C) => ladderEntry({ P_C }, { step })))).toContain(9)
    expect(odd([1000, 1001, 1000].map((P_C) => ladderEntry({ P_C }, { step })))).not.toContain(9)
  })

  it('10: a display used as a measurement', () => {
    expect(
      odd([ladderEntry({}, { values: [{ quantity: 'V_B', value: 25.6, grade: 'display' }] })]),
    ).toContain(10)
  })

  it('16 and 30: VA for W, Ah for Wh, a unit that does not fit', () => {
    const papers = (patch: Partial<Claim>) => odd([], { unit: unitOf({ claims: [claim(patch)] }) })
    expect(papers({ unit: 'VA' })).toEqual([16])
    expect(papers({ quantity: 'energy', unit: 'Ah' })).toEqual([16])
    expect(papers({ quantity: 'efficiency', unit: 'W' })).toEqual([30])
    expect(papers({})).toEqual([])
  })

  it('18: a digit slip against the trend', () => {
    const ladder = cleanLadder()
    const slipped = {
      ...ladder[3],
      reading: {
        ...ladder[3]?.reading,
        values: valuesOf({ V_A: 25.92, V_B: 52.61, I: 29.6, V_C: 230, P_C: 704 }),
      },
    } as (typeof ladder)[number]
    expect(odd([...ladder.slice(0, 3), slipped, ...ladder.slice(4)])).toContain(18)
    expect(slipOf(2.561, 25.6)).toBeCloseTo(25.61, 9)
    expect(slipOf(52.61, 25.6)).toBe(25.61)
    expect(slipOf(25.3, 25.6)).toBeUndefined()
    expect(slipOf(0, 25.6)).toBeUndefined()
    expect(slipOf(33, 25.6)).toBeUndefined()
  })

  it('19: missing disclosure; 26: no fuse', () => {
    expect(odd([], { unit: unitOf({ provenance: undefined }) })).toEqual([19])
    expect(odd([], { rig: rigOf({ positive: [cableOf('positive lead', 52)] }) })).toEqual([26])
  })

  it('21: DC watts against an AC rating', () => {
    const unit = unitOf({ claims: [claim({ value: 1000 })] })
    // While the ladder still climbs the next step may bring it; once something else was read it has ended.
    expect(odd([ladderEntry(good)], { unit })).not.toContain(21)
    expect(odd([ladderEntry(good), noLoadEntry({ V_B: 26.4, I: 0.4 })], { unit })).toContain(21)
    const stopped = ladderEntry(good, { end: 'tripped', alarm: 'overload' })
    expect(odd([stopped], { unit })).toContain(21)
    const enough = ladderEntry({ ...good, P_C: 1030, I: 43.9, I_C: 4.5 })
    expect(odd([enough, noLoadEntry({ V_B: 26.4, I: 0.4 })], { unit })).not.toContain(21)
  })

  it('1: an efficiency over 98 % with volts at the posts alone', () => {
    expect(odd([ladderEntry({ V_A: 25.92, I: 34, P_C: 964 })])).toContain(1)
    expect(odd([ladderEntry({ V_A: 25.92, I: 41.3, P_C: 964 })])).not.toContain(1)
  })

  it('3: not for one count', () => {
    expect(odd(with_({ V_B: 25.93 }))).not.toContain(3)
  })

  it('5: a clamp that was not zeroed', () => {
    const clamp = meterOf({
      id: uuid(5),
      name: 'Clamp',
      needsZeroing: true,
      ranges: [rangeOf('DC current', 400, 2, 3, 0.1)],
    })
    const meters = [meterOf({ ranges: [rangeOf('DC current', 6, 0.3, 3, 0.001)] }), clamp]
    const idle = (onClamp: number, inSeries?: number) =>
      odd(
        [
          noLoadEntry(
            {},
            {
              values: [
                ...valuesOf({ I: onClamp }, clamp.id),
                ...(inSeries === undefined ? [] : valuesOf({ I: inSeries })),
              ],
            },
          ),
        ],
        { meters },
      )
    expect(idle(-0.8)).toContain(5)
    expect(idle(1.2, 0.394)).toContain(5)
    expect(idle(0.5, 0.394)).not.toContain(5)
    expect(idle(-0.1)).not.toContain(5)
  })

  it('5: a clamp that is off by the same amps at every step', () => {
    const loads = [72, 141, 352, 704, 1052, 1400]
    const loss = (off: number) => (P: number) => 10.4 + 0.021 * P + 3.1e-5 * P ** 2 + off * 25.61
    expect(odd(cleanLadder(loads, loss(6)))).toContain(5)
    expect(odd(cleanLadder(loads, loss(0.5)))).not.toContain(5)
    // Of a small unit the same watts are most of what it gives.
    expect(odd(cleanLadder([20, 40, 60, 80], () => 12))).not.toContain(5)
  })

  it('6: where the label says sine and the distortion that was read says not', () => {
    const pocket = meterOf({ ranges: [rangeOf('AC voltage', 600, 1.2, 5, 1, { response: 'average' })] })
    const scope = meterOf({ id: uuid(6), ranges: [rangeOf('THD', 1, 3, 1, 0.001)] })
    const entries = (THD: number) => [
      ladderEntry({}, { values: [...valuesOf({ V_C: 213 }), ...valuesOf({ THD }, scope.id)] }),
    ]
    expect(odd(entries(0.3), { meters: [pocket, scope] })).toContain(6)
    expect(odd(entries(0.012), { meters: [pocket, scope] })).not.toContain(6)
  })

  it('9: by dates, across the end of a month', () => {
    const at = (input: string, output: string) => [
      ladderEntry(
        {},
        {
          values: [
            ...valuesOf({ V_B: 25 }).map((value) => ({ ...value, at: input })),
            ...valuesOf({ P_C: 700 }).map((value) => ({ ...value, at: output })),
          ],
        },
      ),
    ]
    expect(odd(at('2026-03-31T23:59:55.000Z', '2026-04-01T00:00:05.000Z'))).not.toContain(9)
    expect(odd(at('2026-03-31T23:59:55.000Z', '2026-04-01T00:00:40.000Z'))).toContain(9)
  })

  it('11: not of the bank’s current beside a charger', () => {
    const support = { kind: 'charger', name: 'Charger', current: 30, ownUse: 0 } as const
    const read = [ladderEntry({ ...good, I_bank: 1.1 })]
    expect(odd(read)).toContain(11)
    expect(odd(read, { rig: rigOf({ support }) })).not.toContain(11)
  })

  it('15: not by volts under a base load; 25: two changes between attempts that ended differently', () => {
    const attempts = (...readings: Parameters<typeof motorEntry>[0][]) =>
      odd(readings.map((reading, i) => motorEntry({ number: i + 1, ...reading })))
    expect(attempts({ bankBefore: 24 })).toContain(15)
    expect(attempts({ bankBefore: 24, baseLoad: 800 })).not.toContain(15)
    const full = { state: 'tank empty', bankBefore: 26.6 }
    const low = { state: 'tank at 6 bar', bankBefore: 26.1, outcome: 'stalled' } as const
    expect(attempts(full, low)).toContain(25)
    expect(attempts(full, { ...low, bankBefore: 26.6 })).not.toContain(25)
    expect(attempts(full, { ...low, outcome: 'started' })).not.toContain(25)
    expect(attempts(full, { ...low, load: 'saw' })).not.toContain(25)
  })

  it('17: not where the number in the name is its voltage', () => {
    const claims = [
      claim({ value: 1400 }),
      claim({ id: uuid(31), quantity: 'output voltage', value: 230, unit: 'V' }),
    ]
    expect(odd([], { unit: unitOf({ name: 'Unit 230', claims }) })).not.toContain(17)
  })

  it('18: not at a low power factor, nor on a tiny step', () => {
    const ladder = [200, 500, 800, 1100, 1400].map((P_C) =>
      ladderEntry({ V_B: 25.6, V_C: 230, I: (P_C / 0.93 + 10) / 25.6, I_C: P_C / 230, P_C }),
    )
    const motor = ladderEntry(
      { V_B: 25.6, V_C: 230, I: 24, I_C: 5.6, P_C: 560, PF: 0.43 },
      { kind: 'induction motor' },
    )
    const tiny = ladderEntry({ V_B: 25.6, V_C: 230, I: 0.62, I_C: 0.02, P_C: 4.6 })
    expect(odd([...ladder, motor])).not.toContain(18)
    expect(odd([...ladder, tiny])).not.toContain(18)
    expect(odd([...ladder, ladderEntry({ V_B: 25.6, V_C: 230, I: 24, I_C: 26, P_C: 560 })])).toContain(18)
  })

  it('23: a shunt over its rating for longer than it stands, not only what should have opened', () => {
    const rig = rigOf({
      negative: [{ id: uuid(53), name: 'shunt', kind: 'shunt', continuous: 100 }],
      positive: [{ id: uuid(51), name: 'fuse', kind: 'fuse', continuous: 200 }],
    })
    const carried = (I: number, held: number) =>
      odd([ladderEntry({ ...good, I, P_C: 2900 }, { held })], { rig })
    expect(carried(126, 310)).toContain(23)
    expect(carried(126, 5)).not.toContain(23)
    expect(carried(99, 310)).not.toContain(23)
  })

  it('22: a surge read on a slow meter', () => {
    const read = (held: number) =>
      odd([ladderEntry({ ...good, P_C: 950 }, { held })], { meters: [meterOf({ updateRate: 1 })] })
    expect(read(1)).toContain(22)
    expect(read(60)).not.toContain(22)
  })

  it('28: different tests that ended at the same input', () => {
    const ended = (load: string, I: number) =>
      ladderEntry({ ...good, I }, { load, end: 'alarmed', alarm: 'low voltage' })
    expect(odd([ended('kettle', 41.3), ended('winch', 41.5)])).toContain(28)
    expect(odd([ended('kettle', 41.3), ended('winch', 20)])).not.toContain(28)
  })

  it('30: a current that only a misread gauge would carry', () => {
    const thin = cableOf('lead', 70, { gauge: { unit: 'mm²', area: 2 } })
    expect(
      odd([ladderEntry(good)], { rig: rigOf({ positive: [...rigOf().positive.slice(0, 1), thin] }) }),
    ).toContain(30)
  })

  it('7: a meter where other current flows', () => {
    const [battery] = bankOf().strings[0] ?? []
    const on = (quantity: 'I' | 'I_bank', at: string | undefined, support: boolean) =>
      odd([], {
        rig: rigOf({
          assignments: [{ quantity, meter: uuid(1), ...(at === undefined ? {} : { on: at }) }],
          ...(support ? { support: { kind: 'charger', name: 'Charger', current: 30, ownUse: 0 } } : {}),
        }),
      })
    expect(on('I', battery?.id, true)).toEqual([7])
    expect(on('I', battery?.id, false)).toEqual([])
    expect(on('I', undefined, true)).toEqual([])
    expect(on('I_bank', undefined, true)).toEqual([7])
    expect(on('I_bank', battery?.id, true)).toEqual([])
  })

  it('12: the next step will alarm on this supply', () => {
    const weak = (claimed: number) => {
      const unit = unitOf({
        claims: [claim({ value: claimed }), claim({ quantity: 'alarm voltage', unit: 'V', value: 21.6 })],
      })
      const steps = [200, 600, 1000].map((P) => {
        const V_B = (26.4 + Math.sqrt(26.4 ** 2 - (4 * 0.08 * P) / 0.9)) / 2
        const I = P / 0.9 / V_B
        return ladderEntry({ V_A: V_B + 0.004 * I, V_B, I, P_C: P, V_C: 230 }, { load: `${P} W` })
      })
      return odd([noLoadEntry({ V_A: 26.4, V_B: 26.4, I: 0.4 }), ...steps], { unit })
    }
    expect(weak(2800)).toContain(12)
    expect(weak(1000)).not.toContain(12)
  })

  it('13: a drop that grows at steady current', () => {
    const survey = (n: number, volts: number): EntryOf<'survey'> => ({
      id: uuid(n),
      revision: 1,
      at: `2026-03-12T12:0${n - 84}:00.000Z`,
      kind: 'survey',
      reading: {
        current: 50,
        method: 'across',
        voltmeter: uuid(1),
        ammeter: uuid(1),
        readings: [{ element: uuid(53), volts }],
      },
    })
    expect(odd([survey(85, 0.3), survey(86, 0.5)])).toContain(13)
    expect(odd([survey(85, 0.3), survey(86, 0.3)])).not.toContain(13)
  })

  it('14: infrared on bare metal, once it is warm', () => {
    const meters = [
      meterOf({
        ranges: [...meterOf().ranges, rangeOf('temperature', 300, 0, 20, 0.1, { response: 'infrared' })],
      }),
    ]
    const at = (T: number) => odd([ladderEntry({ ...good, T })], { meters })
    expect(at(91)).toContain(14)
    expect(at(30)).not.toContain(14)
  })

  it('20: batteries compared at equal watts', () => {
    const rig = rigOf({ bank: parallelOf([0.006, 0.017], 12.7) })
    const test = (n: number, i: number, volts: number, amps: number): EntryOf<'load test'> => ({
      id: uuid(n),
      revision: 1,
      at: '2026-03-12T12:00:00.000Z',
      kind: 'load test',
      reading: {
        battery: uuid(40 + i),
        restVoltage: 12.7,
        restCurrent: 0,
        loadedVoltage: volts,
        loadedCurrent: amps,
      },
    })
    expect(odd([test(85, 0, 12.3, 40), test(86, 1, 11.9, 41.4)], { rig })).toContain(20)
    expect(odd([test(85, 0, 12.3, 40), test(86, 1, 12.0, 40)], { rig })).not.toContain(20)
  })

  it('23: more current than a fuse carries for that long', () => {
    const fused = (shortTime?: { current: number; seconds: number }) =>
      odd([ladderEntry(good, { held: 120 })], {
        rig: rigOf({
          positive: [
            { id: uuid(51), name: 'fuse', kind: 'fuse', continuous: 30, ...(shortTime ? { shortTime } : {}) },
            cableOf('positive lead', 52),
          ],
        }),
      })
    expect(fused()).toContain(23)
    expect(fused({ current: 60, seconds: 600 })).not.toContain(23)
  })

  it('27: an energy from rest volts', () => {
    const energy = (value: number, unit: 'Wh' | 'Ah' = 'Wh') =>
      odd([], { unit: unitOf({ claims: [claim({ quantity: 'energy', value, unit })] }) })
    // 150 Ah: at 26.4 V of rest 3960 Wh, at 25.6 V nominal 3840 Wh.
    expect(energy(3960)).toContain(27)
    expect(energy(3840)).not.toContain(27)
    expect(energy(3000)).not.toContain(27)
    expect(energy(3960, 'Ah')).not.toContain(27)
  })

  it('29: the meter that two others contradict', () => {
    const second = meterOf({ id: uuid(6), name: 'Second' })
    const both = (V: number) => {
      const entry = ladderEntry({ ...good, V_C: 230, I_C: 4.191 })
      const values = [...entry.reading.values, ...valuesOf({ V_C: V }, uuid(6))]
      return odd([{ ...entry, reading: { ...entry.reading, values } }], { meters: [meterOf(), second] })
    }
    expect(both(200)).toContain(29)
    expect(both(231)).not.toContain(29)
  })

  it('can be kept with a reason', () => {
    const entry = ladderEntry({ ...good, V_B: 26.3 })
    const keep = {
      id: uuid(81),
      revision: 1,
      at: '2026-03-12T12:00:00.000Z',
      kind: 'keep' as const,
      entry: entry.id,
      oddity: 3 as const,
      why: 'charger on the terminals',
    }
    const view = viewTrial(trialOf(), [entry, keep])
    const [analysis] = view.analyses
    const oddity = view.oddities[0]?.find((candidate) => candidate.number === 3)
    expect(oddity && analysis && keptWhy(oddity, view.record, analysis)).toBe('charger on the terminals')
  })

  describe('by the plan', () => {
    const planOf = (...expected: number[]): LadderPlanned => ({
      outlets: 4,
      excluded: [],
      steps: expected.map((watts, i) => ({
        target: watts,
        uses: [{ load: uuid(600 + i), setting: uuid(650 + i) }],
        expected: watts,
        locked: false,
      })),
    })
    /** A supply of 26.4 V behind 20 mΩ and 5 mΩ: at 3900 W it would stand near 21 V. */
    const sagging = [72, 141, 352, 704].map((P) => {
      const I = P / 0.92 / 25.9
      return ladderEntry(
        { V_A: 26.4 - 0.02 * I, V_B: 26.4 - 0.025 * I, I, V_C: 230, P_C: P },
        { load: `${P} W` },
      )
    })
    const unit = unitOf({ claims: [claim({ quantity: 'alarm voltage', value: 22, unit: 'V' })] })
    const said = (plan: LadderPlanned | undefined) =>
      (viewTrial(trialOf([revisionOf({ unit })], plan && { plan }), sagging).oddities[0] ?? [])
        .filter(({ number }) => number === 12)
        .map(({ odd }) => odd)

    it('12: the first planned step that would alarm, before it is switched on', () => {
      expect(said(planOf(1100, 3900))[0]).toMatch(/^At 3900 W this supply would/)
      expect(said(planOf(704, 710))).toEqual([])
      expect(said(undefined)).toEqual([])
    })

    it('18: a slip against the plan, where no trend tells', () => {
      const slipped = ladderEntry({ ...good, P_C: 6450 }, { expected: 645 })
      const [oddity] = (viewTrial(trialOf(), [slipped]).oddities[0] ?? []).filter(
        ({ number }) => number === 18,
      )
      expect(oddity?.odd).toBe(
        'Watts at the outlet: 6450 W was read; the plan leads to about 645 W. Was it 645?',
      )
      expect(odd([ladderEntry({ ...good }, { expected: 960 })])).not.toContain(18)
      expect(odd([ladderEntry({ ...good, P_C: 700 }, { expected: 960 })])).not.toContain(18)
    })
  })

  it('15: a surge test on a bank that is surely too low for it', () => {
    const attempt = (bankBefore: number): EntryOf<'motors'> => ({
      id: uuid(990),
      revision: 1,
      at: '2026-03-12T12:00:00.000Z',
      kind: 'motors',
      reading: { number: 1, load: 'pump', outcome: 'stalled', bankBefore },
    })
    expect(odd([attempt(25.8)])).toContain(15)
    // Lithium stands flat: at 26.3 V it may hold anything from 30 to 90 %.
    expect(odd([attempt(26.3)])).not.toContain(15)
    const lead = rigOf({
      bank: bankOf({
        strings: [
          [0, 1].map((i) => ({
            ...(bankOf().strings[0]?.[i] as Battery),
            chemistry: 'AGM' as const,
            nominal: 12,
            rest: 12.7,
          })),
        ],
      }),
    })
    expect(odd([attempt(24.6)], { rig: lead })).toContain(15)
    expect(odd([attempt(25.2)], { rig: lead })).not.toContain(15)
  })

  it('17: a rating of something else taken for the continuous one', () => {
    const surge = (value: number) => claim({ id: uuid(31), quantity: 'surge power', value })
    const named = (name: string, ...claims: Claim[]) => odd([], { unit: unitOf({ name, claims }) })
    expect(named('Unit 2700-24', claim({}), surge(2700))).toContain(17)
    expect(named('Unit 1400-24', claim({}), surge(2700))).not.toContain(17)
    expect(named('Unit', claim({}), surge(1200))).toContain(17)
    expect(named('Unit 2026', claim({}), surge(2700))).not.toContain(17)
    expect(named('Unit 2700', surge(2700))).not.toContain(17)
  })
})
