import fc from 'fast-check'
import { cleanLadder, ladderEntry, noLoadEntry, revisionOf, trialOf, unitOf } from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { hasFit, lossAt } from '../ladder'
import { viewTrial } from '../view'
import {
  batteriesNeeded,
  besideVoltages,
  eachAlone,
  everyday,
  everydayEnergy,
  needOf,
  ratingToBuy,
  runsFor,
  unitForNeed,
  type NeedLine,
} from '.'

const line = (watts: number, hours: number, more: Partial<NeedLine> = {}): NeedLine => ({
  name: `${watts} W`,
  watts,
  hours,
  ...more,
})

describe('what an owner’s loads ask', () => {
  it('is everything at once, and a day in which all begin together', () => {
    const need = needOf([line(90, 24), line(400, 2), line(60, 5), line(0, 9), line(50, 0)])
    expect(need.peak).toBe(550)
    expect(need.day).toBe(90 * 24 + 800 + 300)
    expect(need.parts).toEqual([
      { hours: 2, watts: 550 },
      { hours: 3, watts: 150 },
      { hours: 19, watts: 90 },
    ])
  })

  it('always fills one day, keeps its energy, and does not care for the order', () => {
    const lines = fc.array(
      fc.record({ watts: fc.integer({ min: 1, max: 900 }), hours: fc.integer({ min: 1, max: 24 }) }),
      { minLength: 1, maxLength: 8 },
    )
    fc.assert(
      fc.property(lines, (some) => {
        const { parts, day, peak } = needOf(some.map(({ watts, hours }) => line(watts, hours)))
        const sum = (of: (part: (typeof parts)[number]) => number) =>
          parts.reduce((total, part) => total + of(part), 0)
        expect(sum(({ hours }) => hours)).toBeCloseTo(24, 9)
        expect(sum(({ hours, watts }) => hours * watts)).toBeCloseTo(day, 6)
        expect(parts[0]?.watts).toBe(peak)
        expect(needOf(some.map(({ watts, hours }) => line(watts, hours)).reverse()).parts).toEqual(parts)
      }),
    )
    expect(needOf([])).toEqual({ peak: 0, day: 0, parts: [{ hours: 24, watts: 0 }] })
  })
})

const mains = { volts: 230, hertz: 50 }

