import type { Unit } from '@even-watt/contract'
import { formatNumber, say } from '../figures'
import { claimedValue, ratedPower } from './claims'
import { hasFeature } from './features'

/** What a buyer must have, before anything was tested; what is absent is not asked. */
export interface Wanted {
  /** V of the bank that is there. */
  readonly bank?: number | undefined
  /** W for good, and for a moment. */
  readonly watts?: number | undefined
  readonly surge?: number | undefined
  /** s that passing over from the mains may take. */
  readonly transfer?: number | undefined
  readonly price?: number | undefined
  readonly features?: readonly string[]
}

/** What a label says of a unit, in SI; what it does not say is absent. */
export interface Labelled {
  readonly watts: number | undefined
  readonly surge: number | undefined
  readonly transfer: number | undefined
  readonly price: Unit['price']
  /** Of its currency for each watt of its rating. */
  readonly perWatt: number | undefined
}

export function labelled(unit: Pick<Unit, 'claims' | 'price'>): Labelled {
  const watts = ratedPower(unit)
  return {
    watts,
    surge: claimedValue(unit, 'surge power'),
    transfer: claimedValue(unit, 'transfer time'),
    price: unit.price,
    perWatt: unit.price && watts ? unit.price.amount / watts : undefined,
  }
}

/** A unit among others: why it is out, what nobody knows of it, and its place among those that are not. */
export interface Choice<U> {
  readonly unit: U
  readonly says: Labelled
  /** Why it does not do, in sentences; none: nothing speaks against it. */
  readonly against: readonly string[]
  /** What is asked and neither on its label nor noted. */
  readonly open: readonly string[]
  /** From 1, by price for each rated watt; one without a price comes last. Undefined: it does not do. */
  readonly place: number | undefined
}

/**
 * Units by their labels against what is wanted: those that do not do are out, each with why; the others stand by price for each
 * rated watt, those of which something is open behind. Prices in one currency only are ranked against each other: the first's.
 */
export function chooseAmong<U extends Pick<Unit, 'claims' | 'price' | 'features' | 'inputVoltage'>>(
  units: readonly U[],
  wanted: Wanted,
): Choice<U>[] {
  const judged = units.map((unit) => ({ unit, says: labelled(unit), ...judge(unit, wanted) }))
  const currency = judged.find(({ says }) => says.price)?.says.price?.currency
  const rank = ({ says, open }: (typeof judged)[number]) =>
    [open.length ? 1 : 0, says.price?.currency === currency ? (says.perWatt ?? Infinity) : Infinity] as const
  const fit = judged
    .filter(({ against }) => !against.length)
    .sort((a, b) => {
      const [[openA, a1], [openB, b1]] = [rank(a), rank(b)]
      return openA - openB || (a1 === b1 ? 0 : a1 - b1)
    })
  return [
    ...fit.map((one, i) => ({ ...one, place: i + 1 })),
    ...judged.filter(({ against }) => against.length).map((one) => ({ ...one, place: undefined })),
  ]
}

function judge(
  unit: Pick<Unit, 'claims' | 'price' | 'features' | 'inputVoltage'>,
  { bank, watts, surge, transfer, price, features = [] }: Wanted,
): { readonly against: string[]; readonly open: string[] } {
  const says = labelled(unit)
  const [against, open]: [string[], string[]] = [[], []]
  const atLeast = (what: string, when: string, has: number | undefined, wants: number | undefined) => {
    if (wants === undefined) return
    if (has === undefined) open.push(what)
    else if (has < wants) against.push(`${say(has, 'W')} ${when}: ${say(wants - has, 'W')} too little.`)
  }
  atLeast('its rated power', 'for good', says.watts, watts)
  atLeast('its surge', 'for a moment', says.surge, surge)
  if (bank !== undefined && unit.inputVoltage !== undefined && unit.inputVoltage !== bank)
    against.push(`It is for a bank of ${say(unit.inputVoltage, 'V')}.`)
  if (transfer !== undefined) {
    if (says.transfer === undefined) open.push('its transfer time')
    else if (says.transfer > transfer)
      against.push(`It passes over in ${say(says.transfer, 's')}: ${say(transfer, 's')} is wanted.`)
  }
  if (price !== undefined) {
    if (!says.price) open.push('its price')
    else if (says.price.amount > price)
      against.push(
        `It costs ${formatNumber(says.price.amount - price, 0)} ${says.price.currency} more than is wanted.`,
      )
  }
  for (const feature of features) {
    const has = hasFeature(unit, feature)
    if (has === 'has not') against.push(`It has no ${feature}.`)
    else if (has === 'not known') open.push(feature)
  }
  return { against, open }
}
