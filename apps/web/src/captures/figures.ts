import type { CaptureFigures, ChannelFigures, Instrument } from '@even-watt/contract'
import { rectangular, uncertain, type FigureUnit, type Uncertain } from '@even-watt/core'
import { kFactor, powerTerms, thdOfRms } from '@even-watt/core/waveform/index'
import { unitOfChannel } from './words'

/** A figure of a capture with how it is worked. */
export interface WaveFigure {
  readonly words: string
  readonly x: Uncertain
  readonly unit: FigureUnit
  readonly working: string
  readonly atLeast?: boolean
}

const ratio = (value: number, half = 0): Uncertain => uncertain(value, 'own|wave|capture', rectangular(half))

/** Share of the RMS that a zero may lie off. */
const offset = 0.002

/** Share of an amplitude that a scope’s own ratio of two of them may be off: its steps are unequal. */
const unequal = 0.01

/** The figures of one channel (docs/method/waveform.md), each with its uncertainty by the instrument and its noise. */
export function figuresOf(
  channel: ChannelFigures,
  { cycles }: CaptureFigures,
  { percent }: Instrument,
): WaveFigure[] {
  const unit = unitOfChannel(channel.quantity)
  const { rms, dc, max, min, meanAbsolute, noise, clipped, wave, ripple } = channel
  const amplitude = (value: number, own = 0): Uncertain => ({
    value,
    sources: new Map([
      ['method|amplitude|capture', rectangular((percent / 100) * Math.abs(value))],
      ['own|noise|capture', own],
    ]),
  })
  const cyclesUsed = cycles ? `over ${cycles} whole cycles` : 'over the whole record'
  const moving = Math.sqrt(Math.max(0, rms ** 2 - dc ** 2))
  const peak = Math.max(max - dc, dc - min)
  const figures: WaveFigure[] = [
    { words: 'true RMS', x: amplitude(rms), unit, working: `√ mean of the squares ${cyclesUsed}` },
    { words: 'mean', x: amplitude(dc, percent > 0 ? offset * rms : 0), unit, working: `mean ${cyclesUsed}` },
    {
      words: 'highest',
      x: amplitude(max, noise),
      unit,
      working: 'highest sample of the record',
      atLeast: clipped,
    },
    {
      words: 'lowest',
      x: amplitude(min, noise),
      unit,
      working: 'lowest sample of the record',
      atLeast: clipped,
    },
    {
      words: 'peak to peak',
      x: amplitude(max - min, noise),
      unit,
      working: 'highest − lowest',
      atLeast: clipped,
    },
    {
      words: 'mean of the absolute',
      x: amplitude(meanAbsolute),
      unit,
      working: `of the distance from the mean, ${cyclesUsed}`,
    },
  ]
  if (moving > 0)
    figures.push({
      words: 'crest factor',
      x: ratio(peak / moving, (peak / moving) * unequal + noise / moving),
      unit: '',
      working: 'peak about the mean / RMS about the mean',
      atLeast: clipped,
    })
  if (ripple) {
    figures.push({ words: 'ripple', x: amplitude(ripple.rms), unit, working: '√(RMS² − mean²)' })
    if (dc)
      figures.push({
        words: 'ripple over mean',
        x: ratio(ripple.rms / Math.abs(dc)),
        unit: '%',
        working: 'ripple / mean',
      })
    if (ripple.atTwice !== undefined)
      figures.push({
        words: 'ripple at twice the output’s frequency',
        x: amplitude(ripple.atTwice),
        unit,
        working: 'component at twice the fundamental',
      })
  }
  if (wave) {
    const { thd, floor, fundamental, dwell, plateau, asymmetry, groups } = wave
    const K = channel.quantity === 'I_C' ? kFactor(wave.harmonics) : undefined
    figures.push(
      {
        words: 'fundamental',
        x: amplitude(fundamental),
        unit,
        working: `least squares at exact multiples, ${cyclesUsed}`,
      },
      {
        words: 'THD',
        x: ratio(thd, 0.02 * thd + floor),
        unit: '%',
        working: `√ΣV_h² / V_1 up to harmonic ${wave.harmonics.length}; of components, not of subgroups (IEC 61000-4-7)`,
      },
      {
        words: 'THD of the whole RMS',
        x: ratio(thdOfRms(thd), 0.02 * thd + floor),
        unit: '%',
        working: 'THD / √(1 + THD²)',
      },
      {
        words: 'of that noise alone',
        x: ratio(floor),
        unit: '%',
        working: 'from what stands halfway between the harmonics',
      },
      {
        words: 'dwell at the middle',
        x: ratio(dwell, 1 / 256),
        unit: '%',
        working: 'share of the cycle within 5 % of its peak',
      },
      {
        words: 'half waves unlike',
        x: ratio(asymmetry),
        unit: '%',
        working: 'RMS of half the sum of the two half cycles / RMS',
      },
    )
    if (K !== undefined)
      figures.push({
        words: 'K-factor',
        x: ratio(K, 0.04 * (K - 1)),
        unit: '',
        working: 'Σh²·I_h² / ΣI_h² (IEEE C57.110): what it heats a transformer more than a sine',
      })
    if (groups)
      figures.push(
        {
          words: 'THD of harmonic groups',
          x: ratio(groups.thdGroups, 0.02 * groups.thdGroups + floor),
          unit: '%',
          working: 'lines of a half harmonic on either side, over the first group (IEC 61000-4-7)',
        },
        {
          words: 'THD of harmonic subgroups',
          x: ratio(groups.thdSubgroups, 0.02 * groups.thdSubgroups + floor),
          unit: '%',
          working: 'the line of each harmonic and its neighbours, over the first subgroup (IEC 61000-4-7)',
        },
        {
          words: 'between the harmonics',
          x: ratio(groups.between, 0.02 * groups.between + floor),
          unit: '%',
          working: 'all interharmonic subgroups over the fundamental (IEC 61000-4-7)',
        },
      )
    if (plateau)
      figures.push(
        {
          words: 'plateau',
          x: amplitude(plateau.height),
          unit,
          working: 'mean between 10 and 90 % of its width',
        },
        {
          words: 'plateau’s share of the half cycle',
          x: ratio(plateau.share, 1 / 128),
          unit: '%',
          working: 'where it is above half its height',
        },
        {
          words: 'droop',
          x: ratio(plateau.droop, 0.005),
          unit: '%',
          working: '(start − end) / start between 10 and 90 % of its width',
        },
      )
  }
  return figures
}