describe('a tested unit for a need', () => {
  const idle = noLoadEntry({ V_B: 26.4, I: 0.394 })
  const held = cleanLadder().map((entry) => ({ ...entry, reading: { ...entry.reading, held: 600 } }))
  const [analysis] = viewTrial(trialOf([revisionOf()]), [idle, ...held]).analyses
  if (!analysis) throw new Error('no analysis')
  const { unitFit } = analysis.ladder
  if (!hasFit(unitFit)) throw new Error('no curve')
  const ask = (lines: readonly NeedLine[]) => unitForNeed(needOf(lines), lines, analysis, mains)

  it('fits where as much was carried; its bank gives the outlet’s watts, its losses, and its idle for the rest', () => {
    const { carries, fromBank, verdict } = ask([line(500, 4)])
    expect(verdict).toBe('fits')
    expect(carries.why).toMatch(/was carried/)
    const idleWatts = 26.4 * 0.394
    expect(fromBank).toBeCloseTo(4 * (500 + lossAt(unitFit, 500).value) + 20 * idleWatts, 6)
  })

  it('made for other mains does not fit, or is not known to', () => {
    const lines = [line(500, 4)]
    const on = (volts: number, hertz: number) => unitForNeed(needOf(lines), lines, analysis, { volts, hertz })
    expect(on(120, 60)).toMatchObject({ verdict: 'does not fit', mains: { why: 'It gives 230 V, 50 Hz.' } })
    expect(on(240, 50)).toMatchObject({ verdict: 'fits' })
    expect(on(220, 60)).toMatchObject({ verdict: 'not known', mains: { answer: 'not shown' } })
    const legs = revisionOf({ unit: unitOf({ outputVoltage: 120, outputFrequency: 60, phase: 'split' }) })
    const [split] = viewTrial(trialOf([legs]), cleanLadder()).analyses
    if (!split) throw new Error('no analysis')
    expect(unitForNeed(needOf(lines), lines, split, { volts: 240, hertz: 60 }).mains.answer).toBe('yes')
    expect(unitForNeed(needOf(lines), lines, split, { volts: 120, hertz: 60 }).mains.answer).toBe('yes')
  })

  it('that nobody loaded so far is not called able or unable', () => {
    const { carries, verdict, fromBank } = ask([line(9000, 4)])
    expect(carries).toMatchObject({ answer: 'not shown' })
    expect(verdict).toBe('not known')
    expect(fromBank).toEqual({ missing: expect.stringMatching(/known from .* to .* only/) as string })
  })

  it('over what its label promises is refused, with what is lacking, and what it carries alone is told', () => {
    const unit = unitOf({ claims: [claimOf({ value: 1400 })] })
    const [rated] = viewTrial(trialOf([revisionOf({ unit })]), [idle, ...held]).analyses
    if (!rated) throw new Error('no analysis')
    const lines = [line(1500, 1), line(500, 1)]
    expect(unitForNeed(needOf(lines), lines, rated, mains)).toMatchObject({
      verdict: 'does not fit',
      carries: { answer: 'no', why: 'Its label promises 1400 W: 600 W too little.' },
    })
    expect(eachAlone(lines, rated).map(({ carries }) => carries.answer)).toEqual(['no', 'yes'])
  })

  it('wants a label with a fifth to spare, and for the hardest start beside all else', () => {
    const pump = { ...line(300, 1), inrush: 6 }
    expect(ratingToBuy([line(800, 2), pump])).toEqual({ watts: 1375, surge: 3200 })
    expect(ratingToBuy([line(800, 2)])).toEqual({ watts: 1000 })
  })

  it('keeps, under its lightest step, between what it draws idle and what it keeps there', () => {
    const idleWatts = 26.4 * 0.394
    const least = lossAt(unitFit, unitFit.low).value
    const halfway = unitFit.low / 2
    expect(ask([line(halfway, 24)]).fromBank).toBeCloseTo(24 * (halfway + (idleWatts + least) / 2), 6)
    // It goes on from the curve without a jump, and never under idle.
    fc.assert(
      fc.property(fc.double({ min: 1, max: unitFit.low, noNaN: true }), (watts) => {
        const kept = (ask([line(watts, 24)]).fromBank as number) / 24 - watts
        expect(kept).toBeGreaterThanOrEqual(Math.min(idleWatts, least) - 1e-9)
        expect(kept).toBeLessThanOrEqual(Math.max(idleWatts, least) + 1e-9)
      }),
    )
    const noIdle = viewTrial(trialOf([revisionOf()]), cleanLadder()).analyses[0]
    if (!noIdle) throw new Error('no analysis')
    const light = [line(halfway, 24)]
    expect(unitForNeed(needOf(light), light, noIdle, mains).fromBank).toEqual({
      missing: expect.stringMatching(/known from/) as string,
    })
  })

  it('asks about every machine that starts harder than it runs, beside all else', () => {
    const { starts, verdict } = ask([line(300, 4), line(200, 1, { name: 'pump', inrush: 6 })])
    expect(starts.map(({ name, found }) => [name, found.answer])).toEqual([['pump', 'not shown']])
    expect(verdict).toBe('not known')
  })

  it('without a curve or an idle draw says which is missing', () => {
    const bare = viewTrial(trialOf([revisionOf()]), [ladderEntry({ V_B: 26, I: 20, P_C: 480 })]).analyses[0]
    if (!bare) throw new Error('no analysis')
    const lines = [line(400, 3)]
    expect(unitForNeed(needOf(lines), lines, bare, mains).fromBank).toEqual({
      missing: expect.stringMatching(/three steps/) as string,
    })
    const noIdle = viewTrial(trialOf([revisionOf()]), cleanLadder()).analyses[0]
    if (!noIdle) throw new Error('no analysis')
    expect(unitForNeed(needOf(lines), lines, noIdle, mains).fromBank).toEqual({
      missing: 'Its idle draw was not read.',
    })
    const always = [line(400, 24)]
    expect(unitForNeed(needOf(always), always, noIdle, mains).fromBank).toBeGreaterThan(24 * 400)
  })
})

