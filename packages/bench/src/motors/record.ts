import type { Random } from '../random'
import type { UnitModel } from '../units/unit'
import { sineWave, steppedWave, stepsFor } from '../waveform/outlet'
import { digitised, type Scope } from '../waveform/scope'
import type { Started } from './start'

const { sin, cos, floor, min, max, PI, SQRT2 } = Math

/** Share of a raised cosine by which the input current pulses at twice the output's frequency. */
const pulsing = 0.55

interface Recording {
  readonly frequency: number
  /** Ω behind the terminals, on which the pulsing current shows. */
  readonly behind: number
  /** Whose wave it is; absent: a pure sine. */
  readonly unit?: Pick<UnitModel, 'wave'>
}

/** Volts at a phase of the output, by the unit’s own wave, of the RMS that it holds at that moment. */
function voltsOf(unit: Recording['unit']): (moment: Started['moments'][number], turn: number) => number {
  if (unit?.wave.kind === 'stepped') {
    const { wave } = unit
    return ({ V, I, lag, V_B }, turn) =>
      V > 0 ? steppedWave(stepsFor(wave, { V_B, V_C: V, P_C: V * I * cos(lag) }))(turn) : 0
  }
  const shape = sineWave(1, unit?.wave.thd ?? 0)
  return ({ V }, turn) => V * shape(turn)
}

/** Lag, rad, under which a load is an element. */
const resistive = 0.02

/** Highest of any wave that a unit makes, of its RMS. */
const crest = 1.6

/** What a logger with four channels writes of a start: volts and amperes of the outlet, volts and amperes of the input. */
export function recorded(
  { dt, moments }: Started,
  scope: Scope,
  random: Random,
  { frequency, behind, unit }: Recording,
): Readonly<Record<'V_C' | 'I_C' | 'V_B' | 'I', Float64Array>> {
  const seconds = moments.length * dt
  const at = (t: number) =>
    moments[min(moments.length - 1, max(0, floor(t / dt)))] as (typeof moments)[number]
  const volts = voltsOf(unit)
  const start = random.next()
  const angle = (t: number) => 2 * PI * (start + frequency * t)
  const peak = (of: (one: (typeof moments)[number]) => number) =>
    moments.reduce((most, one) => max(most, of(one)), 1e-6)
  const pulse = (t: number) => 1 - pulsing * cos(2 * angle(t))
  const channel = (truth: (t: number) => number, top: number) =>
    digitised(scope, truth, { seconds, peak: top, random })
  // An element draws as its volts are; a machine smooths them.
  const amps = (t: number) => {
    const { V, I, lag } = at(t)
    if (lag < resistive && V > 0) return (I / V) * volts(at(t), start + frequency * t)
    return SQRT2 * I * sin(angle(t) - lag)
  }
  return {
    V_C: channel((t) => volts(at(t), start + frequency * t), crest * peak(({ V }) => V)),
    I_C: channel(amps, crest * peak(({ I }) => I)),
    V_B: channel(
      (t) => at(t).V_B - behind * at(t).I_B * (pulse(t) - 1),
      peak(({ V_B }) => V_B),
    ),
    I: channel((t) => at(t).I_B * pulse(t), (1 + pulsing) * peak(({ I_B }) => I_B)),
  }
}

/** Lowest volts and highest amperes that a meter keeps, which takes a mean `rate` times a second: it misses what is shorter. */
export function keptByMeter(
  { dt, moments }: Started,
  rate: number,
  random: Random,
): { readonly lowestOutput: number; readonly peakCurrent: number; readonly lowestInput: number } {
  const width = max(1, Math.round(1 / (rate * dt)))
  const begins = floor(random.next() * width)
  const means = (of: (one: (typeof moments)[number]) => number) => {
    const kept: number[] = []
    for (let i = begins; i + width <= moments.length; i += width) {
      let sum = 0
      for (let k = i; k < i + width; k++) sum += of(moments[k] as (typeof moments)[number])
      kept.push(sum / width)
    }
    return kept
  }
  return {
    lowestOutput: min(...means(({ V }) => V)),
    peakCurrent: max(...means(({ I }) => I)),
    lowestInput: min(...means(({ V_B }) => V_B)),
  }
}
