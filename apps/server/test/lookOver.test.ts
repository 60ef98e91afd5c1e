import { writtenDemo } from '@even-watt/bench/written'
import type { Problem, StoredChecklist, StoredDiary, Trial } from '@even-watt/contract'
import { randomUUID as newId } from 'node:crypto'
import request from 'supertest'
import { createApp } from '../src/app'
import { emptyTrialOf } from './emptyTrial'
import { ownDatabase, silent } from './ownDatabase'

const database = ownDatabase()
const app = () => createApp({ pool: database.pool(), feed: database.feed(), log: silent })
const api = () => request(app())
const demo = writtenDemo()
const [ottrel] = demo.trials
if (!ottrel) throw new Error('no demo')

const trialOf = async (id: string) => (await api().get(`/api/trials/${id}`).expect(200)).body as Trial

describe('a unit that is described anew', () => {
  const take = (trial: Trial, more: object) => {
    const last = trial.revisions.at(-1)
    if (!last) throw new Error('no revision')
    return api()
      .post(`/api/trials/${trial.id}/revisions`)
      .send({ after: last.number, why: 'the unit was described anew', rig: last.rig, ...more })
  }
  const edit = async (id: string, change: object) => {
    const { body } = await api().get(`/api/units/${id}`).expect(200)
    const { version, ...content } = body as { version: number }
    await api()
      .put(`/api/units/${id}`)
      .send({ editedFrom: version, content: { ...content, ...change } })
      .expect(200)
  }

  it('is taken into its trial as the next revision; earlier ones stay as they were', async () => {
    const [unit] = demo.units
    if (!unit) throw new Error('no unit')
    await api().put(`/api/units/${unit.id}`).send({ editedFrom: 0, content: unit }).expect(200)
    const id = await emptyTrialOf(app(), ottrel)
    await edit(unit.id, { region: 'UK', bonding: 'bonds by itself' })
    const before = await trialOf(id)
    // A change of the rig alone leaves the unit as the trial has it.
    await take(before, {}).expect(201)
    const between = await trialOf(id)
    expect(between.revisions.at(-1)?.unit.region).toBe(before.revisions.at(-1)?.unit.region)
    await take(between, { unit: 'as it is now' }).expect(201)
    const after = await trialOf(id)
    expect(after.revisions.at(-1)?.unit).toMatchObject({
      id: unit.id,
      region: 'UK',
      bonding: 'bonds by itself',
    })
    expect(after.revisions.slice(0, -1)).toEqual(between.revisions)
  })

  it('that is not here any more is said, and nothing changes', async () => {
    const id = newId()
    const elsewhere = {
      ...ottrel,
      trial: {
        ...ottrel.trial,
        revisions: ottrel.trial.revisions.map((one) => ({ ...one, unit: { ...one.unit, id } })),
      },
    }
    const trial = await trialOf(await emptyTrialOf(app(), elsewhere))
    const { body } = await take(trial, { unit: 'as it is now' }).expect(422)
    expect((body as Problem).title).toBe('This unit is not here any more.')
    expect((await trialOf(trial.id)).revisions).toEqual(trial.revisions)
    const wrong = await take(trial, { unit: 'as it was' }).expect(422)
    expect((wrong.body as Problem).fields?.[0]?.path).toBe('unit')
  })
})

describe('checklists and diaries', () => {
  it('are kept on top of the version they were made from', async () => {
    const [list] = demo.checklists
    const [diary] = demo.diaries
    if (!list || !diary) throw new Error('no demo')
    const put = (path: string, editedFrom: number, content: object) =>
      api().put(`/api/${path}`).send({ editedFrom, content })
    await put(`checklists/${list.id}`, 0, list).expect(200)
    const shorter = { ...list, lines: list.lines.slice(0, 2) }
    const { body } = await put(`checklists/${list.id}`, 1, shorter).expect(200)
    expect(body as StoredChecklist).toMatchObject({ version: 2, lines: shorter.lines })
    await put(`checklists/${list.id}`, 1, list).expect(409)
    await put(`checklists/${newId()}`, 0, { ...list, lines: [] }).expect(422)
    await api().delete(`/api/checklists/${list.id}?editedFrom=2`).expect(204)

    await put(`diaries/${diary.id}`, 0, diary).expect(200)
    const { body: all } = await api().get('/api/diaries').expect(200)
    expect((all as StoredDiary[]).find(({ id }) => id === diary.id)?.lines).toEqual(diary.lines)
    const bad = { ...diary, lines: [{ ...diary.lines[0], on: 'yesterday' }] }
    const refused = await put(`diaries/${diary.id}`, 1, bad).expect(422)
    expect((refused.body as Problem).fields?.[0]?.message).toBe('Day: like 2026-03-12.')
  })
})
