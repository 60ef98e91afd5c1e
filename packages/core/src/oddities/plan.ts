import type { Chemistry } from '@even-watt/contract'
import { claimValue, sayClaim } from '../findings'
import { say } from '../figures'
import { surgeAbove } from '../schedule'
import { bankNominal } from '../supply'
import type { Notice, Oddity } from './oddity'

/**
 * Volts per nominal volt, barely loaded, below which a bank surely holds less than surge tests want. A lithium bank's
 * voltage hardly tells between 30 and 90 %, so only what is clearly too low is.
 */
const surelyLow: Record<Chemistry, number> = {
  'lithium iron phosphate': 13 / 12.8,
  'other lithium': 1,
  AGM: 12.4 / 12,
  gel: 12.4 / 12,
  'flooded lead-acid': 12.3 / 12,
}

/** 15: the bank too low for this test. */
export const noticeBankLow: Notice = ({ analysis }) => {
  const { rig, number } = analysis.record.revision
  const nominal = bankNominal(rig.bank)
  const [first] = rig.bank.strings.flat()
  const least = first && surelyLow[first.chemistry] * nominal
  return analysis.record.motors.flatMap(({ id, reading }): Oddity[] => {
    if (least === undefined || reading.bankBefore === undefined || reading.bankBefore >= least) return []
    return [
      {
        number: 15,
        odd: `Attempt ${reading.number} began with the bank at ${reading.bankBefore} V: too low for a surge test.`,
        why: `Below ${say(least, 'V')} it holds less than the ${surgeAbove * 100} % that surge tests want, and sags more.`,
        todo: 'Recharge and repeat it, or say that the low bank was meant.',
        at: { revision: number, entry: id },
      },
    ]
  })
}

/** 17: a rating of something else taken for the continuous one, by the model's own number or by its size. */
export const noticeWrongRating: Notice = ({ analysis, unit }) => {
  const revision = analysis.record.revision.number
  const continuous = unit.claims.find(({ quantity }) => quantity === 'continuous power')
  const surge = unit.claims.find(({ quantity }) => quantity === 'surge power')
  if (!continuous) return []
  const todo = 'Look at the label again: AC output, solar input and surge are easily confused.'
  const at = { revision, claim: continuous.id }
  if (surge && claimValue(surge) < claimValue(continuous)) {
    return [
      {
        number: 17,
        odd: `The surge rating, ${sayClaim(surge)}, is below the continuous one, ${sayClaim(continuous)}.`,
        why: 'One of them rates something else.',
        todo,
        at,
      },
    ]
  }
  const numbers = (unit.name.match(/\d{3,}/g) ?? []).map(Number)
  if (!numbers.length || numbers.includes(claimValue(continuous))) return []
  const other = unit.claims.find(
    (claim) => claim.quantity !== 'continuous power' && numbers.includes(claimValue(claim)),
  )
  if (!other) return []
  return [
    {
      number: 17,
      odd: `The number in ${unit.name} is its ${other.quantity}, ${sayClaim(other)}; it carries ${sayClaim(continuous)}.`,
      why: 'Readers take the number in a name for what the unit carries all day.',
      todo,
      at,
    },
  ]
}
