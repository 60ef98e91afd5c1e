/**
 * Points spread evenly over a unit cube: each coordinate has one point in each of `count` equal parts, in an order that is
 * shuffled by its own seed (Latin hypercube). Same arguments, same points.
 */
export function evenly(count: number, dimensions: number): number[][] {
  const columns = Array.from({ length: dimensions }, (_, d) => shuffled(count, d + 1))
  return Array.from({ length: count }, (_, i) => columns.map((column) => ((column[i] ?? 0) + 0.5) / count))
}

/** 0 … count − 1, shuffled by a linear congruence: nothing hangs on how good it is, only that it stays the same. */
function shuffled(count: number, seed: number): number[] {
  const order = Array.from({ length: count }, (_, i) => i)
  let state = seed * 2_654_435
  for (let i = count - 1; i > 0; i--) {
    state = (state * 1_103_515_245 + 12_345) % 2 ** 31
    const j = Math.floor((state / 2 ** 31) * (i + 1))
    const [a = 0, b = 0] = [order[i], order[j]]
    order[i] = b
    order[j] = a
  }
  return order
}
