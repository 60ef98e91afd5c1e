/** Samples of one channel, at most; as the contract has it. */
export const mostSamples = 10_000_000

/** Points of a course, at most; the contract holds the same. */
export const mostCourse = 800
