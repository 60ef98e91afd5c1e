import type { Readable, Rig, StoredMeter } from '@even-watt/contract'
import { withoutAmmeter } from '@even-watt/core'

type Options = readonly (readonly [value: string, words: string])[]

/** The volt-, am- and wattmeters of a rig to choose from, and those that usually read at posts and outlet. */
export function dcMeters(
  rig: Rig,
  meters: readonly StoredMeter[],
): {
  voltmeters: Options
  ammeters: Options
  wattmeters: Options
  /** The rig hangs no ammeter up: the current is then bounded from the watts at the outlet. */
  ammeterless: boolean
  usual: { voltmeter: string; ammeter: string; wattmeter: string }
} {
  const reading = (what: Readable) =>
    meters.filter(({ ranges }) => ranges.some(({ reads }) => reads === what))
  const options = (list: readonly StoredMeter[]): Options => [
    ['', 'no meter named'],
    ...list.map(({ id, name }) => [id, name] as const),
  ]
  const hung = (quantity: string) => rig.assignments.find((one) => one.quantity === quantity)?.meter
  const [volts, amps, watts] = [reading('DC voltage'), reading('DC current'), reading('active power')]
  return {
    voltmeters: options(volts),
    ammeters: options(amps),
    wattmeters: options(watts),
    ammeterless: withoutAmmeter(rig),
    usual: {
      voltmeter: hung('V_A') ?? volts[0]?.id ?? '',
      ammeter: hung('I_bank') ?? hung('I') ?? amps[0]?.id ?? '',
      wattmeter: hung('P_C') ?? watts[0]?.id ?? '',
    },
  }
}
