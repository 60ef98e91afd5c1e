import fc from 'fast-check'
import { byHeat, segmentsOf } from './segments'
import type { LoggedSeries } from './series'

const watts = (values: readonly number[]): LoggedSeries =>
  ({ quantity: 'P_C', points: values.map((value, i) => ({ at: i * 60, value })) }) as unknown as LoggedSeries
const event = (at: number, what: string) => ({ at, what, entry: 'e' })

describe('when a log ran', () => {
  it('is all of it, where nothing stopped it', () => {
    expect(segmentsOf([], [], 600)).toEqual([{ from: 0, to: 600 }])
    expect(segmentsOf([], [], 0)).toEqual([])
  })
  it('is told by what was noted, before any watts', () => {
    const noted = [event(100, 'stopped'), event(160, 'resumed'), event(200, 'fan on')]
    expect(segmentsOf([watts([5, 5, 0, 0, 5, 5])], noted, 300)).toEqual([
      { from: 0, to: 100 },
      { from: 160, to: 300 },
    ])
  })
  it('is told by the watts where nothing was noted: half-way to the first reading without', () => {
    expect(segmentsOf([watts([300, 300, 300, 0, 0, 300, 300])], [], 360)).toEqual([
      { from: 0, to: 150 },
      { from: 300, to: 360 },
    ])
  })
  it('begins where its load came on, where the logger was left on from before', () => {
    expect(segmentsOf([watts([0, 0, 0, 300, 300, 300, 300])], [], 360)).toEqual([{ from: 180, to: 360 }])
  })
  it('ends where it stopped and did not come back', () => {
    expect(segmentsOf([], [event(100, 'stopped')], 600)).toEqual([{ from: 0, to: 100 }])
  })
  it('never lasts longer than the log, and never overlaps, whatever was noted', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 999 }), fc.constantFrom('stopped', 'resumed')), {
          maxLength: 12,
        }),
        (noted) => {
          const events = noted.sort((a, b) => a[0] - b[0]).map(([at, what]) => event(at, what))
          const segments = segmentsOf([], events, 1000)
          let before = 0
          for (const { from, to } of segments) {
            expect(from).toBeGreaterThanOrEqual(before)
            expect(to).toBeGreaterThan(from)
            before = to
          }
          expect(before).toBeLessThanOrEqual(1000)
        },
      ),
    )
  })
})

describe('what stopped it', () => {
  it('was heat by its alarm or its words, and not by a heater that was named', () => {
    expect(byHeat({ ...event(0, 'stopped'), alarm: 'heat' })).toBe(true)
    expect(byHeat({ ...event(0, 'stopped'), note: 'Heat sign; outlet dead' })).toBe(true)
    expect(byHeat({ ...event(0, 'stopped'), note: 'the heater was unplugged' })).toBe(false)
    expect(byHeat(event(0, 'stopped'))).toBe(false)
  })
})
