import type { EntryOf, PathElement, Rig } from '@even-watt/contract'
import fc from 'fast-check'
import {
  bankOf,
  cableOf,
  ladderEntry,
  meterOf,
  noLoadEntry,
  parallelOf,
  rangeOf,
  revisionOf,
  rigOf,
  trialOf,
  uuid,
} from '../../test/makers'
import { conductorResistance } from '../conductors'
import { isFigure } from '../figures'
import { exact, expanded } from '../meters'
import { viewTrial } from '../view'
import {
  asShunt,
  changedRig,
  checkRig,
  deriveSurvey,
  describeChanges,
  describeElement,
  elementStates,
  expectedResistance,
  keepPrediction,
  leadsResistance,
  loadsToPredict,
  minimumBms,
  ownDrop,
  pointAt,
  predictSteps,
  predictSupply,
  promisedSupply,
  supplyOf,
  viewSupply,
  voltCount,
  warming,
  weakestCurrent,
  weakestLinks,
} from '.'

const lug: PathElement = { id: uuid(53), name: 'negative lug', kind: 'lug' }
const fuse: PathElement = { id: uuid(51), name: 'fuse', kind: 'fuse', continuous: 100 }
const value = (x: unknown) => (x as { x: { value: number } }).x.value

const finest = meterOf({
  ranges: [
    rangeOf('DC voltage', 0.6, 0.2, 2, 0.0001),
    rangeOf('DC voltage', 60, 0.1, 2, 0.01),
    rangeOf('DC current', 300, 0.5, 2, 0.05),
  ],
})
const revision = revisionOf({ meters: [finest] })

const surveyOf = (
  volts: Record<string, number>,
  more: Partial<EntryOf<'survey'>['reading']> = {},
  n = 80,
): EntryOf<'survey'> => ({
  id: uuid(n),
  revision: 1,
  at: `2026-03-12T10:0${n - 80}:00.000Z`,
  kind: 'survey',
  reading: {
    current: 50,
    method: 'across',
    voltmeter: uuid(1),
    ammeter: uuid(1),
    readings: Object.entries(volts).map(([element, v]) => ({ element, volts: v })),
    ...more,
  },
})

describe('what is expected of an element', () => {
  it('is computed for a cable, taken from the table for the rest, and as stated where stated', () => {
    const cable = cableOf('lead', 52)
    expect(expectedResistance(cable, undefined).value).toBeCloseTo(0.0014484, 6)
    expect(expectedResistance(lug, undefined).value).toBe(0.0001)
    expect(expectedResistance(lug, { lug: 0.0002 }).value).toBe(0.0002)
    expect(expectedResistance({ ...lug, resistance: 0.0005 }, { lug: 0.0002 }).value).toBe(0.0005)
    expect(leadsResistance(rigOf())).toBeCloseTo(0.002897, 5)
  })

  it('puts unlike runs of one cable in parallel', () => {
    const cable = cableOf('lead', 52)
    if (cable.kind !== 'cable') throw new Error('no cable')
    const double = { ...cable, conductors: [...cable.conductors, ...cable.conductors] }
    expect(expectedResistance(double, undefined).value).toBeCloseTo(
      expectedResistance(cable, undefined).value / 2,
      12,
    )
    expect(describeElement(double)).toBe('16 mm² copper, 1.2 m beside 16 mm² copper, 1.2 m')
    expect(describeElement(fuse)).toBe('fuse 100 A')
    expect(describeElement(lug)).toBe('lug')
  })
})

