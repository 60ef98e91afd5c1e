import type { PathElement, Rig } from '@even-watt/contract'
import { ampacity, parallelShares, rmsCurrent } from '../conductors'
import { formatNumber, isFigure, plain } from '../figures'
import { atCurrent, headroom, outputFor, terminalSource, underPower, type OperatingPoint } from '../supply'
import { expectedResistance, isCable, placed, type SideName } from './elements'
import { supplyOf, type KnownSupply } from './known'
import type { SurveyFigures } from './survey'
import { weakestCurrent, type LinkRating } from './weakestLink'

type Heat = 'cool' | 'warm' | 'hot'

/** One element at a current: what it drops and gives off, and how warm it gets. */
export interface ElementState {
  readonly element: PathElement
  readonly side: SideName
  /** Ω, and whether a survey measured it. */
  readonly resistance: number
  readonly surveyed: boolean
  readonly drop: number
  readonly watts: number
  /** °C that a cable settles at; undefined for other elements, whose cooling is not known. */
  readonly temperature: number | undefined
  readonly heat: Heat
}

const warmJoint = 1
const hotJoint = 3

/**
 * Every element of the path at a current into the unit, A, in path order (docs/method/rigs.md): by its surveyed
 * resistance where there is one, else by what is expected of it. A cable's temperature is ambient plus what its
 * insulation allows × (I/ampacity)²; a joint is warm from 1 W and hot from 3 W. Heat follows the RMS current:
 * I·√(1 + ripple²), ripple being I_r/Ī (docs/method/rigs.md); the drop follows the mean.
 */
export function elementStates(rig: Rig, current: number, survey?: SurveyFigures, ripple = 0): ElementState[] {
  const rms = rmsCurrent(current, ripple)
  return placed(rig).map(({ element, side }) => {
    const measured = survey?.lines.find((line) => line.element.id === element.id)?.resistance
    const surveyed = measured !== undefined && isFigure(measured)
    const resistance = surveyed ? measured.x.value : expectedResistance(element, rig.typical).value
    const watts = resistance * rms ** 2
    const temperature = cableTemperature(element, rms, rig.ambient)
    const heat = heatOf(element, watts, temperature, rig.ambient)
    return { element, side, resistance, surveyed, drop: resistance * current, watts, temperature, heat }
  })
}

function cableTemperature(element: PathElement, current: number, ambient: number): number | undefined {
  if (!isCable(element)) return undefined
  const shares = parallelShares(element.conductors, current)
  const rises = element.conductors.map((conductor, i) => {
    const carried = ampacity(conductor, { insulation: element.insulation, ambient })
    return carried ? (element.insulation - ambient) * ((shares[i] ?? 0) / carried) ** 2 : NaN
  })
  const most = Math.max(...rises)
  return Number.isNaN(most) ? undefined : ambient + most
}

function heatOf(element: PathElement, watts: number, temperature: number | undefined, ambient: number): Heat {
  if (isCable(element)) {
    if (temperature === undefined) return 'cool'
    const share = (temperature - ambient) / (element.insulation - ambient)
    return share > 0.7 ? 'hot' : share > 0.3 ? 'warm' : 'cool'
  }
  return watts >= hotJoint ? 'hot' : watts >= warmJoint ? 'warm' : 'cool'
}

export interface SupplyQuestion {
  /** V at the terminals at which the unit warns, and at which it stops. */
  readonly alarm: number
  readonly cutoff: number
  /** Unit loss in W at output watts. */
  readonly loss: (P: number) => number
}

interface Reach {
  readonly current: number
  readonly inputPower: number
  readonly outputPower: number
  /** What is met first, in words. */
  readonly limitedBy: string
}

export interface SupplyView {
  readonly toAlarm: Reach
  readonly toCutoff: Reach
  /** The link that caps the supply, if any is rated. */
  readonly weakest: { current: number; link: LinkRating } | undefined
  /** V_B against output watts, up to where the supply can deliver no more. */
  readonly curve: readonly (readonly [P_C: number, V_B: number])[]
}

const curvePoints = 80

/** Headroom and the curve of V_B against load (docs/method/rigs.md); undefined while E or a resistance is not known. */
export function viewSupply(rig: Rig, known: KnownSupply, question: SupplyQuestion): SupplyView | undefined {
  const supply = supplyOf(known)
  if (!supply) return undefined
  const weakest = weakestCurrent(rig)
  const reach = (threshold: number, words: string): Reach => {
    const { current, inputPower, limitedBy } = headroom(supply, threshold, weakest?.current)
    return {
      current,
      inputPower,
      outputPower: outputFor(inputPower, question.loss),
      limitedBy:
        limitedBy === 'weakest link'
          ? `${weakest?.link.name ?? 'the weakest link'}, ${formatNumber(weakest?.current ?? 0, 0)} A`
          : limitedBy === 'threshold'
            ? words
            : 'the most the supply can give at all',
    }
  }
  const { E, R } = terminalSource(supply)
  const most = outputFor(R > 0 ? E ** 2 / (4 * R) : 0, question.loss)
  const shown = Math.min(most, 1.6 * Math.max(reach(question.cutoff, '').outputPower, 1))
  const curve = Array.from({ length: curvePoints + 1 }, (_, i) => (shown * i) / curvePoints).flatMap((P) => {
    const point = underPower(supply, P + question.loss(P))
    return point ? [[P, point.V_B] as const] : []
  })
  return {
    toAlarm: reach(question.alarm, `the alarm at ${plain(question.alarm)} V`),
    toCutoff: reach(question.cutoff, `the cutoff at ${plain(question.cutoff)} V`),
    weakest,
    curve,
  }
}

/** The state at a current; undefined while E or a resistance is not known. */
export function pointAt(known: KnownSupply, current: number): OperatingPoint | undefined {
  const supply = supplyOf(known)
  return supply && atCurrent(supply, current)
}
