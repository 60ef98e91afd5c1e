import { harmonic, sampled, seenIn, sine, captured, type Shape } from '../../test/waves'
import { kFactor, thdOfRms } from '.'

const plus =
  (a: Shape, b: Shape): Shape =>
  (turn) =>
    a(turn) + b(turn)
/** So many volts at so many hertz, of a wave of 50 Hz. */
const between =
  (rms: number, hertz: number): Shape =>
  (turn) =>
    sine(rms)((turn * hertz) / 50)

/** Ten cycles fit in. */
const long = { seconds: 0.22 }

describe('harmonic groups and subgroups (IEC 61000-4-7)', () => {
  it('of whole harmonics alone are the harmonics', () => {
    const { groups, thd } = seenIn(harmonic([1, 230, 0], [3, 6.9, 20], [5, 3.45, 180]), long).wave
    expect(groups?.thdGroups).toBeCloseTo(thd, 6)
    expect(groups?.thdSubgroups).toBeCloseTo(thd, 6)
    expect(groups?.between).toBeCloseTo(0, 5)
  })
  it('share a line halfway between two harmonics, which belongs to no subgroup', () => {
    const wave = plus(harmonic([1, 230, 0], [3, 6, 0]), between(2.3, 175))
    const { groups } = seenIn(wave, long).wave
    expect(groups?.thdGroups).toBeCloseTo(Math.hypot(6, 2.3) / 230, 5)
    expect(groups?.thdSubgroups).toBeCloseTo(6 / 230, 5)
    expect(groups?.between).toBeCloseTo(2.3 / 230, 5)
  })
  it('count a neighbour of 5 Hz to the harmonic beside it', () => {
    const { groups } = seenIn(plus(harmonic([1, 230, 0], [3, 6, 0]), between(2.3, 155)), long).wave
    expect(groups?.thdSubgroups).toBeCloseTo(Math.hypot(6, 2.3) / 230, 5)
    expect(groups?.between).toBeCloseTo(0, 3)
  })
  it('are of ten cycles at 50 Hz and twelve at 60 Hz, and of no fewer', () => {
    const at60 = seenIn(harmonic([1, 120, 0], [3, 6, 0]), { f: 60, seconds: 0.22 }).wave
    expect(at60.groups?.thdSubgroups).toBeCloseTo(0.05, 5)
    expect(seenIn(harmonic([1, 230, 0]), { seconds: 0.1 }).wave.groups).toBeUndefined()
    const still = captured(sampled(() => 0))
    expect(still.channels[0]?.wave?.groups).toBeUndefined()
  })
  it('grow with what stands between, and not with the size of the wave', () => {
    const by = (scale: number, rms: number) =>
      seenIn((turn) => scale * plus(sine(230), between(rms, 90))(turn), long).wave.groups?.between ?? NaN
    expect(by(1, 2)).toBeGreaterThan(by(1, 1))
    expect(by(0.01, 2)).toBeCloseTo(by(1, 2), 6)
  })
})

describe('shares', () => {
  it('of the whole RMS are less than those of the fundamental: 65.6 % are 54.9 %', () => {
    expect(thdOfRms(0.65596)).toBeCloseTo(0.54849, 4)
    expect(thdOfRms(0)).toBe(0)
  })
  it('the K-factor is 1 for a sine, and 4.4 for 6 A with 3.5 A of the third and 1.8 A of the fifth', () => {
    expect(kFactor([6])).toBe(1)
    expect(kFactor([6, 0, 3.5, 0, 1.8])).toBeCloseTo((36 + 9 * 12.25 + 25 * 3.24) / (36 + 12.25 + 3.24), 9)
    expect(kFactor([])).toBeUndefined()
  })
})
