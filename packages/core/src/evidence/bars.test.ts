import fc from 'fast-check'
import { ladderEntry, noLoadEntry, revisionOf, trialOf } from '../../test/makers'
import { shownBars } from '../ladder'
import { viewTrial } from '../view'
import { barsOf } from '.'

describe('the bars of a coarse display', () => {
  it('light somewhere between the readings on both sides', () => {
    const lit = [
      { bars: 0, x: 0 },
      { bars: 1, x: 180 },
      { bars: 2, x: 420 },
      { bars: 3, x: 700 },
    ]
    expect(barsOf(lit)?.lights).toEqual([
      { bar: 1, from: 0, to: 180 },
      { bar: 2, from: 180, to: 420 },
      { bar: 3, from: 420, to: 700 },
    ])
    // Through 90, 300 and 560 W.
    expect(barsOf(lit)?.each).toBeCloseTo(235, 9)
  })

  it('have no place, and no worth, while they stay as they were', () => {
    expect(barsOf([])).toBeUndefined()
    expect(
      barsOf([
        { bars: 2, x: 300 },
        { bars: 2, x: 600 },
      ]),
    ).toBeUndefined()
    expect(
      barsOf([
        { bars: 2, x: 300 },
        { bars: 3, x: 600 },
      ])?.each,
    ).toBeUndefined()
  })

  it('are said to be uneven only beyond what their places are unsure by', () => {
    const fine = (at: readonly number[]) =>
      at.flatMap((x, i) => [
        { bars: i, x: x - 1 },
        { bars: i + 1, x: x + 1 },
      ])
    expect(barsOf(fine([100, 200, 300, 400]))?.crooked).toBeUndefined()
    const { crooked } = barsOf(fine([100, 200, 300, 500])) ?? {}
    expect(crooked).toMatchObject({ by: expect.any(Number) as number })
    expect(Math.abs(crooked?.by ?? 0)).toBeGreaterThan(1)
  })

  it('flicker where the same load lit more and fewer', () => {
    expect(
      barsOf([
        { bars: 1, x: 300 },
        { bars: 2, x: 250 },
      ])?.unsteady,
    ).toBe(true)
    expect(
      barsOf([
        { bars: 1, x: 250 },
        { bars: 2, x: 300 },
      ])?.unsteady,
    ).toBe(false)
  })

  it('of equal worth are found at it, whatever loads were read', () => {
    const loads = fc.uniqueArray(fc.integer({ min: 1, max: 2000 }), { minLength: 60, maxLength: 120 })
    fc.assert(
      fc.property(loads, fc.integer({ min: 80, max: 300 }), (list, worth) => {
        const bars = barsOf([{ bars: 0, x: 0 }, ...list.map((x) => ({ bars: Math.floor(x / worth), x }))])
        for (const { bar, from, to } of bars?.lights ?? []) {
          expect(from).toBeLessThanOrEqual(bar * worth)
          expect(to).toBeGreaterThanOrEqual(bar * worth)
        }
        expect(bars?.unsteady).toBe(false)
      }),
    )
  })

  it('of charge are worth energy, as long as every reading tells how much it took', () => {
    const read = (chargeBars: number, P_B: number | undefined) =>
      ladderEntry({ P_C: 500, ...(P_B ? { P_B } : {}) }, { held: 3600, display: { chargeBars } })
    const shownOf = (entries: Parameters<typeof viewTrial>[1]) => {
      const [analysis] = viewTrial(trialOf([revisionOf()]), entries).analyses
      return analysis && shownBars(analysis).charge
    }
    // Full is five bars; 100 Wh each hour, and one goes out with each.
    const run = shownOf([read(5, 100), read(4, 100), read(3, 100), read(2, 100)])
    expect(run?.each).toBeCloseTo(100, 9)
    expect(run?.lights.map(({ bar }) => bar)).toEqual([3, 4, 5])
    expect(shownOf([read(5, 100), read(4, undefined), read(3, 100)])).toBeUndefined()
  })

  it('of load begin at nothing connected', () => {
    const entries = [
      noLoadEntry({ V_C: 230 }, { display: { loadBars: 0 } }),
      ladderEntry({ P_C: 300 }, { display: { loadBars: 1 } }),
    ]
    const [analysis] = viewTrial(trialOf([revisionOf()]), entries).analyses
    expect(analysis && shownBars(analysis).load?.lights).toEqual([{ bar: 1, from: 0, to: 300 }])
  })
})
