import type { Sampled } from './samples'

/** A wave to be tried: what bends a sine, in the order it is done. */
export interface Imagined {
  readonly rms: number
  readonly frequency: number
  /** Stepped instead of a sine: share of the half cycle at ±V. */
  readonly plateau?: number
  /** How far the plateau falls, a share. */
  readonly droop?: number
  /** Share of its peak at which a sine is cut off; 1: not. */
  readonly clip?: number
  /** Added, in shares of the fundamental. */
  readonly harmonics?: readonly { readonly h: number; readonly share: number; readonly degrees: number }[]
  /** Only the upper half wave. */
  readonly halfWave?: boolean
  /** Watts that a rectifier with a capacitor draws from it: gives the current too. */
  readonly electronicLoad?: number
}

const perCycle = 1024
const cycles = 4

/** One cycle, scaled to its RMS before the half wave is taken away. */
function cycleOf({ rms, plateau, droop = 0, clip = 1, harmonics = [], halfWave }: Imagined): Float64Array {
  const shape = Float64Array.from({ length: perCycle }, (_, i) => {
    // Between the points, so that edges fall on none of them.
    const turn = (i + 0.5) / perCycle
    let value = Math.max(-clip, Math.min(clip, Math.sin(2 * Math.PI * turn)))
    if (plateau !== undefined) {
      const within = ((turn % 0.5) * 2 - (1 - plateau) / 2) / plateau
      value = within < 0 || within >= 1 ? 0 : (turn < 0.5 ? 1 : -1) * (1 - droop * within)
    }
    for (const { h, share, degrees } of harmonics)
      value += share * Math.sin(2 * Math.PI * h * turn + (degrees * Math.PI) / 180)
    return value
  })
  const is = Math.sqrt(shape.reduce((sum, v) => sum + v * v, 0) / perCycle)
  return shape.map((v) => (halfWave ? Math.max(0, v) : v) * (is > 0 ? rms / is : 0))
}

/** Seconds that a capacitor of an electronic load carries its watts on its own, about. */
const carries = 0.025
/** Share of the volts that its wiring drops at the mean current. */
const drops = 0.02

/**
 * Current of a rectifier with a capacitor behind a small resistance that draws about `watts`: it flows only while the wave
 * stands above what the capacitor holds. One cycle, after the beginning has died away.
 */
export function capacitiveCurrent(volts: Float64Array, frequency: number, watts: number): Float64Array {
  const rms = Math.sqrt(volts.reduce((sum, v) => sum + v * v, 0) / volts.length)
  if (!(rms > 0) || !(watts > 0)) return new Float64Array(volts.length)
  const dt = 1 / frequency / volts.length
  const R = (drops * rms ** 2) / watts
  const C = (2 * carries * watts) / rms ** 2
  let held = volts.reduce((most, v) => Math.max(most, Math.abs(v)), 0)
  const current = new Float64Array(volts.length)
  for (let cycle = 0; cycle < 20; cycle++)
    volts.forEach((v, i) => {
      const flows = Math.max(0, (Math.abs(v) - held) / R)
      held += (dt * (flows - watts / Math.max(held, rms / 4))) / C
      current[i] = Math.sign(v) * flows
    })
  return current
}

const repeated = (cycle: Float64Array) =>
  Float64Array.from({ length: cycles * cycle.length + 1 }, (_, i) => cycle[i % cycle.length] as number)

/** A few cycles of the wave as a capture would bring them; with an electronic load its current too. */
export function imagine(wave: Imagined): Sampled {
  const cycle = cycleOf(wave)
  const channels = [{ quantity: 'V_C' as const, x: repeated(cycle) }]
  return {
    dt: 1 / wave.frequency / perCycle,
    times: undefined,
    channels:
      wave.electronicLoad === undefined
        ? channels
        : [
            ...channels,
            {
              quantity: 'I_C' as const,
              x: repeated(capacitiveCurrent(cycle, wave.frequency, wave.electronicLoad)),
            },
          ],
  }
}
