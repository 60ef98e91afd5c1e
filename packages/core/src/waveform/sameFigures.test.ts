import fc from 'fast-check'
import { harmonic, seenIn, sine } from '../../test/waves'
import { sameFigures } from '.'

const { figures } = seenIn(sine(230))
const scaled = (of: unknown, by: number): unknown =>
  typeof of === 'number'
    ? of * by
    : Array.isArray(of)
      ? of.map((one) => scaled(one, by))
      : typeof of === 'object' && of !== null
        ? Object.fromEntries(Object.entries(of).map(([key, value]) => [key, scaled(value, by)]))
        : of

describe('figures that are held against others', () => {
  it('are the same to the last digits that engines differ in, whichever comes first', () => {
    fc.assert(
      fc.property(fc.double({ min: -9e-7, max: 9e-7, noNaN: true }), (off) => {
        const other = scaled(figures, 1 + off)
        expect(sameFigures(figures, other)).toBe(true)
        expect(sameFigures(other, figures)).toBe(true)
      }),
    )
  })
  it('differ by a hundredth of a per cent, by a name, by what is there', () => {
    expect(sameFigures(figures, scaled(figures, 1.0001))).toBe(false)
    expect(sameFigures({ class: 'sine' }, { class: 'square' })).toBe(false)
    expect(sameFigures({ rms: 230, thd: 3 }, { rms: 230 })).toBe(false)
    expect(sameFigures({ rms: 230 }, { rms: 230, thd: undefined })).toBe(true)
    expect(sameFigures([1, 2], [1, 2, 3])).toBe(false)
    expect(sameFigures([1], { 0: 1 })).toBe(false)
    expect(sameFigures(null, {})).toBe(false)
  })
  it('are not told apart by rounding next to nothing', () => {
    expect(sameFigures({ rms: 230, dc: 1e-14 }, { rms: 230, dc: -3e-14 })).toBe(true)
    expect(sameFigures({ rms: 230, dc: 0.1 }, { rms: 230, dc: -0.1 })).toBe(false)
  })
  it('are those of an engine whose sine ends in other digits, where nothing is between the harmonics', () => {
    const clean = (off: number) =>
      seenIn(harmonic([1, 230, 0], [3, 5, 0]), { after: (v, i) => v * (1 + off * Math.sin(7 * i)) }).figures
    expect(sameFigures(clean(0), clean(1e-13))).toBe(true)
  })
})
