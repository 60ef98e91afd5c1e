import { capacitiveCurrent } from '@even-watt/core/waveform/index'
import { powerAt, type LoadModel } from '../loads/law'
import { rmsOf, type Wave } from './outlet'

const points = 4096
const sampled = (wave: Wave) => Float64Array.from({ length: points }, (_, i) => wave((i + 0.5) / points))
const meanOf = (values: Float64Array) => values.reduce((sum, v) => sum + v, 0) / values.length

/** Between the points of one cycle that goes round. */
const through =
  (cycle: Float64Array): Wave =>
  (turn) => {
    const at = (turn - Math.floor(turn)) * points - 0.5
    const i = Math.floor(at)
    const [a, b] = [cycle[(i + points) % points] as number, cycle[(i + 1) % points] as number]
    return a + (b - a) * (at - i)
  }

/** The current of one load on a wave, by its kind; it carries the watts of the load's law. */
function currentOf(load: LoadModel, volts: Wave, frequency: number): Wave {
  const V = rmsOf(volts)
  const P = powerAt([load], V)
  if (load.halfWave) {
    const half: Wave = (turn) => Math.max(0, volts(turn))
    const carried = meanOf(sampled((turn) => half(turn) * volts(turn)))
    return (turn) => (P / carried) * half(turn)
  }
  if (load.kind !== 'electronic') return (turn) => (P / V ** 2) * volts(turn)
  const wave = sampled(volts)
  const pulses = capacitiveCurrent(wave, frequency, P)
  const carried = meanOf(pulses.map((i, k) => i * (wave[k] as number)))
  return through(pulses.map((i) => (carried > 0 ? (P / carried) * i : 0)))
}

/** The current of a motor that runs: a sine that lags by its power factor. */
export const motorCurrent = (watts: number, volts: number, powerFactor: number): Wave => {
  const lag = Math.acos(powerFactor) / (2 * Math.PI)
  return (turn) => ((Math.SQRT2 * watts) / (volts * powerFactor)) * Math.sin(2 * Math.PI * (turn - lag))
}

/** All loads together on one wave. */
export function loadCurrent(loads: readonly LoadModel[], volts: Wave, frequency: number): Wave {
  const all = loads.map((load) => currentOf(load, volts, frequency))
  return (turn) => all.reduce((sum, one) => sum + one(turn), 0)
}

/** Input current of an inverter: it pulses at twice the output's frequency, by a share of a whole raised cosine. */
export const inputCurrent =
  (mean: number, share: number): Wave =>
  (turn) =>
    mean * (1 - share * Math.cos(4 * Math.PI * turn))

/** Volts at the terminals while such a current flows through what lies behind them. */
export const terminalVolts =
  (V_B: number, resistance: number, current: Wave, mean: number): Wave =>
  (turn) =>
    V_B - resistance * (current(turn) - mean)
