import { writtenDemo } from '@even-watt/bench/written'
import type { Entry, Problem, RememberedRecipe, TrialDocument, TrialPage } from '@even-watt/contract'
import { randomUUID as newId } from 'node:crypto'
import request from 'supertest'
import { createApp } from '../src/app'
import { emptyTrialOf } from './emptyTrial'
import { atOnce } from '../src/besides/besides'
import { keepWorked, workDue } from '../src/captures/workAgain'
import { ownDatabase, silent } from './ownDatabase'

const database = ownDatabase()
const app = () => createApp({ pool: database.pool(), feed: database.feed(), log: silent })
const api = () => request(app())
const [ottrel] = writtenDemo().trials
if (!ottrel) throw new Error('no demo')
const emptyTrial = () => emptyTrialOf(app(), ottrel)

type Captured = Extract<Entry, { kind: 'capture' }>

const table = (factor = 1) =>
  [
    't (ms),V_C (V)',
    ...Array.from(
      { length: 2200 },
      (_, i) =>
        `${(i / 10).toFixed(1)},${(factor * 325 * Math.sin((2 * Math.PI * i) / 200 + 0.3)).toFixed(2)}`,
    ),
  ].join('\n')

const push = (trial: string, query: Record<string, string>, body: string | Buffer = table()) =>
  api()
    .post(`/api/trials/${trial}/captures`)
    .query(query)
    .set('Content-Type', 'text/csv')
    .send(Buffer.from(body))

/** A sound file of doubles: a sine of that peak. */
function doublesOf(peak: number): Buffer {
  const samples = Float64Array.from({ length: 2200 }, (_, i) => peak * Math.sin((2 * Math.PI * i) / 200))
  const head = Buffer.alloc(44)
  head.write('RIFF')
  head.writeUInt32LE(36 + samples.byteLength, 4)
  head.write('WAVEfmt ', 8)
  head.writeUInt32LE(16, 16)
  // Floating point, one channel, so many a second, bytes a second, bytes and bits a sample.
  head.writeUInt16LE(3, 20)
  head.writeUInt16LE(1, 22)
  head.writeUInt32LE(10_000, 24)
  head.writeUInt32LE(80_000, 28)
  head.writeUInt16LE(8, 32)
  head.writeUInt16LE(64, 34)
  head.write('data', 36)
  head.writeUInt32LE(samples.byteLength, 40)
  return Buffer.concat([head, Buffer.from(samples.buffer)])
}

