import type { Entry, LadderPlanned, OddityNumber, Quantity, Unit } from '@even-watt/contract'
import type { Analysis } from '../trials'

/** Something the software noticed by itself (docs/method/oddities.md): what, why it matters, what to do. */
export interface Oddity {
  readonly number: OddityNumber
  readonly odd: string
  readonly why: string
  readonly todo: string
  readonly at: OddityPlace
}

interface OddityPlace {
  readonly revision: number
  readonly step?: string
  readonly entry?: string
  readonly quantity?: Quantity
  readonly claim?: string
  readonly part?: 'rig' | 'unit'
}

export interface OddityContext {
  readonly analysis: Analysis
  readonly unit: Unit
  /** The ladder as it is planned, where it is. */
  readonly plan: LadderPlanned | undefined
}

/** Looks for one kind of oddity on one revision. */
export type Notice = (context: OddityContext) => Oddity[]

export const keptKey = (entry: Entry['id'], number: OddityNumber) => `${entry}|${number}`

/** An oddity, and what it is said once for: forty rows need not say the same. */
export type Keyed = Oddity & { readonly key: string }

/** The first of each key. */
export function onceEach(found: Iterable<Keyed>): Oddity[] {
  const said = new Map<string, Oddity>()
  for (const { key, ...oddity } of found) if (!said.has(key)) said.set(key, oddity)
  return [...said.values()]
}
