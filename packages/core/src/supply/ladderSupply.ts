import { derive, isFigure, type Derived, type Figure } from '../figures'
import { combine, isOwn, ownSource, standard, subtract, type Uncertain } from '../meters'
import { remembering } from '../remember'
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

/** A point with the independent parts of its uncertainty. */
interface Weighed extends SupplyPoint {
  readonly u_V: number
  readonly u_I: number
}

const sameOwn = remembering<Uncertain, number>()

const ownPart = (x: Uncertain): number =>
  sameOwn(x, [], () => {
    let sum = 0
    for (const [source, sensitivity] of x.sources) if (isOwn(source)) sum += sensitivity ** 2
    return Math.sqrt(sum)
  })

/** Currents must spread over at least this share of the largest, or the slope means nothing. */
const leastSpread = 0.2

/**
 * E and R of what lies behind a tap, from the ladder itself: weighted regression of V on I (docs/method/supply.md), with
 * weights from the independent parts of both, and a linear drift in time when it is clear of its uncertainty.
 * What the meters have in common is carried through, so that the difference of two fits on the same meters is
 * better known than either.
 */
export function fitSource(read: readonly SupplyPoint[], tap: 'A' | 'B'): SourceFit | { missing: string } {
  const points = read.map((point) => ({ ...point, u_V: ownPart(point.V.x), u_I: ownPart(point.I.x) }))
  const names = tap === 'A' ? (['E', 'R_source'] as const) : (['E', 'R_total'] as const)
  const currents = points.map(({ I }) => I.x.value)
  if (points.length < 3) return { missing: `Three steps with V_${tap} and the current are needed.` }
  if (Math.max(...currents) - Math.min(...currents) < leastSpread * Math.max(...currents)) {
    return { missing: 'The currents lie too close together.' }
  }
  const plain = fitLine(points, false)
  if (!plain) return { missing: 'The currents do not differ.' }
  const drifting = points.length >= 5 ? fitLine(points, true) : undefined
  const drift = drifting && drifting.scatter < plain.scatter / 2 ? drifting.term(2) : undefined
  const fit = drifting && drift && Math.abs(drift.value) > 3 * standard(drift) ? drifting : plain
  const inputs = points.flatMap(({ V, I }) => [V, I])
  const note =
    fit === drifting
      ? 'With a term for the drift of the rest voltage during the ladder.'
      : 'Over the ladder (minutes): not the figure at 10 s.'
  const figure = (symbol: string, unit: Figure['unit'], x: Uncertain, formula: string): Derived =>
    derive(symbol, unit, formula, inputs, x, [note])
  const E = figure(names[0], 'V', fit.term(0), `V_${tap} at no current`)
  const R = figure(names[1], 'mΩ', fit.term(1), `−dV_${tap}/dI by weighted regression`)
  const slope = fit === drifting && drift ? figure('drift', 'V', drift, 'V per hour') : undefined
  if (!isFigure(E) || !isFigure(R)) return { missing: 'The fit has no finite result.' }
  return { E, R, drift: slope && isFigure(slope) ? slope : undefined }
}

/** Independent standard uncertainty of each point across a line of slope R, never quite 0. */
function uncertaintiesAt(points: readonly Weighed[], R: number): number[] {
  const u = points.map(({ u_V, u_I }) => Math.sqrt(u_V ** 2 + (R * u_I) ** 2))
  const floor = 1e-9 + 1e-6 * Math.max(...u)
  return u.map((x) => Math.max(x, floor))
}

/** −dV/dI of a weighted straight line; the weights need the slope, which settles after a round or two. */
function settledSlope(points: readonly Weighed[]): number {
  let R = 0
  for (let round = 0; round < 2; round++) {
    const u = uncertaintiesAt(points, R)
    let [sum, sumI, sumV, sumII, sumIV] = [0, 0, 0, 0, 0]
    points.forEach(({ V, I }, i) => {
      const w = 1 / (u[i] ?? 1) ** 2
      sum += w
      sumI += w * I.x.value
      sumV += w * V.x.value
      sumII += w * I.x.value ** 2
      sumIV += w * I.x.value * V.x.value
    })
    R = (sumI * sumV - sum * sumIV) / (sum * sumII - sumI ** 2)
  }
  return R
}

/**
 * E, R and perhaps drift, each with all sources of error carried through when it is asked for; R is made positive for a
 * falling voltage.
 */
function fitLine(points: readonly Weighed[], withDrift: boolean) {
  const u = uncertaintiesAt(points, settledSlope(points))
  const fit = regress(
    points.map(({ I, hours }) => [1, -I.x.value, ...(withDrift ? [hours] : [])]),
    points.map(({ V }) => V.x.value),
    u.map((x) => 1 / x ** 2),
  )
  if (!fit) return undefined
  const { response, coefficients, chiSquared, freedom, covariance } = fit
  const R = coefficients[1] ?? 0
  const excess = freedom > 0 ? Math.sqrt(Math.max(1, chiSquared / freedom)) : 1
  const term = (k: number): Uncertain => {
    const row = response[k] ?? []
    const x = combine(
      coefficients[k] ?? 0,
      points.flatMap(({ V, I }, i) => [[V.x, row[i] ?? 0] as const, [I.x, R * (row[i] ?? 0)] as const]),
    )
    // Scatter beyond what the meters explain widens the result (Birge).
    const extra = Math.sqrt((excess ** 2 - 1) * (covariance[k]?.[k] ?? 0))
    const scatter = ownSource(`scatter ${k}`, points[0]?.V.working.entries[0] ?? '')
    return extra > 0 ? { value: x.value, sources: new Map([...x.sources, [scatter, extra]]) } : x
  }
  return { term, scatter: freedom > 0 ? chiSquared / freedom : 0 }
}

/** R_path as the difference of both fits, the meters' common parts taken out. */
export function pathFromFits(atB: SourceFit, atA: SourceFit): Derived {
  return derive('R_path', 'mΩ', 'R_total − R_source', [atB.R, atA.R], subtract(atB.R.x, atA.R.x))
}
