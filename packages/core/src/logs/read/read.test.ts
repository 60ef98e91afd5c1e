import { readFileSync } from 'node:fs'
import { lookAt, openSeries, SeriesWriter } from '../kept'
import {
  Clock,
  Digest,
  guessTable,
  LogTaking,
  readHead,
  RowReader,
  sayZone,
  UnreadableLog,
  zoneOf,
  type RowSink,
} from '.'

const bytesOf = (text: string) => new TextEncoder().encode(text)

/** Reads a table in parts of some bytes, as a stream hands it over. */
function read(bytes: Uint8Array, sink?: RowSink, part = 1000) {
  const head = readHead(bytes.subarray(0, 60_000), bytes.length)
  const guess = guessTable(head)
  if (!guess.time) throw new Error('no time')
  const columns = guess.columns.map(({ column }) => column)
  const digest = new Digest(columns.length, [], sink)
  const reader = new RowReader({ manner: head.manner, skip: head.skip, time: guess.time, columns }, digest)
  for (let at = 0; at < bytes.length; at += part) reader.feed(bytes.subarray(at, at + part))
  reader.end()
  return { guess, digest: digest.done, said: reader.said, first: reader.first }
}

describe('the zone of a time', () => {
  it.each([
    ['2026-03-12T08:00:00+05:30', 330, '+05:30'],
    ['2026-03-12 08:00:00-0800', -480, '−08:00'],
    ['2026-03-12T08:00:00Z', 0, '+00:00'],
  ])('of %s is kept', (text, minutes, said) => {
    expect(zoneOf(text)).toBe(minutes)
    expect(sayZone(minutes)).toBe(said)
  })
  it('is none where the time says none', () => {
    for (const text of ['2026-03-12 08:00', '2026-03-12', '08:00+05:30', 'Z', ''])
      expect(zoneOf(text)).toBeUndefined()
  })
})

const runDown = readFileSync('packages/core/test/logs/run-down.csv')

describe('a log of a run-down over midnight', () => {
  const { guess, digest, said } = read(runDown)
  it('has its columns told from their headings', () => {
    expect(guess.time).toMatchObject({ column: 0, kind: 'time of day' })
    expect(guess.columns.map(({ quantity, factor }) => [quantity, factor])).toEqual([
      ['V_B', 1],
      ['I', 1],
      ['P_C', 1],
      ['E_C', 1000],
    ])
  })
  it('goes on past midnight, and its gap is found', () => {
    expect(said).toEqual(['It passes midnight once.'])
    expect(digest.seconds).toBe(313 * 60)
    expect(digest.gap).toEqual({ from: 94 * 60, seconds: 23 * 60 })
  })
  it('has its energy by trapezoid, and a counter that began again', () => {
    expect(digest.columns[2]?.integral.value).toBeGreaterThan(1590)
    expect(digest.columns[2]?.integral.value).toBeLessThan(1610)
    expect(digest.columns[3]?.rise).toMatchObject({ restarts: 1 })
    expect((digest.columns[3]?.rise.value ?? 0) * 1000).toBeCloseTo(1606, -1)
  })
})

describe('tables from elsewhere', () => {
  it('may have decimal commas, quotes, two rows of headings and places without a value', () => {
    const { guess, digest, said } = read(
      bytesOf(
        'Logger 3;;\r\n"Time";"Temp";"Load"\r\n"s";"°C";"W"\r\n0;20,5;100\r\n60;OL;101\r\n120;--;"102"\r\n180;21,25;\r\n',
      ),
    )
    expect(guess.columns.map(({ quantity }) => quantity)).toEqual(['T', 'P_C'])
    expect(digest.columns.map(({ count, last }) => [count, last])).toEqual([
      [2, 21.25],
      [3, 102],
    ])
    expect(said).toEqual([])
  })
  it('are refused in a sentence where they are none, or too large', () => {
    expect(() => readHead(bytesOf('dear all,\nno numbers here\n'), 40)).toThrow(UnreadableLog)
    expect(() => readHead(bytesOf('a,b\n1,2\n2,3\n'), 3 * 2 ** 30)).toThrow('3072 MB are too much for a log')
    expect(() => readHead(new Uint8Array(100), 100)).toThrow('no table of text')
  })
  it('name the rows whose time cannot be read or goes back, and keep the others', () => {
    const { digest, said } = read(
      bytesOf('time,W\n10:00,1\n10:01,2\nnoon,3\n10:00:30,9\n10:02,4\n10:03,5\n'),
      undefined,
      7,
    )
    expect(digest.rows).toBe(4)
    expect(said).toEqual([
      'Row 4 has no time that can be read, and is left out.',
      'Row 5 goes back in time, as if two clocks wrote it, and is left out.',
    ])
  })
  it('tell dates with the day or the month first, and seconds since 1970', () => {
    expect(read(bytesOf('when,V\n13.03.2026 23:59:30,1\n14.03.2026 00:00:30,2\n')).digest.seconds).toBe(60)
    expect(read(bytesOf('when,V\n03/13/2026 1:59:30 pm,1\n03/13/2026 2:00:30 pm,2\n')).digest.seconds).toBe(
      60,
    )
    expect(read(bytesOf('t,V\n1767225600,1\n1767225660,2\n')).digest.seconds).toBe(60)
  })
})

