import type { ChannelFigures } from '@even-watt/contract'
import { capital, formatNumber, say } from '../figures'
import type { SeenWave } from './seen'

/** Points of distortion, of 100, within which two waves are alike. */
const alikeThd = 0.3
/** Hz and shares of volts within which a load moved nothing. */
const alikeHertz = 0.05
const alikeVolts = 0.005
/** Distortion that a load makes: it was no more than half of it before. */
const ofTheLoad = 0.5
/** Swing of the volts from cycle to cycle from which a wave pulsates. */
const pulsates = 0.03

export interface BesideNoLoad {
  readonly load: string
  /** V over those without load, less 1; Hz more; points of THD more. */
  readonly volts: number
  readonly hertz: number | undefined
  readonly thd: number
  /** Most of its distortion came with the load. */
  readonly byLoad: boolean
  readonly sentence: string
}

type Wave = ChannelFigures & { readonly wave: NonNullable<ChannelFigures['wave']> }
const hasWave = (volts: ChannelFigures): volts is Wave => volts.wave !== undefined

/** Every wave under a load against the one with nothing connected: what moved, and whether it is better or worse (docs/method/waveform.md). */
export function besideNoLoad(seen: readonly SeenWave[]): BesideNoLoad[] {
  const none = seen.find(
    ({ load, step, volts, inTime, far }) =>
      load !== undefined && step === undefined && !inTime && !far.length && hasWave(volts),
  )
  if (!none || !hasWave(none.volts)) return []
  const base = none.volts
  const baseHertz = none.entry.reading.figures.frequency?.value
  return seen.flatMap(({ load, step, volts, entry, inTime, far }) => {
    // A wrong factor would pass for a load's doing.
    if (load === undefined || step === undefined || inTime || far.length || !hasWave(volts)) return []
    const f = entry.reading.figures.frequency?.value
    const found = {
      load,
      volts: volts.rms / base.rms - 1,
      hertz: f !== undefined && baseHertz !== undefined ? f - baseHertz : undefined,
      thd: 100 * (volts.wave.thd - base.wave.thd),
      byLoad: base.wave.thd < ofTheLoad * volts.wave.thd,
    }
    return [
      {
        ...found,
        sentence: sentenceOf(found, base.wave.thd, volts.wave.thd, base.wave.class !== volts.wave.class),
      },
    ]
  })
}

function sentenceOf(
  { load, volts, hertz, thd, byLoad }: Omit<BesideNoLoad, 'sentence'>,
  before: number,
  after: number,
  otherShape: boolean,
): string {
  const moved = [
    Math.abs(volts) > alikeVolts
      ? `${formatNumber(Math.abs(100 * volts), 1)} % ${volts < 0 ? 'fewer' : 'more'} volts`
      : undefined,
    hertz !== undefined && Math.abs(hertz) > alikeHertz
      ? `${say(Math.abs(hertz), 'Hz', 2)} ${hertz < 0 ? 'slower' : 'faster'}`
      : undefined,
    otherShape ? 'another shape' : undefined,
  ].filter((one) => one !== undefined)
  const distorted =
    Math.abs(thd) <= alikeThd
      ? `THD stays at ${say(100 * after, '%')}`
      : `THD ${say(100 * before, '%')} becomes ${say(100 * after, '%')}: ${thd > 0 ? 'worse' : 'better'}${
          thd > 0 && byLoad ? ', and the load makes most of it' : ''
        }`
  return `${capital(load)}: ${moved.length ? `${moved.join(', ')}; ` : 'volts and hertz as without load; '}${distorted}.`
}

/** How steady the volts of a capture are from cycle to cycle; undefined: it has no course, or something was switched in it. */
export function steadiness({ entry, inTime }: Pick<SeenWave, 'entry' | 'inTime'>): string | undefined {
  const volts = entry.reading.figures.course?.V_C
  if (inTime || !volts || volts.length < 5) return undefined
  const [low, high] = [Math.min(...volts), Math.max(...volts)]
  const mean = volts.reduce((sum, x) => sum + x, 0) / volts.length
  if (!(mean > 0)) return undefined
  const depth = (high - low) / mean
  return `From cycle to cycle its volts swing by ${formatNumber(100 * depth, 1)} %: ${depth > pulsates ? 'they pulsate' : 'steady'}.`
}

/** "49.98 to 50.02 Hz; 326 V at its peak, 1.41 times RMS, as a sine has". */
export function sayExtremes({ entry, volts }: Pick<SeenWave, 'entry' | 'volts'>): string {
  const { frequency } = entry.reading.figures
  const peak = Math.max(Math.abs(volts.max), Math.abs(volts.min))
  const ratio = volts.rms > 0 ? peak / volts.rms : NaN
  const hertz = frequency ? `${say(frequency.low, 'Hz', 4)} to ${say(frequency.high, 'Hz', 4)}; ` : ''
  return `${hertz}${say(peak, 'V')} at its peak, ${say(ratio, '', 3)} times RMS${
    Math.abs(ratio / Math.SQRT2 - 1) <= 0.03 ? ', as a sine has' : '; a sine has 1.41 times'
  }.`
}