describe('a capture that a script pushes', () => {
  it('is read, worked, kept with its bytes, and belongs to the last reading', async () => {
    const trial = await emptyTrial()
    const reading = ottrel.entries.find(({ kind }) => kind === 'no load')
    if (!reading) throw new Error('no reading')
    const id = newId()
    await api()
      .post(`/api/trials/${trial}/entries`)
      .send([{ ...reading, id }])
      .expect(200)
    const { body } = await push(trial, { name: 'wave.csv', instrument: 'Logger' }).expect(201)
    const capture = body as Captured
    expect(capture.reading.about).toBe(id)
    expect(capture.reading.figures.channels[0]).toMatchObject({
      quantity: 'V_C',
      rms: expect.closeTo(229.8, 1),
      wave: { class: 'sine' },
    })
    const bytes = await api().get(`/api/blobs/${capture.reading.sha256}`).expect(200)
    expect((bytes.body as Buffer).toString()).toBe(table())
    const { body: kept } = await api().get(`/api/trials/${trial}/entries`)
    expect((kept as { entries: Entry[] }).entries.map(({ kind }) => kind)).toEqual(['no load', 'capture'])
  })
  it('is read as the last one of its instrument was', async () => {
    const trial = await emptyTrial()
    const first = (await push(trial, { name: 'a.csv', instrument: 'Probe' }).expect(201)).body as Captured
    const recipe = {
      ...first.reading.recipe,
      channels: [{ column: 1, quantity: 'V_C' as const, factor: 100 }],
    }
    await api()
      .post(`/api/trials/${trial}/entries`)
      .send([{ ...first, id: newId(), reading: { ...first.reading, recipe } }])
      .expect(200)
    const next = (await push(trial, { name: 'b.csv', instrument: 'Probe' }, table(0.01)).expect(201))
      .body as Captured
    expect(next.reading.figures.channels[0]?.rms).toBeCloseTo(229.8, 0)
    const remembered = (await api().get('/api/captures/recipes').expect(200)).body as RememberedRecipe[]
    expect(remembered.find(({ instrument }) => instrument.name === 'Probe')?.recipe).toEqual(recipe)
  })
  it('that cannot be read is refused in a sentence, and nothing is kept', async () => {
    const trial = await emptyTrial()
    const refused = await push(trial, { name: 'x.csv', instrument: 'Logger' }, 'hello\nworld').expect(422)
    expect((refused.body as Problem).detail).toContain('no rows of numbers')
    expect((await push(trial, { name: 'x.csv', instrument: 'Logger' }, '').expect(422)).body).toMatchObject({
      title: 'There are no bytes in it.',
    })
    await push(trial, { name: 'x.csv' }).expect(422)
    await push(newId(), { name: 'x.csv', instrument: 'Logger' }).expect(404)
    await push(trial, { name: 'x.csv', instrument: 'Logger', about: newId() }).expect(422)
    const { body } = await api().get(`/api/trials/${trial}/entries`)
    expect((body as { entries: Entry[] }).entries).toEqual([])
  })
  it('may be a reference, and leaves with the trial', async () => {
    const trial = await emptyTrial()
    const { body } = await push(trial, { name: 'grid.csv', instrument: 'Logger', reference: 'grid' }).expect(
      201,
    )
    expect((body as Captured).reading).toMatchObject({ reference: 'grid' })
    expect((body as Captured).reading.about).toBeUndefined()
    const csv = await api().get(`/api/trials/${trial}/export.csv`).expect(200)
    expect(csv.text).toContain('grid.csv')
  })
})

