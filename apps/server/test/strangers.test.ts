import { writtenDemo } from '@even-watt/bench/written'
import type { Problem } from '@even-watt/contract'
import { createHash, randomUUID as newId } from 'node:crypto'
import { get } from 'node:http'
import request from 'supertest'
import { ZipFile } from 'yazl'
import { createApp } from '../src/app'
import type { Feed } from '../src/database/feed'
import { refuseMonstrous } from '../src/http/readJson'
import { close, listen, portOf } from '../src/listen'
import { emptyTrialOf } from './emptyTrial'
import { ownDatabase, silent } from './ownDatabase'

const database = ownDatabase()
const [ottrel] = writtenDemo().trials
if (!ottrel) throw new Error('no demo')
const url = () => {
  const { user, password, host, port, database: name } = database.pool().options
  return (
    database.pool().options.connectionString ??
    `postgres://${user}:${String(password)}@${host}:${port}/${name}`
  )
}
const app = (feed: Feed = database.feed()) =>
  createApp({
    pool: database.pool(),
    feed,
    log: silent,
    backup: { url: url(), adminUrl: url(), folder: '/nowhere' },
  })
const api = () => request(app())
const emptyTrial = () => emptyTrialOf(app(), ottrel)
const said = ({ body }: { body: unknown }) => {
  const { title, detail = '', fields = [] } = body as Problem
  return [title, detail, ...fields.map(({ message }) => message)].join(' ')
}

describe('another site', () => {
  it('may neither change nor ask for anything, and what is typed or scripted may', async () => {
    for (const site of ['cross-site', 'same-site']) {
      const refused = await api().get('/api/backup').set('Sec-Fetch-Site', site).expect(403)
      expect(said(refused)).toContain('Another page may not ask')
      await api().get('/API/units').set('Sec-Fetch-Site', site).expect(403)
      // A link to a page of ours is no harm.
      await api().get('/nowhere').set('Sec-Fetch-Site', site).expect(404)
    }
    await api().get('/api/units').set('Origin', 'http://elsewhere.example').expect(403)
    await api().get('/api/units').set('Sec-Fetch-Site', 'same-origin').expect(200)
    await api().get('/api/units').set('Sec-Fetch-Site', 'none').expect(200)
    await api().get('/api/units').expect(200)
  })
})

describe('a backup from a page', () => {
  it('is made one at a time', async () => {
    const served = app()
    const [one, two] = await Promise.all([
      request(served).get('/api/backup'),
      request(served).get('/api/backup'),
    ])
    expect([one.status, two.status].sort()).toEqual([200, 409])
    // Its end is seen by whoever asked a moment before it is over here.
    let again = await request(served).get('/api/backup')
    for (let i = 0; i < 50 && again.status === 409; i++) again = await request(served).get('/api/backup')
    expect(again.status).toBe(200)
  })
})

describe('watchers', () => {
  it('that break off as they begin are forgotten', async () => {
    const trial = await emptyTrial()
    let following = 0
    let asked = 0
    const feed: Feed = {
      ...database.feed(),
      follow(of, changed) {
        following += 1
        const stop = database.feed().follow(of, changed)
        return () => {
          following -= 1
          stop()
        }
      },
    }
    const server = await listen(app(feed), '127.0.0.1', 0)
    server.on('request', () => (asked += 1))
    try {
      const broken = Array.from({ length: 60 }, (_, i) => {
        const stream = get({ port: portOf(server), path: `/api/trials/${trial}/events` })
        stream.on('error', () => undefined)
        setTimeout(() => stream.destroy(), 10 * (i % 20))
        return new Promise((gone) => stream.once('close', gone))
      })
      await Promise.all(broken)
      for (let i = 0; i < 100 && following > 0; i++) await new Promise((later) => setTimeout(later, 50))
      expect(asked).toBeGreaterThan(0)
      expect(following).toBe(0)
    } finally {
      await close(server)
    }
  })
})

