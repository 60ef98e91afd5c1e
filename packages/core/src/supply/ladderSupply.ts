import { derive, type Derived, type Figure, isFigure } from '../figures'
import { combine, isOwn, standard, subtract, type Uncertain } from '../meters'
import { regress } from './regression'

/** Volts and amps of one step at one tap, idle included. */
export interface SupplyPoint {
  /** When it was read, h after the first; for the drift of state of charge. */
  readonly hours: number
  readonly V: Figure
  readonly I: Figure
}

export interface SourceFit {
  readonly E: Figure
  readonly R: Figure
  /** V per hour that the rest voltage moved, where order and readings show it. */
  readonly drift: Figure | undefined
}

const ownPart = (x: Uncertain): number => {
  let sum = 0
  for (const [source, sensitivity] of x.sources) if (isOwn(source)) sum += sensitivity ** 2
  return Math.sqrt(sum)
}

/** Currents must spread over at least this share of the largest, or the slope means nothing. */
const leastSpread = 0.2

/**
 * E and R of what lies behind a tap, from the ladder itself: weighted regression of V on I (handbook §12), with
 * weights from the independent parts of both, and a linear drift in time when it is clear of its uncertainty.
 * What the meters have in common is carried through, so that the difference of two fits on the same meters is
 * better known than either.
 */
export function fitSource(points: readonly SupplyPoint[], tap: 'A' | 'B'): SourceFit | { missing: string } {
  const names = tap === 'A' ? (['E', 'R_source'] as const) : (['E', 'R_total'] as const)
  const currents = points.map(({ I }) => I.x.value)
  if (points.length < 3) return { missing: `Three steps with V_${tap} and the current are needed.` }
  if (Math.max(...currents) - Math.min(...currents) < leastSpread * Math.max(...currents)) {
    return { missing: 'The currents lie too close together.' }
  }
  const plain = solveFor(points, false)
  if (!plain) return { missing: 'The currents do not differ.' }
  const drifting = points.length >= 5 ? solveFor(points, true) : undefined
  const drift = drifting?.terms[2]
  const fit =
    drifting && drift && Math.abs(drift.value) > 3 * standard(drift) && drifting.scatter < plain.scatter / 2
      ? drifting
      : plain
  const inputs = points.flatMap(({ V, I }) => [V, I])
  const note =
    fit === drifting
      ? 'With a term for the drift of the rest voltage during the ladder.'
      : 'Over the ladder (minutes): not the figure at 10 s.'
  const figure = (
    symbol: string,
    unit: Figure['unit'],
    x: Uncertain | undefined,
    formula: string,
  ): Derived => (x ? derive(symbol, unit, formula, inputs, x, [note]) : { missing: 'not fitted' })
  const E = figure(names[0], 'V', fit.terms[0], `V_${tap} at no current`)
  const R = figure(names[1], 'mΩ', fit.terms[1], `−dV_${tap}/dI by weighted regression`)
  const slope = fit === drifting ? figure('drift', 'V', fit.terms[2], 'V per hour') : undefined
  if (!isFigure(E) || !isFigure(R)) return { missing: 'The fit has no finite result.' }
  return { E, R, drift: slope && isFigure(slope) ? slope : undefined }
}

/** E, R and perhaps drift with all sources of error carried through; R is made positive for a falling voltage. */
function solveFor(points: readonly SupplyPoint[], withDrift: boolean) {
  const rows = points.map(({ I, hours }) => [1, -I.x.value, ...(withDrift ? [hours] : [])])
  const y = points.map(({ V }) => V.x.value)
  let R = 0
  let fit: ReturnType<typeof regress>
  // The weights need R; it settles after a round or two.
  for (let round = 0; round < 3; round++) {
    const u = points.map(({ V, I }) => Math.hypot(ownPart(V.x), R * ownPart(I.x)))
    const floor = 1e-9 + 1e-6 * Math.max(...u)
    fit = regress(
      rows,
      y,
      u.map((x) => 1 / Math.max(x, floor) ** 2),
    )
    if (!fit) return undefined
    R = fit.coefficients[1] ?? 0
  }
  if (!fit) return undefined
  const { response, coefficients, chiSquared, freedom, covariance } = fit
  const excess = freedom > 0 ? Math.sqrt(Math.max(1, chiSquared / freedom)) : 1
  const terms = response.map((row, k) => {
    const x = combine(
      coefficients[k] ?? 0,
      points.flatMap(({ V, I }, i) => [[V.x, row[i] ?? 0] as const, [I.x, R * (row[i] ?? 0)] as const]),
    )
    // Scatter beyond what the meters explain widens the result (Birge).
    const extra = Math.sqrt((excess ** 2 - 1) * (covariance[k]?.[k] ?? 0))
    return extra > 0
      ? {
          value: x.value,
          sources: new Map([
            ...x.sources,
            [`own|scatter ${k}|${points[0]?.V.working.entries[0] ?? ''}`, extra],
          ]),
        }
      : x
  })
  return { terms, scatter: freedom > 0 ? chiSquared / freedom : 0 }
}

/** R_path as the difference of both fits, the meters' common parts taken out. */
export function pathFromFits(atB: SourceFit, atA: SourceFit): Derived {
  return derive('R_path', 'mΩ', 'R_total − R_source', [atB.R, atA.R], subtract(atB.R.x, atA.R.x))
}
