import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { createApp } from '@even-watt/server/app'
import { gate } from '@even-watt/server/backup/gate'
import { withUntouchedDemo } from '@even-watt/server/backup/untouched'
import { databaseAccount } from '@even-watt/server/cluster/account'
import { withClient } from '@even-watt/server/cluster/client'
import { startCluster, type Cluster } from '@even-watt/server/cluster/cluster'
import { prepareFolder } from '@even-watt/server/cluster/folder'
import { StartError } from '@even-watt/server/cluster/startError'
import { threads } from '@even-watt/server/besides/threads'
import { keepWorked } from '@even-watt/server/captures/workAgain'
import { openFeed } from '@even-watt/server/database/feed'
import { recall, remember } from '@even-watt/server/database/installation'
import { migrate } from '@even-watt/server/database/migrate'
import { onFullDisk } from '@even-watt/server/http/problem'
import { createPool } from '@even-watt/server/database/pool'
import { demoFolder, loadDemo } from '@even-watt/server/demo/load'
import { sweepBlobs } from '@even-watt/server/files/blobs'
import { door as doorOf } from '@even-watt/server/lan/door'
import { Lan } from '@even-watt/server/lan/lan'
import { close, listen, portOf } from '@even-watt/server/listen'
import { sayLan } from './sayLan'
import { pino } from 'pino'
import { buildWhenStale, webFolder } from './build'
import { dataFolder } from './dataFolder'
import { holdRun, type RunLock } from './runLock'
import { becomeAccount, lanFolder } from './unprivileged'

const log = pino(
  { level: process.env['LOG_LEVEL'] ?? 'info' },
  pino.destination(process.env['LOG_FILE'] ?? 2),
)
const host = process.env['HOST'] ?? '127.0.0.1'
const empty = process.argv.includes('--empty')

function portFrom(text: string | undefined): number {
  const port = text === undefined ? 4600 : /^\d{1,5}$/.test(text) ? Number(text) : NaN
  if (!(port <= 65535))
    throw new StartError(
      `PORT is "${text}"; a whole number from 1 to 65535 is accepted, or 0 for any that is free.`,
    )
  return port
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

/** Takes the data folder for this run alone, then starts the database in it. */
async function openCluster(folder: string): Promise<{ cluster: Cluster; lock: RunLock }> {
  prepareFolder(folder, databaseAccount())
  const lock = await holdRun(folder)
  undo.push(() => lock.release())
  const cluster = await startCluster(folder, (message) => log.warn(message))
  undo.push(() => cluster.stop())
  return { cluster, lock }
}

/** The local network as it was left; where its port is taken the rest of the run goes on, and that is said. */
async function openAgain(lan: Lan): Promise<undefined> {
  if (!(await lan.wasOpen())) return
  await lan.open().catch((error: unknown) => {
    if (!(error instanceof StartError)) throw error
    console.log(`\n${error.message} Phones cannot come in until it is free.`)
  })
}

async function run(): Promise<void> {
  const port = portFrom(process.env['PORT'])
  const folder = dataFolder()
  const own = process.env['DATABASE_URL'] === undefined ? await openCluster(folder) : undefined
  // While somebody works on it, Vite serves the interface: what was built before is good enough.
  const built = existsSync(join(webFolder, 'index.html'))
  if (process.env['EVEN_WATT_BUILD'] !== 'no' || !built) await buildWhenStale()
  const databaseUrl = own?.cluster.url ?? process.env['DATABASE_URL'] ?? ''
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
  else if (demo === undefined)
    await withClient(databaseUrl, (client) => withUntouchedDemo(client, () => loadDemo(pool)))

  const swept = () =>
    void sweepBlobs(pool).catch((err: unknown) => log.warn({ err }, 'sweeping files failed'))
  swept()
  setInterval(swept, 86_400_000).unref()
  const feed = openFeed(databaseUrl, log)
  undo.push(() => feed.end())
  const besides = await threads()
  keepWorked({ pool, feed, log, besides })
  const checkout = { web: webFolder, demo: demoFolder }
  const account = own?.cluster.account
  const door = lanFolder(folder)
  const served = account ? becomeAccount(account, folder, checkout) : checkout
  const restoring = gate()
  const common = {
    pool,
    feed,
    log,
    restoring,
    besides,
    ...served,
    ...(own ? { whyAway: onFullDisk(folder) } : {}),
  }
  const lan = new Lan({
    pool,
    folder: door,
    port: () => portFrom(process.env['LAN_PORT'] ?? String(portOf(server) + 1)),
    appFor: (answers) =>
      createApp({
        ...common,
        door: doorOf(pool),
        front: {
          scheme: 'https',
          answers,
          instead: 'Use an address that the computer shows.',
        },
      }),
  })
  const server = await listen(
    createApp({
      ...common,
      lan,
      ...(own ? { backup: { ...own.cluster, folder } } : {}),
    }),
    host,
    port,
  )
  undo.push(() => close(server))
  const onLan = process.argv.includes('--lan')
  const made = onLan ? await lan.open() : await openAgain(lan)
  undo.push(() => lan.end())
  const address = `http://${host}:${portOf(server)}`
  own?.lock.say(address)
  const before = await recall(pool, 'address')
  if (before !== undefined && before !== address)
    console.log(
      `\nThe run before was at ${before}. What a browser kept unsent there is sent when that address is open again: PORT=${new URL(before).port} npm start`,
    )
  await remember(pool, 'address', address)
  console.log(`\nEven Watt is at ${address}\nCtrl-C stops it.`)
  await sayLan(lan, made)
}

process.on('SIGINT', () => void end(0))
process.on('SIGTERM', () => void end(0))
run().catch(async (error: unknown) => {
  console.error(error instanceof StartError ? error.message : error)
  await end(1)
})
