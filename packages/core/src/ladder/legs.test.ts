import fc from 'fast-check'
import { ladderEntry, meterOf, rangeOf, revisionOf, trialOf, unitOf } from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { isFigure, type Derived } from '../figures'
import { viewTrial } from '../view'

const meters = [
  meterOf({
    ranges: [
      ...meterOf().ranges.filter(({ reads }) => reads !== 'AC current'),
      rangeOf('AC current', 60, 1, 3, 0.01, { response: 'true RMS', bandwidth: 1000 }),
    ],
  }),
]
const each = claimOf({ value: 1800, eachLeg: true })
const unit = unitOf({ phase: 'split', outputVoltage: 240, outputFrequency: 60, claims: [each] })
const viewOf = (values: Parameters<typeof ladderEntry>[0], more: Parameters<typeof ladderEntry>[1] = {}) =>
  viewTrial(trialOf([revisionOf({ unit, meters })]), [
    ladderEntry({ V_B: 52, I: 60, ...values }, { held: 600, ...more }),
  ])
const value = (derived: Derived | undefined) => (derived && isFigure(derived) ? derived.x.value : NaN)

describe('a split phase', () => {
  const step = viewOf({ V_L1: 118, V_L2: 121, I_L1: 20, I_L2: 8 }).analyses[0]?.ladder.steps[0]

  it('has each leg, their sum, the neutral, the unbalance and what it does to the volts', () => {
    const { legs } = step ?? {}
    expect(legs?.legs.map(({ P }) => value(P))).toEqual([2360, 968])
    expect(value(legs?.sum)).toBe(3328)
    expect(value(legs?.neutral)).toBe(12)
    expect(value(legs?.balance)).toBeCloseTo(1392 / 3328, 9)
    expect(value(legs?.between)).toBe(-3)
    expect(legs?.legs.map(({ regulation }) => Number(value(regulation).toFixed(4)))).toEqual([
      -0.0167, 0.0083,
    ])
  })

  it('stands for output watts and volts where nothing read both together', () => {
    expect(value(step?.P_C)).toBe(3328)
    expect(value(step?.read.V_C)).toBe(239)
    expect(value(step?.regulation)).toBeCloseTo(-2 / 120, 9)
    expect(value(viewOf({ P_C: 3300, P_L1: 2350, P_L2: 970 }).analyses[0]?.ladder.steps[0]?.P_C)).toBe(3300)
  })

  it('does not tell the neutral of motors, nor anything where no leg was read', () => {
    const motors = viewOf({ I_L1: 10, I_L2: 4 }, { kind: 'induction motor' }).analyses[0]?.ladder.steps[0]
    expect(motors?.legs && isFigure(motors.legs.neutral)).toBe(false)
    expect(viewOf({ V_C: 240, P_C: 900 }).analyses[0]?.ladder.steps[0]?.legs).toBeUndefined()
  })

  it('keeps sum and difference: neutral is symmetric, balance turns its sign when the legs are exchanged', () => {
    const amps = fc.double({ min: 0.5, max: 50, noNaN: true })
    fc.assert(
      fc.property(amps, amps, (a, b) => {
        const [one, two] = [
          [a, b],
          [b, a],
        ].map(
          ([x = 0, y = 0]) =>
            viewOf({ V_L1: 120, V_L2: 120, I_L1: x, I_L2: y }).analyses[0]?.ladder.steps[0]?.legs,
        )
        expect(value(one?.neutral)).toBeCloseTo(value(two?.neutral), 9)
        expect(value(one?.balance)).toBeCloseTo(-value(two?.balance), 9)
        expect(value(one?.sum)).toBeCloseTo(120 * (a + b), 6)
      }),
      { numRuns: 30 },
    )
  })

  it('promised of each leg is judged on both, and the worse stands', () => {
    const standing = (values: Parameters<typeof viewOf>[0]) => viewOf(values).findings[0]?.standing
    expect(standing({ P_L1: 1900, P_L2: 1890, V_L1: 119, V_L2: 119 })?.outcome).toBe('met')
    const one = standing({ P_L1: 1900, P_L2: 900, V_L1: 119, V_L2: 120 })
    expect(one?.outcome).toBe('not shown')
    expect(one?.sentence).toMatch(/^L1: 1900 .* was carried .* L2: Not shown: there was no heavier load/)
    expect(one?.sentence).toContain('1800 W on each leg')
  })
})
