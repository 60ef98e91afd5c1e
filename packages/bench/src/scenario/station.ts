import type { StationModel } from '../endurance/station'
import type { PortModel } from '../ports/port'
import type { SolarModel } from '../charging/solar'

/** The Corrick 850: eight cells, one of them low; stops hot at 800 W; its gauge reads high about the middle. */
export const corrickModel: StationModel = {
  store: {
    kind: 'lithium',
    cells: 8,
    capacity: 39.5,
    weak: 0.965,
    R0: 0.022,
    R1: 0.012,
    tau: 60,
    cutoff: 2.6,
    limit: 60,
  },
  p0: 11,
  p1: 0.03,
  p2: 1.2e-4,
  volts: 119.4,
  fan: { on: 41, off: 36, watts: 3, leaves: 0.5 },
  mass: { perWatt: 0.64, tau: 1500 },
  stops: 68,
  resumes: 55,
  gauge: (left) => left + 0.36 * left * (1 - left),
}

/** Its sockets. */
export const corrickPorts = {
  usbC: { name: 'USB-C', volts: 20.1, source: 0.045, folds: 2.1, cuts: 2.6 },
  usbA: { name: 'USB-A', volts: 5.16, source: 0.035, folds: 2.5, cuts: 3.1 },
  socket12: { name: '12 V socket', volts: 13.3, source: 0.06, folds: 6.6, cuts: 7.4 },
} as const satisfies Record<string, PortModel>

/** Two panels of the station in parallel. */
export const corrickPanels: SolarModel = {
  openVolts: 22.4,
  shortAmps: 12.4,
  bestVolts: 0.82,
  bestAmps: 0.94,
  most: 207,
  hunts: 60,
}
