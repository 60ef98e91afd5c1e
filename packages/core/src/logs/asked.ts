import type { Assignment, LogKind, Quantity, Revision } from '@even-watt/contract'

/** What a log of a kind is about, in reading order; what the rig hangs a meter for is asked. */
const wanted: Readonly<Record<LogKind, readonly Quantity[]>> = {
  'rated hold': ['V_A', 'V_B', 'I', 'I_bank', 'P_B', 'E_B', 'V_C', 'I_C', 'P_C', 'E_C'],
  'tier hold': ['V_A', 'V_B', 'I', 'I_bank', 'P_B', 'V_C', 'I_C', 'P_C', 'E_C'],
  'run-down': ['V_A', 'V_B', 'I', 'I_bank', 'P_B', 'Q_B', 'E_B', 'V_C', 'I_C', 'P_C', 'E_C'],
  soak: ['V_port', 'I_port'],
  charge: ['P_wall', 'E_wall', 'V_in', 'I_in', 'P_in', 'E_in'],
  idle: ['V_A', 'V_B', 'I', 'P_B', 'E_B', 'P_wall', 'E_wall'],
}

/** What is asked where no meter hangs for anything of it: as its own display or a meter not on the bench says. */
const fallback = (kind: LogKind, station: boolean): readonly Quantity[] =>
  kind === 'charge'
    ? ['P_wall']
    : kind === 'soak'
      ? ['V_port', 'I_port']
      : station
        ? ['P_C', 'E_C']
        : ['V_A', 'P_C']

export interface AskedQuantity {
  readonly quantity: Quantity
  /** Absent: no meter hangs there, and it is kept as what the display says. */
  readonly meter: string | undefined
}

/** The quantities that a check-in of a log asks for, each on the meter that hangs there. */
export function askedOf(kind: LogKind, { rig, unit }: Revision): AskedQuantity[] {
  const hung = (quantity: Quantity) =>
    rig.assignments.find((one: Assignment) => one.quantity === quantity) ??
    // Idle current often has a meter of its own.
    (kind === 'idle' && quantity === 'I'
      ? rig.assignments.find((one: Assignment) => one.quantity === 'idle I')
      : undefined)
  const asked = wanted[kind].flatMap((quantity) => {
    const found = hung(quantity)
    return found ? [{ quantity, meter: found.meter }] : []
  })
  return asked.length
    ? asked
    : fallback(kind, unit.kind === 'power station').map((quantity) => ({ quantity, meter: undefined }))
}
