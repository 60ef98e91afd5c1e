import type { HeaterModel, MachineModel } from '../motors/machine'
import type { UnitLimits } from '../motors/start'

const volts = 230

/** The station's machines, as they truly start. */
export const machines = {
  vacuum: {
    name: 'filtration vacuum pump',
    watts: 180,
    volts,
    inrush: 7,
    powerFactor: 0.75,
    torque: 2,
    inertia: 0.25,
    held: 0.2,
  },
  transfer: {
    name: 'transfer pump',
    watts: 370,
    volts,
    inrush: 6,
    powerFactor: 0.75,
    torque: 1.15,
    inertia: 0.36,
    held: 0.75,
  },
  freezer: {
    name: 'sample freezer',
    watts: 140,
    volts,
    inrush: 8,
    powerFactor: 0.7,
    torque: 1.6,
    inertia: 0.2,
    held: 2.1,
  },
  mill: {
    name: 'sample mill',
    watts: 900,
    volts,
    inrush: 2.3,
    powerFactor: 0.92,
    lockedFactor: 0.9,
    torque: 1.5,
    inertia: 4,
    held: 0.3,
  },
  winch: {
    name: 'capacitor-start winch',
    watts: 1100,
    volts,
    inrush: 6.5,
    powerFactor: 0.85,
    torque: 2.2,
    inertia: 1.6,
    held: 0.3,
  },
  bilge: {
    name: 'bilge pump',
    watts: 280,
    volts: 120,
    inrush: 6,
    powerFactor: 0.75,
    torque: 1.8,
    inertia: 0.3,
    held: 0.3,
  },
  compressor: {
    name: 'air compressor',
    watts: 750,
    volts: 120,
    inrush: 7,
    powerFactor: 0.8,
    torque: 1.9,
    inertia: 0.9,
    held: 0.5,
  },
} as const satisfies Record<string, MachineModel>

export const heaters = {
  kettle: { name: 'kettle', watts: 1750, volts, inrush: 1 },
} as const satisfies Record<string, HeaterModel>

/** Where the station's units give up. */
export const unitLimits = {
  ottrel: { current: 12.6, rated: 1450, seconds: 2.4, folding: 1.4, instant: 6000, cutoff: 20.8, restart: 6 },
  varnock: { current: 38, rated: 2000, seconds: 4, folding: 2.5, instant: 9000, cutoff: 42 },
  pellam: { current: 6.54, rated: 930, seconds: 0.5, folding: 1.6, instant: 4000, cutoff: 10.5 },
} as const satisfies Record<string, UnitLimits>
