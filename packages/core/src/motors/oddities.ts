import type { Chemistry } from '@even-watt/contract'
import { say } from '../figures'
import type { Notice, Oddity } from '../oddities'
import { surgeAbove } from '../schedule'
import { bankNominal } from '../supply'
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
        odd: `Attempt ${reading.number} began with the bank at ${reading.bankBefore} V: too low for a surge test.`,
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
