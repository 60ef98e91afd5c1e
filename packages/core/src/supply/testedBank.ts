import type { Bank, Revision } from '@even-watt/contract'
import { derive, isFigure, type Derived, type Figure } from '../figures'
import { combine, methodSource, rectangular, uncertain, type Uncertain } from '../meters'
import { bankSource } from './bank'
import type { LoadTestFigures } from './loadTest'

/** A stated resistance is good to about a fifth. */
export const statedSpread = 0.2

/**
 * What load tests say of a bank as it is wired now, Ω: the newest test of this very bank; else the network of its
 * batteries, each with what its own newest test found, or else with what is stated of it (docs/method/supply.md). Tests on
 * an earlier rig count as long as battery and wiring are the same. Missing while no test tells, or while a battery was
 * neither tested nor stated.
 */
export function testedBank({ rig }: Revision, tests: readonly LoadTestFigures[], scope: string): Derived {
  const whole = tests.filter(
    ({ entry, bank, R_10 }) =>
      entry.reading.battery === undefined && isFigure(R_10) && wiring(bank) === wiring(rig.bank),
  )
  return whole.at(-1)?.R_10 ?? ofBatteries(rig.bank, tests, scope)
}

/** Which batteries stand how, and how they are joined: what a test of the whole bank holds for. */
const wiring = ({ strings, join }: Bank): string =>
  JSON.stringify([strings.map((string) => string.map(({ id, open }) => [id, open])), join])

function ofBatteries(bank: Bank, tests: readonly LoadTestFigures[], scope: string): Derived {
  const tested = new Map<string, Figure>()
  for (const { entry, R_10 } of tests) {
    if (entry.reading.battery !== undefined && isFigure(R_10)) tested.set(entry.reading.battery, R_10)
  }
  const batteries = bank.strings.flat()
  const found = batteries.flatMap(({ id }) => tested.get(id) ?? [])
  if (!found.length) return { missing: 'No load test of this bank yet.' }
  const parts = batteries.map(({ id, resistance = 0 }): [string, Uncertain] => [
    id,
    tested.get(id)?.x ??
      uncertain(
        resistance,
        methodSource('stated resistance', `${scope} ${id}`),
        rectangular(statedSpread * resistance),
      ),
  ])
  const values = new Map(parts.map(([id, { value }]) => [id, value]))
  const R = resistanceWith(bank, tested, values)
  if (R === undefined)
    return { missing: 'A battery of this bank was neither tested nor is its resistance stated.' }
  const x = combine(
    R,
    parts.map(([id, part]) => [part, slope(bank, tested, values, id)] as const),
  )
  return derive('R_bank', 'mΩ', 'network of the batteries, each by its own load test', found, x)
}

/** Ω at the take-off with each battery at the value given; one neither tested nor stated is not made up. */
function resistanceWith(
  bank: Bank,
  tested: ReadonlyMap<string, unknown>,
  values: ReadonlyMap<string, number>,
): number | undefined {
  const strings = bank.strings.map((string) =>
    string.map((battery) => {
      const value = values.get(battery.id)
      const known = tested.has(battery.id) || battery.resistance !== undefined
      return known && value !== undefined ? { ...battery, resistance: value } : battery
    }),
  )
  return bankSource({ ...bank, strings })?.R
}

/** dR/dR_i: the square of the share of the current that a battery carries, found by a small step. */
function slope(
  bank: Bank,
  tested: ReadonlyMap<string, unknown>,
  values: ReadonlyMap<string, number>,
  id: string,
): number {
  const step = 1e-3 * (values.get(id) ?? 0)
  if (!step) return 0
  const at = (by: number) =>
    resistanceWith(bank, tested, new Map([...values, [id, (values.get(id) ?? 0) + by]]))
  return ((at(step) ?? 0) - (at(-step) ?? 0)) / (2 * step)
}