describe('how many batteries', () => {
  const battery = { volts: 12.8, capacity: 100, usable: 0.8, limit: 100 }

  it('hold the energy and carry the amps: the larger decides', () => {
    // One string of two holds 2 · 12.8 · 100 · 0.8 = 2048 Wh.
    expect(batteriesNeeded(battery, { Wh: 5000, amps: 60, nominal: 24 })).toEqual({
      series: 2,
      strings: 3,
      total: 6,
      byEnergy: 3,
      byCurrent: 1,
    })
    expect(batteriesNeeded(battery, { Wh: 500, amps: 250, nominal: 12 })).toMatchObject({
      series: 1,
      strings: 3,
      byEnergy: 1,
      byCurrent: 3,
    })
    expect(
      batteriesNeeded({ ...battery, limit: undefined }, { Wh: 2048, amps: 900, nominal: 24 }),
    ).toMatchObject({
      strings: 1,
      byCurrent: undefined,
    })
  })

  it('none, where they do not add up to the input or say nothing', () => {
    expect(batteriesNeeded({ ...battery, volts: 25.6 }, { Wh: 500, amps: 9, nominal: 12 })).toBeUndefined()
    expect(batteriesNeeded({ ...battery, volts: 36 }, { Wh: 500, amps: 9, nominal: 48 })).toBeUndefined()
    expect(batteriesNeeded({ ...battery, capacity: 0 }, { Wh: 500, amps: 9, nominal: 12 })).toBeUndefined()
    expect(batteriesNeeded(battery, { Wh: 0, amps: 9, nominal: 12 })).toBeUndefined()
  })
})

describe('12, 24 and 48 V side by side', () => {
  it('halve the amps each time: the handbook’s 70.5 A and 88 A, fused at 100 A', () => {
    const [twelve, twentyFour, fortyEight] = besideVoltages(1400, 0.92, 1)
    expect(twentyFour?.amps).toBeCloseTo(70.45, 2)
    expect(twentyFour?.design).toBeCloseTo(88.06, 2)
    expect(twentyFour?.mainFuse).toBe(100)
    expect(twelve?.amps).toBeCloseTo(2 * 70.45, 1)
    expect(fortyEight?.amps).toBeCloseTo(70.45 / 2, 2)
    expect(twentyFour?.bar).toBeCloseTo(44.03, 2)
    expect(fortyEight?.breaks).toBeCloseTo(57.6, 9)
  })

  it('never waste more in the leads at a higher voltage than 3 % of what they carry', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 2500 }), fc.integer({ min: 3, max: 40 }), (watts, tenths) => {
        for (const { wasted, amps, nominal } of besideVoltages(watts, 0.9, tenths / 10))
          if (wasted !== undefined) expect(wasted).toBeLessThanOrEqual(0.03 * nominal * amps + 1e-6)
      }),
    )
  })

  it('say so where no cable of the table is enough', () => {
    expect(besideVoltages(20_000, 0.9, 5)[0]).toMatchObject({ cable: undefined, wasted: undefined })
  })
})

describe('in an outage', () => {
  // The demo's station: 871 Wh at 300 W, 812 Wh at 800 W.
  const curve = [
    { watts: 300, Wh: 871 },
    { watts: 800, Wh: 812 },
  ]
  it('runs as long as was measured, between what was tried', () => {
    expect(runsFor(curve, 300)).toEqual({ hours: 871 / 300, atMost: false })
    expect(runsFor(curve, 550)).toEqual({ hours: 841.5 / 550, atMost: false })
  })
  it('is at most so long under the lightest, and not answered over the heaviest', () => {
    expect(runsFor(curve, 65)).toEqual({ hours: 871 / 65, atMost: true })
    expect(runsFor(curve, 1000)).toEqual({ missing: 'Only 800 W was run down.' })
    expect(runsFor([], 50)).toEqual({ missing: 'Nothing was run down.' })
    expect(runsFor(curve, 0)).toEqual({ missing: 'Nothing runs.' })
  })
})

describe('everyday words', () => {
  it.each([
    [0.2, undefined],
    [8, 'as much as a bright lamp'],
    [95, 'as much as a lamp of old, too hot to touch'],
    [2000, 'as much as a kettle'],
  ])('%d W', (watts, said) => expect(everyday(watts)).toBe(said))

  it('count kettles of energy', () => {
    expect(everydayEnergy(160)).toBe('enough for 1 kettle of boiling water')
    expect(everydayEnergy(3200)).toBe('enough for 20 kettles of boiling water')
    expect(everydayEnergy(10)).toBeUndefined()
  })
})
