import type { Grade, LogColumn, LogFile, LogQuantity, Quantity } from '@even-watt/contract'
import { shortened } from '../../figures'
import { SeriesWriter } from '../kept'
import { Digest, type ColumnDigest, type Product } from './digest'
import { UnreadableLog, type TableHead } from './manner'
import { RowReader, type RowsAsked } from './rows'

/** What one column of a table is taken for; without a quantity it is kept, and counts for nothing. */
export interface ColumnChoice {
  readonly column: number
  readonly heading: string
  readonly quantity: LogQuantity | undefined
  readonly factor: number
  readonly zero?: number | undefined
  readonly grade: Grade
  readonly meter?: string | undefined
  readonly battery?: string | undefined
  readonly place?: string | undefined
}

/** Everything of a log that follows from its rows, and its rows packed. */
export interface TakenLog {
  readonly bytes: Uint8Array<ArrayBuffer>
  /** The time of its first row, s, as its times are written; see `Clock`. */
  readonly first: number
  readonly reading: Pick<LogFile, 'rows' | 'seconds' | 'gap' | 'said' | 'times' | 'columns'>
}

/** Watts that are worked out where no column holds them: volts, amps, and what they make. */
const products: readonly (readonly [volts: Quantity, amps: Quantity, watts: Quantity])[] = [
  ['V_B', 'I', 'P_B'],
  ['V_A', 'I', 'P_B'],
  ['V_in', 'I_in', 'P_in'],
]
const counters: ReadonlySet<string> = new Set(['E_B', 'Q_B', 'E_C', 'E_wall', 'E_in'])
const mostSaid = 30

const short = (x: number) => shortened(x, 7)

/** Takes a table in, a part of its bytes at a time: rows are read, digested and packed in one go. */
export class LogTaking {
  private readonly reader: RowReader
  private readonly digest: Digest
  private readonly writer: SeriesWriter
  private readonly worked: {
    readonly product: Product
    readonly watts: Quantity
    readonly factor: number
  }[] = []

  constructor(
    head: Pick<TableHead, 'manner' | 'skip'>,
    time: RowsAsked['time'],
    private readonly columns: readonly ColumnChoice[],
  ) {
    if (!columns.some(({ quantity }) => quantity !== undefined))
      throw new UnreadableLog('Say what at least one column holds.')
    for (const [volts, amps, watts] of products) {
      const [v, i] = [volts, amps].map((name) => columns.findIndex(({ quantity }) => quantity === name)) as [
        number,
        number,
      ]
      const there =
        columns.some(({ quantity }) => quantity === watts) || this.worked.some((one) => one.watts === watts)
      const factor = (columns[v]?.factor ?? 1) * (columns[i]?.factor ?? 1)
      if (v >= 0 && i >= 0 && !there) this.worked.push({ product: { volts: v, amps: i }, watts, factor })
    }
    this.writer = new SeriesWriter([
      ...columns.map(({ heading }) => heading),
      ...this.worked.map(() => 'volts × amps'),
    ])
    this.digest = new Digest(
      columns.length,
      this.worked.map(({ product }) => product),
      this.writer,
    )
    this.reader = new RowReader({ ...head, time, columns: columns.map(({ column }) => column) }, this.digest)
  }

  feed(bytes: Uint8Array): void {
    this.reader.feed(bytes)
  }

  /** What it came to; throws `UnreadableLog` where no row could be read. */
  done(): TakenLog {
    this.reader.end()
    const { first, said, rows } = this.reader
    if (first === undefined || rows < 1)
      throw new UnreadableLog(`None of its rows can be read. ${said[0] ?? ''}`.trim())
    const digest = this.digest.done
    const column = (
      index: number,
      choice: Omit<ColumnChoice, 'column'> & { product?: [number, number] },
    ): LogColumn[] => {
      const { quantity, heading, factor, zero, grade, meter, battery, place, product } = choice
      const of = digest.columns[index]
      if (quantity === undefined || !of?.count) return []
      return [
        {
          ...(heading ? { heading: heading.slice(0, 120) } : {}),
          column: index,
          quantity,
          factor,
          ...(zero === undefined ? {} : { zero }),
          grade,
          ...(meter === undefined ? {} : { meter }),
          ...(battery === undefined ? {} : { battery }),
          ...(place === undefined ? {} : { place }),
          ...(product ? { product } : {}),
          ...figuresOf(of, counters.has(quantity)),
          course: (digest.courses[index] ?? []).map((x) => (x === null ? null : short(x))),
        },
      ]
    }
    const columns = [
      ...this.columns.flatMap((choice, i) => column(i, choice)),
      ...this.worked.flatMap(({ product, watts, factor }, k) =>
        column(this.columns.length + k, {
          heading: 'volts × amps',
          quantity: watts,
          factor,
          grade: worse(this.columns[product.volts]?.grade, this.columns[product.amps]?.grade),
          product: [product.volts, product.amps],
        }),
      ),
    ]
    if (!columns.length) throw new UnreadableLog('The columns that are named hold no numbers.')
    return {
      bytes: this.writer.done(),
      first,
      reading: {
        rows: digest.rows,
        seconds: digest.seconds,
        gap: digest.gap,
        said: said.slice(0, mostSaid),
        times: digest.times.map(short),
        columns,
      },
    }
  }
}

const worse = (a: Grade = 'measured', b: Grade = 'measured'): Grade => (a === 'measured' ? b : a)

const figuresOf = (
  { count, min, max, first, last, integral, rise }: ColumnDigest,
  counts: boolean,
): Omit<LogColumn, 'column' | 'quantity' | 'factor' | 'grade' | 'course'> => ({
  count,
  min,
  max,
  first,
  last,
  integral: integral.value,
  absolute: integral.absolute,
  open: integral.open,
  ...(counts ? { rose: rise.value, restarts: rise.restarts } : {}),
})
