import fc from 'fast-check'
import { courseOf } from './course'

const over = (values: readonly number[]) => courseOf(values.map((value, i) => ({ at: 60 * i, value })))

it('has its first, its settled, its least value; a slow fall is a trend, scatter is none', () => {
  expect(over([1020, 1000, 990, 985, 984, 986])).toMatchObject({ first: 1020, settled: 985, trend: true })
  expect(over([1000, 980, 1000, 980, 1000, 980, 1000, 980, 1000])?.trend).toBe(false)
  expect(over([230, 229.5, 229, 228.5, 228, 227.5])).toMatchObject({
    trend: true,
    least: { at: 300, value: 227.5 },
  })
})
it('needs three values', () => {
  expect(over([1, 2])).toBeUndefined()
  expect(over([])).toBeUndefined()
})
it('does not move with what stands still, and scales with its unit', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 1, max: 2000 }), { minLength: 3, maxLength: 30 }), (values) => {
      const [one, kilo] = [over(values), over(values.map((value) => 1000 * value))]
      expect((kilo?.mean ?? 0) / 1000).toBeCloseTo(one?.mean ?? NaN, 6)
      expect(kilo?.moved).toBeCloseTo(one?.moved ?? NaN, 9)
      expect(over(values.map(() => 7))).toMatchObject({ moved: 0, trend: false })
    }),
  )
})
