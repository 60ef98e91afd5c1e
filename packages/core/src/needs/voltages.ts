import { conductorResistance, flexibleStranding, sizeCable, type CableChoice } from '../conductors'

/** Inputs that units are made for. */
const usualInputs = [12, 24, 48] as const
/** Share of nominal that a unit must still work at. */
const lowest = 0.9
const insulation = 105
const warm = 75
const ambient = 30
const dropLimit = 0.03
/** A per mm² of a copper bar in free air: a starting rule, to check against the local code. */
const barAmperes = 2

export interface AtVoltage {
  readonly nominal: number
  /** A at full load and the lowest input, and what everything is sized for. */
  readonly amps: number
  readonly design: number
  /** The smallest metric size that satisfies heat and drop; undefined: none of the table does. */
  readonly cable: CableChoice | undefined
  /** W that both leads waste at full load, warm. */
  readonly wasted: number | undefined
  readonly mainFuse: number | undefined
  /** V that fuse and isolator must break: the bank full. */
  readonly breaks: number
  /** mm² of copper bar. */
  readonly bar: number
}

/** Full banks stand so much above nominal. */
const full = 1.2

/**
 * The same watts from 12, 24 and 48 V beside each other: amps, cable, what it wastes, main fuse, isolator and bus bars of a
 * permanent build (docs/method/needs.md). `length` is one way, m.
 */
export const besideVoltages = (watts: number, efficiency: number, length: number): AtVoltage[] =>
  usualInputs.map((nominal) => {
    const { current, design, fuse, smallest } = sizeCable({
      power: watts,
      efficiency,
      nominal,
      lowest: lowest * nominal,
      at: 'lowest',
      ripple: 0,
      length,
      material: 'copper',
      strandingFactor: flexibleStranding,
      insulation,
      ambient,
      bundling: 1,
      dropLimit,
    })
    const cable = smallest.metric
    const lead = cable && {
      gauge: cable.gauge,
      length,
      runs: 1,
      material: 'copper' as const,
      strandingFactor: flexibleStranding,
    }
    return {
      nominal,
      amps: current,
      design,
      cable,
      wasted: lead && 2 * conductorResistance(lead, warm) * current ** 2,
      mainFuse: cable?.fuse ?? fuse,
      breaks: full * nominal,
      bar: design / barAmperes,
    }
  })
