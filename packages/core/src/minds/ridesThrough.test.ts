import fc from 'fast-check'
import { ridesThrough, sayRidesThrough } from '.'

it('heat rides through anything, computers 20 ms, what counts zero crossings half a cycle', () => {
  expect(ridesThrough(8).mayNot).toEqual([])
  const at16 = ridesThrough(16)
  expect(at16.rides.join()).toContain('computers')
  expect(at16.mayNot.join()).toContain('clocks')
  const at24 = ridesThrough(24)
  expect(at24.rides).toEqual(['heaters, kettles, filament lamps'])
  expect(sayRidesThrough(24)).toContain('Not sure: chargers, computers')
})
it('every kind stands on one side, and a longer gap lets none through that a shorter did not', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 5000 }), fc.integer({ min: 0, max: 5000 }), (a, b) => {
      const [short, long] = [ridesThrough(Math.min(a, b)), ridesThrough(Math.max(a, b))]
      expect(short.rides.length + short.mayNot.length).toBe(long.rides.length + long.mayNot.length)
      for (const kind of long.rides) expect(short.rides).toContain(kind)
    }),
  )
})
