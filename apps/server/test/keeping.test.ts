import { writtenDemo } from '@even-watt/bench/written'
import type { Problem, TrialPage } from '@even-watt/contract'
import { randomUUID as newId } from 'node:crypto'
import request from 'supertest'
import { createApp } from '../src/app'
import { ownDatabase, silent } from './ownDatabase'

const database = ownDatabase()
const api = () => request(createApp({ pool: database.pool(), feed: database.feed(), log: silent }))
const [ottrel] = writtenDemo().trials
if (!ottrel) throw new Error('no demo')

async function trial(): Promise<string> {
  const id = newId()
  const entry = {
    id: newId(),
    revision: 1,
    at: '2026-03-12T09:00:00.000Z',
    kind: 'motors',
    reading: { number: 1, load: 'pump', outcome: 'started' },
  }
  await api()
    .post('/api/trials/import')
    .send({ ...ottrel, trial: { ...ottrel?.trial, id }, entries: [entry] })
    .expect(201)
  return id
}
const listed = async (query = '') =>
  ((await api().get(`/api/trials${query}`).expect(200)).body as TrialPage).trials.map(({ id }) => id)
const rows = async (table: string, id: string) =>
  (
    await database
      .pool()
      .query(`select 1 from ${table} where ${table === 'trial' ? 'id' : 'trial'} = $1`, [id])
  ).rowCount

describe('what becomes of a trial', () => {
  it('put away it is out of the list until it is asked for, and nothing of it changed', async () => {
    const id = await trial()
    await api().put(`/api/trials/${id}/put-away`).send({ away: true }).expect(200)
    expect(await listed()).not.toContain(id)
    expect(await listed('?away=yes')).toEqual([id])
    expect((await api().get('/api/trials')).body).toMatchObject({ away: 1 })
    await api().get(`/api/trials/${id}`).expect(200)
    await api().put(`/api/trials/${id}/put-away`).send({ away: false }).expect(200)
    expect(await listed()).toContain(id)
  })

  it('is deleted for good only by its title, all of it or nothing', async () => {
    const [id, other] = [await trial(), await trial()]
    const wrong = await api().delete(`/api/trials/${id}`).send({ title: 'Ottrel' }).expect(422)
    expect((wrong.body as Problem).fields?.[0]?.message).toContain(ottrel.trial.title)
    expect(await rows('entry', id)).toBe(1)
    await api().delete(`/api/trials/${id}`).send({ title: ottrel.trial.title }).expect(204)
    for (const table of ['trial', 'revision', 'entry']) expect(await rows(table, id)).toBe(0)
    for (const table of ['trial', 'entry']) expect(await rows(table, other)).toBe(1)
    await api().get(`/api/trials/${id}`).expect(404)
    await api().delete(`/api/trials/${id}`).send({ title: ottrel.trial.title }).expect(404)
  })

  it('loses nothing else to whoever asks the database for it', async () => {
    const [id, other] = [await trial(), await trial()]
    const client = await database.pool().connect()
    try {
      const refused = async (sql: string) => {
        await client.query('begin')
        await client.query(`select set_config('even_watt.deleting', $1, true)`, [id])
        await expect(client.query(sql)).rejects.toThrow('only grows')
        await client.query('rollback')
      }
      await refused(`delete from entry where trial = '${other}'`)
      await refused(`delete from entry`)
      await refused(`update entry set kind = 'x' where trial = '${id}'`)
      await refused(`update revision set why = 'x' where trial = '${id}'`)
      await refused('truncate entry')
    } finally {
      client.release()
    }
    expect(await rows('entry', other)).toBe(1)
  })
})

describe('a document that is deleted', () => {
  it('says before where it is used, and stays where a rig hangs it up', async () => {
    const { meters, rigs } = writtenDemo()
    const [rig] = rigs
    const meter = meters.find(({ id }) => rig?.assignments.some((hung) => hung.meter === id))
    if (!rig || !meter) throw new Error('no demo')
    await api().put(`/api/meters/${meter.id}`).send({ editedFrom: 0, content: meter }).expect(200)
    expect((await api().get(`/api/meters/${meter.id}/uses`).expect(200)).body).toEqual({
      by: [],
      total: 0,
      held: false,
    })
    await api().put(`/api/rigs/${rig.id}`).send({ editedFrom: 0, content: rig }).expect(200)
    expect((await api().get(`/api/meters/${meter.id}/uses`)).body).toEqual({
      by: [rig.name],
      total: 1,
      held: true,
    })
    const answer = await api().delete(`/api/meters/${meter.id}?editedFrom=1`).expect(409)
    expect((answer.body as Problem).title).toContain(rig.name)
    // A trial keeps its own copy: its rig may go.
    const started = await trial()
    const { unit } = ottrel.trial.revisions[0] ?? {}
    expect((await api().get(`/api/units/${unit?.id}/uses`)).body).toMatchObject({ held: false })
    await api().delete(`/api/rigs/${rig.id}?editedFrom=1`).expect(204)
    await api().delete(`/api/meters/${meter.id}?editedFrom=1`).expect(204)
    await api().get(`/api/trials/${started}`).expect(200)
  })

  it('is had back as it was', async () => {
    const [unit] = writtenDemo().units
    if (!unit) throw new Error('no demo')
    await api().put(`/api/units/${unit.id}`).send({ editedFrom: 0, content: unit }).expect(200)
    await api().delete(`/api/units/${unit.id}?editedFrom=1`).expect(204)
    await api().put(`/api/units/${unit.id}`).send({ editedFrom: 0, content: unit }).expect(200)
    expect((await api().get(`/api/units/${unit.id}`)).body).toMatchObject({ name: unit.name, version: 1 })
  })
})