describe('what came with a capture', () => {
  const due = (trial: string) => workDue(database.pool(), { besides: atOnce, trial, log: silent })
  const entriesOf = async (trial: string) =>
    ((await api().get(`/api/trials/${trial}/entries`).expect(200)).body as { entries: Entry[] }).entries
  const send = (trial: string, ...entries: Entry[]) =>
    api().post(`/api/trials/${trial}/entries`).send(entries)
  const pushed = async (trial: string) =>
    (await push(trial, { name: 'a.csv', instrument: 'Probe 2' }).expect(201)).body as Captured
  const lying = (capture: Captured, rms: number): Captured => {
    const [channel] = capture.reading.figures.channels
    if (!channel) throw new Error('no channel')
    const figures = { ...capture.reading.figures, channels: [{ ...channel, rms }] }
    return { ...capture, id: newId(), reading: { ...capture.reading, figures } }
  }

  it('stands where its bytes say the same, and they are worked once', async () => {
    const trial = await emptyTrial()
    await pushed(trial)
    expect(await due(trial)).toBe(0)
    expect(await entriesOf(trial)).toHaveLength(1)
  })
  it('is a cache: where its bytes say otherwise, what they say counts in its place', async () => {
    const trial = await emptyTrial()
    const lie = lying(await pushed(trial), 239)
    await send(trial, lie).expect(200)
    const { lastAt } = await lastOf(trial)
    expect(await due(trial)).toBe(1)
    expect(await due(trial)).toBe(0)
    const again = (await entriesOf(trial)).find((entry) => entry.kind === 'worked again')
    expect(again).toMatchObject({
      entry: lie.id,
      found: { figures: { channels: [{ rms: expect.closeTo(229.8, 1) as number }] } },
    })
    // Nobody worked on the trial by that.
    expect((await lastOf(trial)).lastAt).toBe(lastAt)
  })
  it('is worked again by a later version, which speaks only where it says otherwise', async () => {
    const trial = await emptyTrial()
    await send(trial, lying(await pushed(trial), 239)).expect(200)
    expect(await due(trial)).toBe(1)
    await database.pool().query('update capture_worked set version = 0')
    expect(await due(trial)).toBe(0)
    expect(await entriesOf(trial)).toHaveLength(3)
  })
  it('decides nothing where its bytes cannot be read by its recipe', async () => {
    const trial = await emptyTrial()
    const capture = await pushed(trial)
    const recipe = {
      ...capture.reading.recipe,
      channels: [{ column: 7, quantity: 'V_C' as const, factor: 1 }],
    }
    await send(trial, { ...capture, id: newId(), reading: { ...capture.reading, recipe } }).expect(200)
    expect(await due(trial)).toBe(1)
    expect((await entriesOf(trial)).at(-1)).toMatchObject({ found: { fault: expect.any(String) as string } })
  })
  it('stands where its bytes did not come along', async () => {
    const trial = await emptyTrial()
    await pushed(trial)
    const document = (await api().get(`/api/trials/${trial}/export.json`).expect(200)).body as TrialDocument
    const elsewhere = { ...document.trial, id: newId() }
    const entries = document.entries.map((entry) => {
      if (entry.kind !== 'capture') return entry
      return { ...entry, id: newId(), reading: { ...entry.reading, sha256: 'b'.repeat(64) } }
    })
    await api()
      .post('/api/trials/import')
      .send({ ...document, trial: elsewhere, entries })
      .expect(201)
    expect(await due(elsewhere.id)).toBe(0)
    expect(await entriesOf(elsewhere.id)).toHaveLength(1)
  })
  it('is said by this installation alone: by no page, and by no file that comes in', async () => {
    const trial = await emptyTrial()
    const capture = await pushed(trial)
    const said: Entry = {
      id: newId(),
      revision: 1,
      at: capture.at,
      kind: 'worked again',
      entry: capture.id,
      version: 1,
      found: { figures: lying(capture, 239).reading.figures },
    }
    const { body } = await send(trial, said).expect(422)
    expect((body as Problem).fields?.[0]?.message).toContain('taken from nobody')
    const document = (await api().get(`/api/trials/${trial}/export.json`).expect(200)).body as TrialDocument
    const another = { ...document.trial, id: newId() }
    const entries = [
      { ...capture, id: newId() },
      { ...said, id: newId() },
    ]
    await api()
      .post('/api/trials/import')
      .send({ ...document, trial: another, entries })
      .expect(201)
    expect((await entriesOf(another.id)).map(({ kind }) => kind)).toEqual(['capture'])
  })
  it('stands where the work itself fails, and is not tried again and again', async () => {
    const trial = await emptyTrial()
    await pushed(trial)
    const failed = new Set<string>()
    let times = 0
    const look = () =>
      workDue(database.pool(), {
        besides: {
          run: () => {
            times += 1
            return Promise.reject(new Error('out of memory'))
          },
        },
        trial,
        log: silent,
        failed,
      })
    expect([await look(), await look()]).toEqual([0, 0])
    expect(times).toBe(1)
    expect(await due(trial)).toBe(0)
    expect(await entriesOf(trial)).toHaveLength(1)
  })
  it('is looked at as soon as it comes in', async () => {
    const trial = await emptyTrial()
    const lie = lying(await pushed(trial), 250)
    keepWorked({
      pool: database.pool(),
      feed: database.feed(),
      log: silent,
      besides: atOnce,
    })
    await send(trial, lie).expect(200)
    for (let i = 0; i < 200 && !(await entriesOf(trial)).some(({ kind }) => kind === 'worked again'); i++)
      await new Promise((resolve) => setTimeout(resolve, 20))
    expect((await entriesOf(trial)).map(({ kind }) => kind)).toEqual(['capture', 'capture', 'worked again'])
  })
  it('is refused where its samples are beyond what can be figured', async () => {
    const trial = await emptyTrial()
    const { body } = await push(trial, { name: 'h.wav', instrument: 'Probe 3' }, doublesOf(1e300)).expect(422)
    expect((body as Problem).detail).toContain('too large')
  })
})

async function lastOf(trial: string) {
  const { body } = await api().get('/api/trials').query({ limit: '1000' }).expect(200)
  const line = (body as TrialPage).trials.find(({ id }) => id === trial)
  if (!line) throw new Error('not listed')
  return line
}
