import fc from 'fast-check'
import {
  ladderEntry,
  meterOf,
  noLoadEntry,
  rangeOf,
  revisionOf,
  rigOf,
  trialOf,
  uuid,
} from '../../test/makers'
import { decides, isFigure, type Derived } from '../figures'
import { expanded } from '../meters'
import { viewTrial } from '../view'

const wattmeter = meterOf({
  ranges: [
    ...meterOf().ranges,
    rangeOf('DC power', 6000, 1, 2, 0.1),
    rangeOf('charge', 1000, 1, 2, 0.01),
    rangeOf('energy', 10_000, 1, 2, 0.1),
  ],
})
const hung = (...quantities: ('I_bank' | 'P_B' | 'Q_B' | 'E_B' | 'V_A')[]) =>
  quantities.map((quantity) => ({ quantity, meter: uuid(1) }))
const analyse = (entries: Parameters<typeof viewTrial>[1], rig = rigOf()) => {
  const analysis = viewTrial(trialOf([revisionOf({ rig, meters: [wattmeter] })]), entries).analyses[0]
  if (!analysis) throw new Error('no analysis')
  return analysis
}
const stepOf = (...args: Parameters<typeof analyse>) => {
  const step = analyse(...args).ladder.steps[0]
  if (!step) throw new Error('no step')
  return step
}
const number = (derived: Derived) => (isFigure(derived) ? derived.x.value : NaN)

describe('input without an ammeter in the unit’s lead', () => {
  it('takes a DC wattmeter’s watts, and the current from them', () => {
    const step = stepOf([ladderEntry({ V_A: 25.92, V_B: 25.61, P_B: 1057.7, P_C: 964 })])
    expect(number(step.P_B)).toBe(1057.7)
    expect(number(step.read.I)).toBeCloseTo(41.3, 2)
    expect(100 * number(step.eta_unit)).toBeCloseTo(91.14, 2)
    expect(number(step.P_path)).toBeCloseTo(12.8, 2)
    expect(decides(step.eta_unit)).toBe(true)
  })

  it('knows the unit’s efficiency from watts in and out alone', () => {
    const step = stepOf([ladderEntry({ P_B: 1057.7, P_C: 964 })])
    expect(100 * number(step.eta_unit)).toBeCloseTo(91.14, 2)
    expect(isFigure(step.read.I)).toBe(false)
  })

  it('takes the better known of wattmeter and V·I, and notes where they contradict', () => {
    const agreeing = stepOf([ladderEntry({ V_B: 25.61, I: 41.3, P_B: 1058, P_C: 964 })])
    const product = stepOf([ladderEntry({ V_B: 25.61, I: 41.3, P_C: 964 })])
    const smaller = (a: Derived, b: Derived) => isFigure(a) && isFigure(b) && expanded(a.x) < expanded(b.x)
    expect(smaller(agreeing.P_B, product.P_B)).toBe(true)
    const apart = stepOf([ladderEntry({ V_B: 25.61, I: 41.3, P_B: 1200, P_C: 964 })]).P_B
    expect(isFigure(apart) && apart.working.notes.join()).toContain('V_B·I contradicts it (E_n')
  })

  it('turns Wh and Ah over the time held into watts and amps', () => {
    const entry = ladderEntry({ V_B: 25.61, E_B: 176.283, Q_B: 6.8833, P_C: 964 }, { held: 600 })
    const step = stepOf([entry])
    expect(number(step.read.I)).toBeCloseTo(41.3, 3)
    // V_B·I of them, not the counter: both are known, and the volts are.
    expect(number(step.P_B)).toBeCloseTo(1057.69, 1)
    expect(number(stepOf([ladderEntry({ E_B: 176.283, P_C: 964 }, { held: 600 })]).P_B)).toBeCloseTo(
      1057.7,
      2,
    )
    expect(isFigure(stepOf([ladderEntry({ E_B: 176.283, P_C: 964 })]).P_B)).toBe(false)
  })

  it('energy balance: watts counted are watts read, whatever the time', () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 36_000 }), fc.integer({ min: 10, max: 3000 }), (held, watts) => {
        const counted = stepOf([ladderEntry({ E_B: (watts * held) / 3600, P_C: 5 }, { held })])
        expect(number(counted.P_B)).toBeCloseTo(watts, 6)
      }),
      { numRuns: 30 },
    )
  })

  it('does not decide by a counter that was not zeroed', () => {
    const stale = stepOf([ladderEntry({ E_B: 500, P_C: 964 }, { held: 60 })])
    expect(decides(stale.P_B) || decides(stale.eta_unit)).toBe(false)
    expect(isFigure(stale.P_B) && stale.P_B.refused?.todo).toContain('Zero the counter')
    const amps = stepOf([ladderEntry({ V_B: 25.6, Q_B: 20, P_C: 964 }, { held: 60 })])
    expect(decides(amps.eta_unit)).toBe(false)
  })

  it('takes the bank’s current for the unit’s only where the bank alone feeds it', () => {
    const entry = ladderEntry({ V_A: 25.92, V_B: 25.61, I_bank: 41.3, P_C: 964 })
    const alone = rigOf({ assignments: hung('I_bank') })
    expect(100 * number(stepOf([entry], alone).eta_unit)).toBeCloseTo(91.14, 2)
    const support = { kind: 'charger', name: 'Charger', current: 30, ownUse: 0 } as const
    const helped = stepOf([entry], rigOf({ assignments: hung('I_bank'), support }))
    expect(isFigure(helped.eta_unit)).toBe(false)
    const onOne = rigOf({
      bank: {
        ...rigOf().bank,
        strings: [...rigOf().bank.strings, ...rigOf().bank.strings],
        join: { kind: 'in line', positive: [0.001], negative: [0.001], positiveAt: 0, negativeAt: 0 },
      },
      assignments: [{ quantity: 'I_bank', meter: uuid(1), on: uuid(30) }],
    })
    expect(isFigure(stepOf([entry], onOne).eta_unit)).toBe(false)
  })

  it('reads idle from the wattmeter, or from Wh over a night', () => {
    expect(number(analyse([noLoadEntry({ P_B: 10.4 })]).noLoad.on.P_idle)).toBeCloseTo(10.4, 9)
    const night = analyse([noLoadEntry({ E_B: 124.8 }, { held: 12 * 3600 })]).noLoad.on.P_idle
    expect(number(night)).toBeCloseTo(10.4, 9)
    expect(decides(night)).toBe(true)
  })

  it('refuses idle watts of a counter too while something is connected', () => {
    const loaded = analyse([noLoadEntry({ P_B: 70.4, P_C: 60 })]).noLoad.on.P_idle
    expect(decides(loaded)).toBe(false)
  })
})
