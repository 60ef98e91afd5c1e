import { writtenDemo } from '@even-watt/bench/written'
import type { Entry, Problem, Schedule, Trial, TrialDocument } from '@even-watt/contract'
import { runLog, viewTrial } from '@even-watt/core'
import { randomUUID as newId } from 'node:crypto'
import request from 'supertest'
import { createApp } from '../src/app'
import { settingsOf } from '../src/trials/exchange'
import { ownDatabase, silent } from './ownDatabase'

const database = ownDatabase()
const api = () => request(createApp({ pool: database.pool(), feed: database.feed(), log: silent }))

const varnock = writtenDemo().trials.find(({ trial }) => trial.title.startsWith('Varnock'))
const ottrel = writtenDemo().trials.find(({ trial }) => trial.title.startsWith('Ottrel'))
if (!varnock?.trial.schedule || !ottrel) throw new Error('no demo')
const schedule = varnock.trial.schedule

/** The demo's trial of the Varnock, as a new one, so that tests may write. */
async function imported(): Promise<Trial> {
  const id = newId()
  const document: TrialDocument = {
    ...(varnock as TrialDocument),
    trial: { ...(varnock as TrialDocument).trial, id },
  }
  await api().post('/api/trials/import').send(document).expect(201)
  const { body } = await api().get(`/api/trials/${id}`).expect(200)
  return body as Trial
}
const save = (trial: Trial, next: Partial<Schedule>) =>
  api()
    .put(`/api/trials/${trial.id}`)
    .send({
      editedFrom: trial.version,
      settings: { ...settingsOf(trial), schedule: { ...schedule, ...next } },
    })

describe('a schedule on the server', () => {
  it('comes in with its trial, is changed from a version, and is never overwritten by an older one', async () => {
    const trial = await imported()
    expect(trial.schedule).toEqual(schedule)
    await save(trial, { closes: '18:30' }).expect(200)
    const { body } = await api().get(`/api/trials/${trial.id}`).expect(200)
    expect((body as Trial).schedule?.closes).toBe('18:30')
    await save(trial, { closes: '19:00' }).expect(409)
  })

  it('is refused in a sentence at its field, and nothing is changed', async () => {
    const trial = await imported()
    const refused = await save(trial, { timeZone: 'Withy Reach', charge: 3 }).expect(422)
    const { fields } = refused.body as Problem
    expect(fields?.map(({ path }) => path)).toEqual(
      expect.arrayContaining(['settings.schedule.timeZone', 'settings.schedule.charge']),
    )
    const { body } = await api().get(`/api/trials/${trial.id}`).expect(200)
    expect((body as Trial).version).toBe(trial.version)
  })

  it('keeps what happened to it, once each, whatever is sent again', async () => {
    const trial = await imported()
    const [block] = schedule.blocks
    const event = (action: string, at: string) => ({
      id: newId(),
      revision: 1,
      at,
      kind: 'run',
      reading: { block: block?.id, action },
    })
    const sent = [event('start', '2026-04-02T08:31:00.000Z'), event('finish', '2026-04-02T08:50:00.000Z')]
    await api().post(`/api/trials/${trial.id}/entries`).send(sent).expect(200)
    await api().post(`/api/trials/${trial.id}/entries`).send(sent).expect(200)
    const refused = await api()
      .post(`/api/trials/${trial.id}/entries`)
      .send([event('explode', '2026-04-02T09:00:00.000Z')])
      .expect(422)
    expect(JSON.stringify(refused.body)).toContain(
      'Action: one of start, pause, resume, finish, skip, check-in.',
    )
    const { body } = await api().get(`/api/trials/${trial.id}/entries`).expect(200)
    const { record } = viewTrial(trial, (body as { entries: Entry[] }).entries)
    expect(runLog(record).map(({ event: { action } }) => action)).toEqual(['start', 'finish'])
  })

  it('goes out with its trial and comes in again, event for event', async () => {
    const id = newId()
    // Ids of their own: the other tests on this database take the demo in as it is.
    const entries = ottrel.entries
      .filter(({ kind }) => kind === 'run')
      .map((entry) => ({ ...entry, id: newId() }))
    await api()
      .post('/api/trials/import')
      .send({ ...ottrel, trial: { ...ottrel.trial, id }, entries })
      .expect(201)
    const { body } = await api().get(`/api/trials/${id}/export.json`).expect(200)
    const out = body as TrialDocument
    expect(out.trial.schedule).toEqual(ottrel.trial.schedule)
    expect(out.trial.plan).toEqual(ottrel.trial.plan)
    expect(entries.length).toBeGreaterThan(10)
    expect(out.entries).toEqual(entries)
  })
})
