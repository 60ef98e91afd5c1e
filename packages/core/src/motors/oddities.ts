import type { Chemistry } from '@even-watt/contract'
import { isFigure, say } from '../figures'
import type { Notice, Oddity } from '../oddities'
import { weakestLinks } from '../rigs'
import { bankNominal, surgeAbove } from '../supply'
import { readingsOf } from '../trials'

/**
 * Volts per nominal volt, barely loaded, below which a bank surely holds less than surge tests want. A lithium bank's
 * voltage hardly tells between 30 and 90 %, so only what is clearly too low is.
 */
const surelyLow: Record<Chemistry, number | undefined> = {
  'lithium iron phosphate': 13 / 12.8,
  'other lithium': 1,
  AGM: 12.4 / 12,
  gel: 12.4 / 12,
  'flooded lead-acid': 12.3 / 12,
  'not known': undefined,
}

/** 15: the bank too low for this test. */
export const noticeBankLow: Notice = ({ analysis }) => {
  const { rig, number } = analysis.record.revision
  const nominal = bankNominal(rig.bank)
  const [first] = rig.bank.strings.flat()
  const low = first && surelyLow[first.chemistry]
  const least = low === undefined ? undefined : low * nominal
  return readingsOf(analysis.record, 'motors').flatMap(({ id, reading }): Oddity[] => {
    if (least === undefined || reading.bankBefore === undefined || reading.bankBefore >= least) return []
    // Under a base load the bank stands lower than its charge.
    if (reading.baseLoad) return []
    return [
      {
        number: 15,
        odd: `Attempt ${reading.number} began with the bank at ${say(reading.bankBefore, 'V', 4)}: too low for a surge test.`,
        why: `Below ${say(least, 'V')} it holds less than the ${surgeAbove * 100} % that surge tests want, and sags more.`,
        todo: 'Recharge and repeat it, or say that the low bank was meant.',
        at: { revision: number, entry: id },
      },
    ]
  })
}

/** Bank volts apart by more than this share are another bank. */
const sameVolts = 0.01

/** 25: two things changed between two attempts at one motor that ended differently: neither is shown to matter. */
export const noticeTwoChanges: Notice = ({ analysis }) => {
  const attempts = readingsOf(analysis.record, 'motors')
  return attempts.flatMap((later, i): Oddity[] => {
    const earlier = attempts.slice(0, i).findLast(({ reading }) => reading.load === later.reading.load)
    if (!earlier || earlier.reading.outcome === later.reading.outcome) return []
    const [a, b] = [earlier.reading, later.reading]
    const volts = a.bankBefore !== undefined && b.bankBefore !== undefined
    const changed = [
      (a.state ?? '') !== (b.state ?? '') && 'its state',
      (a.baseLoad ?? 0) !== (b.baseLoad ?? 0) && 'the base load',
      (a.assist ?? 1) !== (b.assist ?? 1) && 'the soft starter',
      a.leg !== b.leg && 'the leg',
      volts && Math.abs((a.bankBefore ?? 0) / (b.bankBefore ?? 1) - 1) > sameVolts && 'the bank',
    ].filter((one) => one !== false)
    if (changed.length < 2) return []
    return [
      {
        number: 25,
        odd: `Attempt ${b.number} ended differently from attempt ${a.number}, but ${changed.join(' and ')} had changed.`,
        why: 'Which of them made the difference is not shown.',
        todo: 'Repeat it with one of them as before.',
        at: { revision: analysis.record.revision.number, entry: later.id },
      },
    ]
  })
}

/** 22: extremes of a start that were kept by a meter too slow for it. */
export const noticeSlowExtremes: Notice = ({ analysis }) =>
  analysis.motors.attempts.flatMap(({ entry, seen, lowest, lowestInput, current }): Oddity[] => {
    if (seen) return []
    const slow = [lowest, lowestInput, current]
      .filter(isFigure)
      .find(({ refused }) => refused?.why.includes('a second'))
    if (!slow?.refused) return []
    return [
      {
        number: 22,
        odd: `Attempt ${entry.reading.number}: ${slow.symbol} cannot be told, for ${slow.refused.why}`,
        why: 'The extreme lay between its readings, or was averaged away.',
        todo: slow.refused.todo,
        at: { revision: analysis.record.revision.number, entry: entry.id },
      },
    ]
  })

/** Share by which a rating is exceeded before that is odd, and s that a device of no known curve bears it. */
const beyondRating = -0.1
const unknownCurve = 10

/** 23: a start’s current that a fuse, breaker or BMS should not have carried for so long. */
export const noticeDeviceHeld: Notice = ({ analysis }) => {
  const { rig, number } = analysis.record.revision
  return analysis.motors.attempts.flatMap(({ entry, inputCurrent, lasted, ended }): Oddity[] => {
    if (inputCurrent === undefined || lasted === undefined || ended?.who === 'protection') return []
    const over = weakestLinks(rig, inputCurrent).find(
      ({ kind, margin, allowed }) =>
        ['fuse', 'breaker', 'BMS'].includes(kind) &&
        (margin ?? 0) < beyondRating &&
        (allowed ?? unknownCurve) < lasted,
    )
    if (!over) return []
    return [
      {
        number: 23,
        odd: `Attempt ${entry.reading.number} took ${say(inputCurrent, 'A')} for ${say(lasted, 's', 2)} through the ${over.name}, rated ${say(over.continuous ?? 0, 'A')}.`,
        why: 'It should have opened: the current, the rating or the time is not what it says.',
        todo: 'Check the clamp’s factor, and what is printed on the device.',
        at: { revision: number, entry: entry.id },
      },
    ]
  })
}
