import type { Readable, Rig, StoredMeter } from '@even-watt/contract'

type Options = readonly (readonly [value: string, words: string])[]

/** The volt- and ammeters of a rig to choose from, and those that usually read at the posts. */
export function dcMeters(
  rig: Rig,
  meters: readonly StoredMeter[],
): { voltmeters: Options; ammeters: Options; usual: { voltmeter: string; ammeter: string } } {
  const reading = (what: Readable) =>
    meters.filter(({ ranges }) => ranges.some(({ reads }) => reads === what))
  const options = (list: readonly StoredMeter[]): Options => [
    ['', 'no meter named'],
    ...list.map(({ id, name }) => [id, name] as const),
  ]
  const hung = (quantity: string) => rig.assignments.find((one) => one.quantity === quantity)?.meter
  const [volts, amps] = [reading('DC voltage'), reading('DC current')]
  return {
    voltmeters: options(volts),
    ammeters: options(amps),
    usual: {
      voltmeter: hung('V_A') ?? volts[0]?.id ?? '',
      ammeter: hung('I_bank') ?? hung('I') ?? amps[0]?.id ?? '',
    },
  }
}
