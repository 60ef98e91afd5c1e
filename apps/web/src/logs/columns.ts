import { type LogQuantity, type Quantity, type Revision } from '@even-watt/contract'
import { describeQuantity, isTapQuantity, kelvinsInFahrenheit } from '@even-watt/core'
import type {
  ColumnChoice,
  ColumnGuess,
  TableGuess,
  TableHead,
  TimeKind,
} from '@even-watt/core/logs/read/index'
import { remembered } from '../ui/browserStore'

/** What a tester says of one column. */
export interface Chosen {
  readonly column: number
  readonly heading: string
  readonly quantity: LogQuantity | undefined
  readonly factor: number
  /** A meter, a battery, or a place by name or id. */
  readonly of: string
}

export interface Mapping {
  readonly time: { readonly column: number; readonly kind: TimeKind; readonly monthFirst: boolean }
  readonly columns: readonly Chosen[]
}

/** Units that a column may be in, beside the one that is stored. */
export const factorsOf = (quantity: LogQuantity | undefined): readonly (readonly [number, string])[] => {
  if (quantity === undefined) return []
  const { unit } = describeQuantity(quantity)
  switch (unit) {
    case 'W':
      return [
        [1, 'W'],
        [1000, 'kW'],
        [0.001, 'mW'],
      ]
    case 'Wh':
      return [
        [1, 'Wh'],
        [1000, 'kWh'],
      ]
    case 'Ah':
      return [
        [1, 'Ah'],
        [0.001, 'mAh'],
      ]
    case 'V':
      return [
        [1, 'V'],
        [0.001, 'mV'],
      ]
    case 'A':
      return [
        [1, 'A'],
        [0.001, 'mA'],
        [-1, 'A, the other way'],
      ]
    case '%':
      return [
        [0.01, '%'],
        [1, 'share'],
      ]
    case '°C':
      return [
        [1, '°C'],
        [kelvinsInFahrenheit, '°F'],
      ]
    default:
      return [[1, unit]]
  }
}

const keyOf = ({ headings }: Pick<TableHead, 'headings'>) => `log columns ${headings.join('|').slice(0, 300)}`

/** The mapping of the last table with these headings, else what they are guessed to be. */
export function mappingFor(head: TableHead, guess: TableGuess, revision: Revision): Mapping | undefined {
  const kept = remembered.read(keyOf(head))
  if (kept !== undefined) {
    try {
      const read = JSON.parse(kept) as Mapping
      if (Array.isArray(read.columns) && typeof read.time?.column === 'number') return read
    } catch {
      // What is damaged is guessed again.
    }
  }
  if (!guess.time) return undefined
  return { time: guess.time, columns: guess.columns.map((one) => chosenOf(one, revision)) }
}

export const rememberMapping = (head: TableHead, mapping: Mapping): void =>
  remembered.keep(keyOf(head), JSON.stringify(mapping))

const chosenOf = ({ column, heading, quantity, factor }: ColumnGuess, revision: Revision): Chosen => ({
  column,
  heading,
  quantity,
  factor,
  of: usualOf(quantity, revision),
})

/** What a quantity is usually read on or at: the meter that hangs there, the first battery, the case. */
export function usualOf(quantity: LogQuantity | undefined, { rig, meters }: Revision): string {
  if (quantity === undefined) return ''
  if (quantity === 'T') return 'case'
  if (quantity === 'V_battery' || quantity === 'I_battery') return rig.bank.strings.flat()[0]?.id ?? ''
  if (!isTapQuantity(quantity)) return ''
  const hung = rig.assignments.find((one) => one.quantity === quantity)?.meter
  return hung !== undefined && meters.some(({ id }) => id === hung) ? hung : ''
}

/** Columns as core takes them: a column of watts without a meter decides nothing. */
export const choicesOf = ({ columns }: Mapping): ColumnChoice[] =>
  columns.map(({ column, heading, quantity, factor, of }) => ({
    column,
    heading,
    quantity,
    factor,
    ...(factor === kelvinsInFahrenheit ? { zero: 32 } : {}),
    grade: quantity === 'charge' ? 'display' : 'measured',
    ...(quantity === 'T' && of ? { place: of } : {}),
    ...((quantity === 'V_battery' || quantity === 'I_battery' || quantity === 'charge') && of
      ? { battery: of }
      : {}),
    ...(quantity !== undefined && isTapQuantity(quantity) && quantity !== 'T' && of ? { meter: of } : {}),
  }))

/** Meters of a rig that read a quantity. */
export const metersFor = (quantity: Quantity, reads: string, { meters }: Revision) =>
  meters.filter(({ ranges }) => ranges.some((range) => range.reads === reads) && quantity)
