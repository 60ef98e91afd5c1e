/** A machine that turns, by what its start asks for. */
export interface MachineModel {
  readonly name: string
  readonly watts: number
  readonly volts: number
  /** RMS current over the worst cycle at its label volts, over running current. */
  readonly inrush: number
  readonly powerFactor: number
  /** Power factor while it stands; absent: that of an induction motor. */
  readonly lockedFactor?: number
  /** Torque at standstill over rated torque, at its label volts. */
  readonly torque: number
  /** s that rated torque would take to bring it to speed. */
  readonly inertia: number
  /** A start capacitor: what it adds to torque and current, until its switch opens at a speed. */
  readonly capacitor?: { readonly torque: number; readonly current: number; readonly until: number }
  /** Torque that holds it at standstill over rated: slack rope 0.1, against pressure 1.5. */
  readonly held: number
}

/** A plain heater: it takes what it takes, at once. */
export interface HeaterModel {
  readonly name: string
  readonly watts: number
  readonly volts: number
  readonly inrush: 1
}

export type SwitchedModel = MachineModel | HeaterModel

const turns = (load: SwitchedModel): load is MachineModel => 'torque' in load

/** Power factor of an induction motor while it stands. */
const usualLocked = 0.65
/** Speeds, of synchronous, at which it runs loaded, and up to which its current stays near that at standstill. */
const running = 0.95
const knee = 0.7
/** Slip share over which the torque falls to nothing at full speed. */
const pulling = 0.12

/** What it takes at a speed, 0 to 1, for each volt: A, and the power factor. */
export function admittance(machine: SwitchedModel, speed: number): { perVolt: number; powerFactor: number } {
  if (!turns(machine)) return { perVolt: machine.watts / machine.volts ** 2, powerFactor: 1 }
  const { watts, volts, inrush, powerFactor, lockedFactor = usualLocked, capacitor } = machine
  const slipping = Math.min(1, Math.max(0, (running - speed) / (running - knee)))
  const run = watts / (powerFactor * volts)
  return {
    perVolt:
      (run * (1 + (inrush - 1) * slipping) * (capacitor && speed < capacitor.until ? capacitor.current : 1)) /
      volts,
    powerFactor: powerFactor + (lockedFactor - powerFactor) * slipping,
  }
}

/** Its speed after dt, s, at volts: torque falls with V², what it drives asks for more as it turns. */
export function accelerated(machine: SwitchedModel, speed: number, volts: number, dt: number): number {
  if (!turns(machine)) return 1
  const { inertia, held, capacitor } = machine
  const torque = machine.torque * (capacitor && speed < capacitor.until ? capacitor.torque : 1)
  const own = torque * (volts / machine.volts) ** 2 * (1 + 0.6 * speed) * Math.min(1, (1 - speed) / pulling)
  const against = speed > 0.02 ? Math.min(held, 1) + (1 - Math.min(held, 1)) * speed ** 2 : held
  return Math.max(0, speed + ((own - against) / inertia) * dt)
}
