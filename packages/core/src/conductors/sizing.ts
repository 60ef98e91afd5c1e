import type { Conductor, Gauge } from '@even-watt/contract'
import { ampacity, tableSizes, usualTerminal } from './ampacity'
import { gaugeArea } from './gauge'
import { conductorResistance } from './resistance'
import { rmsCurrent } from './ripple'

/** Standard fuse sizes, A (docs/method/conductors.md). */
export const fuseSizes = [
  30, 40, 50, 60, 70, 80, 100, 125, 150, 175, 200, 225, 250, 300, 350, 400, 500,
] as const

/** Headroom of fuse and conductor over the current. */
const margin = 1.25

export interface SizingQuestion {
  /** Output watts, and the efficiency there. */
  readonly power: number
  readonly efficiency: number
  readonly nominal: number
  /** The lowest input voltage it must work at: the alarm. */
  readonly lowest: number
  /** School: at the lowest input voltage, or at nominal. */
  readonly at: 'lowest' | 'nominal'
  /** I_r/Ī of the ripple: 0 sizes by the mean current. */
  readonly ripple: number
  /** Metres each way. */
  readonly length: number
  readonly material: Conductor['material']
  readonly strandingFactor: number
  readonly insulation: number
  readonly ambient: number
  readonly bundling: number
  /** Share of nominal that the loop may drop. */
  readonly dropLimit: number
}

export interface Sizing {
  /** A, mean, at the chosen voltage. */
  readonly current: number
  /** A, RMS with ripple. */
  readonly rms: number
  /** × 1.25. */
  readonly design: number
  /** Undefined: none of the standard sizes reaches the design current. */
  readonly fuse: number | undefined
  readonly choices: readonly CableChoice[]
  /** The smallest of each table that satisfies all. */
  readonly smallest: { readonly metric: CableChoice | undefined; readonly american: CableChoice | undefined }
}

export interface CableChoice {
  readonly gauge: Gauge
  /** Corrected, A. */
  readonly ampacity: number
  /** Loop drop at the current, warm, V, and as a share of nominal. */
  readonly drop: number
  readonly dropShare: number
  /** Largest standard fuse between the design current and the ampacity; undefined: the conductor is too small. */
  readonly fuse: number | undefined
  /** All standard fuses from the design current to the ampacity; none: a thicker conductor, a shorter run or less load. */
  readonly fuses: readonly number[]
  readonly fits: boolean
}

/**
 * Cable and fuse for a unit (docs/method/conductors.md): I = P/(V·η), RMS with ripple, × 1.25; conductor by corrected ampacity
 * and loop drop, warm; fuse the next standard size at or above the design current and at or below the ampacity.
 */
export function sizeCable(question: SizingQuestion): Sizing {
  const volts = question.at === 'lowest' ? question.lowest : question.nominal
  const current = question.power / (volts * question.efficiency)
  const rms = rmsCurrent(current, question.ripple)
  const design = rms * margin
  const choices = tableSizes.map((gauge) => choose(gauge, question, current, design))
  const smallest = (unit: Gauge['unit']) =>
    choices
      .filter((choice) => choice.fits && choice.gauge.unit === unit)
      .sort((a, b) => gaugeArea(a.gauge) - gaugeArea(b.gauge))[0]
  return {
    current,
    rms,
    design,
    fuse: nextFuse(design),
    choices,
    smallest: { metric: smallest('mm²'), american: smallest('AWG') },
  }
}

const nextFuse = (current: number): number | undefined => fuseSizes.find((size) => size >= current)

function choose(gauge: Gauge, question: SizingQuestion, current: number, design: number): CableChoice {
  const conductor = { ...question, gauge, runs: 1 }
  const warm = Math.min(question.insulation, usualTerminal)
  const carried = ampacity(conductor, { ...question, insulation: warm }) ?? 0
  const drop = 2 * conductorResistance(conductor, warm) * current
  const fuse = nextFuse(design)
  const usable = fuse !== undefined && fuse <= carried ? fuse : undefined
  const dropShare = drop / question.nominal
  return {
    gauge,
    ampacity: carried,
    drop,
    dropShare,
    fuse: usable,
    fuses: fuseSizes.filter((size) => size >= design && size <= carried),
    fits: carried >= design && dropShare <= question.dropLimit && usable !== undefined,
  }
}
