import type { Bank, Chemistry } from '@even-watt/contract'
import { plain, say } from '../figures'
import { bankCapacity, bankNominal, isLithium } from './bank'

export interface BankEnergy {
  readonly volts: number
  readonly Ah: number
  /** Wh by nominal volts, and of them what may be used. */
  readonly Wh: number
  readonly usable: number
  readonly share: number
  /** Nobody said the share: it is what is usual for its kind. */
  readonly assumed: boolean
}

/** Share that is usually used of a battery without wearing it fast. */
const usualShare = (chemistry: Chemistry) => (isLithium(chemistry) ? 0.9 : 0.5)

/** Share of a bank that may be used: as it was said, else the least that is usual of its batteries. */
export const usableShareOf = ({ usableShare, strings }: Bank): number =>
  usableShare ?? Math.min(...strings.flat().map(({ chemistry }) => usualShare(chemistry)))

/** What a bank holds: nominal volts times the Ah of its strings, and the usable part of it. Undefined while a capacity is not known. */
export function bankEnergy(bank: Bank): BankEnergy | undefined {
  const Ah = bankCapacity(bank)
  if (Ah === undefined) return undefined
  const volts = bankNominal(bank)
  const share = usableShareOf(bank)
  const Wh = volts * Ah
  return { volts, Ah, Wh, usable: share * Wh, share, assumed: bank.usableShare === undefined }
}

/** "24 V · 150 Ah = 3600 Wh nominal, 3240 Wh usable (90 %, usual for its kind)". */
export function sayBankEnergy(bank: Bank): string | undefined {
  const energy = bankEnergy(bank)
  if (!energy) return undefined
  const { volts, Ah, Wh, usable, share, assumed } = energy
  return `${plain(volts)} V · ${plain(Ah)} Ah = ${say(Wh, 'Wh', 4)} nominal, ${say(usable, 'Wh', 4)} usable (${say(100 * share, '%', 2)}${assumed ? ', usual for its kind' : ''})`
}
