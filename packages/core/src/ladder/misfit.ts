import type { LossPoint } from './lossPoint'
import { farOff, type LossSystem } from './lossSystem'
import { formatNumber } from '../figures'

/** √(χ²/dof) up to which readings are said to lie on a curve. */
const most = 3

/** Scatters beyond which a point lies off the curve. */
const beyond = 3

/** Points tried one by one as the only one to blame. */
const suspects = 3

const fails = (system: LossSystem) => {
  const far = system.residuals.filter((_, r) => farOff(system, r) > beyond).length
  return system.chi > most || far > system.residuals.length / 3
}

/**
 * Why no curve is drawn through the points, with what to repeat: they lie over three times their scatter off, or over a
 * third of them do. Where all but one lie on a curve, that one is named; else the model or the ladder is blamed, not
 * the readings. Undefined where they lie on a curve.
 */
export function misfitOf(
  system: LossSystem,
  solveOthers: (points: readonly LossPoint[]) => LossSystem | undefined,
): string | undefined {
  if (!fails(system)) return undefined
  const { sorted } = system.plan
  // What leaving a point out takes from χ² is how far off it lies, so only the furthest can be to blame.
  const furthest = sorted
    .map((point, r) => ({ point, off: farOff(system, r) }))
    .sort((a, b) => b.off - a.off)
    .slice(0, suspects)
    .map(({ point }) => point)
  const lone = furthest.filter((left) => {
    const others = solveOthers(sorted.filter((point) => point !== left))
    // One point to spare at least, else anything fits.
    return others && others.chi > 0 && !fails(others)
  })
  const far = `No curve: the readings miss it by ${formatNumber(system.chi, 1)} times their scatter.`
  if (lone.length) {
    const where = lone.map(({ S }) => (S.value ? `${formatNumber(S.value, 0)} W` : 'idle')).join(' or ')
    return `${far} Read ${where} again: without that one the others lie on a curve.`
  }
  return `${far} Something changed along the ladder: repeat it in one go, warmed up, on one range of each meter.`
}