describe('a drop survey', () => {
  const good = { [uuid(51)]: 0.0075, [uuid(52)]: 0.07, [uuid(53)]: 0.5, [uuid(54)]: 0.07 }

  it('ranks by watts, names the first to fix and what that returns', () => {
    const survey = deriveSurvey(surveyOf(good), revision)
    expect(survey.lines.map(({ element }) => element.name)).toEqual([
      'fuse',
      'positive lead',
      'negative lug',
      'negative lead',
    ])
    expect(survey.toFix.map(({ element }) => element.name)).toEqual(['negative lug'])
    const [first] = survey.toFix
    expect(value(first?.watts)).toBeCloseTo(25, 6)
    expect(value(first?.resistance)).toBeCloseTo(0.01, 9)
    expect(first?.gain?.value).toBeCloseTo(0.0099, 9)
    expect(first?.hot).toBe(true)
    expect(survey.lines.filter(({ excessive }) => excessive)).toHaveLength(1)
  })

  it('does not flag what lies inside the uncertainty of a usual value', () => {
    const survey = deriveSurvey(surveyOf({ [uuid(53)]: 0.01 }), revision)
    expect(survey.lines[0]?.ratio).toBeCloseTo(2, 6)
    expect(survey.lines[0]?.excessive).toBe(false)
  })

  it('is the same by points against one reference', () => {
    const posts = { positive: 26, negative: 0 }
    const readings = { [uuid(51)]: 25.99, [uuid(52)]: 25.92, [uuid(53)]: 0.5, [uuid(54)]: 0.57 }
    const survey = deriveSurvey(surveyOf(readings, { method: 'points', posts }), revision)
    expect(survey.lines.map(({ drop }) => value(drop))).toEqual(
      [0.01, 0.07, 0.5, 0.07].map((v) => expect.closeTo(v, 6) as number),
    )
    // One meter and range at both ends: the common part cancels.
    const lead = survey.lines[1]?.drop
    expect(lead && isFigure(lead) && expanded(lead.x)).toBeLessThan(0.02)
  })

  it('gives a gap to no one, and says when a drop runs backwards', () => {
    const posts = { positive: 26 }
    const gap = deriveSurvey(surveyOf({ [uuid(52)]: 25.9 }, { method: 'points', posts }), revision)
    expect(gap.lines).toEqual([])
    expect(deriveSurvey(surveyOf({ [uuid(53)]: -0.2 }), revision).negative).toEqual([uuid(53)])
  })

  it('bounds joints from the watts at the outlet where no ammeter is there', () => {
    const watts = { current: undefined, power: 1200 }
    const survey = deriveSurvey(surveyOf(good, watts), revision)
    expect(isFigure(survey.current) && survey.current.grade).toBe('estimated')
    // 1200 W at 86 % from a bank of 25.6 V is 54.5 A, give or take: 0.5 V of it is a bad lug all the same.
    expect(value(survey.current)).toBeCloseTo(1200 / (0.86 * 25.6), 3)
    expect(survey.toFix.map(({ element }) => element.name)).toEqual(['negative lug'])
    const slight = deriveSurvey(surveyOf({ [uuid(53)]: 0.009 }, watts), revision)
    expect(slight.toFix).toEqual([])
  })

  it('sees a joint warm up at steady current only', () => {
    const at = (volts: number, current: number, n: number) =>
      deriveSurvey(surveyOf({ [uuid(53)]: volts }, { current }, n), revision)
    expect(warming([at(0.1, 50, 80), at(0.13, 50, 81)]).map(({ element }) => element.name)).toEqual([
      'negative lug',
    ])
    expect(warming([at(0.1, 50, 80), at(0.13, 65, 81)])).toEqual([])
    expect(warming([at(0.1, 50, 80), at(0.1005, 50, 81)])).toEqual([])
    expect(warming([at(0.1, 50, 80)])).toEqual([])
  })

  it('turns the drop along any known conductor into amps', () => {
    const R = expectedResistance(cableOf('lead', 52), undefined)
    const I = asShunt({ value: 0.07242, sources: new Map([['v', 0.0002]]) }, R)
    expect(I.value).toBeCloseTo(50, 1)
    expect(expanded(I)).toBeGreaterThan(2)
  })
})

