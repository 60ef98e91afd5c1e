import { writtenDemo } from '@even-watt/bench/written'
import type { Entry, EntryOf, Problem, TrialDocument } from '@even-watt/contract'
import { randomUUID as newId } from 'node:crypto'
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { get } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import request from 'supertest'
import { createApp } from '../src/app'
import { close, listen, portOf } from '../src/listen'
import { emptyTrialOf } from './emptyTrial'
import { ownDatabase, silent } from './ownDatabase'

const database = ownDatabase()
const app = () => createApp({ pool: database.pool(), feed: database.feed(), log: silent })
const api = () => request(app())

const [ottrel] = writtenDemo().trials
if (!ottrel) throw new Error('no demo')

const motor = (load = 'pump', more: Partial<EntryOf<'motors'>> = {}): Entry => ({
  id: newId(),
  revision: 1,
  at: '2026-03-12T09:00:00.000Z',
  kind: 'motors',
  reading: { number: 1, load, outcome: 'started' },
  ...more,
})

const emptyTrial = () => emptyTrialOf(app(), ottrel)
const send = (trial: string, entries: unknown) =>
  api()
    .post(`/api/trials/${trial}/entries`)
    .send(entries as object)
const entriesOf = async (trial: string) =>
  ((await api().get(`/api/trials/${trial}/export.json`).expect(200)).body as TrialDocument).entries
const fieldsOf = ({ body }: { body: unknown }) => (body as Problem).fields ?? []

describe('what is acknowledged is stored', () => {
  it('so the same entry sent twice, even in one batch, is one', async () => {
    const trial = await emptyTrial()
    const entry = motor()
    expect((await send(trial, [entry, entry]).expect(200)).body).toEqual({ kept: 2, added: 1 })
    expect((await send(trial, [entry]).expect(200)).body).toEqual({ kept: 1, added: 0 })
    expect(await entriesOf(trial)).toEqual([entry])
  })

  it('so an id in capitals is the same id', async () => {
    const trial = await emptyTrial()
    const entry = motor()
    await send(trial, [entry]).expect(200)
    expect((await send(trial, [{ ...entry, id: entry.id.toUpperCase() }]).expect(200)).body).toMatchObject({
      added: 0,
    })
    await send(trial, [{ ...motor(), id: newId().toUpperCase() }]).expect(200)
    expect((await entriesOf(trial)).map(({ id }) => id)).toEqual(
      (await entriesOf(trial)).map(({ id }) => id.toLowerCase()),
    )
  })

  it('so another content under a known id is refused, in the batch and in the record', async () => {
    const trial = await emptyTrial()
    const entry = motor('pump')
    const other = { ...motor('saw'), id: entry.id }
    expect(fieldsOf(await send(trial, [entry, other]).expect(422))).toEqual([
      { path: '1.id', message: 'Entry 2 has the id of another one sent with it.' },
    ])
    await send(trial, [entry]).expect(200)
    expect(fieldsOf(await send(trial, [other]).expect(422))[0]?.message).toContain(
      'another one that is stored here',
    )
    const elsewhere = await emptyTrial()
    await send(elsewhere, [entry]).expect(422)
    expect(await entriesOf(trial)).toEqual([entry])
  })

  it.each([
    ['a character of number 0', 'a\0b'],
    ['half a character', 'a\ud800b'],
  ])('so %s is refused in a sentence, on every field of text', async (_, damaged) => {
    const trial = await emptyTrial()
    const sentence = /Load|Motor|Note|Machine|What/
    const answer = await send(trial, [motor(damaged)]).expect(422)
    expect(fieldsOf(answer)[0]?.message).toMatch(/damaged character/)
    expect(sentence).toBeDefined()
    const noted = motor('pump', { reading: { number: 1, load: 'pump', outcome: 'started', note: damaged } })
    expect(fieldsOf(await send(trial, [noted]).expect(422))[0]?.message).toContain('damaged character')
    await api()
      .get(`/api/trials?search=${encodeURIComponent('a\0b')}`)
      .expect(422)
    expect(await entriesOf(trial)).toEqual([])
  })

  it('so a batch of thousands that is refused is answered briefly', async () => {
    const trial = await emptyTrial()
    const answer = await send(
      trial,
      Array.from({ length: 5000 }, () => motor('pump', { revision: 9 })),
    ).expect(422)
    expect(fieldsOf(answer)).toHaveLength(20)
    expect(answer.text.length).toBeLessThan(5000)
  })
})

