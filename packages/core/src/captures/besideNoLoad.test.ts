import type { EntryOf } from '@even-watt/contract'
import fc from 'fast-check'
import { harmonic, sampled, sine, type Shape } from '../../test/waves'
import { uuid } from '../../test/makers'
import { analyseCapture } from '../waveform'
import { besideNoLoad, sayExtremes, steadiness } from '.'
import type { SeenWave } from './seen'

const seenOf = (shape: Shape, load: string, step: string | undefined, course?: number[]): SeenWave => {
  const { figures } = analyseCapture({
    dt: 1e-4,
    times: undefined,
    channels: [{ quantity: 'V_C', x: sampled(shape, { seconds: 0.22, rate: 10_000, start: 0.11 }) }],
  })
  const [volts] = figures.channels
  if (!volts) throw new Error('no channel')
  const own = course
    ? { ...figures, course: { from: 0.01, step: 0.02, cycle: 0.02, windows: [], V_C: course } }
    : figures
  return {
    entry: { id: uuid(1), kind: 'capture', reading: { figures: own } } as unknown as EntryOf<'capture'>,
    volts,
    load,
    step,
    carried: true,
    P: { missing: '' },
    V_B: { missing: '' },
    inTime: false,
    far: [],
  }
}
const clean = seenOf(sine(230), 'nothing connected', undefined)

it('a load that distorts is told with what was before, and that it is the load', () => {
  const [one] = besideNoLoad([clean, seenOf(harmonic([1, 225, 0], [3, 11.25, 0]), 'drill', 'a')])
  expect(one?.thd).toBeCloseTo(5, 1)
  expect(one?.volts).toBeCloseTo((225 * Math.hypot(1, 0.05)) / 230 - 1, 3)
  expect(one?.sentence).toMatch(
    /^Drill: 2\.1 % fewer volts.*becomes 5\.00 %: worse, and the load makes most of it\.$/,
  )
})
it('a wave that was distorted before is not laid to the load, and may become better', () => {
  const before = seenOf(harmonic([1, 230, 0], [3, 11.5, 0]), 'nothing connected', undefined)
  const [worse, better] = besideNoLoad([
    before,
    seenOf(harmonic([1, 230, 0], [3, 13.8, 0]), 'lamp', 'a'),
    seenOf(harmonic([1, 230, 0], [3, 4.6, 0]), 'heater', 'b'),
  ])
  expect(worse?.sentence).toContain('becomes 6.00 %: worse.')
  expect(better?.sentence).toContain('becomes 2.00 %: better.')
})
it('the same wave moved nothing; without one at no load nothing is compared', () => {
  expect(besideNoLoad([clean, seenOf(sine(230), 'kettle', 'a')])[0]?.sentence).toContain(
    'volts and hertz as without load; THD stays',
  )
  expect(besideNoLoad([seenOf(sine(230), 'kettle', 'a')])).toEqual([])
})
it('volts that swing by more than 3 % from cycle to cycle pulsate', () => {
  const swing = (course: number[]) => steadiness(seenOf(sine(230), 'kettle', 'a', course))
  expect(swing([230, 229, 230, 231, 230])).toContain('0.9 %: steady')
  expect(swing([230, 215, 230, 216, 230])).toContain('6.7 %: they pulsate')
  expect(swing([230, 229])).toBeUndefined()
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 100, max: 300 }), { minLength: 5, maxLength: 40 }), (course) => {
      expect(swing(course)).toBe(swing(course.toReversed()))
    }),
  )
})
it('hertz have their range, and the peak is held against that of a sine', () => {
  expect(sayExtremes(seenOf(sine(230), 'kettle', 'a'))).toMatch(
    /^50\.00 Hz to 50\.00 Hz; 325 V at its peak, 1\.41 times RMS, as a sine has\.$/,
  )
  expect(sayExtremes(seenOf(harmonic([1, 230, 0], [3, 60, 0]), 'kettle', 'a'))).toContain(
    'a sine has 1.41 times',
  )
})
