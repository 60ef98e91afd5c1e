import { outputVoltage, type UnitModel } from './unit'

/** How a unit's volts follow a change of its load. */
export interface Regulating {
  /** Ω that it shows at once, before its regulation acts. */
  readonly impedance: number
  /** s in which its regulation takes e-fold of what is off back. */
  readonly timeConstant: number
  /** s for which its output is gone after a load is released. */
  readonly blanking?: number
  /** s from nothing to its volts when it is switched on. */
  readonly softStart?: number
}

/** RMS volts and amperes of a step of an element load, moment by moment. */
export interface Stepped {
  readonly dt: number
  readonly V: readonly number[]
  readonly I: readonly number[]
}

const dt = 0.001

/**
 * An element load changed from one to another, W at the unit's volts, after so many seconds: the volts jump by what the impedance
 * drops, come back by the regulation, and are gone for a while after a release where the unit blanks.
 */
export function loadStep(
  unit: UnitModel,
  { impedance, timeConstant, blanking = 0 }: Regulating,
  { from, to, at = 0.5, seconds = 2 }: { from: number; to: number; at?: number; seconds?: number },
): Stepped {
  const nominal = unit.noLoadVoltage
  const steady = (watts: number) => outputVoltage(unit, watts)
  const jump = (impedance * (to - from)) / nominal
  const V: number[] = []
  const I: number[] = []
  for (let i = 0; i * dt < seconds; i++) {
    const after = i * dt - at
    const gone = to < from && after >= 0 && after < blanking
    const volts =
      after < 0
        ? steady(from)
        : gone
          ? 0
          : steady(to) - jump * Math.exp(-(after - (to < from ? blanking : 0)) / timeConstant)
    V.push(volts)
    I.push((volts * (after < 0 ? from : to)) / nominal ** 2)
  }
  return { dt, V, I }
}

/** Switched on into an element load, W: the volts rise in a straight line, and the load takes what it takes of them. */
export function switchedOn(
  unit: UnitModel,
  { softStart = dt }: Regulating,
  { watts, at = 0.2, seconds = 3 }: { watts: number; at?: number; seconds?: number },
): Stepped {
  const full = outputVoltage(unit, watts)
  const V = Array.from(
    { length: Math.round(seconds / dt) },
    (_, i) => full * Math.max(0, Math.min(1, (i * dt - at) / softStart)),
  )
  return { dt, V, I: V.map((volts) => (volts * watts) / unit.noLoadVoltage ** 2) }
}