describe('JSON from a stranger', () => {
  const nested = (depth: number) => `${'['.repeat(depth)}${']'.repeat(depth)}`
  it('is refused where it is deeper or has more parts than anything here, before it is read', async () => {
    for (const [path, most] of [
      ['/api/trials/import', 3e6],
      ['/api/loads/x', 4e5],
    ] as const) {
      const answer = await api()
        [path.endsWith('import') ? 'post' : 'put'](path)
        .set('Content-Type', 'application/json')
        .send(nested(most))
        .expect(413)
      expect(said(answer)).toContain('more than 64 lists deep')
    }
    const many = await api()
      .post('/api/trials/import')
      .set('Content-Type', 'application/json')
      .send(`[${'[],'.repeat(3_000_001)}[]]`)
      .expect(413)
    expect(said(many)).toContain('three million')
  })
  it('may have brackets in its words', () => {
    expect(() =>
      refuseMonstrous(Buffer.from(JSON.stringify(['['.repeat(1000), '\\"[['.repeat(100)]))),
    ).not.toThrow()
    expect(() => refuseMonstrous(Buffer.from(nested(64)))).not.toThrow()
    expect(() => refuseMonstrous(Buffer.from(nested(65)))).toThrow('64 lists deep')
  })
  it('is told of in a short answer, however many names in it are not known', async () => {
    const strange = Object.fromEntries(Array.from({ length: 20_000 }, (_, i) => [`name ${i}`, []]))
    const answer = await api()
      .put(`/api/units/${newId()}`)
      .send({ editedFrom: 0, content: { ...strange, version: 'x' } })
      .expect(422)
    expect(JSON.stringify(answer.body).length).toBeLessThan(10_000)
  })
})

describe('an archive from a stranger', () => {
  const take = async (parts: readonly (readonly [string, Buffer])[]) => {
    const zip = new ZipFile()
    for (const [name, bytes] of parts) zip.addBuffer(bytes, name)
    zip.end()
    const chunks: Buffer[] = []
    for await (const chunk of zip.outputStream as AsyncIterable<Buffer>) chunks.push(chunk)
    return api().post('/api/trials/import').set('Content-Type', 'application/zip').send(Buffer.concat(chunks))
  }
  const document = (patch: object = {}) =>
    Buffer.from(JSON.stringify({ ...ottrel, trial: { ...ottrel.trial, id: newId() }, entries: [], ...patch }))

  it('has one document', async () => {
    const answer = await take([
      ['trial.json', document()],
      ['trial.json', document()],
    ])
    expect([answer.status, said(answer)]).toEqual([422, expect.stringContaining('more than one trial.json')])
  })

  it('that names files which are not in it is taken in, and that is said', async () => {
    const file = {
      id: newId(),
      revision: 1,
      at: '2026-03-12T09:00:00.000Z',
      kind: 'file',
      reading: { sha256: '0'.repeat(64), size: 7, name: 'label.pdf', type: 'application/pdf' },
    }
    const answer = await take([['trial.json', document({ entries: [file] })]])
    expect([answer.status, (answer.body as { missing: number }).missing]).toEqual([201, 1])
  })

  it('brings no photograph that is none, or tells more than is seen', async () => {
    const html = Buffer.from('<script>alert(1)</script>')
    const sha256 = createHash('sha256').update(html).digest('hex')
    const photograph = {
      id: newId(),
      revision: 1,
      at: '2026-03-12T09:00:00.000Z',
      kind: 'photograph',
      reading: {
        sha256,
        size: html.length,
        name: 'lug.jpg',
        type: 'image/jpeg',
        width: 640,
        height: 480,
        of: 'joints',
        marks: [],
      },
    }
    // Nor are its bytes taken in later, under an entry that came without them.
    expect(
      (await take([['trial.json', document({ entries: [{ ...photograph, id: newId() }] })]])).status,
    ).toBe(201)
    const later = await api()
      .put(`/api/blobs/${sha256}`)
      .set('Content-Type', 'application/octet-stream')
      .set('Content-Range', `bytes 0-${html.length - 1}/${html.length}`)
      .send(html)
      .expect(422)
    expect(said(later)).toContain('lug.jpg is no photograph')
    await api().get(`/api/blobs/${sha256}`).expect(404)
    const answer = await take([
      [`files/${sha256}`, html],
      ['trial.json', document({ entries: [photograph] })],
    ])
    expect(answer.status).toBe(422)
    expect(said(answer)).toMatch(/photograph|picture/)
  })

  it('that is packed in an unknown way, or lies about a size, is refused in a sentence', async () => {
    const zip = new ZipFile()
    zip.addBuffer(document(), 'trial.json')
    zip.end()
    const chunks: Buffer[] = []
    for await (const chunk of zip.outputStream as AsyncIterable<Buffer>) chunks.push(chunk)
    const whole = Buffer.concat(chunks)
    const directory = whole.indexOf(Buffer.from([0x50, 0x4b, 1, 2]))
    const forged = (at: number, value: number) => {
      const bytes = Buffer.from(whole)
      bytes.writeUInt16LE(value, directory + at)
      return api().post('/api/trials/import').set('Content-Type', 'application/zip').send(bytes)
    }
    // The method, and the size once it is unpacked.
    for (const answer of [await forged(10, 99), await forged(24, 7)])
      expect([answer.status, said(answer)]).toEqual([422, expect.stringContaining('cannot be')])
  })
})

