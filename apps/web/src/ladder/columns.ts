import type { Quantity } from '@even-watt/contract'
import type { Derived, StepFigures } from '@even-watt/core'
import type { Hue } from '../ui/Fig'

/** Places on the power path; each owns the columns that stand under it. */
export type Place = 'A' | 'path' | 'B' | 'unit' | 'C' | 'system'

export interface Column {
  readonly key: string
  readonly place: Place
  readonly head: string
  /** Share of the grid's width. */
  readonly width: number
  readonly hue: Hue
  readonly figure: (step: StepFigures) => Derived
  /** The quantity typed into this column. */
  readonly input?: Quantity
  /** How the figure is shown: with its uncertainty, or without, to its first or second figure. */
  readonly bare?: boolean | 2
}

/** Widths of what stands before the first column, under the bank. */
const stepWidth = 46
const loadWidth = 216

export const columns: readonly Column[] = [
  {
    key: 'V_A',
    place: 'A',
    head: 'V',
    width: 64,
    hue: 'none',
    figure: (step) => step.read.V_A,
    input: 'V_A',
  },
  { key: 'drop', place: 'path', head: 'V', width: 56, hue: 'none', figure: (step) => step.drop },
  { key: 'P_path', place: 'path', head: 'W', width: 56, hue: 'none', figure: (step) => step.P_path },
  {
    key: 'V_B',
    place: 'B',
    head: 'V',
    width: 64,
    hue: 'none',
    figure: (step) => step.read.V_B,
    input: 'V_B',
  },
  { key: 'I', place: 'B', head: 'A', width: 62, hue: 'none', figure: (step) => step.read.I, input: 'I' },
  {
    key: 'eta_unit',
    place: 'unit',
    head: 'η %',
    width: 96,
    hue: 'none',
    figure: (step) => step.eta_unit,
    bare: false,
  },
  { key: 'P_loss', place: 'unit', head: 'loss W', width: 60, hue: 'none', figure: (step) => step.P_loss },
  {
    key: 'V_C',
    place: 'C',
    head: 'V',
    width: 64,
    hue: 'none',
    figure: (step) => step.read.V_C,
    input: 'V_C',
  },
  {
    key: 'I_C',
    place: 'C',
    head: 'A',
    width: 56,
    hue: 'none',
    figure: (step) => step.read.I_C,
    input: 'I_C',
  },
  { key: 'P_C', place: 'C', head: 'W', width: 62, hue: 'none', figure: (step) => step.P_C, input: 'P_C' },
  { key: 'PF', place: 'C', head: 'PF', width: 50, hue: 'none', figure: (step) => step.read.PF, input: 'PF' },
  {
    key: 'THD',
    place: 'C',
    head: 'THD %',
    width: 56,
    hue: 'none',
    figure: (step) => step.read.THD,
    input: 'THD',
  },
  {
    key: 'eta_system',
    place: 'system',
    head: 'η %',
    width: 58,
    hue: 'none',
    figure: (step) => step.eta_system,
    bare: 2,
  },
]

export const placeWords: Record<Place, string> = {
  A: 'A posts',
  path: 'path',
  B: 'B terminals',
  unit: 'unit',
  C: 'C outlet',
  system: 'A to C',
}

export const placeHue: Record<Place, string> = {
  A: 'var(--copper)',
  path: 'var(--plum)',
  B: 'var(--copper)',
  unit: 'var(--plum)',
  C: 'var(--petrol)',
  system: 'var(--rule)',
}

const total = stepWidth + loadWidth + columns.reduce((sum, column) => sum + column.width, 0)

/** Narrower than this the grid scrolls sideways together with its ribbon. */
export const leastWidth = 1010

export interface Layout {
  readonly width: number
  readonly step: number
  readonly load: number
  /** Width of each column of the tester’s own. */
  readonly own: number
  /** Left edge and width of each column, by its key. */
  readonly at: ReadonlyMap<string, { left: number; width: number }>
}

/** Width of a column of the tester’s own, and how much of it the names of the loads give, down to the least. */
const ownWidth = 72
const givenWay = 30
const leastLoad = 156

/**
 * Where the columns stand, in pixels: the ribbon and the grid use the same figures, so taps and columns line up. Columns of the
 * tester’s own, as many as are said, stand behind them.
 */
export function layoutOf(available: number, own = 0): Layout {
  const load = Math.max(leastLoad, loadWidth - own * givenWay)
  const all = total - loadWidth + load + own * ownWidth
  const width = Math.max(available, (leastWidth * all) / total)
  const scale = width / all
  const at = new Map<string, { left: number; width: number }>()
  let left = (stepWidth + load) * scale
  for (const column of columns) {
    at.set(column.key, { left, width: column.width * scale })
    left += column.width * scale
  }
  return { width, step: stepWidth * scale, load: load * scale, at, own: ownWidth * scale }
}

/** Runs of neighbouring columns of one place, for the upper head of the grid. */
export const places: readonly { place: Place; columns: readonly Column[] }[] = columns.reduce<
  { place: Place; columns: Column[] }[]
>((runs, column) => {
  const last = runs.at(-1)
  if (last?.place === column.place) last.columns.push(column)
  else runs.push({ place: column.place, columns: [column] })
  return runs
}, [])
