import { clipped, harmonic, sampled, seenIn, sine, stepped } from '../../test/waves'
import { analyseCapture, powerTerms, skewEffect } from '.'

describe('a stepped wave', () => {
  it.each([
    [2 / 3, 1.225, 0.3],
    [0.72, Math.sqrt(1 / 0.72), 0.281],
    [0.5, Math.SQRT2, undefined],
  ])('δ %f has the crest factor and THD of the method', (delta, crest, thd) => {
    const { channel, wave } = seenIn(stepped(325, delta), { start: 0.13, rate: 500_000 })
    expect(channel.rms).toBeCloseTo(325 * Math.sqrt(delta), 0)
    expect(channel.max / channel.rms).toBeCloseTo(crest, 2)
    if (thd !== undefined) expect(wave.thd).toBeCloseTo(thd, 3)
    expect(wave.class).toBe('stepped')
    expect(wave.plateau?.share).toBeCloseTo(delta, 2)
    expect(wave.plateau?.height).toBeCloseTo(325, 0)
    expect(wave.plateau?.droop).toBeCloseTo(0, 2)
  })
  it('has harmonics 4·Vpk/(hπ√2)·|sin(hπδ/2)|', () => {
    const { wave } = seenIn(stepped(325, 0.72), { rate: 1_000_000 })
    for (const h of [1, 3, 5, 7, 9])
      expect(wave.harmonics[h - 1]).toBeCloseTo(
        ((4 * 325) / (h * Math.PI * Math.SQRT2)) * Math.abs(Math.sin((h * Math.PI * 0.72) / 2)),
        1,
      )
    expect(wave.harmonics[1]).toBeLessThan(0.1)
  })
  it('tells how far its plateaus fall', () => {
    const { wave } = seenIn(stepped(325, 0.7, 0.2))
    // Between 10 and 90 % of the width.
    expect(wave.plateau?.droop).toBeCloseTo((0.2 * 0.8) / (1 - 0.02), 2)
    expect(wave.class).toBe('stepped')
  })
})

describe('a sine clipped at 0.9 of its peak', () => {
  it('is a sine still, and flat-topped', () => {
    const { channel, wave } = seenIn(clipped(231, 0.9))
    expect(wave.thd).toBeCloseTo(0.0422, 4)
    expect(channel.max / channel.rms).toBeCloseTo(1.321, 3)
    expect((wave.harmonics[2] as number) / wave.fundamental).toBeCloseTo(0.0329, 4)
    expect((wave.harmonics[4] as number) / wave.fundamental).toBeCloseTo(0.0229, 4)
    expect([wave.class, wave.shape]).toEqual(['sine', 'flat-topped'])
  })
})

describe('a wave of whole harmonics', () => {
  const worked = harmonic([1, 230, 0], [3, 6.9, 0], [5, 3.45, 180])
  it.each([49.3, 50, 50.02, 55.17, 60.0352, 60.7])('at %f Hz is met to a billionth', (f) => {
    const { f: found, channel, wave } = seenIn(worked, { f, seconds: 0.25, start: 0.37 })
    expect(found / f).toBeCloseTo(1, 9)
    expect(channel.rms / 230.129).toBeCloseTo(1, 5)
    expect(channel.rms / Math.hypot(230, 6.9, 3.45)).toBeCloseTo(1, 9)
    expect(wave.thd).toBeCloseTo(Math.hypot(6.9, 3.45) / 230, 9)
    expect(wave.floor).toBeLessThan(1e-9)
  })
  it('is met in three cycles, and in 20 samples a cycle as far as those go', () => {
    expect(seenIn(worked, { seconds: 0.065 }).wave.thd).toBeCloseTo(0.03354, 5)
    const few = seenIn(worked, { rate: 1000, seconds: 0.21 })
    expect(few.wave.harmonics).toHaveLength(8)
    expect(few.wave.thd).toBeCloseTo(0.03354, 5)
  })
  it('keeps a DC offset apart', () => {
    const { channel, wave } = seenIn(worked, { after: (v) => v + 5 })
    expect(channel.dc).toBeCloseTo(5, 9)
    expect(channel.rms).toBeCloseTo(Math.hypot(230.129, 5), 2)
    expect(wave.thd).toBeCloseTo(0.033541, 6)
  })
  it('through 8 bits shows a floor at least that of ideal rounding', () => {
    const step = 800 / 256
    const { wave } = seenIn(worked, { after: (v) => step * Math.round(v / step), f: 49.97, rate: 5000 })
    const ideal = (Math.sqrt(49) * (step / Math.sqrt(12)) * Math.sqrt(2 / 1000)) / 230
    expect(wave.floor).toBeGreaterThan(ideal / 3)
    expect(wave.floor).toBeLessThan(ideal * 4)
    expect(wave.thd).toBeCloseTo(0.0335, 2)
  })
})

