import { bankNominal } from '../evidence'
import { plain } from '../figures'
import type { Bank, Battery, Chemistry } from '@even-watt/contract'
import { solveNetwork, type Branch, type Network } from './network'
import { sourceBetween, type Source } from './thevenin'

export { bankNominal }

/** Rest volts of a charged battery per nominal volt, where none were measured. */
const restPerNominal: Record<Exclude<Chemistry, 'not known'>, number> = {
  'lithium iron phosphate': 13.2 / 12.8,
  'other lithium': 1.1,
  AGM: 12.7 / 12,
  gel: 12.8 / 12,
  'flooded lead-acid': 12.6 / 12,
}

export const isLithium = (chemistry: Chemistry) => chemistry.includes('lithium')

/** V at rest, as read or as usual for its kind; undefined where neither is known. */
export const restVoltage = ({ rest, nominal, chemistry }: Battery): number | undefined =>
  rest ?? (chemistry === 'not known' ? undefined : nominal * restPerNominal[chemistry])

/** V at rest of batteries in series. */
export const restOf = (string: readonly Battery[]): number | undefined => sumKnown(string.map(restVoltage))

const sumKnown = (numbers: readonly (number | undefined)[]): number | undefined =>
  numbers.reduce((total, x) => (total === undefined || x === undefined ? undefined : total + x), 0)

const sum = (numbers: readonly number[]) => numbers.reduce((total, x) => total + x, 0)

/** Ah at the bank's voltage: the smallest battery of each string, strings added; undefined while one is not known. */
export const bankCapacity = (bank: Bank): number | undefined => sumKnown(bank.strings.map(stringCapacity))

/** Ah of batteries in series: of the smallest. */
export const stringCapacity = (string: readonly Battery[]): number | undefined => {
  const known = string.flatMap(({ capacity }) => capacity ?? [])
  return known.length === string.length ? Math.min(...known) : undefined
}

/** "12.8 V 150 Ah lithium iron phosphate", "12 V battery". */
export const describeBattery = ({ nominal, capacity, chemistry }: Battery): string =>
  [
    `${plain(nominal)} V`,
    capacity !== undefined && `${plain(capacity)} Ah`,
    chemistry === 'not known' ? 'battery' : chemistry,
  ]
    .filter(Boolean)
    .join(' ')

/** "L24: 2 × 12.8 V 150 Ah lithium iron phosphate in series". */
export function describeBank(bank: Bank): string {
  const string = bank.strings[0] ?? []
  const [first] = string
  if (!first) return bank.name
  const all = bank.strings.flat()
  const alike = all.every(
    ({ nominal, capacity, chemistry }) =>
      nominal === first.nominal && capacity === first.capacity && chemistry === first.chemistry,
  )
  const one = describeBattery(first)
  const how = [
    string.length > 1 && `${string.length} in series`,
    bank.strings.length > 1 && `${bank.strings.length} in parallel`,
  ].filter(Boolean)
  const what = alike ? one : all.map(({ name }) => name).join(', ')
  return `${bank.name}: ${how.length ? `${what}, ${how.join(', ')}` : what}`
}

/** Batteries of which not even the kind is known, so that their rest volts are not. */
export const unknownRests = (bank: Bank): string[] =>
  bank.strings
    .flat()
    .filter((battery) => restVoltage(battery) === undefined)
    .map(({ name }) => name)

/** Batteries whose resistance is not known, so that nothing can be said of the bank's. */
export const unknownResistances = (bank: Bank): string[] =>
  bank.strings
    .flat()
    .filter(({ resistance, open }) => resistance === undefined && !open)
    .map(({ name }) => name)

interface BankNetwork {
  readonly network: Network
  readonly positive: number
  readonly negative: number
  /** The branch of each string, in the bank's order. */
  readonly strings: readonly number[]
}

/**
 * The bank as a network: each string an EMF behind its resistance between a positive and a negative node, links
 * between neighbours or leads to busbars (docs/method/supply.md). Undefined while a resistance is not known.
 */
