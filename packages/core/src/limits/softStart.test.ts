import type { Course } from '@even-watt/contract'
import fc from 'fast-check'
import { softStartIn } from './softStart'

/** Volts half cycle by half cycle, from the moment of switching on. */
const course = (volts: (seconds: number) => number, seconds: number, step = 0.01): Course => ({
  from: step,
  step,
  cycle: 2 * step,
  windows: [],
  V_C: Array.from({ length: Math.round(seconds / step) }, (_, k) => volts(k * step)),
  I_C: [],
})

describe('a soft start in its capture', () => {
  it('is eight tenths of a straight rise, whatever its volts', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        fc.double({ min: 90, max: 250, noNaN: true }),
        (rise, V) => {
          const seen = softStartIn(course((t) => V * Math.min(1, t / rise), rise + 0.5))
          expect(seen).toBeCloseTo(0.8 * rise, 2)
        },
      ),
    )
  })

  it('is τ·ln 9 of a rise that levels off', () => {
    const seen = softStartIn(course((t) => 230 * (1 - Math.exp(-t / 0.2)), 3))
    expect(seen).toBeCloseTo(0.2 * Math.log(9), 2)
  })

  it('takes no spike at the end for the volts that it came to', () => {
    const spiked = course((t) => (t > 1.985 ? 900 : 230 * Math.min(1, t / 0.5)), 2)
    expect(softStartIn(spiked)).toBeCloseTo(0.4, 2)
  })

  it('is not told where it ran already, never came, or was hardly captured', () => {
    expect(softStartIn(course(() => 230, 2))).toBeUndefined()
    expect(softStartIn(course(() => 0, 2))).toBeUndefined()
    expect(softStartIn(course((t) => 230 * Math.min(1, t / 0.05), 0.07))).toBeUndefined()
    expect(softStartIn({ from: 0, step: 0.01, cycle: 0.02, windows: [] })).toBeUndefined()
  })
})
