import fc from 'fast-check'
import { captured, clipped, harmonic, sampled, seenIn, sine, stepped, type Shape } from '../../test/waves'
import { reasonsFor } from '.'

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

describe('why a wave is of its class', () => {
  const why = (shape: Shape) => {
    const { channel, wave } = seenIn(shape)
    return [wave.class, reasonsFor(wave, { ...channel, crest: channel.max / channel.rms }).join(' ')]
  }
  it('is said with the figures that tell it, beside their limits', () => {
    expect(why(sine(230))).toEqual(['sine', expect.stringMatching(/^THD 0(\.0+)? % is under 5 %\.$/)])
    // A third of 8 % that takes away at the peak, and one that adds there.
    expect(why(harmonic([1, 230, 0], [3, 18.4, 0]))).toEqual([
      'distorted sine',
      'THD 8.0 % is 5 % or more. Its third and fifth harmonics take away at the peak: it is flat-topped.',
    ])
    expect(why(harmonic([1, 230, 0], [3, 18.4, 180]))[1]).toContain('add at the peak: it is peaked.')
    expect(why(harmonic([1, 230, 0], [11, 18.4, 0]))[1]).toContain('it is notched.')
    // A plateau of 0.7 of each half cycle dwells at zero for the other 0.3.
    const [steps, whySteps = ''] = why(stepped(320, 0.7))
    expect(steps).toBe('stepped')
    const [, dwell, plateau] = /for ([\d.]+) % of the time.*for ([\d.]+) % of each/.exec(whySteps) ?? []
    expect(Math.abs(Number(dwell) - 30)).toBeLessThanOrEqual(2)
    expect(Math.abs(Number(plateau) - 70)).toBeLessThanOrEqual(2)
    expect(why(stepped(230, 1))).toEqual([
      'square',
      expect.stringMatching(/under 3 %\. Its crest factor is 1\.00: under 1\.1\.$/),
    ])
    // The mean of a half wave is 2/π of its RMS: (1/π) / (1/2).
    expect(why((turn) => Math.max(0, sine(325)(turn)))).toEqual([
      'half-wave',
      expect.stringContaining('Its mean is 63.7 % of its RMS'),
    ])
    // Neither bent nor stepped nor square.
    expect(why(harmonic([1, 230, 0], [3, 230, 90], [5, 180, 20]))).toEqual([
      'unknown',
      expect.stringMatching(
        /^THD 1\d\d.* %, dwell .* neither a sine that was bent, nor stepped, nor square\.$/,
      ),
    ])
  })
})