describe('the weakest link', () => {
  it('takes a cable for no better than its terminals', () => {
    // 16 mm² at 75 °C and 30 °C around it: 130·√(45/75) A, whatever its insulation stands.
    const cable = (insulation: number) => {
      const lead = { ...cableOf('positive lead', 52), insulation }
      return weakestLinks(rigOf({ positive: [lead], ambient: 30 }), 50).find(({ name }) => name === lead.name)
    }
    expect(cable(105)?.continuous).toBeCloseTo(100.7, 1)
    expect(cable(105)?.because).toContain('75 °C at its terminals')
    expect(cable(70)?.continuous).toBeLessThan(100.7)
    expect(cable(70)?.because).toContain('70 °C insulation')
  })

  it('lists every element with its margin, the tightest first', () => {
    const links = weakestLinks(rigOf(), 120)
    expect(links[0]).toMatchObject({
      name: 'fuse',
      continuous: 100,
      margin: expect.closeTo(-0.2, 9) as number,
    })
    expect(links.find(({ name }) => name === 'negative lug')).toMatchObject({
      margin: undefined,
      because: 'no rating stated',
    })
    expect(links.filter(({ kind }) => kind === 'BMS')).toHaveLength(2)
    const margins = links.map(({ margin }) => margin ?? Infinity)
    expect(margins).toEqual([...margins].sort((a, b) => a - b))
  })

  it('says for how long it may be exceeded, by its curve or by the cable’s own warming', () => {
    const quick: PathElement = { ...fuse, shortTime: { current: 200, seconds: 30 } } as PathElement
    const rig = rigOf({ positive: [quick, cableOf('positive lead', 52)] })
    expect(weakestLinks(rig, 200).find(({ kind }) => kind === 'fuse')?.allowed).toBeCloseTo(30, 6)
    expect(weakestLinks(rigOf(), 200).find(({ kind }) => kind === 'fuse')?.allowed).toBeUndefined()
    const cable = weakestLinks(rig, 260).find(({ kind }) => kind === 'cable')?.allowed
    expect(cable).toBeGreaterThan(20)
    expect(cable).toBeLessThan(600)
    expect(weakestLinks(rig, 50).find(({ kind }) => kind === 'cable')?.allowed).toBe(Infinity)
  })

  it('caps the supply at the first rating met, each battery carrying its own share', () => {
    expect(weakestCurrent(rigOf())?.current).toBeCloseTo(100, 6)
    const bank = parallelOf([0.002, 0.006])
    const strings = bank.strings.map((string) => string.map((one) => ({ ...one, limit: 50 })))
    const rig = rigOf({
      bank: { ...bank, strings },
      positive: [cableOf('lead', 52, { gauge: { unit: 'mm²', area: 120 } })],
      negative: [],
    })
    const weakest = weakestCurrent(rig)
    expect(weakest?.link.kind).toBe('BMS')
    expect(weakest?.current).toBeLessThan(80)
    expect(minimumBms(rig, 100)).toBeGreaterThan(62.5)
  })

  it('does not know a cable thinner than the table', () => {
    const rig = rigOf({ positive: [cableOf('wire', 52, { gauge: { unit: 'mm²', area: 2.5 } })] })
    expect(weakestLinks(rig, 10).find(({ name }) => name === 'wire')?.because).toContain('thinner')
  })
})

describe('at once', () => {
  it('gives each element its drop, watts and warmth, by RMS current where asked', () => {
    const states = elementStates(rigOf(), 100)
    const cable = states.find(({ element }) => element.name === 'positive lead')
    expect(cable?.drop).toBeCloseTo(0.14482, 4)
    expect(cable?.watts).toBeCloseTo(14.482, 2)
    expect(cable?.temperature).toBeCloseTo(25 + 80 * (100 / (130 * Math.sqrt(80 / 75))) ** 2, 6)
    const rippled = elementStates(rigOf(), 100, undefined, 1).find(
      ({ element }) => element.name === 'positive lead',
    )
    expect(rippled?.watts).toBeCloseTo(2 * 14.482, 2)
    expect(rippled?.drop).toBeCloseTo(0.14482, 4)
    const jaw: PathElement = { id: uuid(55), name: 'jaw', kind: 'jaw clamp' }
    expect(elementStates(rigOf({ negative: [jaw] }), 100).at(-1)?.heat).toBe('hot')
  })

  it('prefers what a survey measured', () => {
    const survey = deriveSurvey(surveyOf({ [uuid(53)]: 0.5 }), revision)
    expect(
      elementStates(rigOf(), 10, survey).find(({ element }) => element.name === 'negative lug'),
    ).toMatchObject({
      surveyed: true,
      watts: expect.closeTo(1, 6) as number,
      heat: 'warm',
    })
  })

  it('reaches the alarm, the cutoff or the weakest link, and draws V_B until the supply can no more', () => {
    const known = promisedSupply(rigOf())
    const question = { alarm: 21.6, cutoff: 20.8, loss: (P: number) => 10 + 0.05 * P }
    const view = viewSupply(rigOf(), known, question)
    expect(view?.toAlarm.limitedBy).toBe('fuse, 100 A')
    expect(view?.toAlarm.current).toBe(100)
    expect((view?.toAlarm.outputPower ?? 0) * 1.05 + 10).toBeCloseTo(view?.toAlarm.inputPower ?? NaN, 6)
    const volts = view?.curve.map(([, V]) => V) ?? []
    expect(volts).toEqual([...volts].sort((a, b) => b - a))
    const free = rigOf({
      positive: [cableOf('lead', 52, { gauge: { unit: 'mm²', area: 2 } })],
      negative: [],
      bank: parallelOf([0.02]),
    })
    expect(
      viewSupply(free, promisedSupply(free), { ...question, alarm: 11, cutoff: 10.5 })?.toAlarm.limitedBy,
    ).toBe('the alarm at 11 V')
  })

  it('says nothing of volts while a resistance is not known', () => {
    const bank = bankOf()
    const unknown = {
      ...bank,
      strings: bank.strings.map((string) => string.map((one) => ({ ...one, resistance: undefined }))),
    }
    const known = promisedSupply(rigOf({ bank: unknown }))
    expect(known.R_bank).toMatchObject({ missing: expect.stringContaining('short load test') as string })
    expect(supplyOf(known)).toBeUndefined()
    expect(pointAt(known, 10)).toBeUndefined()
    expect(
      viewSupply(rigOf({ bank: unknown }), known, { alarm: 1, cutoff: 1, loss: () => 0 }),
    ).toBeUndefined()
  })
})

