import { halfWidth } from '@even-watt/core'
import fc from 'fast-check'
import { seeded } from '../random'
import { stationMeters as m } from '../scenario/meters'
import { unitModels } from '../scenario/units'
import { lossOf, outputVoltage, steppedDistortion } from '../units/unit'
import { instrument, show } from './instrument'

const sine = { kind: 'sine' } as const
const stepped = { kind: 'stepped', delta: 0.72, frequency: 50 } as const
const quiet = () => ({ random: seeded(1), counts: 0 })

describe('a meter of the stand-in bench', () => {
  it('errs inside its specification, plus half a count of rounding, always by the same factor', () => {
    const range = m.dmm1.ranges.find(({ upTo }) => upTo === 60)
    if (!range) throw new Error('no range')
    fc.assert(
      fc.property(fc.integer(), fc.double({ min: 1, max: 59, noNaN: true }), (seed, volts) => {
        const meter = instrument(m.dmm1, seeded(seed))
        const shown = show(meter, 'DC voltage', volts, sine, quiet())
        expect(Math.abs(shown - volts)).toBeLessThanOrEqual(halfWidth(range, volts) + range.count / 2 + 1e-9)
        expect(show(meter, 'DC voltage', volts, sine, quiet())).toBe(shown)
      }),
    )
  })

  it('shows whole counts', () => {
    const meter = instrument(m.shunt, seeded(4))
    for (const amps of [0.4, 12.345, 60.3]) {
      const counts = show(meter, 'DC current', amps, sine, quiet()) / 0.05
      expect(counts).toBeCloseTo(Math.round(counts), 9)
    }
  })

  it('reads a stepped wave by its response: average about 5.8 % low, true RMS nearly right', () => {
    const none = { meter: m.pocket, factors: new Map<string, number>() }
    expect(show(none, 'AC voltage', 226, stepped, quiet())).toBe(213)
    const rms = { meter: m.dmm2, factors: new Map<string, number>() }
    const shown = show(rms, 'AC voltage', 226, stepped, quiet())
    expect(shown).toBeGreaterThan(224)
    expect(shown).toBeLessThanOrEqual(226)
  })

  it('never shows a power factor over 1, and complains of what it cannot read', () => {
    const high = { meter: m.wattmeter, factors: new Map(m.wattmeter.ranges.map((range) => [range.id, 1])) }
    expect(show(high, 'power factor', 1, sine, quiet())).toBe(1)
    expect(() => show(high, 'DC voltage', 12, sine, quiet())).toThrow('does not read DC voltage')
  })
})

describe('units of the stand-in bench', () => {
  it('give the worked distortion of a stepped wave: 29.1 % at δ = 0.72, 31.1 % at 2/3 (§16)', () => {
    expect(100 * steppedDistortion(0.72)).toBeCloseTo(29.1, 1)
    expect(100 * steppedDistortion(2 / 3)).toBeCloseTo(31.1, 1)
  })

  it('lose more with load, and the fan on top from its threshold', () => {
    expect(lossOf(unitModels.ottrel, 0)).toEqual({ watts: 10.4, fan: false })
    const [before, after] = [lossOf(unitModels.ottrel, 259.999), lossOf(unitModels.ottrel, 260)]
    expect(after.watts - before.watts).toBeCloseTo(2.5, 3)
    expect(outputVoltage(unitModels.ottrel, 1400)).toBeCloseTo(229.3, 6)
  })
})
