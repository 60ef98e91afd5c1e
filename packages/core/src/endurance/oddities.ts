import { say, plain } from '../figures'
import type { Notice, Oddity } from '../oddities'
import { bankCapacity, bankNominal, restOf } from '../supply'

/** Shares within which two energies are the same figure. */
const sameEnergy = 0.01

/** 27: an energy that is ampere-hours times rest volts, where mean discharge volts are meant. */
export const noticeRestEnergy: Notice = ({ analysis, unit }) => {
  const { rig, number } = analysis.record.revision
  const capacity = bankCapacity(rig.bank)
  const rest = restOf(rig.bank.strings[0] ?? [])
  if (capacity === undefined || rest === undefined) return []
  const near = (claimed: number, volts: number) => Math.abs(claimed - capacity * volts) < sameEnergy * claimed
  return unit.claims.flatMap((claim): Oddity[] => {
    if (claim.quantity !== 'energy' || claim.unit !== 'Wh') return []
    if (!near(claim.value, rest) || near(claim.value, bankNominal(rig.bank))) return []
    return [
      {
        number: 27,
        odd: `${plain(claim.value)} Wh is ${plain(capacity)} Ah times ${say(rest, 'V')}, the rest voltage.`,
        why: 'A battery gives its ampere-hours at its mean discharge voltage, which is lower.',
        todo: 'Judge it by a run-down, with watt-hours at the outlet.',
        at: { revision: number, claim: claim.id },
      },
    ]
  })
}
