import type { Repeating, WaveClass, WaveShape } from '@even-watt/contract'
import { formatNumber } from '../figures'

/** What the class of a wave is told by. */
export interface Features extends Pick<
  Repeating,
  'fundamental' | 'thd' | 'harmonics' | 'phases' | 'dwell' | 'plateau'
> {
  readonly rms: number
  readonly dc: number
  /** Peak of the mean cycle over its RMS. */
  readonly crest: number
}

/** Limits of the classes (docs/method/waveform.md). */
const classLimits = {
  /** THD under which a wave is a sine. */
  sine: 0.05,
  /** Dwell from which a wave is stepped, and under which it is square. */
  stepped: 0.08,
  square: 0.03,
  squareCrest: 1.1,
  /** Mean over RMS from which only one half wave is there. */
  halfWave: 0.1,
  /** THD up to which something is still a sine that was bent. */
  bent: 0.4,
} as const

/** A shape is named where harmonics from the third up carry this share of the fundamental. */
const shaped = 0.01

/** Flat-topped, peaked or notched: by whether the third and fifth add or take away at the fundamental's peak. */
function shapeOf({ harmonics, phases }: Pick<Features, 'harmonics' | 'phases'>): WaveShape | undefined {
  const [first = 0, , third = 0, , fifth = 0] = harmonics
  const higher = Math.hypot(...harmonics.slice(6))
  if (!(Math.hypot(third, fifth, higher) > shaped * first)) return undefined
  if (higher > 1.5 * Math.hypot(third, fifth)) return 'notched'
  // At the peak the fundamental's phase is 90°; sin(h·90° + φ) says what a harmonic does there.
  const [h, size] = third >= fifth ? [3, third] : [5, fifth]
  const atPeak = Math.sin((h * Math.PI) / 2 + (phases[h - 1] ?? 0))
  if (!(size > 0) || Math.abs(atPeak) < 0.5) return 'notched'
  return atPeak < 0 ? 'flat-topped' : 'peaked'
}

/** The class of a wave (docs/method/waveform.md). Its reasons are said by `reasonsFor`. */
export function classify(features: Features): { class: WaveClass; shape?: WaveShape } {
  const { rms, dc, thd, dwell, crest, plateau } = features
  if (Math.abs(dc) > classLimits.halfWave * rms) return { class: 'half-wave' }
  const shape = shapeOf(features)
  if (thd < classLimits.sine) return { class: 'sine', ...(shape && { shape }) }
  if (plateau && dwell > classLimits.stepped) return { class: 'stepped' }
  if (plateau && dwell < classLimits.square && crest < classLimits.squareCrest) return { class: 'square' }
  if (thd < classLimits.bent && dwell <= classLimits.stepped)
    return { class: 'distorted sine', ...(shape && { shape }) }
  return { class: 'unknown' }
}

const percent = (share: number) => `${formatNumber(100 * share, 1)} %`

/** Why a wave is of its class, in sentences that hold the figures. */
export function reasonsFor(
  wave: Repeating,
  { rms, dc, crest }: Pick<Features, 'rms' | 'dc' | 'crest'>,
): string[] {
  const { thd, dwell, plateau } = wave
  const shape = wave.shape
    ? [
        {
          'flat-topped': 'Its third and fifth harmonics take away at the peak: it is flat-topped.',
          peaked: 'Its third and fifth harmonics add at the peak: it is peaked.',
          notched: 'What bends it lies off the peak or in high harmonics: it is notched.',
        }[wave.shape],
      ]
    : []
  switch (wave.class) {
    case 'half-wave':
      return [
        `Its mean is ${percent(Math.abs(dc) / rms)} of its RMS: over 10 %, so one half wave is missing or short.`,
      ]
    case 'sine':
      return [`THD ${percent(thd)} is under 5 %.`, ...shape]
    case 'distorted sine':
      return [`THD ${percent(thd)} is 5 % or more.`, ...shape]
    case 'stepped':
      return [
        `It dwells at zero for ${percent(dwell)} of the time: over 8 %.`,
        `It stands at plateaus for ${percent(plateau?.share ?? 0)} of each half cycle.`,
      ]
    case 'square':
      return [
        `It dwells at zero for ${percent(dwell)} of the time: under 3 %.`,
        `Its crest factor is ${formatNumber(crest, 2)}: under 1.1.`,
      ]
    case 'unknown':
      return [
        `THD ${percent(thd)}, dwell ${percent(dwell)}, crest factor ${formatNumber(crest, 2)}: neither a sine that was bent, nor stepped, nor square.`,
      ]
  }
}