describe('volts and amperes at once', () => {
  const channels = [
    { quantity: 'V_C' as const, x: sampled(harmonic([1, 230, 0], [3, 6.9, 0], [5, 3.45, 180])) },
    { quantity: 'I_C' as const, x: sampled(harmonic([1, 6, -25], [3, 3.5, 170], [5, 1.8, -20])) },
  ]
  const { figures } = analyseCapture({ dt: 2e-5, times: undefined, channels })
  it('give the terms of the worked example', () => {
    const [v, i] = figures.channels
    if (!v || !i || figures.P === undefined) throw new Error('Not both channels.')
    expect([v.rms, i.rms]).toEqual([expect.closeTo(230.129, 3), expect.closeTo(7.17565, 5)])
    expect([v.wave?.thd, i.wave?.thd]).toEqual([expect.closeTo(0.033541, 6), expect.closeTo(0.65596, 5)])
    expect(i.max / i.rms).toBeCloseTo(2.1519, 3)
    const terms = powerTerms(v, i, figures.P)
    const expected = {
      P: 1221.086,
      S: 1651.328,
      PF: 0.739457,
      cosPhi1: 0.906308,
      P1: 1250.705,
      Q1: 583.213,
      D_I: 905.219,
      D_V: 46.287,
      S_H: 30.362,
      S1: 230 * 6,
      S_N: Math.sqrt(1651.328 ** 2 - 1380 ** 2),
      N: 1111.681,
    }
    for (const [term, value] of Object.entries(expected))
      expect([term, terms?.[term as keyof typeof expected]]).toEqual([term, expect.closeTo(value, 2)])
  })
  it('say what a skew of one sample does', () => {
    // 0.36° at 50 Hz and 50 kHz.
    expect(skewEffect({ Q1: 583.213 }, 50, 2e-5)).toBeCloseTo(583.213 * Math.sin((0.36 * Math.PI) / 180), 3)
  })
})

describe('what cannot be told', () => {
  it('of half a cycle, of DC, of nothing', () => {
    for (const x of [sampled(sine(230), { seconds: 0.01 }), sampled(() => 12.6), new Float64Array(1000)]) {
      const figures = analyseCapture({
        dt: 2e-5,
        times: undefined,
        channels: [{ quantity: 'V_C', x }],
      }).figures
      expect(figures.cycles).toBe(0)
      expect(figures.channels[0]?.wave).toBeUndefined()
      expect(Number.isFinite(figures.channels[0]?.rms)).toBe(true)
    }
  })
  it('a top that the range cut off is seen; a round one, and a plateau that is flat itself, are not', () => {
    const code = (volts: number, most = 127) => {
      const step = volts / 128
      return (v: number) => step * Math.max(-128, Math.min(most, Math.round(v / step)))
    }
    expect(seenIn(sine(230), { after: (v) => Math.min(300, v) }).channel.clipped).toBe(true)
    expect(seenIn(sine(230), { after: code(300) }).channel.clipped).toBe(true)
    expect(seenIn(sine(230)).channel.clipped).toBe(false)
    expect(seenIn(sine(230), { after: code(400) }).channel.clipped).toBe(false)
    expect(seenIn(stepped(300, 0.7), { after: code(400) }).channel.clipped).toBe(false)
    // Its noise shows the steps of the converter.
    expect(
      seenIn(stepped(300, 0.7), { after: (v, i) => code(250)(v + 2 * ((i % 3) - 1)) }).channel.clipped,
    ).toBe(true)
  })
})

describe('a frequency that wanders', () => {
  it('is not told of a steady wave with noise, however long it was captured', () => {
    let state = 1
    const noise = () => {
      state = (state * 16807) % 2147483647
      return state / 2147483647 - 0.5
    }
    const { f, figures } = seenIn(sine(230), { seconds: 6, rate: 5000, after: (v) => v + 12 * noise() })
    expect(f).toBeCloseTo(50, 3)
    expect((figures.frequency?.high ?? 0) / (figures.frequency?.low ?? 1)).toBeLessThan(1.001)
  })
  it('gives the harmonics of each cycle', () => {
    let turn = 0
    const x = sampled(() => 0, {
      seconds: 2,
      rate: 20_000,
      after: (_, i) => {
        turn += (50 + 1.3 * Math.sin((2 * Math.PI * 0.9 * i) / 20_000)) / 20_000
        return harmonic([1, 226, 0], [3, 18, 40], [5, 9, 0])(turn)
      },
    })
    const { figures } = analyseCapture({ dt: 5e-5, times: undefined, channels: [{ quantity: 'V_C', x }] })
    expect(figures.frequency?.low).toBeCloseTo(48.7, 1)
    expect(figures.frequency?.high).toBeCloseTo(51.3, 1)
    expect(figures.channels[0]?.wave?.thd).toBeCloseTo(Math.hypot(18, 9) / 226, 3)
  })
})
