import { notTested, type Judge } from '../../findings'
import { isMotor, judgePower } from '../../limits'
import { claimValue } from '../../units'

/** How long it works over its rated power: a power promise for a time, by the same rules (docs/method/findings.md). */
export const judgeOverloadTime: Judge = (evidence) => {
  const { claim } = evidence
  return claim.load === undefined
    ? notTested('The operating time names no load over the rated power.')
    : judgePower(
        { evidence, wanted: claim.load, hold: claimValue(claim), shortEnough: false, timed: true },
        ({ step }) => !isMotor(step),
      )
}
