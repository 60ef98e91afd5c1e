import type { atTheComputer, LanState } from '@even-watt/contract'
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { request as httpRequest } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import request from 'supertest'
import { createApp } from '../src/app'
import { freePort } from '../src/cluster/cluster'
import { door } from '../src/lan/door'
import { Lan } from '../src/lan/lan'
import { hasPassphrase, isPassphrase, keepPassphrase, makePassphrase } from '../src/lan/passphrase'
import { close, listen, portOf } from '../src/listen'
import { ownDatabase, silent } from './ownDatabase'

const database = ownDatabase()
const host = '192.0.2.7:4601'
const phrase = 'reed-otter-lamp'

/** What the local network sees: TLS is the server's, the door is the app's. */
const behindDoor = () =>
  createApp({
    pool: database.pool(),
    feed: database.feed(),
    log: silent,
    door: door(database.pool()),
    front: { scheme: 'https', answers: (name) => name === host, instead: 'Use the address shown.' },
  })
const knock = (app: ReturnType<typeof behindDoor>, typed: string, name = 'phone') =>
  request(app)
    .post('/door')
    .set('Host', host)
    .set('Origin', `https://${host}`)
    .type('form')
    .send({ passphrase: typed, name })

describe('the passphrase', () => {
  it('is kept as a salted hash only, and known again', async () => {
    const pool = database.pool()
    expect([await hasPassphrase(pool), await isPassphrase(pool, '')]).toEqual([false, false])
    await keepPassphrase(pool, phrase)
    const { rows } = await pool.query<{ value: string }>(
      `select value from installation where key = 'passphrase'`,
    )
    expect(rows[0]?.value).toMatch(/^[0-9a-f]{32}:[0-9a-f]{64}$/)
    expect([await isPassphrase(pool, phrase), await isPassphrase(pool, `${phrase} `)]).toEqual([true, false])
    expect(makePassphrase()).toMatch(/^[a-z2-9]{5}-[a-z2-9]{5}-[a-z2-9]{5}$/)
    expect(makePassphrase()).not.toBe(makePassphrase())
  })
})

describe('the door of the local network', () => {
  it('shows a stranger nothing but itself, under no other name', async () => {
    const app = behindDoor()
    for (const path of ['/', '/trials', '/assets/index.js'])
      expect((await request(app).get(path).set('Host', host).expect(401)).text).toContain('name="passphrase"')
    for (const path of ['/api/trials', '/api/backup', '/api/lan'])
      expect((await request(app).get(path).set('Host', host).expect(401)).body).toMatchObject({
        title: 'This device has not been let in.',
      })
    await request(app).get('/').set('Host', 'localhost:4601').expect(421)
    await request(app).get('/').set('Host', host).set('Cookie', '__Host-even-watt=guessed').expect(401)
  })

  it('lets in by the passphrase, with a cookie that no script reads and no other site sends', async () => {
    const app = behindDoor()
    expect((await knock(app, 'not this one').expect(401)).text).toContain('That is not the passphrase.')
    expect((await knock(app, phrase, ' ').expect(422)).text).toContain('Enter the name of this device.')
    const { headers } = await knock(app, phrase).expect(303)
    const [cookie = ''] = headers['set-cookie'] as unknown as string[]
    expect(cookie).toMatch(/^__Host-even-watt=[\w-]{43}; .*HttpOnly; Secure; SameSite=Strict$/)
    const pass = cookie.split(';')[0] ?? ''
    await request(app).get('/api/trials').set('Host', host).set('Cookie', pass).expect(200)
    // What opens the door or replaces all data is done at the computer itself.
    for (const path of ['/api/lan', '/api/backup'])
      await request(app).get(path).set('Host', host).set('Cookie', pass).expect(403)
    // Another page may change nothing, even in a browser that was let in.
    await request(app)
      .post('/api/demo')
      .set('Host', host)
      .set('Cookie', pass)
      .set('Origin', 'https://evil.example')
      .expect(403)
    const { rows } = await database.pool().query<{ token_sha256: string }>('select token_sha256 from device')
    expect(JSON.stringify(rows)).not.toContain(pass.split('=')[1])
  })

  it('lets a device do all but what is done at the computer itself', async () => {
    const app = behindDoor()
    const { headers } = await knock(app, phrase).expect(303)
    const pass = (headers['set-cookie'] as unknown as string[])[0]?.split(';')[0] ?? ''
    const ask = (method: 'get' | 'put' | 'post' | 'delete', path: string) =>
      request(app)[method](path).set('Host', host).set('Cookie', pass).set('Origin', `https://${host}`)
    const id = '00000000-0000-4000-8000-000000000000'
    const asked: Record<(typeof atTheComputer)[number], [Parameters<typeof ask>[0], string][]> = {
      'let devices in and shut them out': [
        ['get', '/api/lan'],
        ['put', '/api/LAN'],
        ['delete', `/api/lan/devices/${id}`],
      ],
      'back up and restore': [
        ['get', '/api/backup'],
        ['put', '/api/backup/'],
      ],
      'delete anything': [
        ['delete', `/api/trials/${id}`],
        ['delete', `/api/units/${id}?editedFrom=1`],
      ],
      'load the demo': [['post', '/api/demo']],
    }
    for (const [method, path] of Object.values(asked).flat())
      expect((await ask(method, path).expect(403)).body).toMatchObject({
        title: 'This is done at the computer that Even Watt runs on.',
      })
    await ask('get', '/api/trials').expect(200)
    const content = { mains: '230 V 50 Hz', currency: 'EUR' }
    await ask('put', '/api/settings').send({ editedFrom: 0, content }).expect(200)
  })

  it('takes eight wrong attempts of one address, then none of it for a while', async () => {
    const app = behindDoor()
    for (let i = 0; i < 8; i++) await knock(app, `wrong ${i}`).expect(401)
    expect((await knock(app, phrase).expect(429)).text).toContain('Too many attempts.')
  })

  it('never locks the owner out because others guess: while many do, each address has one attempt', async () => {
    const server = await listen(behindDoor(), '127.0.0.1', 0)
    const from = (address: string, typed: string) =>
      new Promise<number>((resolve, reject) => {
        const asking = httpRequest(
          {
            port: portOf(server),
            host: '127.0.0.1',
            localAddress: address,
            path: '/door',
            method: 'POST',
            headers: {
              Host: host,
              Origin: `https://${host}`,
              'Content-Type': 'application/x-www-form-urlencoded',
            },
          },
          (response) => resolve(response.resume().statusCode ?? 0),
        )
        asking.on('error', reject)
        asking.end(new URLSearchParams({ passphrase: typed, name: 'phone' }).toString())
      })
    try {
      const guesses: number[] = []
      for (let i = 0; i < 64; i++) guesses.push(await from(`127.0.0.${2 + (i % 8)}`, `wrong ${i}`))
      expect(guesses.filter((status) => status === 401).length).toBeGreaterThanOrEqual(60)
      expect(await from('127.0.0.20', phrase)).toBe(303)
      expect(await from('127.0.0.21', 'wrong')).toBe(401)
      expect(await from('127.0.0.21', phrase)).toBe(429)
    } finally {
      await close(server)
    }
  })

  it('escapes what it says', async () => {
    const app = behindDoor()
    const { text } = await knock(app, phrase, '<script>alert(1)</script>'.repeat(5)).expect(422)
    expect(text).not.toContain('<script>')
  })
})

