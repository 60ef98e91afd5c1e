import { analyseCapture, type Sampled } from '../src/waveform'

/** A wave over its phase, 0 to 1. */
export type Shape = (turn: number) => number

const part = (turn: number) => turn - Math.floor(turn)

export const sine =
  (rms: number): Shape =>
  (turn) =>
    Math.SQRT2 * rms * Math.sin(2 * Math.PI * turn)

/** Plateau ±V for the share δ of each half cycle, falling by `droop` over it. */
export const stepped =
  (peak: number, delta: number, droop = 0): Shape =>
  (turn) => {
    const half = part(2 * part(turn))
    const within = (half - (1 - delta) / 2) / delta
    if (within < 0 || within >= 1) return 0
    return (part(turn) < 0.5 ? 1 : -1) * peak * (1 - droop * within)
  }

export const clipped =
  (rms: number, at: number): Shape =>
  (turn) => {
    const most = Math.SQRT2 * rms * at
    return Math.max(-most, Math.min(most, sine(rms)(turn)))
  }

/** Peak values and phases of harmonics. */
export const harmonic =
  (...parts: readonly (readonly [h: number, rms: number, degrees: number])[]): Shape =>
  (turn) =>
    parts.reduce(
      (sum, [h, rms, degrees]) =>
        sum + Math.SQRT2 * rms * Math.sin(2 * Math.PI * h * turn + (degrees * Math.PI) / 180),
      0,
    )

interface How {
  readonly f?: number
  readonly rate?: number
  readonly seconds?: number
  readonly start?: number
  readonly after?: (v: number, i: number) => number
}

export function sampled(
  shape: Shape,
  { f = 50, rate = 50_000, seconds = 0.2, start = 0, after = (v) => v }: How = {},
) {
  return Float64Array.from({ length: Math.round(rate * seconds) }, (_, i) =>
    after(shape((i * f) / rate + start), i),
  )
}

export const captured = (
  x: Float64Array,
  rate = 50_000,
  quantity: Sampled['channels'][number]['quantity'] = 'V_C',
) => analyseCapture({ dt: 1 / rate, times: undefined, channels: [{ quantity, x }] }).figures

/** Figures and the wave of one channel of volts. */
export function seenIn(shape: Shape, how: How = {}) {
  const figures = captured(sampled(shape, how), how.rate)
  const [channel] = figures.channels
  if (!channel?.wave) throw new Error('No wave was found.')
  return { figures, channel, wave: channel.wave, f: figures.frequency?.value ?? NaN }
}
