import { isLine, type Line, type Observation } from './line'

/** A step stands off the line from this share of the volts at no current on, and from so many scatters of the others. */
const leastShare = 0.01
const leastScatters = 5

/** At most this share of the steps is set aside, and so many stay; else it is the line that is wrong. */
const mostShare = 1 / 3
const leastLeft = 4

/**
 * Which observations stand so far under the line of all others that they cannot belong to it, with the volts they lack:
 * a tap or bank that was lowered on purpose, or one running low (docs/method/supply.md). The farthest is taken out
 * first, by what the line of the others would say of it; what is taken out must stand clear of the line that is left.
 */
export function offLine(
  observations: readonly Observation[],
  fit: (left: readonly Observation[]) => Line | { missing: string },
): ReadonlyMap<Observation, number> {
  let off: ReadonlyMap<Observation, number> = new Map()
  const taken: Observation[] = []
  let left = [...observations]
  while (taken.length < Math.floor(mostShare * observations.length) && left.length > leastLeft) {
    const line = fit(left)
    if (!isLine(line)) break
    const lacking = lackedBy(line)
    const worst = lacking.indexOf(Math.max(...lacking))
    const lowest = left[worst]
    if (!lowest) break
    taken.push(lowest)
    left = left.filter((one) => one !== lowest)
    const rest = fit(left)
    if (!isLine(rest)) break
    const volts = taken.map((one) => [one, lackOf(one, rest)] as const)
    if (volts.every(([one, lack]) => lack > limitOf(one, rest))) off = new Map(volts)
  }
  return off
}

/** V that each step lacks of what the line of all others says; idle is never the one that was lowered. */
const lackedBy = ({ fit, observations, drifts }: Line): number[] =>
  fit.residuals.map((residual, i) => {
    const row = rowOf(observations[i], drifts)
    const leverage = row.reduce((sum, x, k) => sum + x * (fit.response[k]?.[i] ?? 0), 0)
    return observations[i]?.step === undefined || leverage > 1 - 1e-9 ? -Infinity : -residual / (1 - leverage)
  })

const rowOf = (one: Observation | undefined, drifts: boolean): number[] =>
  one ? [1, -one.I.x.value, ...(drifts ? [one.hours] : [])] : []

const lackOf = (one: Observation, { fit, drifts }: Line): number =>
  rowOf(one, drifts).reduce((sum, x, k) => sum + x * (fit.coefficients[k] ?? 0), 0) -
  one.volts.reduce((sum, [figure, sign]) => sum + sign * figure.x.value, 0)

/** V under a line beyond which a step cannot belong to it: the scatter of the others, and how sure their line is at this step. */
function limitOf(one: Observation, { fit, drifts }: Line): number {
  const squares = fit.residuals.reduce((sum, r) => sum + r * r, 0)
  const scatter = Math.sqrt(squares / Math.max(1, fit.freedom))
  const row = rowOf(one, drifts)
  const reach = fit.residuals.reduce(
    (sum, _, i) => sum + row.reduce((moved, x, k) => moved + x * (fit.response[k]?.[i] ?? 0), 0) ** 2,
    0,
  )
  return Math.max(leastShare * (fit.coefficients[0] ?? 0), leastScatters * scatter * Math.sqrt(1 + reach))
}
