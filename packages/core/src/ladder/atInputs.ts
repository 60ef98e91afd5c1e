import { decides, isFigure, type Figure } from '../figures'
import type { Analysis } from '../trials'
import type { StepFigures } from './step'

/** Efficiency at one input that a ladder was read at. */
export interface AtInput {
  readonly which: 'lowest' | 'nominal' | 'highest'
  /** V at the terminals, mean of the step. */
  readonly volts: number
  /** W at the outlet. */
  readonly watts: number
  readonly eta: Figure
}

/** Inputs within this share of each other are one. */
const alike = 0.03
/** Loads within this share of each other are one. */
const sameLoad = 0.1

/**
 * Efficiency at the lowest, the nominal and the highest input of what was read, at the load that saw the widest inputs
 * (IEC 61683, docs/method/ladder.md). An input sags with its load, so steps are put together by their volts. Empty unless a load
 * was carried at two inputs at least.
 */
export function efficiencyAtInputs({ record, ladder }: Pick<Analysis, 'record' | 'ladder'>): AtInput[] {
  const nominal = record.revision.unit.inputVoltage
  const read = ladder.steps.flatMap((step) => pointOf(step) ?? [])
  const best = loadsOf(read)
    .map((group) => ({ group, spread: spreadOf(group) }))
    .filter(({ spread }) => spread > 1 + alike)
    .sort((a, b) => widest(b.spread, a.spread) || heaviest(b.group) - heaviest(a.group))[0]?.group
  if (!best) return []
  const byVolts = [...best].sort((a, b) => a.volts - b.volts)
  const [lowest, highest] = [byVolts[0], byVolts.at(-1)] as const
  if (!lowest || !highest) return []
  const near = nominal === undefined ? undefined : byVolts.filter((one) => isAt(one.volts, nominal))
  const middle = near?.reduce<Point | undefined>(
    (nearest, one) =>
      !nearest || Math.abs(one.volts - (nominal ?? 0)) < Math.abs(nearest.volts - (nominal ?? 0))
        ? one
        : nearest,
    undefined,
  )
  return [
    { which: 'lowest', ...lowest },
    ...(middle && middle !== lowest && middle !== highest ? [{ which: 'nominal' as const, ...middle }] : []),
    { which: 'highest', ...highest },
  ]
}

type Point = Omit<AtInput, 'which'>

function pointOf({ carried, read, P_C, eta_unit }: StepFigures): Point | undefined {
  if (!carried || !isFigure(read.V_B) || !isFigure(P_C) || !decides(eta_unit)) return undefined
  return { volts: read.V_B.x.value, watts: P_C.x.value, eta: eta_unit }
}

/** Points of about the same load together, from the lightest up: a group ends where its loads spread too far. */
function loadsOf(points: readonly Point[]): Point[][] {
  const groups: Point[][] = []
  for (const point of [...points].sort((a, b) => a.watts - b.watts)) {
    const last = groups.at(-1)
    if (last?.[0] && point.watts <= last[0].watts * (1 + sameLoad)) last.push(point)
    else groups.push([point])
  }
  return groups
}

const spreadOf = (points: readonly Point[]): number => {
  const volts = points.map((one) => one.volts)
  return Math.max(...volts) / Math.min(...volts)
}

/** Spreads within a hundredth of each other are one: then the heavier load is taken. */
const widest = (a: number, b: number): number => (Math.abs(a / b - 1) < 0.01 ? 0 : a - b)

const heaviest = (points: readonly Point[]): number => Math.max(...points.map(({ watts }) => watts))

const isAt = (volts: number, nominal: number): boolean => Math.abs(volts / nominal - 1) <= alike
