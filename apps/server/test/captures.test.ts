import { writtenDemo } from '@even-watt/bench/written'
import type { Entry, Problem, RememberedRecipe } from '@even-watt/contract'
import { randomUUID as newId } from 'node:crypto'
import request from 'supertest'
import { createApp } from '../src/app'
import { emptyTrialOf } from './emptyTrial'
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

const push = (trial: string, query: Record<string, string>, body = table()) =>
  api()
    .post(`/api/trials/${trial}/captures`)
    .query(query)
    .set('Content-Type', 'text/csv')
    .send(Buffer.from(body))

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
