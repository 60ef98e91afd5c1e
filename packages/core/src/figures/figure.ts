import type { Grade } from '@even-watt/contract'
import type { Uncertain } from '../meters'
import type { Refusal } from './refusal'

/** Every figure carries its unit, grade and the way it was worked, so that none is a dead end. */
export interface Figure {
  readonly symbol: string
  readonly unit: FigureUnit
  readonly x: Uncertain
  readonly grade: Grade
  /** Set where a value behind it did not pass the gate (docs/method/evidence.md): it is shown, and decides nothing. */
  readonly refused?: Refusal
  readonly working: Working
}

export type FigureUnit =
  | 'V'
  | 'mV'
  | 'A'
  | 'W'
  | 'VA'
  | 'var'
  | 'mΩ'
  | 'Hz'
  | '°C'
  | '%'
  | 'Wh'
  | 'Ah'
  | 'days'
  | 's'
  | 'h'
  | 'ms'
  | 'dB(A)'
  | '×'
  | ''

interface Working {
  /** Such as "η_unit = P_C / P_B". */
  readonly formula: string
  /** The figures put into it. */
  readonly inputs: readonly Figure[]
  readonly notes: readonly string[]
  /** Ids of the entries behind it. */
  readonly entries: readonly string[]
}

/** Missing is a reason, never 0. */
export interface Missing {
  readonly missing: string
}

export type Derived = Figure | Missing

export const isFigure = (derived: Derived): derived is Figure => 'x' in derived

const mayDecide: ReadonlySet<Grade> = new Set(['measured', 'display'])

/**
 * Whether a figure may decide a claim, shape a curve or stand as a result: let in by the gate, and measured; or shown by a
 * display that the gate let stand in.
 */
export const decides = (derived: Derived): derived is Figure =>
  isFigure(derived) && mayDecide.has(derived.grade) && derived.refused === undefined

const rank: readonly Grade[] = ['measured', 'display', 'estimated', 'observed']

/** How far a grade stands from measured: 0 for measured itself. */
export const gradeRank = (grade: Grade): number => rank.indexOf(grade)

/** A derived figure is only as good as the worst value in it. */
export const worstGrade = (grades: readonly Grade[]): Grade =>
  rank[Math.max(0, ...grades.map(gradeRank))] ?? 'observed'

/** Builds a figure from others: grade and entries are taken over from the inputs. */
export function derive(
  symbol: string,
  unit: FigureUnit,
  formula: string,
  inputs: readonly Figure[],
  x: Uncertain,
  notes: readonly string[] = [],
): Derived {
  let entries: readonly string[] | undefined
  if (!Number.isFinite(x.value)) return { missing: `${symbol} cannot be computed: division by zero.` }
  return {
    symbol,
    unit,
    x,
    grade: worstGrade(inputs.map((input) => input.grade)),
    ...refusalIn(inputs),
    working: {
      formula,
      inputs,
      notes,
      // Gathered when asked for: a figure fitted to a long ladder has thousands behind it.
      get entries() {
        return (entries ??= [...new Set(inputs.flatMap((input) => input.working.entries))])
      },
    },
  }
}

function refusalIn(inputs: readonly Figure[]): { refused?: Refusal } {
  const refused = inputs.find((input) => input.refused)?.refused
  return refused ? { refused } : {}
}
