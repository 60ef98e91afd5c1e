import type { ChannelFigures, MeterRange } from '@even-watt/contract'
import { formFactor, halfWidth } from '../meters'
import { formatNumber, plain } from '../figures'

/** What a meter makes of a wave, and whether it may be used on it. */
export interface Response {
  readonly reading: number
  /** Against true RMS, without the mean where it cannot see one: −0.058 reads 5.8 % low. */
  readonly error: number
  readonly fit: boolean
  readonly why: string
}

/** A meter's way with waves, as its range has it; `dc`: it adds the mean to what it reads. */
export type Manner = Pick<MeterRange, 'response' | 'bandwidth'> &
  Partial<Pick<MeterRange, 'percent' | 'counts' | 'count'>> & { readonly dc?: boolean }

/** Error of the response that any meter may have, and still be used; one of a wider specification as much as that. */
const tolerated = 0.005
/** Peak over RMS that meters take unless they say more. */
const usualCrest = 3

/**
 * What a meter reads of a channel by the way it responds (docs/method/meters.md): true RMS within its bandwidth, the mean
 * of the absolute times 1.1107, or the peak over √2; all but an AC+DC meter see only what lies about the mean.
 */
export function responseTo(channel: ChannelFigures, frequency: number, manner: Manner): Response {
  const { rms, dc, meanAbsolute, max, min } = channel
  const moving = Math.sqrt(Math.max(0, rms ** 2 - dc ** 2))
  const { percent = 0, counts = 0, count = 0 } = manner
  const specified = rms > 0 ? halfWidth({ percent, counts, count }, rms) / rms : 0
  const answer = (reading: number, why: string): Response => {
    const error = rms > 0 ? reading / rms - 1 : 0
    return { reading, error, fit: Math.abs(error) <= Math.max(tolerated, specified), why }
  }
  /** A meter that is right on a sine only may hit another wave by chance, and miss it at the next load. */
  const onSineOnly = (reading: number, why: string): Response => {
    const { fit, ...rest } = answer(reading, why)
    if (!fit || !channel.wave || channel.wave.class === 'sine') return { ...rest, fit }
    return { ...rest, fit: false, why: `${why} It hits this one by chance.` }
  }
  const { response = 'true RMS' } = manner
  if (response === 'average')
    return onSineOnly(
      formFactor * meanAbsolute,
      `It takes the mean of the absolute value and shows ${plain(1.1107)} of it: right on a sine only.`,
    )
  if (response === 'peak')
    return onSineOnly(
      Math.max(max - dc, dc - min) / Math.SQRT2,
      'It takes the peak and shows it over √2: right on a sine only.',
    )
  const lost = lostAbove(channel, frequency, manner.bandwidth)
  const seen = Math.sqrt(Math.max(0, moving ** 2 - lost + (manner.dc ? dc ** 2 : 0)))
  const crest = moving > 0 ? Math.max(max - dc, dc - min) / moving : 0
  const low = [
    lost > 1e-3 * rms ** 2 && `what lies above its ${manner.bandwidth} Hz is lost`,
    !manner.dc && dc ** 2 > 1e-3 * rms ** 2 && 'it does not see the mean',
  ].filter(Boolean)
  const { fit, ...rest } = answer(
    seen,
    low.length ? `It reads true RMS, but ${low.join(', and ')}.` : 'It reads true RMS.',
  )
  return crest > usualCrest
    ? {
        ...rest,
        fit: false,
        why: `${rest.why} The crest factor of ${formatNumber(crest, 1)} is more than the 3 that meters take: it may read low.`,
      }
    : { ...rest, fit }
}

/** Mean square above a bandwidth; nothing where it is not known. */
function lostAbove({ rms, dc, wave }: ChannelFigures, frequency: number, bandwidth?: number): number {
  if (bandwidth === undefined || !wave) return 0
  const inside = wave.harmonics.filter((_, i) => (i + 1) * frequency <= bandwidth)
  // What no harmonic tells, noise too, lies above them where the bandwidth ends among them.
  if (inside.length === wave.harmonics.length) return 0
  return Math.max(0, rms ** 2 - dc ** 2 - inside.reduce((sum, one) => sum + one ** 2, 0))
}
