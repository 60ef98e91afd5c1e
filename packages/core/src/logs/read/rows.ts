import { numeralOf } from '../../entry/numeral'
import type { Manner } from './manner'
import { mostRows } from './limits'
import { UnreadableLog } from './manner'
import { Clock, dateAndTime, timeOfDay, unitOfTime, type TimeKind } from './times'

/** Where the rows of a table go: s from the first row, and a value for each column asked for, NaN where there is none. */
export interface RowSink {
  row(seconds: number, values: Float64Array): void
}

export interface RowsAsked {
  readonly manner: Manner
  /** Lines before the first row. */
  readonly skip: number
  readonly time: { readonly column: number; readonly kind: TimeKind; readonly monthFirst: boolean }
  /** Columns of the table whose values are wanted, in their order. */
  readonly columns: readonly number[]
}

const newline = 10
const carriage = 13
const quote = 34
const point = 46
const comma = 44
const minus = 45
const plus = 43
const zero = 48
const nine = 57
const colon = 58

const powers = Array.from({ length: 23 }, (_, i) => 10 ** i)
const mostNamed = 5
const longestRow = 16_384

/** Reads the rows of a table as its bytes come, a part at a time: what it holds at once is one unfinished line. */
export class RowReader {
  private rest = new Uint8Array(0)
  private line = 0
  private readonly values: Float64Array
  private readonly slot: Int32Array
  private readonly clock: Clock
  private readonly decoder = new TextDecoder()
  rows = 0
  private readonly faults = new Map<string, number[]>()

  constructor(
    private readonly asked: RowsAsked,
    private readonly sink: RowSink,
  ) {
    this.values = new Float64Array(asked.columns.length)
    this.slot = new Int32Array(Math.max(asked.time.column, ...asked.columns) + 1).fill(-1)
    asked.columns.forEach((column, i) => (this.slot[column] = i))
    this.clock = new Clock(asked.time.kind)
  }

  feed(bytes: Uint8Array): void {
    let from = 0
    if (this.rest.length) {
      const end = bytes.indexOf(newline)
      if (end < 0) {
        this.keep(joined(this.rest, bytes))
        return
      }
      const whole = joined(this.rest, bytes.subarray(0, end))
      this.rest = new Uint8Array(0)
      this.take(whole, 0, whole.length)
      from = end + 1
    }
    for (;;) {
      const end = bytes.indexOf(newline, from)
      if (end < 0) break
      this.take(bytes, from, end)
      from = end + 1
    }
    this.keep(bytes.slice(from))
  }

  private keep(rest: Uint8Array<ArrayBuffer>): void {
    if (rest.length > longestRow)
      throw new UnreadableLog(`Line ${this.line + 1} is longer than any row of readings: is it a table?`)
    this.rest = rest
  }

  end(): void {
    if (this.rest.length) this.take(this.rest, 0, this.rest.length)
    this.rest = new Uint8Array(0)
  }

  private fault(words: string): void {
    const rows = this.faults.get(words)
    if (rows) rows.push(this.line)
    else this.faults.set(words, [this.line])
  }

  private take(bytes: Uint8Array, from: number, to: number): void {
    this.line += 1
    if (this.line <= this.asked.skip) return
    let end = to
    if (end > from && bytes[end - 1] === carriage) end--
    if (end === from) return
    const { separator, comma: decimalComma } = this.asked.manner
    const { column: timeColumn } = this.asked.time
    this.values.fill(NaN)
    let time = NaN
    let column = 0
    for (let at = from; at <= end; column++) {
      let stop = at
      while (stop < end && bytes[stop] !== separator) stop++
      if (column === timeColumn) time = this.timeIn(bytes, at, stop, decimalComma)
      else {
        const slot = this.slot[column] ?? -1
        if (slot >= 0) this.values[slot] = numberIn(bytes, at, stop, decimalComma, this.decoder)
      }
      at = stop + 1
      if (column > 250) break
    }
    const seconds = this.clock.next(time)
    if (seconds === 'no time') return this.fault('has no time that can be read, and is left out')
    if (seconds === 'goes back')
      return this.fault('goes back in time, as if two clocks wrote it, and is left out')
    if (++this.rows > mostRows)
      throw new UnreadableLog(`It has more than ${mostRows} rows: log every second row, or cut it in two.`)
    this.sink.row(seconds, this.values)
  }

