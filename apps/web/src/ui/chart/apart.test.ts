import fc from 'fast-check'
import { apart } from './apart'

describe('labels at the ends of lines', () => {
  it('stay where there is room, and are spread about their middle where there is not', () => {
    expect(apart([10, 60, 120])).toEqual([0, 0, 0])
    expect(apart([50, 50])).toEqual([-6.5, 6.5])
    expect(apart([52, 50, 51])).toEqual([12, -12, 0])
    expect(apart([])).toEqual([])
  })

  it('never cover one another, and keep their order', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 180, noNaN: true }), { maxLength: 8 }), (heights) => {
        const moved = apart(heights)
        const places = heights.map((height, i) => ({ height, at: height + (moved[i] ?? 0) }))
        places.sort((a, b) => a.at - b.at)
        places.slice(1).forEach(({ at, height }, i) => {
          expect(at - (places[i]?.at ?? 0)).toBeGreaterThanOrEqual(13 - 1e-9)
          expect(height).toBeGreaterThanOrEqual(places[i]?.height ?? 0)
        })
      }),
    )
  })
})
