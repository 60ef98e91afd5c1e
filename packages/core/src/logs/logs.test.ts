import fc from 'fast-check'
import { fitThermal, integrate, riseOf, settledAfter, temperatureAt, tellsEnd } from '.'
import { seeded } from '../../../bench/src/random'

describe('energy over real times', () => {
  it('adds up by trapezoids, whatever the gaps', () => {
    const watts = [302, 300, 299, 298, 297]
    const points = [0, 30, 60, 90, 95.5].map((minutes, i) => ({ at: minutes * 60, value: watts[i] ?? 0 }))
    expect(integrate(points).value).toBeCloseTo(476.77, 2)
    expect(integrate(points).hours).toBeCloseTo(95.5 / 60, 12)
  })

  it('leaves open a quarter of what changed over each gap', () => {
    expect(
      integrate([
        { at: 0, value: 100 },
        { at: 3600, value: 140 },
      ]).open,
    ).toBeCloseTo(10, 12)
    expect(integrate([{ at: 0, value: 5 }])).toMatchObject({ value: 0, open: 0, hours: 0 })
  })

  it('is exact for what rises evenly, however it is cut', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 1, max: 35_999 }), { minLength: 1, maxLength: 60 }),
        fc.double({ min: -10, max: 10, noNaN: true }),
        (cuts, slope) => {
          const times = [0, ...cuts.sort((a, b) => a - b), 36_000]
          const { value } = integrate(times.map((at) => ({ at, value: 300 + (slope * at) / 3600 })))
          expect(value).toBeCloseTo(3000 + slope * 50, 7)
        },
      ),
    )
  })

  it('is what numpy makes of uneven times, to 1e-9', () => {
    const times = [0, 61.5, 300.25, 301, 4000, 4001.125, 9000]
    const watts = [301.2, 300.8, 299.1, 0, 0, 298.7, 297.35]
    const { value } = integrate(times.map((at, i) => ({ at, value: watts[i] ?? 0 })))
    expect(value / 438.9429071180555).toBeCloseTo(1, 12)
  })

  it('follows a counter over its restarts, and takes a flickering digit for none', () => {
    expect(riseOf([5, 100, 200])).toEqual({ value: 195, restarts: 0 })
    expect(riseOf([0, 1000, 0.4, 600])).toEqual({ value: 1600, restarts: 1 })
    expect(riseOf([0, 100, 99, 150])).toEqual({ value: 150, restarts: 0 })
    expect(riseOf([])).toEqual({ value: 0, restarts: 0 })
  })
})

const curve = { began: 24, settles: 68, tau: 14 * 60 }

describe('where a temperature would settle', () => {
  it('is found in readings without scatter', () => {
    const minutes = [0, 5, 10, 20, 30, 45]
    const T = minutes.map((m) => temperatureAt(curve, m * 60))
    for (const [i, worked] of [37.21, 46.46, 57.46, 62.84].entries()) expect(T[i + 1]).toBeCloseTo(worked, 2)
    const fit = fitThermal(minutes.map((m, i) => ({ at: m * 60, value: T[i] ?? 0 })))
    expect(fit?.settles).toBeCloseTo(68, 6)
    expect(fit?.tau).toBeCloseTo(840, 4)
    expect(settledAfter(curve) / 60).toBeCloseTo(53.9, 1)
  })

  it('is what scipy makes of scattered readings, to 1e-6', () => {
    const minutes = [0, 2, 5, 9, 14, 20, 27, 35, 44, 54]
    const T = [24.3, 29.7, 37.3, 45.3, 51.5, 57.7, 61.5, 64.4, 66.4, 66.7]
    const fit = fitThermal(minutes.map((m, i) => ({ at: m * 60, value: T[i] ?? 0 })))
    expect((fit?.settles ?? 0) / 67.912667577).toBeCloseTo(1, 6)
    expect((fit?.began ?? 0) / 24.120054496).toBeCloseTo(1, 6)
    expect((fit?.tau ?? 0) / 835.711075392).toBeCloseTo(1, 6)
  })

  it('is not said of a straight line, nor of four readings', () => {
    const line = Array.from({ length: 12 }, (_, i) => ({ at: i * 60, value: 20 + i }))
    expect(fitThermal(line)).toBeUndefined()
    expect(fitThermal(line.slice(0, 4))).toBeUndefined()
  })

  it('lies in its range in 94 of 100 holds that were stopped at 1 to 3 τ', () => {
    const random = seeded(1907)
    const holds = 500
    let [within, told] = [0, 0]
    for (let k = 0; k < holds; k++) {
      const truth = {
        began: 20 + 8 * random.next(),
        settles: 45 + 60 * random.next(),
        tau: 300 + 2400 * random.next(),
      }
      const span = (1 + 2 * random.next()) * truth.tau
      const count = 12 + Math.floor(30 * random.next())
      const points = Array.from({ length: count }, (_, i) => {
        const at = (span * i) / (count - 1)
        return { at, value: Math.round((temperatureAt(truth, at) + 0.4 * random.normal()) * 10) / 10 }
      })
      const fit = fitThermal(points)
      if (!fit) continue
      told++
      if ((fit.low ?? -Infinity) <= truth.settles && truth.settles <= (fit.high ?? Infinity)) within++
    }
    expect(told).toBeGreaterThan(0.98 * holds)
    expect(within / told).toBeGreaterThanOrEqual(0.94)
    expect(tellsEnd).toBe(1.5)
  })
})