  private timeIn(bytes: Uint8Array, from: number, to: number, decimalComma: boolean): number {
    const { kind, monthFirst } = this.asked.time
    const unit = unitOfTime[kind]
    if (unit !== undefined) return unit * numberIn(bytes, from, to, decimalComma, this.decoder)
    const quick = kind === 'time of day' ? clockIn(bytes, from, to) : this.momentIn(bytes, from, to)
    if (!Number.isNaN(quick)) return quick
    const text = this.decoder.decode(bytes.subarray(from, to)).replaceAll('"', '').trim()
    return kind === 'time of day' ? timeOfDay(text) : dateAndTime(text, monthFirst)
  }

  private day: readonly [number, number] = [-1, -1]
  private midnight = NaN

  /** “2026-03-12 21:40:05” as it mostly stands, s; the day is read again only when it changes. NaN: written otherwise. */
  private momentIn(bytes: Uint8Array, from: number, to: number): number {
    if (to - from !== 19) return NaN
    const [half, rest] = [packed(bytes, from), packed(bytes, from + 5)]
    if (half !== this.day[0] || rest !== this.day[1]) {
      const text = this.decoder.decode(bytes.subarray(from, to))
      this.midnight = dateAndTime(`${text.slice(0, 10)} 00:00:00`, this.asked.time.monthFirst)
      this.day = [half, rest]
    }
    return this.midnight + clockIn(bytes, from + 11, to)
  }

  /** The moment of the first row, s: since 1970 or since midnight, as its times are written. */
  get first(): number | undefined {
    return this.clock.first
  }

  /** What was odd, a sentence each: rows that were left out by name, days and hours that were passed. */
  get said(): string[] {
    const { days, putBack } = this.clock
    return [
      ...[...this.faults].map(([words, rows]) => {
        const named = rows.slice(0, mostNamed).join(', ')
        const more = rows.length > mostNamed ? ` and ${rows.length - mostNamed} more` : ''
        return rows.length === 1 ? `Row ${named} ${words}.` : `Rows ${named}${more}: each ${words}.`
      }),
      ...(days ? [`It passes midnight ${days === 1 ? 'once' : `${days} times`}.`] : []),
      ...(putBack ? ['Its clock goes back by an hour, as at the end of summer time: the rows go on.'] : []),
    ]
  }
}

function joined(a: Uint8Array, b: Uint8Array): Uint8Array<ArrayBuffer> {
  const both = new Uint8Array(a.length + b.length)
  both.set(a)
  both.set(b, a.length)
  return both
}

/** Five bytes as one number. */
function packed(bytes: Uint8Array, from: number): number {
  let key = 0
  for (let i = from; i < from + 5; i++) key = key * 256 + (bytes[i] as number)
  return key
}

/** “21:40:05” as it mostly stands, s; NaN: written otherwise. */
function clockIn(bytes: Uint8Array, from: number, to: number): number {
  if (to - from !== 8 || bytes[from + 2] !== colon || bytes[from + 5] !== colon) return NaN
  const two = (at: number) => {
    const [a = 0, b = 0] = [bytes[at], bytes[at + 1]]
    return a >= zero && a <= nine && b >= zero && b <= nine ? (a - zero) * 10 + b - zero : NaN
  }
  const [h, m, s] = [two(from), two(from + 3), two(from + 6)]
  return h > 23 || m > 59 || s > 60 ? NaN : h * 3600 + m * 60 + s
}

/** A number between two places, NaN where there is none: “--”, “OL”, nothing. Plain decimals are read as they stand. */
function numberIn(
  bytes: Uint8Array,
  from: number,
  to: number,
  decimalComma: boolean,
  decoder: TextDecoder,
): number {
  let at = from
  let end = to
  while (at < end && isBlank(bytes[at] as number)) at++
  while (end > at && isBlank(bytes[end - 1] as number)) end--
  if (at === end) return NaN
  const begin = at
  let sign = 1
  if (bytes[at] === minus) {
    sign = -1
    at++
  } else if (bytes[at] === plus) at++
  const mark = decimalComma ? comma : point
  let [mantissa, digits, decimals, seen] = [0, 0, 0, false]
  for (; at < end; at++) {
    const byte = bytes[at] as number
    if (byte >= zero && byte <= nine) {
      mantissa = mantissa * 10 + (byte - zero)
      digits++
      if (seen) decimals++
    } else if (byte === mark && !seen) seen = true
    else break
  }
  if (at === end && digits > 0 && digits <= 15) return (sign * mantissa) / (powers[decimals] as number)
  return numeralOf(decoder.decode(bytes.subarray(begin, end)), decimalComma)
}

const isBlank = (byte: number) => byte === 32 || byte === quote || byte === 9
