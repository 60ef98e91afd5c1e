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
      // Near a zero of either sine nothing tells it from none: a twelfth of a cycle to each side.
      expect(1000 * (found?.seconds ?? 0)).toBeGreaterThan(gap - 2 * 1.7)
      expect(1000 * (found?.seconds ?? 0)).toBeLessThanOrEqual(gap + 0.2)
    }
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
