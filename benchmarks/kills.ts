import { chromium, type Page } from '@playwright/test'
import type { Entry } from '@even-watt/contract'
import { createHash, randomBytes } from 'node:crypto'
import { runningCluster } from '@even-watt/server/cluster/cluster'
import { createPool } from '@even-watt/server/database/pool'
import { pino } from 'pino'
import { browserOptions } from '../e2e/support/browser'
import { Installation } from '../e2e/support/installation'
import { freshTrial, captureStep } from '../e2e/support/pages'
import { killComputer } from './killedComputer'
import { killRestore } from './killedRestore'

const kills = Number(process.argv[2] ?? 67)
/** Which are done: all, unless some are named. */
const named = process.argv.slice(3)
const windowOptions = { ...browserOptions, viewport: { width: 1280, height: 800 } }

/**
 * Readings and files are captured while, one after another, the server, a backend of the database, the postmaster and
 * the browser are killed. Nothing may be lost, nothing doubled, and no hand be needed.
 */
async function kill(): Promise<void> {
  const place = Installation.create('demo')
  await place.start()
  const profile = `${place.folder}-profile`
  let browser = await chromium.launchPersistentContext(profile, windowOptions)
  let page = browser.pages()[0] ?? (await browser.newPage())
  const trial = await freshTrial(page, 'Killed', place.url)
  const expected: string[] = []
  const files: string[] = []
  let hands = 0

  const ready = async () => {
    await page.goto(`${place.url}/trials/${trial}/ladder`)
    // The database may be coming back: the page asks again by itself.
    await page.getByRole('textbox', { name: 'Load', exact: true }).waitFor({ timeout: 60_000 })
  }
  const capture = async (name: string) => {
    await captureStep(page, name, ['26.1', '26.0', '14.4', '230', '1.5', '350'])
    expected.push(name)
  }
  const attach = async () => {
    const bytes = randomBytes(1.5 * 2 ** 20)
    await page.goto(`${place.url}/trials/${trial}/report/files`)
    await page
      .getByLabel('Attach files')
      .setInputFiles([{ name: 'log.bin', mimeType: 'application/octet-stream', buffer: bytes }])
    files.push(createHash('sha256').update(bytes).digest('hex'))
    await page.getByText('log.bin is attached.').waitFor()
  }
  const ways: Record<string, (name: string) => Promise<void>> = {
    server: async (name) => {
      await ready()
      await place.kill()
      await capture(name)
      const { code } = await place.start()
      if (code !== null) hands += 1
    },
    backend: async (name) => {
      const admin = createPool(runningCluster(place.folder)?.adminUrl ?? '', pino({ level: 'silent' }))
      await ready()
      const typing = capture(name)
      for (let i = 0; i < 20; i++) {
        await admin.query(
          'select pg_terminate_backend(pid) from pg_stat_activity where pid <> pg_backend_pid() and datname is not null',
        )
        await new Promise((resolve) => setTimeout(resolve, 50))
      }
      await typing
      await admin.end()
    },
    postmaster: async (name) => {
      await ready()
      const typing = capture(name)
      process.kill(place.postgresPid, 'SIGKILL')
      await typing
    },
    browser: async (name) => {
      await ready()
      await capture(name)
      await attach()
      const { pid } = (await browser
        .browser()
        ?.newBrowserCDPSession()
        .then((session) => session.send('SystemInfo.getProcessInfo'))
        .then(({ processInfo }) => ({ pid: processInfo.find(({ type }) => type === 'browser')?.id }))
        .catch(() => ({ pid: undefined }))) ?? { pid: undefined }
      if (pid === undefined) await browser.close()
      else process.kill(pid, 'SIGKILL')
      // Its helpers end a moment later, and until then hold the profile's stores.
      await new Promise((resolve) => setTimeout(resolve, 3000))
      browser = await chromium.launchPersistentContext(profile, windowOptions)
      page = browser.pages()[0] ?? (await browser.newPage())
    },
  }
  const chosen = Object.entries(ways).filter(([way]) => !named.length || named.includes(way))
  for (const [way, once] of chosen) {
    for (let i = 0; i < kills; i++) {
      await once(`${way} ${i}`)
      if (i % 5 === 4 && way !== 'browser') await attach()
    }
    console.log(`${kills} kills of the ${way} done`)
  }
  await page.goto(place.url)
  await settled(page)
  const stored = await entriesOf(page, place.url, trial)
  const loads = stored.flatMap((entry) => (entry.kind === 'ladder' ? [entry.reading.load] : []))
  const shas = stored.flatMap((entry) => (entry.kind === 'file' ? [entry.reading.sha256] : []))
  const lost = [
    ...expected.filter((name) => !loads.includes(name)),
    ...files.filter((sha) => !shas.includes(sha)),
  ]
  const doubled = loads.length - new Set(loads).size + shas.length - new Set(shas).size
  const whole = await Promise.all(
    shas.map(async (sha) => {
      const bytes = await (await page.request.get(`${place.url}/api/blobs/${sha}`)).body()
      return createHash('sha256').update(bytes).digest('hex') === sha
    }),
  )
  if (lost.length) console.log('Lost:', lost.join(', '), '| stored:', loads.join(', '))
  console.log(
    `${expected.length} readings and ${files.length} files captured over ${chosen.length * kills} kills: ${lost.length} lost, ${doubled} doubled, ${whole.filter((one) => !one).length} damaged, ${hands} hands needed`,
  )
  await browser.close()
  await place.remove()
}

/** Waits until the page has nothing unsent. */
async function settled(page: Page): Promise<void> {
  await page.waitForTimeout(3000)
  await page.getByTestId('unsent').waitFor({ state: 'hidden', timeout: 60_000 })
}

async function entriesOf(page: Page, url: string, trial: string): Promise<Entry[]> {
  const entries: Entry[] = []
  for (let cursor = '0'; ;) {
    const answer = await page.request.get(`${url}/api/trials/${trial}/entries?after=${cursor}`)
    const found = (await answer.json()) as { entries: Entry[]; cursor: string; more: boolean }
    entries.push(...found.entries)
    cursor = found.cursor
    if (!found.more) return entries
  }
}

const wanted = (way: string) => !named.length || named.includes(way)
if (wanted('computer')) console.log(await killComputer(kills))
if (wanted('restore')) console.log(await killRestore(kills))
if (!named.length || named.some((way) => way !== 'computer' && way !== 'restore')) await kill()
