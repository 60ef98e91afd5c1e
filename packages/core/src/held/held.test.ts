import fc from 'fast-check'
import { derive, isFigure, stated, type Derived } from '../figures'
import { standard, uncertain } from '../meters'
import { heldAgainst } from './against'

const read = (symbol: string, value: number, source: string, u: number): Derived =>
  derive(symbol, 'V', 'read', [], uncertain(value, source, u))
const value = (figure: Derived | undefined) => (figure && isFigure(figure) ? figure.x.value : NaN)

describe('a figure held against another', () => {
  it('gives difference, per cent and share', () => {
    const { held } = heldAgainst('watts', read('P', 1200, 'a', 6), [
      {
        against: 'nominal or rated',
        reference: stated('P_rated', 'W', 1400, ''),
        asShare: 'with what is left',
      },
    ])
    expect(value(held[0]?.difference)).toBe(-200)
    expect(value(held[0]?.percent)).toBeCloseTo(-1 / 7, 12)
    expect(value(held[0]?.share)).toBeCloseTo(6 / 7, 12)
    expect(held[0]?.share && isFigure(held[0].share) && standard(held[0].share.x)).toBeCloseTo(6 / 1400, 12)
  })

  it('takes out what both share: the calibration of the one meter', () => {
    const [same] = heldAgainst('volts', read('V', 228, 'calibration', 1.14), [
      { against: 'nothing connected', reference: read('V', 231, 'calibration', 1.155) },
    ]).held
    expect(same && isFigure(same.difference) && standard(same.difference.x)).toBeCloseTo(0.015, 9)
    const [others] = heldAgainst('volts', read('V', 228, 'one', 1.14), [
      { against: 'nothing connected', reference: read('V', 231, 'another', 1.155) },
    ]).held
    expect(others && isFigure(others.difference) && standard(others.difference.x)).toBeCloseTo(
      Math.hypot(1.14, 1.155),
      9,
    )
  })

  it('gives no per cent of nothing, and nothing of what was not read', () => {
    const [zero] = heldAgainst('volts', read('V', 5, 'a', 0), [
      { against: 'nominal or rated', reference: stated('V_0', 'V', 0, '') },
    ]).held
    expect(zero?.percent && isFigure(zero.percent)).toBe(false)
    const [none] = heldAgainst('volts', { missing: 'No volts.' }, [
      { against: 'nominal or rated', reference: stated('V_0', 'V', 230, '') },
    ]).held
    expect(none?.difference).toEqual({ missing: 'No volts.' })
  })

  it('is against what it is held, turned about, the same with the other sign', () => {
    const volts = fc.double({ min: 1, max: 1000, noNaN: true })
    fc.assert(
      fc.property(volts, volts, (a, b) => {
        const [x, y] = [read('x', a, 's', 1), read('y', b, 't', 1)]
        const way = (one: Derived, other: Derived) =>
          value(heldAgainst('', one, [{ against: 'expected', reference: other }]).held[0]?.difference)
        expect(way(x, y)).toBeCloseTo(-way(y, x), 9)
      }),
    )
  })
})
