import type { EntryOf } from '@even-watt/contract'
import fc from 'fast-check'
import {
  bankOf,
  cleanLadder,
  ladderEntry,
  meterOf,
  noLoadEntry,
  revisionOf,
  rigOf,
  trialOf,
  unitOf,
  uuid,
} from '../../test/makers'
import { isFigure, type Derived } from '../figures'
import { expanded, powerAboveBandwidth, standard } from '../meters'
import type { Analysis } from '../trials'
import { viewTrial } from '../view'
import { efficiencyAt, hasFit, type StepFigures } from '.'

/** What must hold of a ladder whatever was read. */
type Entries = Parameters<typeof viewTrial>[1]

const analyse = (entries: Entries, revision = revisionOf()): Analysis => {
  const analysis = viewTrial(trialOf([revision]), entries).analyses[0]
  if (!analysis) throw new Error('no analysis')
  return analysis
}
const only = (entries: Entries, revision = revisionOf()): StepFigures => {
  const step = analyse(entries, revision).ladder.steps[0]
  if (!step) throw new Error('no step')
  return step
}
const at = (derived: Derived): number => (isFigure(derived) ? derived.x.value : NaN)
const u = (derived: Derived): number => (isFigure(derived) ? standard(derived.x) : NaN)

const reading = fc.record({
  V_A: fc.double({ min: 11, max: 58, noNaN: true }),
  sag: fc.double({ min: 0, max: 2, noNaN: true }),
  I: fc.double({ min: 1, max: 300, noNaN: true }),
  share: fc.double({ min: 0.5, max: 0.97, noNaN: true }),
})
const valuesOf = ({ V_A, sag, I, share }: { V_A: number; sag: number; I: number; share: number }) => ({
  V_A,
  V_B: V_A - sag,
  I,
  P_C: Math.min(2900, share * (V_A - sag) * I),
})

describe('one step, whatever was read', () => {
  it('has a system no better than its unit while B stands below A', () => {
    fc.assert(
      fc.property(reading, (read) => {
        const step = only([ladderEntry(valuesOf(read))])
        expect(at(step.eta_system)).toBeLessThanOrEqual(at(step.eta_unit) + 1e-12)
        expect(at(step.P_systemLoss) - at(step.P_loss)).toBeCloseTo(at(step.P_path), 6)
      }),
      { numRuns: 40 },
    )
  })

  it('knows a drop on one meter at least as well as either of its ends', () => {
    fc.assert(
      fc.property(reading, (read) => {
        const step = only([ladderEntry(valuesOf(read))])
        expect(u(step.drop)).toBeLessThanOrEqual(Math.max(u(step.read.V_A), u(step.read.V_B)) + 1e-12)
      }),
      { numRuns: 40 },
    )
  })

  it('is the same read once, or twice the same, and known no worse then', () => {
    fc.assert(
      fc.property(reading, (read) => {
        const step = uuid(66)
        const once = only([ladderEntry(valuesOf(read), { step })])
        const twice = only([ladderEntry(valuesOf(read), { step }), ladderEntry(valuesOf(read), { step })])
        expect(at(twice.eta_unit)).toBeCloseTo(at(once.eta_unit), 12)
        expect(u(twice.eta_unit)).toBeLessThanOrEqual(u(once.eta_unit))
      }),
      { numRuns: 30 },
    )
  })

  it('knows less with a coarser meter, never more', () => {
    const coarse = meterOf({
      ranges: meterOf().ranges.map((range) => ({
        ...range,
        percent: range.percent * 2,
        count: range.count * 10,
      })),
    })
    fc.assert(
      fc.property(reading, (read) => {
        const fine = only([ladderEntry(valuesOf(read))])
        const rough = only([ladderEntry(valuesOf(read))], revisionOf({ meters: [coarse] }))
        for (const key of ['P_A', 'P_B', 'P_C', 'eta_unit', 'P_loss', 'drop'] as const) {
          expect(u(rough[key])).toBeGreaterThanOrEqual(u(fine[key]))
          expect(at(rough[key])).toBeCloseTo(at(fine[key]), 9)
        }
      }),
      { numRuns: 30 },
    )
  })

  it('is corrected downward by ripple, by no more than its bound', () => {
    const resistance = fc.double({ min: 1e-4, max: 0.05, noNaN: true })
    fc.assert(
      fc.property(reading, resistance, (read, rippleResistance) => {
        const rig = rigOf({ bank: bankOf({ rippleResistance }) })
        const [off, on] = [
          only([ladderEntry(valuesOf(read))]),
          only([ladderEntry(valuesOf(read))], revisionOf({ rig })),
        ]
        const bound = rippleResistance * (0.71 * read.I) ** 2
        expect(at(off.P_A) - at(on.P_A)).toBeCloseTo(bound / 2, 6)
        // Behind B stands the path as well.
        expect(at(off.P_B) - at(on.P_B)).toBeGreaterThanOrEqual(bound / 2 - 1e-9)
      }),
      { numRuns: 30 },
    )
  })
})

