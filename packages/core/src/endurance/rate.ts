import { isFigure, plain, sayTemperature, shortened } from '../figures'
import type { Log } from '../logs'
import { bankCapacity } from '../supply'
import type { Analysis } from '../trials'
import { isStation } from '../units'

/**
 * The rate of a run-down in C, emptyings an hour (docs/method/endurance.md): mean amps out of the bank over its Ah; of a station,
 * whose store is inside, its watts over the watt-hours on its label. Undefined where either is not known.
 */
export function rateOf(
  { energies }: Pick<Log, 'energies'>,
  {
    ran,
    watts,
    label,
  }: { readonly ran: number; readonly watts: number | undefined; readonly label: number | undefined },
  { record: { revision } }: Pick<Analysis, 'record'>,
): number | undefined {
  if (isStation(revision.unit)) return watts !== undefined && label ? watts / label : undefined
  const charge = energies.Q_B.figure
  const capacity = bankCapacity(revision.rig.bank)
  return isFigure(charge) && capacity && ran > 0 ? charge.x.value / (ran / 3600) / capacity : undefined
}

/** °C of the store while it gave its energy: what it gives depends on it. Undefined where nobody read it. */
export function storeTemperature({
  series,
}: Pick<Log, 'series'>): { readonly from: number; readonly to: number } | undefined {
  const read = series
    .filter(({ quantity, place }) => quantity === 'T' && place === 'store')
    .flatMap(({ points }) => points.map(({ value }) => value))
  return read.length ? { from: Math.min(...read), to: Math.max(...read) } : undefined
}

/** "At 0.28 C, its store at 21 to 26 °C." What a capacity is worth little without; '' where neither is known. */
export function sayCircumstances(
  rate: number | undefined,
  store: ReturnType<typeof storeTemperature>,
): string {
  const [low, high] = store ? [store.from, store.to].map((celsius) => sayTemperature(celsius)) : []
  const warm =
    low === undefined ? '' : low === high ? `its store at ${low}` : `its store from ${low} to ${high ?? ''}`
  const at = rate === undefined ? '' : `at ${plain(shortened(rate, 2))} C`
  const said = [at, warm].filter(Boolean).join(', ')
  return said ? `${said.charAt(0).toUpperCase()}${said.slice(1)}.` : ''
}
