import { mostRows } from '../read/limits'
import type { RowSink } from '../read/rows'
import { readColumn, Reading, writeColumn, Writing } from './codec'

/** Rows of a chunk. */
const chunkRows = 4096
/** Rows, or buckets of the level below, that make one bucket. */
const step = 32

const beginning = new TextEncoder().encode('EVENWATT LOG 1\n')
/** Bytes that end a file: how long the index before them is. */
const tail = 8

/** What stands where in a stored log. */
export interface SeriesIndex {
  readonly headings: readonly string[]
  readonly rows: number
  /** Of each chunk: where it begins, its bytes, its rows, and its first and last time, s. */
  readonly chunks: readonly (readonly [number, number, number, number, number])[]
  /** Coarser and coarser: where each begins, and how many buckets it has. */
  readonly levels: readonly (readonly [number, number])[]
}

/** One bucket of a level: its middle, s, and lowest, mean and highest of each column. */
const bucketBytes = (columns: number) => 8 + 12 * columns

class Level {
  readonly written = new Writing()
  count = 0
  private held = 0
  private first = 0
  private last = 0
  private readonly sums: Float64Array
  private readonly counts: Float64Array
  private readonly lows: Float64Array
  private readonly highs: Float64Array
  private above: Level | undefined

  constructor(private readonly width: number) {
    this.sums = new Float64Array(width)
    this.counts = new Float64Array(width)
    this.lows = new Float64Array(width).fill(Infinity)
    this.highs = new Float64Array(width).fill(-Infinity)
  }

  add(from: number, to: number, low: Float64Array, mean: Float64Array, high: Float64Array): void {
    if (this.held === 0) this.first = from
    this.last = to
    for (let i = 0; i < this.width; i++) {
      const x = mean[i] as number
      if (Number.isNaN(x)) continue
      this.sums[i] = (this.sums[i] as number) + x
      this.counts[i] = (this.counts[i] as number) + 1
      this.lows[i] = Math.min(this.lows[i] as number, low[i] as number)
      this.highs[i] = Math.max(this.highs[i] as number, high[i] as number)
    }
    if (++this.held === step) this.close()
  }

  private close(): void {
    if (this.held === 0) return
    const { sums: mean, counts, lows: low, highs: high } = this
    for (let i = 0; i < this.width; i++) {
      const count = counts[i] as number
      mean[i] = count ? (mean[i] as number) / count : NaN
      if (!count) low[i] = high[i] = NaN
    }
    this.written.double((this.first + this.last) / 2)
    for (let i = 0; i < this.width; i++) {
      this.written.single(low[i] as number)
      this.written.single(mean[i] as number)
      this.written.single(high[i] as number)
    }
    this.count++
    this.above ??= new Level(this.width)
    this.above.add(this.first, this.last, low, mean, high)
    this.held = 0
    this.sums.fill(0)
    this.counts.fill(0)
    this.lows.fill(Infinity)
    this.highs.fill(-Infinity)
  }

  /** This level and those above it, as long as they hold more than a few buckets. */
  end(): Level[] {
    this.close()
    return this.count < 2 ? [] : [this, ...(this.above?.end() ?? [])]
  }
}

/** Writes rows as they come into the bytes of a stored log: every number of them, and coarser looks at them. */
export class SeriesWriter implements RowSink {
  private readonly to = new Writing()
  private readonly times = new Float64Array(chunkRows)
  private readonly columns: Float64Array[]
  private readonly chunks: [number, number, number, number, number][] = []
  private readonly level: Level
  private held = 0
  private rows = 0

  constructor(private readonly headings: readonly string[]) {
    this.columns = headings.map(() => new Float64Array(chunkRows))
    this.level = new Level(headings.length)
    this.to.all(beginning)
  }

  row(seconds: number, values: Float64Array): void {
    this.times[this.held] = Math.round(seconds * 1000)
    for (let i = 0; i < this.columns.length; i++)
      (this.columns[i] as Float64Array)[this.held] = values[i] as number
    this.level.add(seconds, seconds, values, values, values)
    this.rows++
    if (++this.held === chunkRows) this.close()
  }

  private close(): void {
    if (this.held === 0) return
    const at = this.to.length
    const [first = 0, last = 0] = [this.times[0], this.times[this.held - 1]]
    // Differences of times: of an even rhythm they are all alike, and take a byte each.
    for (let i = this.held - 1; i > 0; i--)
      this.times[i] = (this.times[i] as number) - (this.times[i - 1] as number)
    writeColumn(this.to, this.times, this.held)
    for (const column of this.columns) writeColumn(this.to, column, this.held)
    this.chunks.push([at, this.to.length - at, this.held, first / 1000, last / 1000])
    this.held = 0
  }

  done(): Uint8Array<ArrayBuffer> {
    this.close()
    const levels = this.level.end().map(({ written, count }): [number, number] => {
      const at = this.to.length
      this.to.all(written.done())
      return [at, count]
    })
    const index: SeriesIndex = { headings: this.headings, rows: this.rows, chunks: this.chunks, levels }
    const words = new TextEncoder().encode(JSON.stringify(index))
    this.to.all(words)
    this.to.double(words.length)
    return this.to.done()
  }
}

/** Hands over the bytes from a place, so many of them. */
export type BytesAt = (from: number, length: number) => Promise<Uint8Array>

/** A look at a stored log: times, s, and of each column lowest, mean and highest there. */
export interface Look {
  readonly times: Float64Array
  readonly low: readonly Float64Array[]
  readonly mean: readonly Float64Array[]
  readonly high: readonly Float64Array[]
}

const tailGuess = 1 << 16
const mostHeadings = 64
/** Each is a thirty-second of the one below it. */
const mostLevels = 8
const none = () => new Error('These bytes are no stored log.')

