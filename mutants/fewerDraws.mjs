/** fast-check with a few draws of each property: a mutant meets the same tests thousands of times. */
import * as all from 'fast-check'

const draws = 8

const assert = (property, parameters) =>
  all.assert(property, { ...parameters, numRuns: Math.min(parameters?.numRuns ?? draws, draws) })

export default { ...all, assert }
