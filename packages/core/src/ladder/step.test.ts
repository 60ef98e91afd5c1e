import fc from 'fast-check'
import {
  bankOf,
  cleanLadder,
  ladderEntry,
  meterOf,
  noLoadEntry,
  rangeOf,
  revisionOf,
  rigOf,
  trialOf,
  unitOf,
  uuid,
  valuesOf,
} from '../../test/makers'
import { oneSided, rippleBoundSine, rippleBoundStepped, rippleOverstatement } from '../conductors'
import { decides, isFigure, type Derived } from '../figures'
import { expanded, standard, uncertain } from '../meters'
import { idleCost, usableEnergy, weakIdle } from '../noLoad'
import { viewTrial } from '../view'
import { hasFit, regulationAgainstNoLoad, regulationAgainstNominal } from '.'

const analyseOne = (entries: Parameters<typeof viewTrial>[1], revision = revisionOf()) => {
  const analysis = viewTrial(trialOf([revision]), entries).analyses[0]
  if (!analysis) throw new Error('no analysis')
  return analysis
}
const stepOf = (entries: Parameters<typeof viewTrial>[1], revision = revisionOf()) => {
  const step = analyseOne(entries, revision).ladder.steps[0]
  if (!step) throw new Error('no step')
  return step
}
const number = (derived: Derived) => (isFigure(derived) ? derived.x.value : NaN)

