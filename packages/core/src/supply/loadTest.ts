import type { Bank, EntryOf, LoadTest, Revision } from '@even-watt/contract'
import { assumedCurrent, readOn } from '../evidence'
import { derive, whenKnown, type Derived, type Figure } from '../figures'
import { divide, subtract } from '../meters'

export interface LoadTestFigures {
  readonly entry: EntryOf<'load test'>
  /** The bank as it was wired then. */
  readonly bank: Bank
  /** The battery's name, or the bank's. */
  readonly what: string
  /** (V_0 − V_10)/(I_10 − I_0), Ω. */
  readonly R_10: Derived
  /** V_0 − V_10. */
  readonly sag: Derived
  /** As read; without an ammeter bounded from the output watts. */
  readonly I_10: Derived
}

/**
 * Resistance at 10 s of a battery or bank: R_10 = (V_0 − V_10)/(I_10 − I_0), docs/method/supply.md. Both voltages are read on
 * one meter, so what that meter and range have in common cancels in the difference. Without an ammeter the current is bounded
 * from the watts at the outlet, and the result is an estimate.
 */
export function deriveLoadTest(entry: EntryOf<'load test'>, revision: Revision): LoadTestFigures {
  const test = entry.reading
  const volts = (symbol: string, value: number) =>
    readOn(symbol, 'V', value, test.voltmeter, entry.id, revision, `${entry.id} ${symbol}`)
  const amps = (symbol: string, value: number) =>
    readOn(symbol, 'A', value, test.ammeter, entry.id, revision, `${entry.id} ${symbol}`)
  const [V_0, V_10] = [volts('V_0', test.restVoltage), volts('V_10', test.loadedVoltage)]
  const I_0 = amps('I_0', test.restCurrent)
  const I_10 = loadedCurrent(entry, V_10, revision)
  const drop = subtract(V_0.x, V_10.x)
  const name = revision.rig.bank.strings.flat().find(({ id }) => id === test.battery)?.name
  return {
    entry,
    bank: revision.rig.bank,
    what: name ?? revision.rig.bank.name,
    R_10:
      notTheBanks(test, revision) ??
      whenKnown([I_10], ([I]) =>
        derive(
          'R_10',
          'mΩ',
          '(V_0 − V_10) / (I_10 − I_0)',
          [V_0, V_10, I, I_0],
          divide(drop, subtract(I.x, I_0.x)),
          ['At 10 s; over a ladder and at ripple frequency the same battery shows other figures.'],
        ),
      ),
    I_10,
    sag: derive('V_0 − V_10', 'V', 'V_0 − V_10', [V_0, V_10], drop),
  }
}

function loadedCurrent(entry: EntryOf<'load test'>, V_10: Figure, revision: Revision): Derived {
  const { loadedCurrent: amps, loadedPower: watts, ammeter, wattmeter } = entry.reading
  if (amps !== undefined) return readOn('I_10', 'A', amps, ammeter, entry.id, revision, `${entry.id} I_10`)
  if (watts === undefined) return { missing: 'Neither amps nor watts were read at 10 s.' }
  const P = readOn('P_C', 'W', watts, wattmeter, entry.id, revision, `${entry.id} P_C`)
  return assumedCurrent(P, V_10, entry.id)
}

/**
 * Beside a charger the unit's current is not the bank's, and a sag over it would make the bank look stiffer than it is:
 * only an ammeter that hangs on the bank's own cable tells then.
 */
function notTheBanks({ ammeter }: LoadTest, { rig }: Revision): { missing: string } | undefined {
  if (
    !rig.support ||
    rig.assignments.some(({ quantity, meter }) => quantity === 'I_bank' && meter === ammeter)
  )
    return undefined
  return {
    missing: `The ${rig.support.name} carries a part of it: switch it off, or read the bank’s own current.`,
  }
}