function bankNetwork({ strings, join }: Bank): BankNetwork | undefined {
  const n = strings.length
  const branches: Branch[] = []
  for (const [i, string] of strings.entries()) {
    const open = string.some((battery) => battery.open)
    const R = sum(string.map((battery) => battery.resistance ?? (battery.open ? 1 : NaN)))
    const emf = restOf(string)
    if (Number.isNaN(R) || emf === undefined) return undefined
    const lead = join.kind === 'busbars' ? (join.leads[i] ?? 0) : 0
    const [to, from] = join.kind === 'busbars' ? [1, 0] : [i, n + i]
    branches.push({ from, to, emf, resistance: R + lead, open })
  }
  const indices = branches.map((_, i) => i)
  if (join.kind === 'busbars')
    return { network: { nodes: 2, branches }, positive: 1, negative: 0, strings: indices }
  const link = (from: number, to: number, resistance: number | null): Branch => ({
    from,
    to,
    emf: 0,
    resistance: resistance ?? 1,
    open: resistance === null,
  })
  join.positive.forEach((resistance, i) => branches.push(link(i, i + 1, resistance)))
  join.negative.forEach((resistance, i) => branches.push(link(n + i, n + i + 1, resistance)))
  return {
    network: { nodes: 2 * n, branches },
    positive: join.positiveAt,
    negative: n + join.negativeAt,
    strings: indices,
  }
}

/** The bank as one source at its take-off; undefined while a resistance is not known, or when it is cut off. */
export function bankSource(bank: Bank): Source | undefined {
  const net = bankNetwork(bank)
  return net && sourceBetween(net.network, net.positive, net.negative)
}

/**
 * How a current drawn at the take-off, A, is shared: A given by each string, negative when it is being charged by
 * the others. Undefined while a resistance is not known, or when the bank is cut off.
 */
export function sharing(bank: Bank, current: number): number[] | undefined {
  const net = bankNetwork(bank)
  if (!net) return undefined
  const solution = solveNetwork(net.network, net.negative, [
    { from: net.positive, into: net.negative, current },
  ])
  return solution && net.strings.map((branch) => solution.currents[branch] ?? 0)
}

/** Allowed spread of rest volts between parallel strings, per 12 V of nominal. */
const spreadPer12 = 0.05

export interface RestSpread {
  /** V between the highest and the lowest rest voltage. */
  readonly spread: number
  readonly allowed: number
  /** A that flow between the strings with no load at all; undefined where a resistance is not known. */
  readonly circulating: number | undefined
}

/** Strings in parallel at rest voltages that differ more than 50 mV per 12 V are a danger (docs/method/supply.md). */
export function restSpread(bank: Bank): RestSpread | undefined {
  const strings = bank.strings.filter((string) => string.every(({ open }) => !open))
  if (strings.length < 2) return undefined
  const rests = strings.flatMap((string) => restOf(string) ?? [])
  if (rests.length < strings.length) return undefined
  const spread = Math.max(...rests) - Math.min(...rests)
  const allowed = (spreadPer12 * bankNominal(bank)) / 12
  if (spread <= allowed) return undefined
  const shares = sharing(bank, 0)
  return { spread, allowed, circulating: shares && Math.max(...shares.map(Math.abs)) }
}

/** The same bank with its leads taken off elsewhere, for comparing (docs/method/supply.md). */
export function takeOffs(bank: Bank): { words: string; bank: Bank }[] {
  const n = bank.strings.length
  if (n < 2) return []
  const link = usualLink(bank)
  const links = Array.from({ length: n - 1 }, () => link)
  const { join } = bank
  const inLine = (positiveAt: number, negativeAt: number): Bank => ({
    ...bank,
    join:
      join.kind === 'in line'
        ? { ...join, positiveAt, negativeAt }
        : { kind: 'in line', positive: links, negative: links, positiveAt, negativeAt },
  })
  return [
    { words: 'both leads on the first', bank: inLine(0, 0) },
    { words: 'positive on the first, negative on the last', bank: inLine(0, n - 1) },
    {
      words: 'equal leads to busbars',
      bank: {
        ...bank,
        join:
          join.kind === 'busbars'
            ? join
            : { kind: 'busbars', leads: Array.from({ length: n }, () => 2 * link) },
      },
    },
  ]
}

/** One of the bank's own links, Ω, as a measure for links that are not there yet. */
function usualLink({ join }: Bank): number {
  const known =
    join.kind === 'busbars' ? join.leads.map((lead) => lead / 2) : [...join.positive, ...join.negative]
  const closed = known.filter((link) => link !== null)
  return closed.length ? sum(closed) / closed.length : 0.0004
}

/** Surge tests want more than this in the bank; their repeat wants less than the other (docs/method/schedule.md). */
export const surgeAbove = 0.8
