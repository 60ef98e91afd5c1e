import { decides, derive, isFigure, type Derived, type Figure } from '../figures'
import { linearForms, splitOf, type Uncertain } from '../meters'
import { excess, isLine, lineOf, type Line, type Observation } from './line'
import { offLine } from './offLine'

/** What one step says of the supply, idle included. */
export interface SupplyPoint {
  /** Absent: idle. */
  readonly step?: string
  /** The input was lowered on purpose: it says nothing of the bank. */
  readonly lowered?: boolean
  /** When it was read, h after the first; for the drift of state of charge. */
  readonly hours: number
  readonly V_A: Derived
  readonly V_B: Derived
  /** What the unit draws, so what flows in the path. */
  readonly I: Derived
  /** What the bank gives. */
  readonly I_bank: Derived
}

export interface SourceFit {
  readonly E: Figure
  readonly R: Figure
  /** V per hour that the rest voltage moved, where order and readings show it. */
  readonly drift: Figure | undefined
}

type Missing = { missing: string }

/** A ladder's own word on its supply: the source behind either tap, and the path between them. */
export interface LadderSupply {
  readonly atA: SourceFit | Missing
  readonly atB: SourceFit | Missing
  readonly path: Derived
  /** Steps that were not used for the sources, by id: lowered on purpose, or far under the line of the others; V lacking, where known. */
  readonly off: ReadonlyMap<string, number | undefined>
}

const overLadder = 'Over the ladder (minutes): not the figure at 10 s.'

/**
 * E and R of what lies behind each tap, and R of the path between them, from the ladder itself: V_A on the bank's
 * current, V_B and V_A − V_B on the unit's (docs/method/supply.md). A charger bends V_B on I, for the bank is then
 * spared at first; the drop along the path knows nothing of it. Lines are weighted by the independent parts of both
 * axes, with a linear drift in time when it is clear of its uncertainty; what the lines have in common, readings and
 * meters, is carried through, so that sums and differences of the figures are as well known as they can be.
 * `name` tells the errors of these fits from those of others.
 */
export function fitSupply(points: readonly SupplyPoint[], name: string): LadderSupply {
  const { off, atA } = stepsOff(points)
  const whole = points.filter(({ step }) => step === undefined || !off.has(step))
  const lines = {
    A: atA ?? lineAt.V_A(whole),
    B: lineAt.V_B(whole),
    // The drop's sign is turned, so that all three fall with current.
    path: lineOf(
      observed(points, 'I', [
        ['V_B', 1],
        ['V_A', -1],
      ]),
      'V_A and V_B',
      false,
    ),
  }
  const terms = termsOf(Object.values(lines).filter(isLine), name)
  return {
    atA: sourceOf(lines.A, terms, 'R_source', 'V_A'),
    atB: sourceOf(lines.B, terms, 'R_total', 'V_B'),
    path: isLine(lines.path)
      ? derive(
          'R_path',
          'mΩ',
          'd(V_A − V_B)/dI by weighted regression',
          lines.path.inputs,
          terms(lines.path, 1),
          [overLadder],
        )
      : lines.path,
    off,
  }
}

const lineAt = {
  V_A: (points: readonly SupplyPoint[]) => lineOf(observed(points, 'I_bank', [['V_A', 1]]), 'V_A', true),
  V_B: (points: readonly SupplyPoint[]) => lineOf(observed(points, 'I', [['V_B', 1]]), 'V_B', true),
}

/**
 * Steps that say nothing of the bank: so marked, or found by the first tap at which there are enough readings to tell; with the
 * line of all others at A, where none was found by it.
 */
function stepsOff(points: readonly SupplyPoint[]): {
  readonly off: Map<string, number | undefined>
  readonly atA?: Line | Missing
} {
  const off = new Map<string, number | undefined>()
  for (const { step, lowered } of points) if (step !== undefined && lowered) off.set(step, undefined)
  const rest = points.filter(({ lowered }) => !lowered)
  const atA = lineAt.V_A(rest)
  const line = isLine(atA) ? atA : lineOf(observed(rest, 'I_bank', [['V_B', 1]]), 'V_B', true)
  const found = isLine(line) ? offLine(line) : new Map<Observation, number>()
  for (const [{ step }, lack] of found) if (step !== undefined) off.set(step, lack)
  return found.size ? { off } : { off, atA }
}

function observed(
  points: readonly SupplyPoint[],
  current: 'I' | 'I_bank',
  volts: readonly (readonly ['V_A' | 'V_B', 1 | -1])[],
): Observation[] {
  const found: Observation[] = []
  for (const point of points) {
    const I = point[current]
    const signed: (readonly [Figure, 1 | -1])[] = []
    for (const [tap, sign] of volts) {
      const V = point[tap]
      if (decides(V)) signed.push([V, sign])
    }
    if (decides(I) && signed.length === volts.length)
      found.push({ step: point.step, hours: point.hours, volts: signed, I })
  }
  return found
}

type Terms = (line: Line, k: number) => Uncertain

/** The terms of all lines with the readings' errors carried into them, at once, for the lines share readings. */
function termsOf(lines: readonly Line[], name: string): Terms {
  let size = 0
  const starts = new Map<Line, number>()
  for (const line of lines) {
    starts.set(line, size)
    size += line.fit.coefficients.length
  }
  const gains = new Map<Uncertain, Float64Array>()
  const gain = (x: Uncertain, at: number, more: number) => {
    const known = gains.get(x) ?? new Float64Array(size)
    known[at] = (known[at] ?? 0) + more
    gains.set(x, known)
  }
  const scatter = Array.from({ length: size }, () => new Array<number>(size).fill(0))
  for (const [{ observations, fit }, start] of starts) {
    const R = fit.coefficients[1] ?? 0
    fit.response.forEach((row, k) =>
      observations.forEach(({ volts, I }, i) => {
        const g = row[i] ?? 0
        gain(I.x, start + k, R * g)
        for (const [figure, sign] of volts) gain(figure.x, start + k, sign * g)
      }),
    )
    const more = excess(fit) - 1
    fit.covariance.forEach((row, k) =>
      scatter[start + k]?.splice(start, row.length, ...row.map((c) => more * c)),
    )
  }
  const split = [...gains].map(([x, gained]) => [splitOf(x), gained] as const)
  const forms = linearForms(split, size, name, scatter)
  return (line, k) => ({
    value: line.fit.coefficients[k] ?? 0,
    sources: forms[(starts.get(line) ?? 0) + k] ?? new Map<string, number>(),
  })
}

function sourceOf(line: Line | Missing, terms: Terms, R_name: string, volts: string): SourceFit | Missing {
  if (!isLine(line)) return line
  const note = line.drifts ? 'With a term for the drift of the rest voltage during the ladder.' : overLadder
  const figure = (symbol: string, unit: Figure['unit'], k: number, formula: string) =>
    derive(symbol, unit, formula, line.inputs, terms(line, k), [note])
  const E = figure('E', 'V', 0, `${volts} at no current`)
  const R = figure(R_name, 'mΩ', 1, `−d${volts}/dI by weighted regression`)
  const drift = line.drifts ? figure('drift', 'V', 2, 'V per hour') : undefined
  if (!isFigure(E) || !isFigure(R)) return { missing: 'The fit has no finite result.' }
  return { E, R, drift: drift && isFigure(drift) ? drift : undefined }
}