describe('ripple at the terminals', () => {
  it('is corrected with the path’s own uncertainty', () => {
    const rig = rigOf({ bank: bankOf({ rippleResistance: 0.01 }) })
    const read = { V_A: 25.92, V_B: 25.61, I: 60, P_C: 1400 }
    const P_B = (counts: number) => {
      const rough = meterOf({
        ranges: meterOf().ranges.map((range) =>
          range.reads === 'DC voltage' ? { ...range, percent: 0, counts: 0, count: counts } : range,
        ),
      })
      return only([ladderEntry(read)], revisionOf({ rig, meters: [rough] })).P_B
    }
    const own = (derived: Derived, counts: number) => {
      // V_B·I and the path (V_A − V_B)/I behind it, each by the meter's rounding and flicker.
      const volt = Math.hypot(counts / Math.sqrt(12), counts / 2)
      const square = (0.71 * 60) ** 2 / 2 / 60
      const [a, b] = [square * volt, (60 + square) * volt]
      return { found: isFigure(derived) ? derived.x.sources : new Map<string, number>(), a, b }
    }
    const { found, a, b } = own(P_B(0.1), 0.1)
    const of = (quantity: string) =>
      [...found].find(([source]) => source.startsWith(`own|${quantity}|`))?.[1] ?? 0
    expect(Math.abs(of('V_A'))).toBeCloseTo(a, 6)
    expect(Math.abs(of('V_B'))).toBeCloseTo(b, 6)
  })
})

describe('a ladder, whatever its order', () => {
  const idle = noLoadEntry({ V_B: 26.4, I: 10.4 / 26.4 })

  it('gives one curve', () => {
    const ladder = cleanLadder()
    const reference = analyse([idle, ...ladder]).ladder.unitFit
    fc.assert(
      fc.property(fc.shuffledSubarray(ladder, { minLength: ladder.length }), (order) => {
        // Taken in another order: other times, other positions, the same loads.
        const retaken = order.map((entry, i): EntryOf<'ladder'> => ({
          ...entry,
          reading: { ...entry.reading, position: i },
        }))
        const fit = analyse([...retaken, idle]).ladder.unitFit
        if (!hasFit(fit) || !hasFit(reference)) throw new Error('no curve')
        expect(efficiencyAt(fit, 500).value).toBeCloseTo(efficiencyAt(reference, 500).value, 10)
        expect(expanded(efficiencyAt(fit, 500))).toBeCloseTo(expanded(efficiencyAt(reference, 500)), 10)
      }),
      { numRuns: 15 },
    )
  })

  it('is known no worse with a step more', () => {
    const ladder = cleanLadder([72, 141, 352, 704, 1052, 1400, 250, 900])
    const band = (count: number) => {
      const fit = analyse([idle, ...ladder.slice(0, count)]).ladder.unitFit
      if (!hasFit(fit)) throw new Error('no curve')
      return expanded(efficiencyAt(fit, 500))
    }
    expect(band(7)).toBeLessThanOrEqual(band(6) * 1.001)
    expect(band(8)).toBeLessThanOrEqual(band(7) * 1.001)
  })

  it('keeps the curve through the truth it was made from', () => {
    const fit = analyse([idle, ...cleanLadder()]).ladder.unitFit
    if (!hasFit(fit)) throw new Error('no curve')
    for (const P of [100, 200, 500, 800, 1200]) {
      const truth = P / (P + 10.4 + 0.021 * P + 3.1e-5 * P ** 2)
      expect(efficiencyAt(fit, P).value).toBeCloseTo(truth, 3)
    }
  })
})

describe('power a true-RMS meter cannot follow', () => {
  it('shrinks with its bandwidth', () => {
    expect(powerAboveBandwidth(1000, 50)).toBeCloseTo(2 / (Math.PI ** 2 * 0.7 * 20), 12)
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 50_000 }), (bandwidth) => {
        expect(powerAboveBandwidth(2 * bandwidth, 50)).toBeLessThanOrEqual(powerAboveBandwidth(bandwidth, 50))
      }),
    )
  })

  it('is added on every wave that is not a sine, stated or not', () => {
    const power = (wave: 'sine' | 'stepped' | 'unstated') =>
      u(only([ladderEntry({ V_C: 226, I_C: 3 })], revisionOf({ unit: unitOf({ wave }) })).P_C)
    expect(power('stepped')).toBe(power('unstated'))
    expect(power('stepped')).toBeGreaterThan(power('sine'))
  })
})
