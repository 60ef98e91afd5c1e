import { basicsOf } from './basics'

/** Samples looked at. */
const most = 1 << 20
/** Share of what moves that may lie in the quickest steps. */
const crowding = 0.25

/**
 * Whether energy crowds half the sampling rate: the second difference, which weighs it sixteenfold, of a wave that is
 * sampled finely is small; where it holds as much as a quarter of its most, what is quicker shows up as something slower.
 */
export function isAliased(x: Float64Array): boolean {
  const n = Math.min(most, x.length)
  if (n < 16) return false
  const { rms, dc } = basicsOf(x, 0, n)
  const moving = rms ** 2 - dc ** 2
  let squares = 0
  for (let i = 1; i < n - 1; i++)
    squares += ((x[i - 1] as number) - 2 * (x[i] as number) + (x[i + 1] as number)) ** 2
  return moving > 0 && squares / (n - 2) / 16 / moving > crowding
}