/** Bytes of an index, at most: of the longest log it has some thirty thousand. */
const mostIndex = 2 ** 20

/**
 * Whether an index names only what its file can hold, each row once: it may have come from a stranger, and what it says is
 * made room for.
 */
function isSound(index: unknown, size: number): index is SeriesIndex {
  if (typeof index !== 'object' || index === null) return false
  const { headings, rows, chunks, levels } = index as Record<keyof SeriesIndex, unknown>
  const width = Array.isArray(headings) ? headings.length : Infinity
  if (width > mostHeadings || !isCount(rows) || rows > mostRows) return false
  if (!Array.isArray(chunks) || !Array.isArray(levels) || levels.length > mostLevels) return false
  let [end, sum] = [0, 0]
  for (const chunk of chunks as unknown[]) {
    if (!Array.isArray(chunk) || !chunk.every((one) => Number.isFinite(one))) return false
    const [at, length, held] = chunk as number[]
    if (!isCount(at) || !isCount(length) || !isCount(held)) return false
    // A row has a byte at the least, and chunks follow on one another.
    if (at < end || held < 1 || held > chunkRows || held > length) return false
    end = at + length
    sum += held
  }
  const areInside = (levels as unknown[]).every((level) => {
    const [at, count] = Array.isArray(level) ? (level as unknown[]) : []
    return isCount(at) && isCount(count) && count <= rows && at + count * bucketBytes(width) <= size
  })
  return end <= size && sum === rows && areInside
}

const isCount = (x: unknown): x is number => Number.isSafeInteger(x) && (x as number) >= 0

/** Opens a stored log of so many bytes: only its index is read. Throws where the bytes are none. */
export async function openSeries(size: number, bytesAt: BytesAt): Promise<SeriesIndex> {
  const from = Math.max(0, size - tailGuess)
  let end = await bytesAt(from, size - from)
  if (end.length < tail) throw none()
  const length = new Reading(end.subarray(end.length - tail)).double()
  if (!isCount(length) || length < 1 || length > mostIndex || length + tail > size) throw none()
  if (length + tail > end.length) end = await bytesAt(size - tail - length, length + tail)
  const words = new TextDecoder().decode(end.subarray(end.length - tail - length, end.length - tail))
  let index: unknown
  try {
    index = JSON.parse(words)
  } catch {
    throw none()
  }
  if (!isSound(index, size)) throw none()
  return index
}

/** Looks at what lies between two times with at most about so many points: single rows, or the level that is fine enough. */
export async function lookAt(
  index: SeriesIndex,
  bytesAt: BytesAt,
  from: number,
  to: number,
  most: number,
): Promise<Look> {
  const inside = index.chunks.filter(([, , , first, last]) => last >= from && first <= to)
  const rows = inside.reduce((sum, [, , count, first, last]) => {
    const share = last > first ? (Math.min(to, last) - Math.max(from, first)) / (last - first) : 1
    return sum + Math.max(1, share * count)
  }, 0)
  const wanted = Math.ceil(Math.log(Math.max(1, rows / most)) / Math.log(step))
  const level = Math.min(wanted, index.levels.length)
  return level < 1 ? rowsIn(index, bytesAt, inside) : bucketsIn(index, bytesAt, level - 1, from, to)
}

async function rowsIn(
  { headings }: SeriesIndex,
  bytesAt: BytesAt,
  chunks: SeriesIndex['chunks'],
): Promise<Look> {
  const [first, last] = [chunks[0], chunks.at(-1)]
  const all = chunks.reduce((sum, [, , count]) => sum + count, 0)
  const times = new Float64Array(all)
  const columns = headings.map(() => new Float64Array(all))
  if (!first || !last) return { times, low: columns, mean: columns, high: columns }
  const bytes = await bytesAt(first[0], last[0] + last[1] - first[0])
  let at = 0
  for (const [begin, length, count] of chunks) {
    const reading = new Reading(bytes.subarray(begin - first[0], begin - first[0] + length))
    let ms = 0
    readColumn(reading, count).forEach((step, i) => {
      ms += step
      times[at + i] = ms / 1000
    })
    for (const column of columns) column.set(readColumn(reading, count), at)
    at += count
  }
  return { times, low: columns, mean: columns, high: columns }
}

async function bucketsIn(
  { headings, levels, chunks }: SeriesIndex,
  bytesAt: BytesAt,
  level: number,
  from: number,
  to: number,
): Promise<Look> {
  const [begin = 0, count = 0] = levels[level] ?? []
  const perBucket = step ** (level + 1)
  // Which rows lie between the times is known from the chunks; one bucket more to each side joins the line.
  let [before, upTo] = [0, 0]
  for (const [, , rows, first, last] of chunks) {
    if (last < from) before += rows
    if (first <= to) upTo += rows
  }
  const low = Math.max(0, Math.floor(before / perBucket) - 1)
  const high = Math.min(count, Math.ceil(upTo / perBucket) + 1)
  const each = bucketBytes(headings.length)
  const n = Math.max(0, high - low)
  const reading = new Reading(await bytesAt(begin + low * each, n * each))
  const of = () => headings.map(() => new Float64Array(n))
  const look = { times: new Float64Array(n), low: of(), mean: of(), high: of() }
  for (let i = 0; i < n; i++) {
    look.times[i] = reading.double()
    for (let k = 0; k < headings.length; k++) {
      ;(look.low[k] as Float64Array)[i] = reading.single()
      ;(look.mean[k] as Float64Array)[i] = reading.single()
      ;(look.high[k] as Float64Array)[i] = reading.single()
    }
  }
  return look
}
