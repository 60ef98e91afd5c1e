import type { LogQuantity } from '@even-watt/contract'
import { isNumeric, type TableHead } from './manner'
import { kelvinsInFahrenheit, saysFahrenheit } from '../../entry'
import { dateAndTime, timeOfDay, type TimeKind } from './times'

/** What a column of a table is taken for. */
export interface ColumnGuess {
  readonly column: number
  readonly heading: string
  readonly quantity: LogQuantity | undefined
  /** SI for one of its own units. */
  readonly factor: number
}

export interface TableGuess {
  readonly time:
    { readonly column: number; readonly kind: TimeKind; readonly monthFirst: boolean } | undefined
  readonly columns: readonly ColumnGuess[]
}

const longest = 80

/** Headings as loggers write them, the more telling first: what tells them, what they hold, and in which unit. */
const phrases: readonly (readonly [RegExp, LogQuantity])[] = [
  [/irradiance|w\/m/, 'irradiance'],
  [/(?=.*(room|ambient))(?=.*(temp|°|\bt\b|\bc\b))|ambient|room/, 'T_room'],
  [/\bsoc\b|state of charge|charge ?%|%|gauge/, 'charge'],
  [/(?=.*(panel|solar|\bpv\b|charge|input ?dc))(?=.*(\bv\b|volt))/, 'V_in'],
  [/(?=.*(panel|solar|\bpv\b|charge))(?=.*(\ba\b|amp|current))/, 'I_in'],
  [/(?=.*(panel|solar|\bpv\b|charge))(?=.*(\bw\b|watt|power))/, 'P_in'],
  [/(?=.*(wall|grid|mains))(?=.*k?wh)/, 'E_wall'],
  [/(?=.*(wall|grid|mains))(?=.*(\bw\b|watt|power))/, 'P_wall'],
  [/(?=.*(port|usb))(?=.*(\bv\b|volt))/, 'V_port'],
  [/(?=.*(port|usb))(?=.*(\ba\b|amp|current))/, 'I_port'],
  [/k?wh.*(out|ac|load)|(out|ac|load).*k?wh/, 'E_C'],
  [/k?wh/, 'E_B'],
  [/\bm?ah\b/, 'Q_B'],
  [/(?=.*(out|load|\bac\b|outlet))(?=.*(\bw\b|watt|power))/, 'P_C'],
  [/(?=.*(out|load|\bac\b|outlet))(?=.*(\bv\b|volt))/, 'V_C'],
  [/(?=.*(out|load|\bac\b|outlet))(?=.*(\ba\b|amp|current))/, 'I_C'],
  [/(?=.*(post|bank|batt))(?=.*(\bv\b|volt))/, 'V_A'],
  [/temp|°[cf]|\bt\b|case|sink/, 'T'],
  [/\bhz\b|freq/, 'f'],
  [/\bv(dc)?\b|volt/, 'V_B'],
  [/\ba(dc)?\b|amp|current/, 'I'],
  [/\bw(dc)?\b|watt|power/, 'P_B'],
]

/** What a unit in a heading makes of its numbers. */
function factorOf(heading: string, quantity: LogQuantity | undefined): number {
  const low = heading.toLowerCase()
  if (quantity === 'T' || quantity === 'T_room') return saysFahrenheit(heading) ? kelvinsInFahrenheit : 1
  if (/\bkwh\b|kwh/.test(low) || /\bkw\b/.test(low)) return 1000
  if (/\bmah\b|\bmv\b|\bma\b|\bmw\b/.test(low)) return 0.001
  if (quantity === 'charge') return 0.01
  return 1
}

/** What stands in most rows of a column. */
const cellsIn = (head: TableHead, column: number) => head.sample.map((row) => row[column] ?? '')

function timeKindOf(head: TableHead, column: number): TimeKind | undefined {
  const cells = cellsIn(head, column).filter(Boolean)
  const most = (is: (cell: string) => boolean) =>
    cells.length > 0 && cells.filter(is).length > cells.length / 2
  if (most((cell) => !Number.isNaN(timeOfDay(cell)))) return 'time of day'
  if (most((cell) => !Number.isNaN(dateAndTime(cell, false)) || !Number.isNaN(dateAndTime(cell, true))))
    return 'date and time'
  if (!most((cell) => isNumeric(cell, head.manner.comma))) return undefined
  const low = (head.headings[column] ?? '').toLowerCase()
  const numbers = cells.map((cell) => Number(cell.replace(',', '.')))
  const first = numbers[0] ?? 0
  if (first > 1e12) return 'milliseconds since 1970'
  if (first > 1e9) return 'seconds since 1970'
  const rises = numbers.every((x, i) => i === 0 || x >= (numbers[i - 1] ?? 0))
  if (!rises) return undefined
  if (/\bms\b|milli/.test(low)) return 'milliseconds'
  if (/min/.test(low)) return 'minutes'
  if (/\bh\b|hour/.test(low)) return 'hours'
  if (/\bs\b|sec|time|elapsed|\bt\b/.test(low)) return 'seconds'
  return undefined
}

/** Guesses what the columns of a table hold; a quantity is given to one column only, and the tester has the last word. */
export function guessTable(head: TableHead): TableGuess {
  const width = head.headings.length
  const kinds = Array.from({ length: width }, (_, i) => timeKindOf(head, i))
  const order: readonly TimeKind[] = ['date and time', 'time of day']
  const best =
    order.map((kind) => kinds.indexOf(kind)).find((i) => i >= 0) ??
    kinds.findIndex((kind) => kind !== undefined)
  const timeKind = kinds[best]
  const used = new Set<LogQuantity>()
  const columns = Array.from({ length: width }, (_, i) => i)
    .filter((i) => i !== best && cellsIn(head, i).some((cell) => isNumeric(cell, head.manner.comma)))
    .map((column): ColumnGuess => {
      const heading = head.headings[column] ?? ''
      const low = heading.toLowerCase().replaceAll('_', ' ').slice(0, longest)
      const found = phrases.find(([tells]) => tells.test(low))?.[1]
      const quantity = found !== undefined && !used.has(found) ? found : undefined
      if (quantity) used.add(quantity)
      return { column, heading, quantity, factor: factorOf(heading, quantity) }
    })
  const monthFirst =
    timeKind === 'date and time' && cellsIn(head, best).some((cell) => Number.isNaN(dateAndTime(cell, false)))
  return {
    time: timeKind === undefined ? undefined : { column: best, kind: timeKind, monthFirst },
    columns,
  }
}
