/** A battery that the bank is to be built of. */
export interface BatteryKind {
  /** Nominal V of one. */
  readonly volts: number
  /** Ah */
  readonly capacity: number
  /** Share of it that may be used: a schools' question, of chemistry and life. */
  readonly usable: number
  /** A that one carries at most, by its BMS or its maker; undefined: not stated. */
  readonly limit: number | undefined
}

export interface BatteriesNeeded {
  /** In one string, and strings side by side. */
  readonly series: number
  readonly strings: number
  readonly total: number
  /** Strings by energy and by current alone; the larger decides. */
  readonly byEnergy: number
  readonly byCurrent: number | undefined
}

/**
 * How many batteries hold `Wh` for use and carry `amps`, at a nominal input. Undefined: they do not add up to that input
 * (one of 24 V for 12 V), or something is not above zero.
 */
export function batteriesNeeded(
  { volts, capacity, usable, limit }: BatteryKind,
  { Wh, amps, nominal }: { Wh: number; amps: number; nominal: number },
): BatteriesNeeded | undefined {
  const series = Math.round(nominal / volts)
  if (!(volts > 0 && capacity > 0 && usable > 0 && Wh > 0) || series < 1) return undefined
  if (Math.abs((series * volts) / nominal - 1) > 0.15) return undefined
  const byEnergy = Math.ceil(Wh / (series * volts * capacity * usable) - 1e-9)
  const byCurrent = limit === undefined || !(limit > 0) ? undefined : Math.ceil(amps / limit - 1e-9)
  const strings = Math.max(1, byEnergy, byCurrent ?? 0)
  return { series, strings, total: series * strings, byEnergy, byCurrent }
}