describe('the clock of a log', () => {
  it('passes midnight, goes on when summer time ends, and refuses what else goes back', () => {
    const clock = new Clock('time of day')
    const at = [86_340, 0, 60, 3600, 60].map((s) => clock.next(s))
    expect(at).toEqual([0, 60, 120, 3660, 3720])
    expect([clock.days, clock.putBack]).toEqual([1, 1])
    expect(clock.next(0)).toBe('goes back')
    expect(clock.next(NaN)).toBe('no time')
  })

  it.each([60, 300, 900, 1800])('goes on when summer time ends, with a row every %s s', (every) => {
    const clock = new Clock('date and time')
    const rows = Array.from({ length: 40 }, (_, i) => i * every)
    // The clock on the wall goes back by an hour before the twentieth row.
    const read = rows.map((s, i) => clock.next(1_000_000 + s - (i < 20 ? 0 : 3600)))
    expect(read).toEqual(rows)
    expect(clock.putBack).toBe(1)
  })

  it('goes on where the clock was put back by hand: one row is lost, not all until it has caught up', () => {
    const clock = new Clock('time of day')
    const told = [0, 60, 120, 180, -1020, -960, -900, -840].map((s) => clock.next(40_000 + s))
    expect(told).toEqual([0, 60, 120, 180, 'goes back', 240, 300, 360])
    expect(clock.putBack).toBe(1)
  })

  it('takes no other step back for the end of summer time', () => {
    for (const back of [30, 600, 1200, 2400, 7200]) {
      const clock = new Clock('date and time')
      for (let s = 0; s <= 7200; s += 300) clock.next(s)
      expect(clock.next(7500 - 300 - back)).toBe('goes back')
    }
    const hourly = new Clock('date and time')
    for (const s of [0, 3600, 7200]) hourly.next(s)
    expect(hourly.next(7100)).toBe('goes back')
  })
})

