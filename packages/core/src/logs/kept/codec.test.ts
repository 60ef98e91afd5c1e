import fc from 'fast-check'
import { Reading, readColumn, Writing, writeColumn } from './codec'

const kept = (values: readonly number[]): { back: number[]; bytes: number } => {
  const to = new Writing()
  writeColumn(to, Float64Array.from(values), values.length)
  const bytes = to.done()
  return { back: [...readColumn(new Reading(bytes), values.length)], bytes: bytes.length }
}

describe('a column of numbers as it is kept', () => {
  it('is the same afterwards, whatever the numbers', () => {
    const any = fc.oneof(fc.double(), fc.integer(), fc.constant(NaN), fc.double({ min: -1e3, max: 1e3 }))
    fc.assert(
      fc.property(fc.array(any, { maxLength: 60 }), (values) => {
        expect(kept(values).back).toEqual(values.map((x) => x + 0))
      }),
    )
    expect(kept([-0, 0.5]).back).toEqual([0, 0.5])
    expect(kept([-0, 1 / 3]).back).toEqual([0, 1 / 3])
  })

  it('is the same for whole numbers as far as numbers are exact, and for steps between the farthest of them', () => {
    const whole = fc.integer({ min: -Number.MAX_SAFE_INTEGER, max: Number.MAX_SAFE_INTEGER })
    fc.assert(
      fc.property(fc.array(whole, { maxLength: 20 }), (values) => expect(kept(values).back).toEqual(values)),
    )
    expect(kept([-4e15, 4e15, -4e15 + 1]).back).toEqual([-4e15, 4e15, -4e15 + 1])
  })

  it('is the same for readings of a meter, to its last digit', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 7 }),
        fc.array(fc.integer({ min: -999_999, max: 999_999 }), { maxLength: 60 }),
        (decimals, digits) => {
          const values = digits.map((one) => Number((one / 10 ** decimals).toFixed(decimals)) + 0)
          expect(kept(values).back).toEqual(values)
        },
      ),
    )
  })

  it('takes about a byte for each reading of a meter that hardly moves', () => {
    const volts = Array.from({ length: 5000 }, (_, i) =>
      Number((12.8 - i * 1e-4 + (i % 3) * 0.001).toFixed(3)),
    )
    expect(kept(volts).back).toEqual(volts)
    expect(kept(volts).bytes).toBeLessThan(1.1 * volts.length)
  })

  it('is kept in full where its numbers have no last digit, and grows beyond its first room', () => {
    const thirds = Array.from({ length: 20_000 }, (_, i) => (i + 1) / 3)
    expect(kept(thirds)).toMatchObject({ back: thirds, bytes: 8 * thirds.length + 1 })
    expect(kept([])).toEqual({ back: [], bytes: 1 })
  })
})
