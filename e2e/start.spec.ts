import { expect, test } from '@playwright/test'
import { writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { Installation } from './support/installation'

test.describe.configure({ mode: 'serial' })
let place: Installation

test.beforeAll(() => {
  place = Installation.create('nothing')
})
test.afterAll(() => place.remove())

test('an empty installation says what to do first, and offers the demo', async ({ page }) => {
  await place.start('--empty')
  await page.goto(place.url)
  await expect(page.getByText('Nothing is on the bench yet.')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Add your meters' })).toBeVisible()
  await page.getByRole('link', { name: 'Units' }).click()
  await expect(page.getByText('No unit yet.')).toBeVisible()
  await page.goto(place.url)
  await page.getByRole('button', { name: 'Load the demo' }).click()
  await expect(page.getByRole('link', { name: 'Pellam 900-12 for the marsh hut' }).first()).toBeVisible()
})

test('a second start says where it runs already', async () => {
  const second = await place.start()
  expect(second.code).toBe(1)
  expect(second.output).toContain(`Even Watt is running already, at ${place.url}`)
})

test('of many starts at once on one folder one serves, and each other says so in a sentence', async () => {
  await place.stop()
  const port = place.port
  const starts = await Promise.all(
    Array.from({ length: 4 }, async () => {
      const other = Installation.at(place.folder)
      return { other, ...(await other.start()) }
    }),
  )
  const serving = starts.filter(({ code }) => code === null)
  expect(serving).toHaveLength(1)
  for (const { code, output } of starts.filter((one) => one.code !== null)) {
    expect(code).toBe(1)
    expect(output).toMatch(/Even Watt is (starting already|running already, at http\S+) \(process \d+\)\./)
  }
  await serving[0]?.other.stop()
  place.port = port
  await place.start()
})

test('a busy port is named, and the database is stopped again', async () => {
  await place.stop()
  const other = createServer().listen(place.port, '127.0.0.1')
  const { code, output } = await place.start()
  expect(code).toBe(1)
  expect(output).toContain(`Port ${place.port} is used by another program.`)
  expect(() => place.postgresPid).toThrow()
  await new Promise((resolve) => other.close(resolve))
})

test('a stale pid file does not hinder it', async () => {
  // The number of a process that is no PostgreSQL.
  writeFileSync(
    join(place.folder, 'postgres/postmaster.pid'),
    `${process.pid}\n${place.folder}\n0\n5432\n\n127.0.0.1\n`,
  )
  expect((await place.start()).code).toBeNull()
})

test('a killed run is taken over by the next', async ({ page }) => {
  await place.kill()
  const left = place.postgresPid
  expect((await place.start()).code).toBeNull()
  expect(place.postgresPid).toBe(left)
  const health = await page.request.get(`${place.url}/healthz`)
  expect(await health.json()).toEqual({ status: 'ok' })
})

test('a stop is clean', async () => {
  await place.stop()
  expect(() => place.postgresPid).toThrow()
})

test('an address that is not loopback is refused in a sentence', async () => {
  const environment = { ...process.env }
  try {
    process.env['HOST'] = '0.0.0.0'
    const { code, output } = await place.start()
    expect(code).toBe(1)
    expect(output).toContain('loopback only')
  } finally {
    process.env = environment
  }
})

for (const port of [-1, 65_536, 1.5, NaN]) {
  test(`port ${port} is none, and is refused in a sentence before anything is started`, async () => {
    const other = Installation.create('nothing')
    other.port = port
    const { code, output } = await other.start()
    expect(code).toBe(1)
    expect(output).toContain(`PORT is "${port}"; a whole number from 1 to 65535 is accepted`)
    expect(() => other.postgresPid).toThrow()
    await other.remove()
  })
}