describe('a stored log', () => {
  const rows = 70_000
  const text = ['t s,V,W']
  for (let i = 0; i < rows; i++)
    text.push(`${i * 2},${(26.4 - i * 1e-5).toFixed(3)},${i === 33_333 ? '' : 300 + (i % 7)}`)
  const writer = new SeriesWriter(['V', 'W'])
  const { digest } = read(bytesOf(text.join('\n')), writer, 65_536)
  const bytes = writer.done()
  const bytesAt = (from: number, length: number) => Promise.resolve(bytes.subarray(from, from + length))

  it('holds every number, in few bytes', async () => {
    expect(bytes.length / rows).toBeLessThan(6)
    const index = await openSeries(bytes.length, bytesAt)
    const look = await lookAt(index, bytesAt, 0, 1e9, rows)
    expect(look.times.length).toBe(rows)
    expect(look.mean[0]?.[12_345]).toBe(Number((26.4 - 12_345 * 1e-5).toFixed(3)))
    expect(look.mean[1]?.[33_333]).toBeNaN()
    expect(digest.columns[1]?.count).toBe(rows - 1)
  })
  it('is looked at coarsely without losing what is lowest and highest', async () => {
    const index = await openSeries(bytes.length, bytesAt)
    const look = await lookAt(index, bytesAt, 0, 140_000, 400)
    expect(look.times.length).toBeLessThan(400)
    expect(Math.max(...(look.high[1] ?? []))).toBe(306)
    expect(Math.min(...(look.low[0] ?? []))).toBeCloseTo(25.7, 3)
    const close = await lookAt(index, bytesAt, 60_000, 60_100, 400)
    expect(close.times.length).toBeLessThanOrEqual(2 * 4096)
    expect([...close.times]).toContain(60_050)
  })
  it('refuses an index that names more than its file can hold', async () => {
    const words = (index: unknown) => {
      const text = new TextEncoder().encode(JSON.stringify(index))
      const whole = new Uint8Array(text.length + 8)
      whole.set(text)
      new DataView(whole.buffer).setFloat64(text.length, text.length, true)
      return whole
    }
    for (const index of [
      { headings: ['V'], rows: 1e12, chunks: [[0, 10, 1e12, 0, 1]], levels: [] },
      { headings: ['V'], rows: 1, chunks: [], levels: [[0, 1e9]] },
      { headings: 'V', rows: 1, chunks: [], levels: [] },
      // The same rows over and over, to be made room for each time.
      { headings: ['V'], rows: 20, chunks: Array<number[]>(2).fill([0, 10, 10, 0, 1]), levels: [] },
      { headings: ['V'], rows: 1.5, chunks: [[0, 10, 1.5, 0, 1]], levels: [] },
      { headings: ['V'], rows: 4, chunks: [['0', '10', '4', '0', '1']], levels: [] },
      { headings: ['V'], rows: 4, chunks: [[0, 10, 4, null, 1]], levels: [] },
      { headings: ['V'], rows: 5, chunks: [[0, 10, 4, 0, 1]], levels: [] },
      { headings: ['V'], rows: 4, chunks: { every: 1 }, levels: [] },
      null,
      [],
    ]) {
      const bad = words(index)
      const at = (from: number, length: number) => Promise.resolve(bad.subarray(from, from + length))
      await expect(openSeries(bad.length, at)).rejects.toThrow('no stored log')
    }
  })
  it('refuses bytes that are none', async () => {
    const refused = (bytes: Uint8Array, size = bytes.length) =>
      expect(
        openSeries(size, (from, length) => Promise.resolve(bytes.subarray(from, from + length))),
      ).rejects.toThrow('no stored log')
    await refused(new Uint8Array(20), 3)
    await refused(new Uint8Array(3))
    await refused(new TextEncoder().encode('no index at all, but long enough'))
    for (const length of [NaN, Infinity, 12.5, -1, 24, 40]) {
      const lying = new Uint8Array(40)
      new DataView(lying.buffer).setFloat64(32, length, true)
      await refused(lying)
    }
  })
})

describe('taking a table in', () => {
  const head = readHead(bytesOf('t s,V,A\n0,26.4,10\n3600,26.0,12\n'), 40)
  const columns = [
    { column: 1, heading: 'V', quantity: 'V_B' as const, factor: 1, grade: 'measured' as const, meter: 'm' },
    { column: 2, heading: 'A', quantity: 'I' as const, factor: 1, grade: 'measured' as const, meter: 'n' },
  ]
  const time = { column: 0, kind: 'seconds', monthFirst: false } as const
  const take = (text: string, chosen = columns) => {
    const taking = new LogTaking(head, time, chosen)
    taking.feed(bytesOf(text))
    return taking.done()
  }
  it('works watts out of the volts and amps of each row, where no column holds them', () => {
    const { reading } = take('t s,V,A\n0,26.4,10\n3600,26.0,12\n')
    const watts = reading.columns.find(({ quantity }) => quantity === 'P_B')
    expect(watts).toMatchObject({ product: [0, 1], first: 264, last: 312, grade: 'measured' })
    expect(watts?.integral).toBeCloseTo(288, 9)
    expect(watts?.open).toBeCloseTo(12, 9)
  })
  it('refuses what holds no row, or of which no column is named', () => {
    expect(() => take('t s,V,A\nnever,1,2\n')).toThrow('None of its rows can be read. Row 2 has no time')
    expect(() =>
      take(
        '',
        columns.map((one) => ({ ...one, quantity: undefined as never })),
      ),
    ).toThrow('Say what at least one')
  })
  it('holds no more than a few hundred points of a long course', () => {
    const text = ['t s,V,A', ...Array.from({ length: 5000 }, (_, i) => `${i},26,${10 + (i % 5)}`)].join('\n')
    const { reading } = take(text)
    expect(reading.times.length).toBeLessThanOrEqual(480)
    expect(reading.rows).toBe(5000)
    expect(Math.max(...reading.times)).toBeLessThanOrEqual(4999)
  })
})
