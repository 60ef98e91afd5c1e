/** Samples of one channel, at most; as the contract has it. */
export const mostSamples = 10_000_000

/** Points of a course, at most; the contract holds the same. */
export const mostCourse = 800

/** s: windows of the surge-duration curve beyond one cycle (docs/method/surge.md). */
export const surgeWindows = [0.1, 0.5, 1, 2, 5, 10, 60] as const