describe('bytes', () => {
  it('that were begun with a wrong size do not stand in the way of the true ones', async () => {
    const bytes = Buffer.from('what was photographed')
    const sha256 = createHash('sha256').update(bytes).digest('hex')
    const put = (size: number, part: Buffer) =>
      api()
        .put(`/api/blobs/${sha256}`)
        .set('Content-Type', 'application/octet-stream')
        .set('Content-Range', `bytes 0-${part.length - 1}/${size}`)
        .send(part)
    await put(3 * 2 ** 20, Buffer.alloc(2 ** 20)).expect(200)
    await put(bytes.length, bytes).expect(200)
    expect((await api().get(`/api/blobs/${sha256}/state`)).body).toMatchObject({
      whole: true,
      size: bytes.length,
    })
    // A whole file gives way to nobody.
    await put(3 * 2 ** 20, Buffer.alloc(2 ** 20)).expect(409)
  })
})

describe('what is no quantity of a bench', () => {
  it('is refused where a script sends it', async () => {
    const trial = await emptyTrial()
    const send = (rate: string) =>
      api()
        .post(`/api/trials/${trial}/captures`)
        .query({ name: 'wave.csv', instrument: 'scope', reference: 'grid', rate })
        .set('Content-Type', 'text/csv')
        .send('V\n1\n2\n3\n2\n1\n')
    for (const rate of ['1e-320', '0', '-1', '1e300', 'NaN', 'x']) {
      const answer = await send(rate).expect(422)
      expect(said(answer)).toContain('Samples a second')
    }
  })
  it('is refused in the name of a weight, and in a comparison of what is not here', async () => {
    const [one, two] = [await emptyTrial(), await emptyTrial()]
    const of = [one, two].map((trial) => ({ trial, revision: 1 }))
    const save = (content: object) =>
      api()
        .put(`/api/comparisons/${newId()}`)
        .send({ editedFrom: 0, content: { name: 'Two', of, ...content } })
    await save({}).expect(200)
    expect(said(await save({ weights: { 'a\0b': 1 } }).expect(422))).toContain('damaged character')
    expect(said(await save({ of: [of[0], { trial: newId(), revision: 1 }] }).expect(422))).toContain(
      'is not here',
    )
    expect(said(await save({ of: [of[0], { trial: one, revision: 9 }] }).expect(422))).toContain(
      'is not here',
    )
  })
})
