import type { Unit } from '@even-watt/contract'
import { isFigure, type Derived } from '../../figures'
import { expanded } from '../../meters'
import { bankNominal, underPower, type Supply } from '../../supply'
import type { Analysis } from '../../trials'
import { claimedValue, isStation, ratedPower } from '../../units'
import { evenly } from './evenly'

/** One of the units, on one of the supplies, that what is known leaves possible. */
export interface May {
  /** W lost at S, VA. */
  readonly loss: (S: number) => number
  /** V at the outlet at P, W. */
  readonly outlet: (P: number) => number
  readonly frequency: number
  readonly THD: number
  /** Absent of a power station. */
  readonly supply: Supply | undefined
  /** −1 to 1, of the half width of its specification: how far a meter’s range is off. */
  readonly off: (range: string) => number
}

/** What is truly at the taps of one of them under a load; undefined: its supply cannot give that. */
export interface Truth {
  readonly V_A?: number
  readonly V_B?: number
  readonly I?: number
  readonly P_B?: number
  readonly V_C: number
  readonly I_C: number
  readonly P_C: number
  readonly PF: number
  readonly f: number
  readonly THD: number
}

export function truthOf(may: May, P: number): Truth | undefined {
  const V_C = may.outlet(P)
  const outlet = { V_C, I_C: P / V_C, P_C: P, PF: 1, f: may.frequency, THD: may.THD }
  if (!may.supply) return outlet
  const P_B = P + may.loss(P)
  const point = underPower(may.supply, P_B)
  return point && { ...outlet, V_A: point.V_A, V_B: point.V_B, I: point.I, P_B }
}

/** Coordinates of a draw that are not errors of meters. */
const own = 9

/**
 * What the unit and its supply may be, spread evenly over all that is known: what was read within its U; else about what the
 * label says; else what is usual for the kind, wide (docs/method/answers.md). It ranks readings and decides nothing.
 */
export function mayBe(analysis: Analysis, count: number): May[] {
  const { revision } = analysis.record
  const { unit, meters } = revision
  const ranges = meters.flatMap(({ id, ranges }) => ranges.map((range) => `${id} ${range.id}`))
  const rating = ratedPower(unit) ?? 500
  return evenly(count, own + ranges.length).map((at): May => {
    const draw = (i: number) => at[i] ?? 0.5
    const loss = lossFrom(analysis, rating, draw)
    const nothing = readOr(
      analysis.noLoad.on.read.V_C,
      draw(3),
      () => unit.outputVoltage * between(0.97, 1.02, draw(3)),
    )
    const fall = (nothing * between(0, 0.03, draw(4))) / rating
    return {
      loss,
      outlet: (P) => nothing - fall * P,
      frequency: unit.outputFrequency,
      THD: unit.wave === 'stepped' ? between(0.2, 0.45, draw(5)) : between(0.01, 0.05, draw(5)),
      supply: isStation(unit) ? undefined : supplyFrom(analysis, rating, draw),
      off: (range) => 2 * (at[own + ranges.indexOf(range)] ?? 0.5) - 1,
    }
  })
}

type Draw = (i: number) => number

const between = (low: number, high: number, at: number) => low + (high - low) * at
/** Evenly in its logarithm: as likely half as twice. */
const times = (low: number, high: number, at: number) => low * (high / low) ** at

/** Within its U where it was read, else as otherwise. */
const readOr = (figure: Derived, at: number, otherwise: () => number): number =>
  isFigure(figure) && figure.grade !== 'estimated'
    ? figure.x.value + between(-1, 1, at) * expanded(figure.x)
    : otherwise()

/** Usual shares of the rating: W taken for nothing, and lost at full load. */
const usual = { idle: [0.003, 0.02], full: [0.06, 0.18] } as const
/** What is promised may be so much less or more. */
const aboutLabel = [0.42, 1.67] as const

function lossFrom({ noLoad, ladder, record }: Analysis, rating: number, draw: Draw): May['loss'] {
  const { unit } = record.revision
  const idle = Math.max(
    0,
    readOr(noLoad.on.P_idle, draw(0), () => times(...idleRange(unit, rating), draw(0))),
  )
  const heaviest = ladder.steps
    .flatMap(({ carried, P_C, P_loss }) =>
      carried && isFigure(P_C) && isFigure(P_loss) ? [{ P: P_C.x.value, loss: P_loss }] : [],
    )
    .sort((a, b) => b.P - a.P)[0]
  const [P, lost] = heaviest
    ? [heaviest.P, readOr(heaviest.loss, draw(1), () => heaviest.loss.x.value)]
    : [rating, rating * fullShare(unit, draw(1))]
  const beyond = Math.max(0, lost - idle)
  const even = between(0.3, 0.8, draw(2))
  return (S) => idle + beyond * (even * (S / P) + (1 - even) * (S / P) ** 2)
}

function idleRange(unit: Unit, rating: number): [number, number] {
  const promised = claimedValue(unit, 'idle draw')
  return promised
    ? [aboutLabel[0] * promised, aboutLabel[1] * promised]
    : [usual.idle[0] * rating, usual.idle[1] * rating]
}

function fullShare(unit: Unit, at: number): number {
  const promised = claimedValue(unit, 'efficiency')
  return promised && promised > 0.5 && promised < 1
    ? (1 / promised - 1) * times(0.7, 2, at)
    : times(...usual.full, at)
}

function supplyFrom({ supply: { known }, record }: Analysis, rating: number, draw: Draw): Supply {
  const { unit, rig } = record.revision
  const nominal = unit.inputVoltage ?? (bankNominal(rig.bank) || 12)
  const full = rating / 0.85 / nominal
  const E = readOr(known.E, draw(6), () =>
    isFigure(known.E) ? known.E.x.value * between(0.98, 1.02, draw(6)) : nominal * between(1, 1.07, draw(6)),
  )
  const stated = (
    figure: Derived,
    least: number,
    most: number,
    share: readonly [number, number],
    at: number,
  ) =>
    Math.max(
      1e-5,
      readOr(figure, at, () =>
        isFigure(figure) ? figure.x.value * times(least, most, at) : (times(...share, at) * nominal) / full,
      ),
    )
  return {
    bank: { E, R: stated(known.R_bank, 0.7, 1.8, [0.02, 0.12], draw(7)) },
    path: stated(known.R_path, 0.8, 3, [0.005, 0.05], draw(8)),
    support: known.support,
  }
}
