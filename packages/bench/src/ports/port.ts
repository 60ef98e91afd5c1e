/** A port that gives direct current: its volts, what it falls by, and where it folds back. */
export interface PortModel {
  readonly name: string
  readonly volts: number
  /** Ω inside it. */
  readonly source: number
  /** A at which it folds back, and at which it cuts off. */
  readonly folds: number
  readonly cuts: number
}

/** V at the port at some amps; 0 when it has cut off. Past the fold its volts fall off steeply. */
function portVolts({ volts, source, folds, cuts }: PortModel, amps: number): number {
  if (amps >= cuts) return 0
  const steady = volts - source * amps
  return amps <= folds ? steady : Math.max(0, steady - (volts * 0.9 * (amps - folds)) / (cuts - folds))
}

/** V at the end of a lead of some ohms. */
export const atEndOf = (lead: number, port: PortModel, amps: number): number =>
  Math.max(0, portVolts(port, amps) - lead * amps)
