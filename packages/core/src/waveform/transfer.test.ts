import { transferIn } from './transfer'

const rate = 10_000

/** A sine that is gone for some ms, and comes back at another phase and frequency. */
const changeover = (gapMs: number, phase: number, f = 50, begins = 0.2003) =>
  Float64Array.from({ length: 5000 }, (_, i) => {
    const t = i / rate
    if (t < begins) return 325 * Math.sin(2 * Math.PI * 50 * t)
    if (t < begins + gapMs / 1000) return 0
    return 320 * Math.sin(2 * Math.PI * f * t + phase)
  })

describe('a changeover between grid and battery', () => {
  it('is timed from the sample that leaves its sine to the one from which it stays', () => {
    for (const gap of [8, 15, 24]) {
      const found = transferIn(changeover(gap, 1.1), rate)
      // Near a zero of the sine afterwards nothing tells it from none: a quarter of its peak lasts 0.8 ms.
      expect(1000 * (found?.seconds ?? 0)).toBeGreaterThan(gap - 0.9)
      expect(1000 * (found?.seconds ?? 0)).toBeLessThanOrEqual(gap + 0.2)
    }
  })
  it('begins where the volts went, at whatever phase, though a quarter of the peak is missed later only', () => {
    for (let phase = 0; phase < 20; phase++) {
      const begins = 0.2 + phase / 1000
      const found = transferIn(changeover(15, 1.1, 50, begins), rate)
      // At a zero of the sine the first sample that is missed is the one after it.
      expect(Math.abs((found?.from ?? 0) - begins)).toBeLessThanOrEqual(2.1 / rate)
    }
  })
  it('is not put back into noise', () => {
    const noisy = changeover(15, 1.1).map((v, i) => v + 4 * Math.sin(i * i))
    expect(Math.abs((transferIn(noisy, rate)?.from ?? 0) - 0.2003)).toBeLessThanOrEqual(3 / rate)
  })
  it('goes on to where another frequency holds', () => {
    const found = transferIn(changeover(18, 0.4, 50.3), rate)
    expect(1000 * (found?.seconds ?? 0)).toBeGreaterThan(14)
  })
  it('is not found in a steady sine, nor where the end is gone', () => {
    expect(transferIn(changeover(0, 0), rate)).toBeUndefined()
    expect(transferIn(changeover(400, 0), rate)).toBeUndefined()
  })
})
