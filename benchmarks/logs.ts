import { startCluster } from '@even-watt/server/cluster/cluster'
import { migrate } from '@even-watt/server/database/migrate'
import { createPool } from '@even-watt/server/database/pool'
import { putBytes } from '@even-watt/server/files/blobs'
import { lookAt, openSeries } from '@even-watt/core/logs/kept/index'
import { guessTable, LogTaking, readHead } from '@even-watt/core/logs/read/index'
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import {
  closeSync,
  createReadStream,
  mkdtempSync,
  openSync,
  readSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pino } from 'pino'
import { medianTime, say } from './report'

const rows = 1_000_000

/** A row a second for eleven days and a half, as a logger writes it. */
function table(): string {
  const start = Date.UTC(2026, 2, 12)
  const lines = ['time,V,A,W out,kWh out']
  for (let i = 0; i < rows; i++) {
    const clock = new Date(start + i * 1000).toISOString().slice(0, 19).replace('T', ' ')
    const watts = 300 + 8 * Math.sin(i / 977) + ((i * 7919) % 13) / 10
    lines.push(
      `${clock},${(26.4 - i * 1e-6).toFixed(2)},${(watts / 24).toFixed(1)},${watts.toFixed(1)},${((i * 300) / 3.6e6).toFixed(3)}`,
    )
  }
  return `${lines.join('\n')}\n`
}

/** A million rows from a table into the database, beside psql's COPY of the same rows; and a look at them. */
export async function benchLogs(): Promise<void> {
  const log = pino({ level: 'silent' })
  const folder = mkdtempSync(join(tmpdir(), 'even-watt-bench-'))
  const cluster = await startCluster(folder, () => undefined)
  const pool = createPool(cluster.url, log)
  try {
    await migrate(cluster.url, log)
    const file = join(folder, 'log.csv')
    writeFileSync(file, table())
    const size = statSync(file).size
    let bytes = new Uint8Array(0)
    let highest = 0
    const ours = await medianTime(3, async () => {
      const descriptor = openSync(file, 'r')
      const first = Buffer.alloc(65_536)
      readSync(descriptor, first)
      closeSync(descriptor)
      const head = readHead(first, size)
      const guess = guessTable(head)
      if (!guess.time) throw new Error('no times')
      const taking = new LogTaking(
        head,
        guess.time,
        guess.columns.map((one) => ({ ...one, grade: 'measured' as const })),
      )
      for await (const part of createReadStream(file, { highWaterMark: 1 << 20 })) {
        taking.feed(part as Buffer)
        highest = Math.max(highest, process.memoryUsage().arrayBuffers)
      }
      bytes = taking.done().bytes
      await pool.query('delete from blob')
      await putBytes(pool, createHash('sha256').update(bytes).digest('hex'), Buffer.from(bytes))
    })
    await pool.query('create table copied (at timestamp, v float8, a float8, w float8, kwh float8)')
    const copy = await medianTime(3, async () => {
      await pool.query('truncate copied')
      const { status, stderr } = spawnSync(
        'psql',
        [cluster.url, '-qc', `\\copy copied from '${file}' with (format csv, header)`],
        { encoding: 'utf8' },
      )
      if (status !== 0) throw new Error(stderr)
    })
    say(
      `a log of ${rows} rows (${(size / 1e6).toFixed(0)} MB) taken in`,
      ours,
      'COPY of the same rows',
      copy,
      'ms',
    )
    console.log(
      `  stored in ${(bytes.length / 1e6).toFixed(1)} MB; buffers at most ${(highest / 1e6).toFixed(0)} MB`,
    )
    const bytesAt = (from: number, length: number) => Promise.resolve(bytes.subarray(from, from + length))
    const opened = await medianTime(9, async () => {
      const index = await openSeries(bytes.length, bytesAt)
      await lookAt(index, bytesAt, 0, rows, 900)
    })
    const whole = await medianTime(3, async () => {
      const index = await openSeries(bytes.length, bytesAt)
      await lookAt(index, bytesAt, 0, rows, Infinity)
    })
    say('a look at all of it', opened, 'unpacking every row', whole, 'ms')
  } finally {
    await pool.end()
    await cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}