describe('a rig as it is drawn', () => {
  const sentences = (rig: Rig) =>
    checkRig(rig)
      .map(({ sentence }) => sentence)
      .join(' ')

  it('has nothing to be said of when it is sound', () => expect(checkRig(rigOf())).toEqual([]))

  it.each([
    ['an open path', rigOf({ positive: [fuse] }), 'positive side has no cable'],
    ['no fuse', rigOf({ positive: [cableOf('lead', 52)] }), 'No fuse or breaker'],
    [
      'a fuse bigger than its cable',
      rigOf({ positive: [{ ...fuse, continuous: 300 } as PathElement, cableOf('lead', 52)] }),
      'bigger than lead carries',
    ],
    [
      'a thickness for an area',
      rigOf({ positive: [fuse, cableOf('lead', 52, { gauge: { unit: 'mm²', area: 2.5 } })] }),
      'very thin',
    ],
    ['unequal batteries', rigOf({ bank: parallelOf([0.017, 0.006]) }), 'share better'],
    [
      'a dead battery',
      rigOf({
        bank: { ...bankOf(), strings: bankOf().strings.map((s) => s.map((one) => ({ ...one, open: true }))) },
      }),
      'carries nothing',
    ],
  ])('%s is said', (_, rig, sentence) => expect(sentences(rig)).toContain(sentence))

  it('says the danger of unlike rest voltages and chemistries strongly', () => {
    const bank = parallelOf([0.006, 0.006])
    const uneven = {
      ...bank,
      strings: bank.strings.map((s, i) =>
        s.map((one) => ({
          ...one,
          nominal: 12,
          rest: 12.6 + i * 0.3,
          chemistry: i ? ('AGM' as const) : ('gel' as const),
        })),
      ),
    }
    const remarks = checkRig(rigOf({ bank: uneven })).filter(({ weight }) => weight === 'danger')
    expect(remarks.map(({ sentence }) => sentence).join(' ')).toMatch(
      /differ by 300 mV.*23 A flow.*different chemistries/,
    )
    const mixed = {
      ...bank,
      strings: bank.strings.map((s, i) => s.map((one) => ({ ...one, nominal: i ? 12 : 24 }))),
    }
    expect(sentences(rigOf({ bank: mixed }))).toContain('never join these')
  })
})

