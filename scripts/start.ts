import { createApp } from '@even-watt/server/app'
import { startCluster, StartError, type Cluster } from '@even-watt/server/cluster/cluster'
import { migrate } from '@even-watt/server/database/migrate'
import { createPool } from '@even-watt/server/database/pool'
import { loadDemo, recall, remember } from '@even-watt/server/demo/load'
import { close, listen, portOf } from '@even-watt/server/listen'
import { existsSync } from 'node:fs'
import { homedir } from 'node:os'
import { join } from 'node:path'
import { pino } from 'pino'
import { buildWhenStale, webFolder } from './build'
import { currentRun, holdRun, releaseRun } from './runLock'

const log = pino(
  { level: process.env['LOG_LEVEL'] ?? 'info' },
  pino.destination(process.env['LOG_FILE'] ?? 2),
)
const host = process.env['HOST'] ?? '127.0.0.1'
const empty = process.argv.includes('--empty')

function portFrom(text: string | undefined): number {
  const port = text === undefined ? 4600 : Number(text)
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new StartError(
      `PORT is "${text}"; a whole number from 1 to 65535 is accepted, or 0 for any that is free.`,
    )
  return port
}

/** EVEN_WATT_DATA, else where the system keeps such data: under /var/lib for root, the home folder for others. */
function dataFolder(): string {
  if (process.env['EVEN_WATT_DATA']) return process.env['EVEN_WATT_DATA']
  if (process.getuid?.() === 0) return '/var/lib/even-watt'
  return join(process.env['XDG_DATA_HOME'] ?? join(homedir(), '.local', 'share'), 'even-watt')
}

/** Undone in reverse when the run ends, however far it came. */
const undo: (() => Promise<void> | void)[] = []
let ending = false

async function end(code: number): Promise<void> {
  if (ending) return
  ending = true
  for (const step of undo.reverse()) await step()
  process.exit(code)
}

/** The data folder, where the database is this run's own. */
let ownFolder: string | undefined

async function openCluster(): Promise<Cluster['url']> {
  const folder = dataFolder()
  const other = existsSync(folder) ? currentRun(folder) : undefined
  if (other) throw new StartError(`Even Watt is running already, at ${other.address} (process ${other.pid}).`)
  const cluster = await startCluster(folder, (message) => log.warn(message))
  undo.push(() => cluster.stop())
  holdRun(folder, `http://${host}:${portFrom(process.env['PORT'])}`)
  undo.push(() => releaseRun(folder))
  ownFolder = folder
  return cluster.url
}

async function run(): Promise<void> {
  const port = portFrom(process.env['PORT'])
  await buildWhenStale()
  const databaseUrl = process.env['DATABASE_URL'] ?? (await openCluster())
  await migrate(databaseUrl, log)
  const pool = createPool(databaseUrl, log)
  undo.push(() => pool.end())

  const demo = await recall(pool, 'demo')
  if (empty && demo === 'loaded') {
    throw new StartError(
      'This installation holds the demo already. For an empty one choose another folder: EVEN_WATT_DATA=… npm start -- --empty',
    )
  }
  if (empty) await remember(pool, 'demo', 'declined')
  else if (demo === undefined) await loadDemo(pool)

  const server = await listen(createApp({ pool, log, web: webFolder }), host, port)
  undo.push(() => close(server))
  const address = `http://${host}:${portOf(server)}`
  if (ownFolder !== undefined) holdRun(ownFolder, address)
  console.log(`\nEven Watt is at ${address}\nCtrl-C stops it.`)
}

process.on('SIGINT', () => void end(0))
process.on('SIGTERM', () => void end(0))
run().catch(async (error: unknown) => {
  console.error(error instanceof StartError ? error.message : error)
  await end(1)
})
