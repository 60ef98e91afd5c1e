import type { StartOutcome } from '@even-watt/contract'
import { underPower } from '@even-watt/core'
import type { BenchModel } from '../ladder/operate'
import { lossOf, outputVoltage } from '../units/unit'
import { accelerated, admittance, type SwitchedModel } from './machine'

const { acos, atan2, hypot, max, min, sin } = Math

/** Where a unit gives up. */
export interface UnitLimits {
  /** A RMS beyond which it folds its output. */
  readonly current: number
  /** VA it carries for good, and s that it carries twice as much. */
  readonly rated: number
  readonly seconds: number
  /** s for which it folds its output before it switches off. */
  readonly folding: number
  /** VA at which it switches off at once. */
  readonly instant: number
  /** V at its terminals under which it stops after a tenth of a second. */
  readonly cutoff: number
  /** s after which it comes back by itself; absent: by hand. */
  readonly restart?: number
}

/** A device in the path: A that it carries for good, and s at twice that. */
export interface Protection {
  readonly rating: number
  readonly seconds: number
}

export interface StartConditions {
  readonly limits: UnitLimits
  readonly protection?: Protection
  /** W of elements that are on beside it, at the machine's label volts. */
  readonly base?: number
  /** s before it is switched on, and in all. */
  readonly before?: number
  readonly seconds?: number
}

/** A moment of a start: RMS values and means over a cycle. */
interface Moment {
  readonly V: number
  readonly I: number
  /** rad by which the current lags. */
  readonly lag: number
  readonly V_B: number
  readonly I_B: number
}

export interface Started {
  readonly dt: number
  readonly moments: readonly Moment[]
  readonly outcome: StartOutcome
  /** Who truly stopped it, or held it back. */
  readonly stoppedBy: 'protection' | 'supply' | 'unit' | 'machine' | undefined
  /** s from switching on until it ran or was over. */
  readonly lasted: number
}

const dt = 0.001
/** s for which the input may stand under the cutoff. */
const grace = 0.1
const ran = 0.9
const late = 1

/** V RMS of which the terminals still carry the peak. */
const highest = ({ wave }: BenchModel['unit'], V_B: number) =>
  (wave.kind === 'sine' ? wave.peakPerVolt / Math.SQRT2 : wave.perVolt) * V_B

/** Goes up while something is carried beyond its rating, by its square; 1 is when it opens. */
const strain = (share: number, seconds: number) => (max(0, share ** 2 - 1) / (3 * seconds)) * dt

/**
 * A machine or heater switched on at a unit, moment by moment: the unit holds its volts as far as its terminals carry their peak
 * and up to its current limit, and folds them beyond;
 * it switches off by overload, at once, or at its cutoff; a breaker or BMS opens by its curve; a torque that falls with V²
 * brings the machine to speed, late or not at all.
 */
export function start(
  { bank, path, unit }: BenchModel,
  machine: SwitchedModel,
  { limits, protection, base = 0, before = 0.2, seconds = 2.4 }: StartConditions,
): Started {
  const resistance = [...path.values()].reduce((sum, R) => sum + R, 0)
  const perVolt = base / machine.volts ** 2
  const moments: Moment[] = []
  const strained = { unit: 0, path: 0, low: 0 }
  const state = {
    speed: 0,
    ranAt: undefined as number | undefined,
    off: undefined as number | undefined,
    back: false,
  }
  let stoppedBy: Started['stoppedBy']
  let folded = 0
  for (let i = 0; i * dt < seconds; i++) {
    const t = i * dt - before
    if (
      state.off !== undefined &&
      !(stoppedBy !== 'protection' && limits.restart !== undefined && t - state.off > limits.restart)
    ) {
      const V_B = stoppedBy === 'protection' ? 0 : bank.E
      moments.push({ V: 0, I: 0, lag: 0, V_B, I_B: 0 })
      continue
    }
    if (state.off !== undefined) {
      Object.assign(state, { off: undefined, back: true })
      Object.assign(strained, { unit: 0, low: 0 })
    }
    const on = t >= 0 && !state.back
    const motor = on ? admittance(machine, state.speed) : { perVolt: 0, powerFactor: 1 }
    const lagging = acos(motor.powerFactor)
    const [real, reactive] = [perVolt + motor.perVolt * motor.powerFactor, motor.perVolt * sin(lagging)]
    const Y = hypot(real, reactive)
    let V = unit.noLoadVoltage
    for (let k = 0; k < 6; k++) V = outputVoltage(unit, V ** 2 * real)
    const free = V
    if (Y > 0) V = min(V, limits.current / Y, highest(unit, moments.at(-1)?.V_B ?? bank.E))
    if (on && V < ran * free) folded += dt
    const S = V ** 2 * Y
    const P = V ** 2 * real
    const point = underPower(
      { bank, path: resistance, support: 0 },
      P + lossOf(unit, min(S, 2 * limits.rated)).watts,
    )
    const V_B = point?.V_B ?? bank.E / 2
    const I_B = point?.I ?? bank.E / 2 / (bank.R + resistance)
    moments.push({ V, I: V * Y, lag: atan2(reactive, real), V_B, I_B })
    if (!on) continue
    state.speed = accelerated(machine, state.speed, V, dt)
    if (state.speed > ran && state.ranAt === undefined) state.ranAt = t
    strained.unit += strain(S / limits.rated, limits.seconds)
    if (protection) strained.path += strain(I_B / protection.rating, protection.seconds)
    strained.low = V_B < limits.cutoff ? strained.low + dt : 0
    const stops =
      strained.path >= 1
        ? 'protection'
        : strained.low > grace
          ? 'supply'
          : strained.unit >= 1 || folded > limits.folding || S > limits.instant
            ? 'unit'
            : undefined
    if (!stops) continue
    stoppedBy = stops
    state.off = t
  }
  const tripped = stoppedBy !== undefined
  const outcome = tripped
    ? state.back
      ? 'tripped and recovered'
      : 'tripped'
    : state.ranAt === undefined
      ? 'stalled'
      : state.ranAt > late
        ? 'started late'
        : 'started'
  return {
    dt,
    moments,
    outcome,
    stoppedBy: stoppedBy ?? (outcome === 'started' ? undefined : folded > 0.05 ? 'unit' : 'machine'),
    lasted: state.off ?? state.ranAt ?? seconds - before,
  }
}
