import fc from 'fast-check'
import { uncertain } from '../meters'
import { derive, isFigure, type Derived } from './figure'
import { seriesOf } from './series'

const read = (value: number, u = 0.5, source = `own ${value}`): Derived =>
  derive('V', 'V', 'read', [], uncertain(value, source, u))
const value = (figure: Derived | undefined) => (figure && isFigure(figure) ? figure.x.value : NaN)

describe('several figures together', () => {
  it('have number, lowest, highest, mean and spread', () => {
    const series = seriesOf([read(212), read(207), { missing: 'Not read.' }, read(214)])
    expect(series?.number).toBe(3)
    expect([value(series?.lowest), value(series?.highest)]).toEqual([207, 214])
    expect(value(series?.mean)).toBeCloseTo(211, 12)
    expect(value(series?.spread)).toBeCloseTo(7, 12)
  })

  it('go up or down only beyond what the last and the first are unsure by', () => {
    expect(seriesOf([read(212), read(213)])?.goes).toBe('nowhere')
    expect(seriesOf([read(212), read(215)])?.goes).toBe('up')
    expect(seriesOf([read(215), read(212)])?.goes).toBe('down')
    // One meter read both: what it is wrong by is the same.
    expect(seriesOf([read(212, 0.5, 'one'), read(213, 0.5, 'one')])?.goes).toBe('up')
  })

  it('say nothing of fewer than two', () => {
    expect(seriesOf([])).toBeUndefined()
    expect(seriesOf([read(1), { missing: 'Not read.' }])).toBeUndefined()
  })

  it('do not depend on the order, but for where they go', () => {
    const values = fc.array(fc.double({ min: 1, max: 300, noNaN: true }), { minLength: 2, maxLength: 8 })
    fc.assert(
      fc.property(values, (all) => {
        const [one, other] = [all, all.toReversed()].map((list) =>
          seriesOf(list.map((x, i) => read(x, 0.5, `${i}`))),
        )
        for (const part of ['lowest', 'highest', 'mean', 'spread'] as const)
          expect(value(one?.[part])).toBeCloseTo(value(other?.[part]), 9)
        expect(value(one?.mean)).toBeGreaterThanOrEqual(value(one?.lowest) - 1e-9)
      }),
    )
  })
})
