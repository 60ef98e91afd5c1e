import fc from 'fast-check'
import { courseOf } from './course'
import { halfCycleRms } from './halfCycles'
import { highestMean, summed } from './running'

/** 2600 W for 0.3 s, then 400 + 2200·e^(−(t − 0.3)/0.8): the method's example. */
const watts = (t: number) => (t < 0.3 ? 2600 : 400 + 2200 * Math.exp(-(t - 0.3) / 0.8))
const dt = 0.0002
const of = (quantity: 'V_C' | 'I_C' | 'V_B', seconds: number, at: (t: number) => number) => ({
  quantity,
  x: Float64Array.from({ length: Math.round(seconds / dt) }, (_, i) => at((i + 0.5) * dt)),
})
const turning = (t: number) => Math.SQRT2 * Math.sin(2 * Math.PI * 50 * t)

describe('the course of a capture', () => {
  const course = courseOf({
    dt,
    times: undefined,
    channels: [
      of('V_C', 12, (t) => 230 * turning(t)),
      of('I_C', 12, (t) => (watts(t) / 230) * turning(t)),
      of('V_B', 12, (t) => 25 - Math.cos(4 * Math.PI * 50 * t)),
    ],
  })

  it('holds the highest mean watts of the example over each window', () => {
    const best = new Map(course?.windows.map(({ seconds, W }) => [seconds, W]))
    for (const [seconds, W] of [
      [0.1, 2600],
      [0.5, 2498.6],
      [1, 2086.3],
      [2, 1504.9],
      [5, 883],
      [10, 642],
    ] as const)
      expect(Math.abs((best.get(seconds) ?? 0) / W - 1)).toBeLessThan(0.002)
    expect(best.get(0.02)).toBeCloseTo(2600, -1)
    expect(best.has(60)).toBe(false)
  })

  it('takes the mean of what pulses within a cycle', () => {
    for (const V_B of course?.V_B ?? []) expect(V_B).toBeCloseTo(25, 2)
  })

  it('merges long captures to at most 800 points, keeping the worst', () => {
    expect(course?.V_C?.length).toBeLessThanOrEqual(800)
    expect(Math.max(...(course?.I_C ?? []))).toBeCloseTo(2600 / 230, 2)
  })

  it('is there for the DC side alone, and not for what is shorter than a tenth of a second', () => {
    const alone = courseOf({ dt, times: undefined, channels: [of('V_B', 1, () => 25)] })
    expect(alone).toMatchObject({ windows: [], V_B: expect.arrayContaining([25]) })
    expect(courseOf({ dt, times: undefined, channels: [of('V_C', 0.09, turning)] })).toBeUndefined()
  })

  it('goes on through an interruption', () => {
    const tripped = courseOf({
      dt,
      times: undefined,
      channels: [of('V_C', 2, (t) => (t < 0.7 ? 230 * turning(t) : 0))],
    })
    expect(tripped?.V_C?.[0]).toBeCloseTo(230, 0)
    expect(tripped?.V_C?.at(-1)).toBe(0)
    expect(tripped?.cycle).toBeCloseTo(0.02, 4)
  })
})

describe('windows by sums', () => {
  it('equal brute force for any samples and width', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -1e4, max: 1e4, noNaN: true }), { minLength: 2, maxLength: 60 }),
        fc.double({ min: 0.3, max: 50, noNaN: true }),
        (x, width) => {
          const best = highestMean(
            summed(x.length, (i) => x[i] as number),
            x.length,
            width,
          )
          /** Each sample counts for the share of it that lies inside. */
          const brute = x.flatMap((_, at) => {
            if (at + width > x.length) return []
            const sum = x.reduce(
              (all, v, i) => all + v * Math.max(0, Math.min(i + 1, at + width) - Math.max(i, at)),
              0,
            )
            return [sum / width]
          })
          if (!brute.length) return expect(best).toBeUndefined()
          expect(best?.mean).toBeCloseTo(Math.max(...brute), 5)
        },
      ),
    )
  })

  it('give RMS over one cycle like a sliding computation', () => {
    fc.assert(
      fc.property(fc.double({ min: 45, max: 65, noNaN: true }), fc.integer({ min: 60, max: 400 }), (f, n) => {
        const x = Float64Array.from(
          { length: n },
          (_, i) => 300 * Math.sin(i * 0.31) + 20 * Math.sin(i * 1.7),
        )
        const { rms } = halfCycleRms(x, 1 / 2000, f)
        const cycle = 2000 / f
        rms.forEach((value, k) => {
          const from = (k * cycle) / 2
          let sum = 0
          for (let i = 0; i < n; i++)
            sum += (x[i] as number) ** 2 * Math.max(0, Math.min(i + 1, from + cycle) - Math.max(i, from))
          expect(value).toBeCloseTo(Math.sqrt(sum / cycle), 6)
        })
      }),
    )
  })
})
