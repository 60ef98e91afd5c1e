/** Share by which figures differ where the same sums were made by another engine. */
const close = 1e-6
/** Share of the largest value beside them under which figures are nothing but rounding. */
const nothing = 1e-9
/** V, A, s, rad or share that no capture tells apart. */
const least = 1e-12

/**
 * Whether two sets of figures say the same, to 1e-6 of each number, 1e-9 of the largest beside it, or 1e-12: engines differ in
 * the last digits of a sine. Names, counts and what is missing must be the same; numbers may be of any unit.
 */
export const sameFigures = (a: unknown, b: unknown): boolean => same(a, b, 0)

function same(a: unknown, b: unknown, largest: number): boolean {
  if (typeof a === 'number' && typeof b === 'number')
    return Math.abs(a - b) <= Math.max(close * Math.max(Math.abs(a), Math.abs(b)), nothing * largest, least)
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return a === b
  const [own, other] = [given(a), given(b)]
  const beside = largestOf(own)
  return (
    own.size === other.size &&
    Array.isArray(a) === Array.isArray(b) &&
    [...own].every(([key, value]) => other.has(key) && same(value, other.get(key), beside))
  )
}

/** What is there: what is undefined is not. */
const given = (of: object) => new Map(Object.entries(of).filter(([, value]) => value !== undefined))

const largestOf = (of: ReadonlyMap<string, unknown>): number =>
  [...of.values()].reduce<number>(
    (most, value) => (typeof value === 'number' ? Math.max(most, Math.abs(value)) : most),
    0,
  )
