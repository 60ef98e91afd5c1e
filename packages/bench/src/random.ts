/** A seeded source of random numbers: same seed, same bench. */
export interface Random {
  /** Uniform in [0, 1). */
  next(): number
  /** Uniform in [−1, 1). */
  signed(): number
  /** Standard normal. */
  normal(): number
  /** An id in the form of a UUIDv7, in order of the given time. */
  id(at: number): string
}

// Taken out of its global once: the test runner makes every look at it dear.
const { imul, sqrt, log, cos, PI } = Math

/** Mulberry32: 32 bits of state, enough for a stand-in bench. */
export function seeded(seed: number): Random {
  let state = seed >>> 0
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = imul(t ^ (t >>> 15), t | 1)
    t ^= t + imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  const hex = (digits: number) =>
    Array.from({ length: digits }, () => Math.floor(next() * 16).toString(16)).join('')
  return {
    next,
    signed: () => 2 * next() - 1,
    normal: () => sqrt(-2 * log(1 - next())) * cos(2 * PI * next()),
    id: (at) => {
      const time = Math.floor(at).toString(16).padStart(12, '0')
      return `${time.slice(0, 8)}-${time.slice(8)}-7${hex(3)}-${'89ab'.charAt(Math.floor(next() * 4))}${hex(3)}-${hex(12)}`
    },
  }
}
