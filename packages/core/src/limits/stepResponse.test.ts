import type { Course } from '@even-watt/contract'
import fc from 'fast-check'
import { stepResponse } from '.'

const step = 0.01
const courseOf = (seconds: number, at: (t: number) => { V: number; I: number }, before = 0.5): Course => {
  const points = Array.from({ length: Math.round((seconds + before) / step) }, (_, i) =>
    at(i * step - before),
  )
  return {
    from: 0.01,
    step,
    cycle: 0.02,
    windows: [],
    V_C: points.map(({ V }) => V),
    I_C: points.map(({ I }) => I),
  }
}

describe('the output when its load changes', () => {
  it('has dip, overshoot, and the time until it stays within 1 % of the new level', () => {
    // 231 V, down to 218 V, back up past 228 V, settled after 0.15 s.
    const seen = stepResponse(
      courseOf(2, (t) => (t < 0 ? { V: 231, I: 0.3 } : { V: t < 0.1 ? 218 : t < 0.15 ? 233 : 228, I: 5 })),
    )
    expect(seen).toMatchObject({
      before: 231,
      after: 228,
      lowest: 218,
      highest: 233,
      hunts: undefined,
      blanked: undefined,
    })
    expect(seen?.back).toBeCloseTo(0.15, 2)
  })

  it('hunts where it swings by over 0.5 % at a steady load, and noise is no swing', () => {
    const swinging = (share: number) =>
      courseOf(4, (t) => ({
        V: 228 * (1 + (t > 0 ? share * Math.sin(2 * Math.PI * 3 * t) : 0)),
        I: t < 0 ? 0.3 : 5,
      }))
    expect(stepResponse(swinging(0.006))?.hunts).toBeCloseTo(3, 0)
    expect(stepResponse(swinging(0.001))?.hunts).toBeUndefined()
  })

  it('blanks only after a release', () => {
    const gap = (t: number) => t > 0 && t < 0.06
    const blanked = (from: number, to: number) =>
      stepResponse(courseOf(2, (t) => ({ V: gap(t) ? 5 : 230, I: t < 0 ? from : gap(t) ? 0 : to })))?.blanked
    expect(blanked(5, 0.5)).toBeCloseTo(0.05, 1)
    expect(blanked(0.5, 5)).toBeUndefined()
  })

  it('is not told where no load changes, nor from what is too short', () => {
    expect(stepResponse(courseOf(2, () => ({ V: 230, I: 3 })))).toBeUndefined()
    expect(stepResponse({ from: 0, step, cycle: 0.02, windows: [], V_C: [230], I_C: [1] })).toBeUndefined()
  })

  it('scales with the volts', () => {
    const one = courseOf(1, (t) => (t < 0 ? { V: 120, I: 1 } : { V: t < 0.1 ? 104 : 119, I: 9 }))
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 4, noNaN: true }), (k) => {
        const scaled = stepResponse({ ...one, V_C: (one.V_C ?? []).map((volts) => volts * k) })
        expect(scaled?.lowest).toBeCloseTo(104 * k, 6)
        expect(scaled?.back).toBe(stepResponse(one)?.back)
      }),
    )
  })
})