describe('what if', () => {
  // 26.4 V, 11.7 mΩ of bank and a path with 10 mΩ in the negative lug, measured without error.
  const path = 0.0003 + 2 * 0.0014484 + 0.01
  const trialWith = (lugOhms: number, surveyed: boolean, rig = rigOf()) => {
    const total = path - 0.01 + lugOhms
    const steps = [100, 400, 700, 1000, 1300].map((P_B) => {
      const R = 0.0117 + total
      const V_B = (26.4 + Math.sqrt(26.4 ** 2 - 4 * R * P_B)) / 2
      const I = P_B / V_B
      return ladderEntry({ V_A: 26.4 - 0.0117 * I, V_B, I, P_C: 0.93 * P_B }, { load: `${P_B} W in` })
    })
    const survey = surveyOf({
      [uuid(51)]: 0.0003 * 50,
      [uuid(52)]: 0.0014484 * 50,
      [uuid(53)]: lugOhms * 50,
      [uuid(54)]: 0.0014484 * 50,
    })
    const entries = [noLoadEntry({ V_A: 26.4, V_B: 26.4, I: 0.4 }), ...steps, ...(surveyed ? [survey] : [])]
    const analysis = viewTrial(trialOf([revisionOf({ meters: [finest], rig })]), entries).analyses[0]
    if (!analysis) throw new Error('no analysis')
    return analysis
  }
  const lugAt = uuid(53)
  const stepsOf = (analysis: ReturnType<typeof trialWith>) =>
    loadsToPredict(analysis.ladder.steps, [], () => 0)

  it.each([true, false])('predicts what a remade lug then does (surveyed: %s)', (surveyed) => {
    const before = trialWith(0.01, surveyed)
    const after = trialWith(0.0001, surveyed)
    const supply = predictSupply(before.record.revision.rig, before.supply, [
      { kind: 'remake', element: lugAt },
    ])
    const predicted = predictSteps(supply, before.supply.known, stepsOf(before))
    predicted.forEach(({ V_B }, i) => {
      const measured = after.ladder.steps[i]?.read.V_B
      expect(
        isFigure(V_B) && measured && isFigure(measured) && Math.abs(V_B.x.value - measured.x.value),
      ).toBeLessThan(0.02)
      expect(isFigure(V_B) && V_B.grade).toBe('estimated')
    })
  })

  it('changes nothing when there is nothing to gain, or the part is not there', () => {
    const sound = trialWith(0.0001, true)
    const rig = sound.record.revision.rig
    const same = predictSupply(rig, sound.supply, [{ kind: 'remake', element: uuid(99) }])
    expect(same.R_path).toBe(sound.supply.known.R_path)
    expect(changedRig(rig, [{ kind: 'remake', element: lugAt }])).toBe(rig)
    // A take-off at a battery that is not there.
    expect(changedRig(rig, [{ kind: 'take-off', positiveAt: 1, negativeAt: 0 }])).toBe(rig)
  })

  it('makes nothing out of nothing: what was measured stands, moved by what the change makes of the model', () => {
    const sound = trialWith(0.0001, true)
    const { rig } = sound.record.revision
    const remade = predictSupply(rig, sound.supply, [{ kind: 'remake', element: lugAt }])
    for (const { V_B, before } of predictSteps(remade, sound.supply.known, stepsOf(sound)))
      expect(value(V_B)).toBeCloseTo(value(before), 3)
    // The model may be far from what was read: without a change what was read stands.
    const wrong = { ...sound.supply.known, E: sound.supply.promised.E, R_bank: sound.supply.promised.R_bank }
    for (const { V_B, before } of predictSteps(wrong, wrong, stepsOf(sound)))
      expect(value(V_B)).toBeCloseTo(value(before), 9)
    // A part that a survey left out is not blamed for all that the path has too much.
    const other = predictSupply(rig, trialWith(0.01, true).supply, [{ kind: 'remake', element: uuid(51) }])
    expect(value(other.R_path)).toBeCloseTo(value(trialWith(0.01, true).supply.known.R_path), 6)
  })

  it('takes a thicker cable by what both are expected to measure', () => {
    const analysis = trialWith(0.0001, true)
    const { rig } = analysis.record.revision
    const conductor = {
      gauge: { unit: 'mm²' as const, area: 50 },
      length: 1.2,
      runs: 1,
      material: 'copper' as const,
      strandingFactor: 1.12,
    }
    const after = predictSupply(rig, analysis.supply, [{ kind: 'cable', element: uuid(52), conductor }])
    const gain = value(analysis.supply.known.R_path) - value(after.R_path)
    expect(gain).toBeCloseTo(0.0014484 - conductorResistance(conductor), 6)
  })

  it('adds a battery, a charger, and moves the take-off by the network', () => {
    const analysis = trialWith(0.0001, true, rigOf({ bank: parallelOf([0.0117], 26.4) }))
    const { rig } = analysis.record.revision
    const more = { kind: 'battery' as const, name: 'b', rest: 26.4, resistance: 0.0117, link: 1e-6 }
    const doubled = predictSupply(rig, analysis.supply, [more])
    expect(value(doubled.R_bank) / value(analysis.supply.known.R_bank)).toBeCloseTo(0.5, 3)
    expect(predictSupply(rig, analysis.supply, [{ kind: 'support', current: 30 }]).support).toBe(30)
    const far = changedRig(rig, [more, { kind: 'take-off', positiveAt: 1, negativeAt: 0 }])
    expect(far.bank.join).toMatchObject({ positiveAt: 1, negativeAt: 0 })
    expect(
      describeChanges(rig, [more, { kind: 'support', current: 30 }, { kind: 'remake', element: lugAt }]),
    ).toBe('b added in parallel; a charger of 30 A added; negative lug remade')
  })

  it('says so when the supply could not deliver a step, and keeps only what it could', () => {
    const analysis = trialWith(0.0001, true)
    const { known } = analysis.supply
    if (!isFigure(known.R_path)) throw new Error('no path')
    const weak = { ...known, R_path: { ...known.R_path, x: exact(0.5) } }
    const steps = predictSteps(weak, known, stepsOf(analysis))
    expect(steps.at(-1)?.V_B).toEqual({ missing: 'The supply cannot deliver this.' })
    const kept = keepPrediction([{ kind: 'support', current: 1 }], 'a try', steps, 0)
    expect(kept.steps.length).toBeLessThan(steps.length)
    expect(kept).not.toHaveProperty('headroom')
  })

  it('predicts planned steps that were not read yet, and no others twice', () => {
    const analysis = trialWith(0.0001, true)
    const planned = [
      { load: 'shown', watts: 650 },
      { load: 'ahead', watts: 1500 },
      { load: 'nothing', watts: 0 },
    ]
    const loads = loadsToPredict(analysis.ladder.steps, planned, (P) => 0.07 * P)
    expect(loads.map(({ load }) => load).slice(5)).toEqual(['ahead'])
    const [last] = predictSteps(analysis.supply.known, analysis.supply.known, loads).slice(-1)
    expect(last?.before).toHaveProperty('missing')
    expect(last && isFigure(last.V_B) && last.V_B.x.value).toBeLessThan(26)
  })

  it('lifts V_B for any joint that is remade', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 0.02, noNaN: true }), (ohms) => {
        const analysis = trialWith(ohms, true)
        const supply = predictSupply(analysis.record.revision.rig, analysis.supply, [
          { kind: 'remake', element: lugAt },
        ])
        for (const { V_B, before } of predictSteps(supply, analysis.supply.known, stepsOf(analysis))) {
          if (isFigure(V_B) && isFigure(before)) expect(V_B.x.value).toBeGreaterThan(before.x.value - 0.01)
        }
      }),
      { numRuns: 15 },
    )
  })

  it('says where the ladder, the survey and the promise disagree', () => {
    expect(trialWith(0.01, true).supply.disagreements.join(' ')).toMatch(
      /13\.3 mΩ of path where 3\.3 mΩ are expected/,
    )
    expect(trialWith(0.0001, true).supply.disagreements).toEqual([])
  })
})

describe('a small part’s own drop', () => {
  it('is negligible under half a count of the voltmeter that would see it', () => {
    const revision = revisionOf({ rig: rigOf({ assignments: [{ quantity: 'V_B', meter: uuid(1) }] }) })
    expect(voltCount(revision)).toBe(0.01)
    expect(voltCount(revisionOf())).toBeUndefined()
    // A shunt of 0.2 mΩ: 4 mV at 20 A, 12 mV at 60 A.
    expect(ownDrop(0.004, 0.01)).toEqual({ counts: 0.4, negligible: true })
    expect(ownDrop(0.012, 0.01).negligible).toBe(false)
  })
})