describe('a step', () => {
  const example = { V_A: 25.92, V_B: 25.61, I: 41.3, P_C: 964 }

  it('gives the worked figures of docs/method', () => {
    const step = stepOf([ladderEntry(example)])
    expect(number(step.P_A)).toBeCloseTo(1070.5, 2)
    expect(number(step.P_B)).toBeCloseTo(1057.69, 2)
    expect(100 * number(step.eta_unit)).toBeCloseTo(91.14, 2)
    expect(100 * number(step.eta_system)).toBeCloseTo(90.05, 2)
    expect(number(step.P_path)).toBeCloseTo(12.8, 2)
    expect(1000 * number(step.R_path)).toBeCloseTo(7.5, 1)
    expect(number(step.P_loss)).toBeCloseTo(93.69, 2)
  })

  it('balances: P_A = path + unit loss + output, whatever was read', () => {
    const reading = fc.record({
      V_A: fc.double({ min: 20, max: 30, noNaN: true }),
      V_B: fc.double({ min: 20, max: 30, noNaN: true }),
      I: fc.double({ min: 0.5, max: 200, noNaN: true }),
      P_C: fc.double({ min: 1, max: 3000, noNaN: true }),
    })
    fc.assert(
      fc.property(reading, (values) => {
        const step = stepOf([ladderEntry(values)])
        expect(number(step.P_path) + number(step.P_loss) + number(step.P_C)).toBeCloseTo(number(step.P_A), 6)
      }),
      { numRuns: 50 },
    )
  })

  it('derives what exists with one voltage only, and says why the rest is missing', () => {
    const entries = [ladderEntry({ V_A: 25.92, I: 41.3, P_C: 964 })]
    const undescribed = stepOf(entries, revisionOf({ rig: rigOf({ leads: 'not known' }) }))
    expect(isFigure(undescribed.eta_system)).toBe(true)
    const missing =
      'The volts at the terminals were not read. Nothing is known of the leads: read at the terminals.'
    expect(undescribed.eta_unit).toEqual({ missing })
    expect(undescribed.P_path).toEqual({ missing })
  })

  it('estimates the terminals from the posts by what is expected of the leads, which decides nothing', () => {
    const step = stepOf([ladderEntry({ V_A: 25.92, I: 41.3, P_C: 964 })])
    // 2.897 mΩ of leads, 0.3 of a fuse and 0.1 of a lug, at 41.3 A.
    expect(number(step.read.V_B)).toBeCloseTo(25.92 - 3.297e-3 * 41.3, 3)
    expect([step.read.V_B, step.eta_unit, step.P_path].map(decides)).toEqual([false, false, false])
    expect(decides(step.eta_system)).toBe(true)
    const read = stepOf([ladderEntry({ V_A: 25.92, V_B: 25.61, I: 41.3, P_C: 964 })])
    expect(decides(read.read.V_B)).toBe(true)
  })

  it('takes V_C·I_C for watts with elements and filaments only', () => {
    const values = { V_B: 25.61, I: 41.3, V_C: 230, I_C: 4.19 }
    expect(number(stepOf([ladderEntry(values)]).P_C)).toBeCloseTo(963.7, 1)
    const motor = stepOf([ladderEntry(values, { kind: 'induction motor' })])
    expect(motor.P_C).toEqual({
      missing: expect.stringContaining('element and filament loads only') as string,
    })
    expect(number(motor.S)).toBeCloseTo(963.7, 1)
  })

  it('adds what the meters cannot follow on a stepped wave', () => {
    const values = { V_C: 226, I_C: 3 }
    const sine = stepOf([ladderEntry(values)])
    const stepped = stepOf([ladderEntry(values)], revisionOf({ unit: unitOf({ wave: 'stepped' }) }))
    expect(
      isFigure(stepped.P_C) && isFigure(sine.P_C) && expanded(stepped.P_C.x) > expanded(sine.P_C.x),
    ).toBe(true)
  })

  it('has watts of a machine from volts, amps and a power factor, and none without one', () => {
    const pump = stepOf([ladderEntry({ V_C: 230, I_C: 2.5, PF: 0.8 }, { kind: 'induction motor' })])
    expect(number(pump.P_C)).toBeCloseTo(460, 6)
    expect(number(pump.S)).toBeCloseTo(575, 6)
    expect(stepOf([ladderEntry({ V_C: 230, I_C: 2.5 }, { kind: 'induction motor' })]).P_C).toMatchObject({
      missing: expect.stringContaining('with a power factor they are with any'),
    })
  })

  it('finds the VA of a low power factor from P/PF, and none when PF is unknown', () => {
    expect(number(stepOf([ladderEntry({ P_C: 600, PF: 0.6 }, { kind: 'electronic' })]).S)).toBeCloseTo(
      1000,
      6,
    )
    expect(isFigure(stepOf([ladderEntry({ P_C: 600 }, { kind: 'electronic' })]).S)).toBe(false)
  })

  it('averages repeats, and does not care in which order they arrived', () => {
    const step = uuid(77)
    const entries = [24.9, 24.92, 24.94].map((V_B) => ladderEntry({ V_B, I: 60 }, { step }))
    const forward = stepOf(entries)
    const backward = stepOf([...entries].reverse())
    expect(number(forward.read.V_B)).toBeCloseTo(24.92, 9)
    expect(number(backward.P_B)).toBe(number(forward.P_B))
  })

  it('prefers a measured value to a display, and marks what is left', () => {
    const mixed = ladderEntry(
      {},
      { values: [...valuesOf({ V_B: 25.6 }), { quantity: 'V_B', value: 26, grade: 'display' }] },
    )
    expect(number(stepOf([mixed]).read.V_B)).toBe(25.6)
    const display = stepOf([
      ladderEntry({}, { values: [{ quantity: 'V_B', value: 26, grade: 'display' }, ...valuesOf({ I: 10 })] }),
    ])
    expect(isFigure(display.P_B) && display.P_B.grade).toBe('display')
  })

  it('takes the meter with the smaller uncertainty of two, and says that they contradict', () => {
    const coarse = meterOf({ id: uuid(4), name: 'Pocket', ranges: [rangeOf('AC voltage', 600, 1.2, 5, 1)] })
    const revision = revisionOf({ meters: [meterOf(), coarse] })
    const step = stepOf(
      [ladderEntry({}, { values: [...valuesOf({ V_C: 213 }, uuid(4)), ...valuesOf({ V_C: 226 })] })],
      revision,
    )
    expect(number(step.read.V_C)).toBe(226)
    expect(isFigure(step.read.V_C) && step.read.V_C.working.notes.join()).toContain(
      'Pocket contradicts it (E_n',
    )
  })
})

describe('ripple', () => {
  it('overstates the input by 18 W of 1440 in the worked example', () => {
    expect(rippleOverstatement(0.01, 60 / Math.SQRT2)).toBeCloseTo(18, 9)
  })

  it('corrects by half the bound and adds its rectangular share', () => {
    expect(oneSided(18)).toEqual({ correction: -9, u: 18 / (2 * Math.sqrt(3)) })
    expect(rippleBoundSine(0.5)).toBeCloseTo(1.42, 9)
    expect(rippleBoundStepped(0.5)).toBe(1)
    expect(rippleBoundStepped(1)).toBe(0)
  })

  it('is off without a resistance and on with one, and working says which', () => {
    const values = { V_A: 24, V_B: 24, I: 60, P_C: 1300 }
    const off = stepOf([ladderEntry(values)])
    const rig = rigOf({ bank: bankOf({ rippleResistance: 0.01 }) })
    const on = stepOf([ladderEntry(values)], revisionOf({ rig }))
    expect(number(off.P_A)).toBe(1440)
    expect(number(on.P_A)).toBeCloseTo(1440 - (0.01 * (0.71 * 60) ** 2) / 2, 6)
    expect(isFigure(off.P_A) && off.P_A.working.notes.join()).toContain('off')
    expect(isFigure(on.P_A) && on.P_A.working.notes.join()).toContain('Ripple correction on')
    expect(isFigure(on.P_A) && isFigure(off.P_A) && standard(on.P_A.x) > standard(off.P_A.x)).toBe(true)
  })
})

