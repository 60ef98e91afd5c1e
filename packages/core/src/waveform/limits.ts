/** Samples of one channel, at most; as the contract has it. */
export const mostSamples = 10_000_000
