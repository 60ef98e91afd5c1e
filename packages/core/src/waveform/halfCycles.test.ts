import { eventsIn, halfCycleRms } from './halfCycles'

const wave = (scale: (t: number) => number, seconds = 1, rate = 10_000) =>
  Float64Array.from(
    { length: seconds * rate },
    (_, i) => scale(i / rate) * Math.SQRT2 * 230 * Math.sin((2 * Math.PI * 50 * i) / rate),
  )

describe('RMS of half cycles', () => {
  it('is that of a steady sine everywhere', () => {
    const { rms, times } = halfCycleRms(
      wave(() => 1),
      1e-4,
      50,
    )
    expect(rms).toHaveLength(99)
    expect(times[1] as number).toBeCloseTo(0.02, 9)
    for (const one of rms) expect(one).toBeCloseTo(230, 6)
  })
  it('finds a dip with its depth and time, a swell, an interruption', () => {
    const find = (scale: number, from = 0.4, to = 0.6) =>
      eventsIn(
        halfCycleRms(
          wave((t) => (t >= from && t < to ? scale : 1)),
          1e-4,
          50,
        ),
        230,
      )
    expect(find(0.7)).toEqual([
      {
        kind: 'dip',
        at: expect.closeTo(0.4, 1),
        lasts: expect.closeTo(0.2, 1),
        worst: expect.closeTo(161, 1),
      },
    ])
    expect(find(1.2).map(({ kind }) => kind)).toEqual(['swell'])
    expect(find(0).map(({ kind }) => kind)).toEqual(['interruption'])
    expect(find(0.95)).toEqual([])
  })
  it('a dip that has not ended when the record does is there', () => {
    expect(
      eventsIn(
        halfCycleRms(
          wave((t) => (t > 0.8 ? 0.5 : 1)),
          1e-4,
          50,
        ),
        230,
      ),
    ).toHaveLength(1)
  })
  it('of less than a cycle there is nothing', () => {
    expect(halfCycleRms(new Float64Array(10), 1e-4, 50).rms).toHaveLength(0)
  })
})