describe('the local network', () => {
  const folder = mkdtempSync(join(tmpdir(), 'even-watt-lan-'))
  afterAll(() => rmSync(folder, { recursive: true, force: true }))

  it('is opened over TLS, keeps its certificate to itself, and shuts out whom the tester shuts out', async () => {
    const port = await freePort()
    const pool = database.pool()
    const lan = new Lan({ pool, folder, port: () => port, appFor: () => behindDoor() })
    const app = createApp({ pool, feed: database.feed(), log: silent, lan })
    const state = (response: { body: unknown }) => response.body as LanState
    try {
      expect(state(await request(app).get('/api/lan').expect(200))).toMatchObject({
        on: false,
        addresses: [],
      })
      const refused = await request(app).put('/api/lan').send({ on: true, passphrase: 'short' }).expect(422)
      expect(JSON.stringify(refused.body)).toContain('10 characters at least')
      const open = state(await request(app).put('/api/lan').send({ on: true }).expect(200))
      expect(open.on && open.fingerprint).toMatch(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/)
      // One was there: none is made, and none is told.
      expect(open.madePassphrase).toBeUndefined()
      expect(statSync(join(folder, 'lan-key.pem')).mode & 0o077).toBe(0)
      expect(await lan.wasOpen()).toBe(true)
      const key = readFileSync(join(folder, 'lan-key.pem'), 'utf8')
      await lan.end()
      await lan.open()
      expect(readFileSync(join(folder, 'lan-key.pem'), 'utf8')).toBe(key)

      const behind = behindDoor()
      const { headers } = await knock(behind, phrase, 'tablet').expect(303)
      const pass = (headers['set-cookie'] as unknown as string[])[0]?.split(';')[0] ?? ''
      await request(behind).get('/api/trials').set('Host', host).set('Cookie', pass).expect(200)
      const { devices } = state(await request(app).get('/api/lan').expect(200))
      const tablet = devices.find(({ name }) => name === 'tablet')
      await request(app).delete(`/api/lan/devices/${tablet?.id}`).expect(200)
      await request(behind).get('/api/trials').set('Host', host).set('Cookie', pass).expect(401)
      // A new passphrase shuts out who came in by the old one, where that is asked for.
      const other = await knock(behind, phrase, 'phone').expect(303)
      const held = (other.headers['set-cookie'] as unknown as string[])[0]?.split(';')[0] ?? ''
      const look = () => request(behind).get('/api/trials').set('Host', host).set('Cookie', held)
      await request(app).put('/api/lan').send({ on: true, passphrase: 'another lamp' }).expect(200)
      await look().expect(200)
      await request(app)
        .put('/api/lan')
        .send({ on: true, passphrase: 'a third lamp', shutOut: true })
        .expect(200)
      await look().expect(401)
      expect(state(await request(app).put('/api/lan').send({ on: false }).expect(200)).on).toBe(false)
      expect(await lan.wasOpen()).toBe(false)
    } finally {
      await lan.end()
    }
  })
})