describe('regulation', () => {
  it('is counted against no load downward and against nominal with its sign', () => {
    const [noLoad, loaded] = [uncertain(231.4, 'spec|m|r', 1), uncertain(229.3, 'spec|m|r', 1)]
    expect(100 * regulationAgainstNoLoad(noLoad, loaded).value).toBeCloseTo(0.9075, 3)
    expect(100 * regulationAgainstNominal(loaded, 230).value).toBeCloseTo(-0.304, 3)
    // One meter read both: most of its factor cancels.
    expect(standard(regulationAgainstNoLoad(noLoad, loaded))).toBeLessThan(1e-4)
  })

  it('uses the no-load reading of the same rig', () => {
    const analysis = analyseOne([noLoadEntry({ V_C: 231.4 }), ladderEntry({ V_C: 229.3 })])
    expect(100 * number(analysis.ladder.steps[0]?.regulationNoLoad ?? { missing: '' })).toBeCloseTo(0.9075, 3)
  })
})

describe('idle draw', () => {
  const bank = bankOf()

  it('costs watt-hours a day and a share of the bank', () => {
    const cost = idleCost(uncertain(10.4, 's', 0.05), bank)
    expect(usableEnergy(bank)).toBeCloseTo(3456, 9)
    expect(cost.perDay.value).toBeCloseTo(249.6, 9)
    expect((cost.perNight ?? cost.perDay).value).toBeCloseTo(124.8 / 3456, 12)
    expect(cost.daysUntilFlat?.value).toBeCloseTo(3456 / 249.6, 9)
    expect(standard(cost.daysUntilFlat ?? cost.perDay)).toBeCloseTo((3456 / 249.6) * (0.05 / 10.4), 9)
  })

  it('says nothing of days at no draw', () => {
    expect(idleCost(uncertain(0, 's', 1), bank).daysUntilFlat).toBeUndefined()
  })

  it('is weak under 20 counts or inside the offset of the meter', () => {
    expect(weakIdle(0.4, { count: 0.1, counts: 3 })).toContain('under 20')
    expect(weakIdle(0.3, { count: 0.1, counts: 3 })).toContain('offset')
    expect(weakIdle(0.394, { count: 0.001, counts: 3 })).toBeUndefined()
  })

  it('stands in the curve as S = 0', () => {
    const analysis = analyseOne([noLoadEntry({ V_B: 26.4, I: 10.4 / 26.4 }), ...cleanLadder()])
    expect(
      hasFit(analysis.ladder.unitFit) && analysis.ladder.unitFit.residuals.map((residual) => residual.key),
    ).toContain('idle')
    expect(hasFit(analysis.ladder.unitFit) && analysis.ladder.unitFit.p0.value).toBeCloseTo(10.4, 1)
  })
})

describe('without a DC ammeter', () => {
  const rig = rigOf({
    assignments: [
      { quantity: 'V_B', meter: uuid(1) },
      { quantity: 'P_C', meter: uuid(1) },
    ],
  })
  const step = stepOf([ladderEntry({ V_A: 25.9, V_B: 25.6, P_C: 964 })], revisionOf({ rig }))

  it('bounds the input by an assumed efficiency, marked estimated', () => {
    const { P_B } = step
    if (!isFigure(P_B)) throw new Error('no P_B')
    expect(P_B.grade).toBe('estimated')
    // Between 75 % and 97 %: wide enough to hold both ends.
    expect(P_B.x.value - 2 * standard(P_B.x)).toBeLessThan(964 / 0.97)
    expect(P_B.x.value + 2 * standard(P_B.x)).toBeGreaterThan(964 / 0.8)
    expect(isFigure(step.read.I) && step.read.I.working.notes.join()).toContain('No DC ammeter')
  })

  it('gives no efficiency and no loss, which would follow from the assumption', () => {
    for (const figure of [step.eta_unit, step.eta_system, step.P_loss]) {
      expect(figure).toMatchObject({ missing: expect.stringContaining('DC ammeter is needed') as string })
    }
  })

  it('leaves a missing reading missing where an ammeter is hung up', () => {
    const metered = rigOf({ assignments: [{ quantity: 'I', meter: uuid(1) }] })
    const read = stepOf([ladderEntry({ V_B: 25.6, P_C: 964 })], revisionOf({ rig: metered }))
    expect(read.P_B).toMatchObject({ missing: 'The input current was not read.' })
  })
})