/** Terms of power of volts and amperes that were captured at once. */
export function powerFigures({ channels, P }: CaptureFigures, { percent }: Instrument): WaveFigure[] {
  const volts = channels.find(({ quantity }) => quantity === 'V_C')
  const amps = channels.find(({ quantity }) => quantity === 'I_C')
  const terms = volts && amps && P !== undefined ? powerTerms(volts, amps, P) : undefined
  if (!terms) return []
  const watts = (words: string, value: number, unit: FigureUnit, working: string): WaveFigure => ({
    words,
    x: uncertain(value, 'method|amplitude|capture', rectangular((2 * percent * Math.abs(value)) / 100)),
    unit,
    working,
  })
  return [
    watts('P, active', terms.P, 'W', 'mean of v·i'),
    watts('S, apparent', terms.S, 'VA', 'V·I'),
    { words: 'PF', x: ratio(terms.PF, 0.005), unit: '', working: 'P / S' },
    { words: 'cos φ1', x: ratio(terms.cosPhi1, 0.005), unit: '', working: 'of the fundamentals alone' },
    watts('P1', terms.P1, 'W', 'V1·I1·cos φ1'),
    watts('Q1, reactive', terms.Q1, 'var', 'V1·I1·sin φ1'),
    watts('D_I, current’s distortion', terms.D_I, 'var', 'V1·I_H'),
    watts('D_V, voltage’s distortion', terms.D_V, 'var', 'V_H·I1'),
    watts('S_H, of both', terms.S_H, 'VA', 'V_H·I_H'),
    watts('S1, of the fundamentals', terms.S1, 'VA', 'V1·I1'),
    watts('S_N, not of the fundamentals', terms.S_N, 'VA', '√(S² − S1²)'),
    watts('N, not active', terms.N, 'VA', '√(S² − P²)'),
  ]
}

/** Impedance behind the terminals at twice the output's frequency, Ω, from the ripple of volts and amperes. */
export function rippleImpedance({ channels }: CaptureFigures): number | undefined {
  const [volts, amps] = (['V_B', 'I'] as const).map(
    (wanted) => channels.find(({ quantity }) => quantity === wanted)?.ripple?.atTwice,
  )
  return volts !== undefined && amps ? volts / amps : undefined
}
