import fc from 'fast-check'
import { captured, clipped, harmonic, sampled, sine, stepped, type Shape } from '../../test/waves'

/** Noise that follows from its seed. */
const noise = (seed: number) => (i: number) => {
  const x = Math.sin(i * 12.9898 + seed * 78.233) * 43758.5453
  return 2 * (x - Math.floor(x)) - 1
}

const wave: fc.Arbitrary<{ is: string; shape: Shape }> = fc.oneof(
  fc
    .tuple(fc.double({ min: 0, max: 0.03, noNaN: true }), fc.integer({ min: 2, max: 9 }), fc.nat(359))
    .map(([share, h, degrees]) => ({ is: 'sine', shape: harmonic([1, 230, 0], [h, 230 * share, degrees]) })),
  fc
    .double({ min: 0.55, max: 0.85, noNaN: true })
    .map((at) => ({ is: 'distorted sine', shape: clipped(230, at) })),
  // A cycle may be seen at 61 places only, over and over: its dwell, 8 % of which makes it stepped, is then known to 4 %.
  fc
    .tuple(fc.double({ min: 0.4, max: 0.86, noNaN: true }), fc.double({ min: 0, max: 0.25, noNaN: true }))
    .map(([delta, droop]) => ({ is: 'stepped', shape: stepped(320, delta, droop) })),
  fc.constant({ is: 'square', shape: stepped(230, 1) }),
  fc.constant({ is: 'half-wave', shape: (turn: number) => Math.max(0, sine(325)(turn)) }),
)

describe('the class of a wave', () => {
  it('is told right of 2,000 waves with noise', () => {
    fc.assert(
      fc.property(
        wave,
        fc.double({ min: 44, max: 66, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.nat(1000),
        ({ is, shape }, f, start, seed) => {
          const rough = noise(seed)
          const x = sampled(shape, { f, start, rate: 4000, seconds: 0.1, after: (v, i) => v + 3 * rough(i) })
          expect(captured(x, 4000).channels[0]?.wave?.class).toBe(is)
        },
      ),
      { numRuns: 2000 },
    )
  })
  it('does not follow from the crest factor alone: δ 0.5 has that of a sine', () => {
    const figures = captured(sampled(stepped(325, 0.5), { start: 0.1 }))
    const [channel] = figures.channels
    expect((channel?.max ?? 0) / (channel?.rms ?? 1)).toBeCloseTo(Math.SQRT2, 2)
    expect(channel?.wave?.class).toBe('stepped')
  })
  it('names what the third harmonic does to the peak', () => {
    const shapeOf = (degrees: number) =>
      captured(sampled(harmonic([1, 230, 0], [3, 12, degrees]))).channels[0]?.wave?.shape
    expect(shapeOf(0)).toBe('flat-topped')
    expect(shapeOf(180)).toBe('peaked')
    expect(shapeOf(90)).toBe('notched')
  })
})
