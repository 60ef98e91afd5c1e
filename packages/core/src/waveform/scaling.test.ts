import fc from 'fast-check'
import { captured, harmonic, sampled } from '../../test/waves'
import { imagine } from './imagined'
import { analyseCapture } from './analyse'

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })

describe('figures of a wave', () => {
  it('scale with it, keep its class, and hold Parseval’s sum', () => {
    fc.assert(
      fc.property(
        between(0, 0.3),
        between(0, 360),
        between(0.01, 100),
        between(49, 61),
        (share, degrees, factor, f) => {
          const shape = harmonic([1, 10, 0], [3, 10 * share, degrees], [7, 10 * share * share, 2 * degrees])
          const one = captured(sampled(shape, { f, rate: 10_000 }), 10_000)
          const other = captured(
            sampled((turn) => factor * shape(turn), { f, rate: 10_000 }),
            10_000,
          )
          const [a, b] = [one.channels[0], other.channels[0]]
          expect((b?.rms ?? 0) / (a?.rms ?? 1)).toBeCloseTo(factor, 6)
          expect(b?.wave?.thd).toBeCloseTo(a?.wave?.thd ?? NaN, 9)
          expect(b?.wave?.class).toBe(a?.wave?.class)
          const parts = Math.hypot(a?.dc ?? NaN, ...(a?.wave?.harmonics ?? []))
          expect(parts).toBeCloseTo(a?.rms ?? NaN, 9)
        },
      ),
      { numRuns: 40 },
    )
  })
  it('do not ask where in its cycle the record begins', () => {
    const shape = harmonic([1, 230, 0], [5, 20, 77])
    const at = (start: number) => captured(sampled(shape, { start, f: 50.3 })).channels[0]?.wave?.phases[4]
    expect(at(0.6)).toBeCloseTo(at(0.1) ?? NaN, 6)
  })
})

describe('an imagined wave', () => {
  it('has the RMS it was asked for, stepped or clipped', () => {
    for (const bent of [{ plateau: 0.7 }, { clip: 0.8 }, { harmonics: [{ h: 5, share: 0.1, degrees: 40 }] }])
      expect(
        analyseCapture(imagine({ rms: 226, frequency: 50, ...bent })).figures.channels[0]?.rms,
      ).toBeCloseTo(226, 1)
  })
  it('a rectifier with a capacitor draws its watts in pulses', () => {
    const { figures } = analyseCapture(imagine({ rms: 230, frequency: 50, electronicLoad: 65 }))
    const [, amps] = figures.channels
    expect(figures.P).toBeGreaterThan(60)
    expect(figures.P).toBeLessThan(72)
    expect((amps?.max ?? 0) / (amps?.rms ?? 1)).toBeGreaterThan(2.2)
    expect(amps?.wave?.thd).toBeGreaterThan(0.8)
  })
})