/** Reads a stream of server-sent events until as many entries came as are wanted. */
function follow(port: number, path: string, wanted: number): Promise<{ entries: Entry[]; events: string[] }> {
  return new Promise((resolve, reject) => {
    const events: string[] = []
    const entries: Entry[] = []
    const stream = get({ port, host: '127.0.0.1', path }, (response) => {
      let text = ''
      response.on('data', (chunk: Buffer) => {
        text += chunk.toString()
        for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
          const lines = text.slice(0, end).split('\n')
          text = text.slice(end + 2)
          const name = lines.find((line) => line.startsWith('event: '))?.slice(7)
          if (!name) continue
          events.push(name)
          const data = lines.find((line) => line.startsWith('data: '))?.slice(6) ?? ''
          if (name === 'entries') entries.push(...(JSON.parse(data) as Entry[]))
        }
        if (entries.length >= wanted) {
          stream.destroy()
          resolve({ entries, events })
        }
      })
    })
    stream.on('error', (error) => (entries.length >= wanted ? undefined : reject(error)))
  })
}

describe('following a trial', () => {
  it('gives each entry once and in the order of its sequence, however many append at once', async () => {
    const trial = await emptyTrial()
    const server = await listen(app(), '127.0.0.1', 0)
    try {
      const followed = follow(portOf(server), `/api/trials/${trial}/events?after=0`, 120)
      const batches = Array.from({ length: 40 }, () => [motor(), motor(), motor()])
      await Promise.all(batches.map((batch) => send(trial, batch).expect(200)))
      const { entries } = await followed
      expect(entries.map(({ id }) => id)).toEqual((await entriesOf(trial)).map(({ id }) => id))
      // A batch stays together: nobody else's entry came between.
      const places = new Map(entries.map(({ id }, i) => [id, i]))
      for (const [one] of batches) expect((places.get(one?.id ?? '') ?? 1) % 3).toBe(0)
    } finally {
      await close(server)
    }
  })

  it('goes on from a cursor, tells of new settings, and of a trial that is not here', async () => {
    const trial = await emptyTrial()
    const [first, second] = [motor(), motor()]
    await send(trial, [first]).expect(200)
    const { cursor } = (await api().get(`/api/trials/${trial}/entries`).expect(200)).body as {
      cursor: string
    }
    const server = await listen(app(), '127.0.0.1', 0)
    try {
      const followed = follow(portOf(server), `/api/trials/${trial}/events?after=${cursor}`, 1)
      await new Promise((resolve) => setTimeout(resolve, 300))
      const settings = { title: 'New', by: 'R.O.', hold: 600, duty: [], limiters: [] }
      await api().put(`/api/trials/${trial}`).send({ editedFrom: ottrel.trial.version, settings }).expect(200)
      await send(trial, [second]).expect(200)
      const { entries, events } = await followed
      expect(entries.map(({ id }) => id)).toEqual([second.id])
      expect(events).toContain('trial')
    } finally {
      await close(server)
    }
    await api().get(`/api/trials/${newId()}/events`).expect(404)
  })
})

describe('requests that are damaged', () => {
  it('for a part of the interface that is not there are not found, in words', async () => {
    const web = mkdtempSync(join(tmpdir(), 'even-watt-web-'))
    mkdirSync(join(web, 'assets'))
    const served = createApp({ pool: database.pool(), feed: database.feed(), log: silent, web })
    const answer = await request(served).get('/assets/gone-1234.js').expect(404)
    expect((answer.body as Problem).title).toBe('This address is not here.')
    rmSync(web, { recursive: true })
  })

  it.each([
    ['a path that cannot be decoded', () => api().get('/api/units/%E0%A4%A'), 400],
    [
      'a body that is no gzip though it says so',
      () =>
        api()
          .put(`/api/units/${newId()}`)
          .set('Content-Encoding', 'gzip')
          .set('Content-Type', 'application/json')
          .send('{"not": "gzip"}'),
      400,
    ],
  ])('%s are answered as that', async (_, ask, status) => {
    expect(((await ask().expect(status)).body as Problem).title).toContain('damaged')
  })
})
