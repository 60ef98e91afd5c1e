import { cycleStarts, summed } from './running'

/** RMS refreshed each half cycle (IEC 61000-4-30): over one whole cycle that begins at each half of one. */
export interface HalfCycles {
  /** Of the middle of each cycle, s. */
  readonly times: Float64Array
  readonly rms: Float64Array
}

/** U_rms(1/2) of samples with a step of `dt` s at the frequency in Hz; nothing of less than a cycle. */
export function halfCycleRms(x: Float64Array, dt: number, frequency: number): HalfCycles {
  const cycle = 1 / frequency / dt
  const upTo = summed(x.length, (i) => (x[i] as number) ** 2)
  const starts = cycleStarts(x.length, cycle)
  return {
    times: Float64Array.from(starts, (at) => (at + cycle / 2) * dt),
    rms: Float64Array.from(starts, (at) => Math.sqrt(Math.max(0, (upTo(at + cycle) - upTo(at)) / cycle))),
  }
}

/** A time in which the volts were out of the ordinary. */
export interface WaveEvent {
  readonly kind: 'dip' | 'swell' | 'interruption'
  /** s from the beginning, and for how long. */
  readonly at: number
  readonly lasts: number
  /** V RMS of the worst half cycle. */
  readonly worst: number
}

/** Shares of the usual volts at which an event begins and ends. */
const bounds = { dip: 0.9, dipEnds: 0.92, swell: 1.1, swellEnds: 1.08, interruption: 0.1 }

/**
 * Dips below 90 % of the usual volts until they are above 92 % again, swells above 110 %, interruptions below 10 %
 * (docs/method/waveform.md), in order of time. `usual` in V RMS, above 0.
 */
export function eventsIn({ times, rms }: HalfCycles, usual: number): WaveEvent[] {
  const events: WaveEvent[] = []
  let open: { low: boolean; begins: number; worst: number } | undefined
  const close = (ends: number) => {
    if (!open) return
    const { low, begins, worst } = open
    const kind = low ? (worst < bounds.interruption * usual ? 'interruption' : 'dip') : 'swell'
    events.push({
      kind,
      at: times[begins] as number,
      lasts: (times[ends] as number) - (times[begins] as number),
      worst,
    })
    open = undefined
  }
  rms.forEach((now, i) => {
    if (open && (open.low ? now > bounds.dipEnds * usual : now < bounds.swellEnds * usual)) close(i)
    const low = now < bounds.dip * usual
    if (!open && (low || now > bounds.swell * usual)) open = { low, begins: i, worst: now }
    if (open) open.worst = open.low ? Math.min(open.worst, now) : Math.max(open.worst, now)
  })
  if (rms.length) close(rms.length - 1)
  return events
}
