import { writtenDemo } from '@even-watt/bench/written'
import type {
  Entry,
  FiguresOverTrials,
  Problem,
  Running,
  SearchAnswer,
  Settings,
  TrialPage,
} from '@even-watt/contract'
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

const send = (trial: string, entries: readonly Entry[]) =>
  api().post(`/api/trials/${trial}/entries`).send(entries).expect(200)
const readNoLoad = (trial: string) =>
  send(
    trial,
    ottrel.entries
      .filter(({ kind, revision }) => kind === 'no load' && revision === 1)
      .map((entry) => ({ ...entry, id: newId() })),
  )
const searched = async (q: string) =>
  (await api().get('/api/search').query({ q }).expect(200)).body as SearchAnswer
/** Asked until everything is read, as the page does. */
async function whole(q: string): Promise<SearchAnswer> {
  for (let i = 0; i < 20; i++) {
    const answer = await searched(q)
    if (!answer.unread) return answer
  }
  throw new Error('never read')
}

describe('figures over all trials', () => {
  it('are told of each trial that may decide them, read as they are asked for; those put away are left out', async () => {
    const [one, two] = [await emptyTrialOf(app(), ottrel), await emptyTrialOf(app(), ottrel)]
    await readNoLoad(one)
    const asked = async () => {
      for (let i = 0; i < 20; i++) {
        const { body } = await api()
          .get('/api/trials/figures')
          .query({ figures: 'idle watts,no such' })
          .expect(200)
        const answer = body as FiguresOverTrials
        if (!answer.unread) return answer.trials
      }
      throw new Error('never read')
    }
    const [line] = (await asked()).filter(({ trial }) => trial === one || trial === two)
    expect(line).toMatchObject({ trial: one, rated: 1400, unit: ottrel.trial.revisions[0]?.unit.name })
    expect(Object.keys(line?.figures ?? {})).toEqual(['idle watts'])
    const [value, U] = line?.figures['idle watts'] ?? []
    expect([(value ?? 0) > 5, (U ?? 0) > 0]).toEqual([true, true])
    await api().put(`/api/trials/${one}/put-away`).send({ away: true }).expect(200)
    expect((await asked()).map(({ trial }) => trial)).not.toContain(one)
    await api().get('/api/trials/figures').expect(422)
  })
})

describe('search', () => {
  it('finds units, their promises, what was found, remarks and notes, by every word of the question', async () => {
    const [unit] = demo.units
    if (!unit) throw new Error('no unit')
    const { id } = unit
    await api().put(`/api/units/${id}`).send({ editedFrom: 0, content: unit }).expect(200)
    const trial = await emptyTrialOf(app(), ottrel)
    const remark: Entry = {
      id: newId(),
      revision: 1,
      at: '2026-03-12T09:00:00.000Z',
      kind: 'remark',
      reading: { kind: 'wish', words: 'A handle of 100% wood_' },
    }
    await send(trial, [remark])
    expect((await whole('surge 2700')).found).toContainEqual({
      in: 'unit',
      id,
      name: unit.name,
      words: 'surge power, 2700 W for 2 s · label',
    })
    const findings = (await whole('not tested surge')).found.filter((one) => one.in === 'finding')
    expect(findings.map((one) => one.id)).toContain(trial)
    // What means something to a pattern means only itself here.
    expect((await whole('100% wood_')).found.map((one) => one.in)).toEqual(['remark'])
    expect((await whole('handle steel')).found).toEqual([])
    // What was taken back is found no more; taken back by mistake, it is again.
    const back = (entry: string): Entry => ({
      id: newId(),
      revision: 1,
      at: remark.at,
      kind: 'take back',
      entry,
      why: 'slip',
    })
    const slip = back(remark.id)
    await send(trial, [slip])
    expect((await whole('100% wood_')).found).toEqual([])
    await send(trial, [back(slip.id)])
    expect((await whole('100% wood_')).found).toHaveLength(1)
  })

  it('follows what changes: findings are read again after new readings', async () => {
    const trial = await emptyTrialOf(app(), ottrel)
    const metIn = async () =>
      (await whole('idle draw met.')).found.some((one) => one.in === 'finding' && one.id === trial)
    expect(await metIn()).toBe(false)
    await readNoLoad(trial)
    expect(await metIn()).toBe(true)
  })

  it('writes as the bench does, and finds a figure by either decimal mark', async () => {
    const [unit] = demo.units
    if (!unit) throw new Error('no unit')
    const id = newId()
    const claims = unit.claims.map((claim) =>
      claim.quantity === 'idle draw' ? { ...claim, value: 12.5, unit: 'W' } : claim,
    )
    await api()
      .put(`/api/units/${id}`)
      .send({ editedFrom: 0, content: { ...unit, claims } })
      .expect(200)
    const trial = await emptyTrialOf(app(), ottrel)
    await readNoLoad(trial)
    const told = async (q: string) =>
      (await whole(q)).found.filter((one) => [id, trial].includes(one.id)).map(({ words }) => words)
    for (const [editedFrom, decimal, promise, draws] of [
      [0, ',', 'idle draw, ≤ 12,5 W · manual, p. 4', /Idle draw is \d+,\d+ ±/],
      [1, '.', 'idle draw, ≤ 12.5 W · manual, p. 4', /Idle draw is \d+\.\d+ ±/],
    ] as const) {
      const content: Settings = { mains: '230 V 50 Hz', currency: 'EUR', decimal }
      await api().put('/api/settings').send({ editedFrom, content }).expect(200)
      // Another page that had not seen it may not save over it.
      await api()
        .put('/api/settings')
        .send({ editedFrom, content: { ...content, currency: 'SEK' } })
        .expect(409)
      for (const q of ['idle 12,5', 'IDLE 12.5']) expect(await told(q)).toContain(promise)
      expect(await told('idle draw met.')).toContainEqual(expect.stringMatching(draws))
    }
  })

  it('asks for words, and not for too many', async () => {
    for (const q of ['', '  ', 'x'.repeat(101)]) {
      const { body } = await api().get('/api/search').query({ q }).expect(422)
      expect((body as Problem).fields?.[0]?.message).toMatch(/Enter the words to look for|100 characters/)
    }
  })
})

describe('what runs', () => {
  const log = (at: Date): Entry => ({
    id: newId(),
    revision: 1,
    at: at.toISOString(),
    kind: 'log',
    reading: { what: 'run-down', load: 'a heater' },
  })
  const look = (of: Entry, at: Date, ended?: 'low voltage'): Entry =>
    ({
      id: newId(),
      revision: 1,
      at: at.toISOString(),
      kind: 'check-in',
      reading: { log: of.id, values: [], ...(ended ? { ended } : {}) },
    }) as Entry
  const minutesAgo = (minutes: number) => new Date(Date.now() - minutes * 60_000)
  const running = async (trial: string) =>
    ((await api().get('/api/trials/running').expect(200)).body as Running[]).filter(
      (one) => one.trial === trial,
    )

  it('is what was begun lately and not ended, with when it is due', async () => {
    const trial = await emptyTrialOf(app(), { ...ottrel, trial: { ...ottrel.trial, schedule: undefined } })
    const [here, done, old] = [log(minutesAgo(40)), log(minutesAgo(90)), log(minutesAgo(60 * 24 * 9))]
    const lastLook = minutesAgo(4)
    await send(trial, [here, done, old, look(here, lastLook), look(done, minutesAgo(5), 'low voltage')])
    const [only, ...others] = await running(trial)
    expect(others).toEqual([])
    expect(only).toMatchObject({ log: here.id, what: 'run-down', load: 'a heater', revision: 1 })
    expect(Date.parse(only?.due ?? '') - lastLook.getTime()).toBe(600_000)
    await send(trial, [
      { id: newId(), revision: 1, at: new Date().toISOString(), kind: 'take back', entry: here.id, why: 'x' },
    ])
    expect(await running(trial)).toEqual([])
  })
})

describe('the newest of each unit', () => {
  it('is one trial a unit, the one begun last', async () => {
    await emptyTrialOf(app(), ottrel)
    await emptyTrialOf(app(), ottrel)
    const page = async (query: object) =>
      (await api().get('/api/trials').query(query).expect(200)).body as TrialPage
    const units = (await page({ newest: 'yes' })).trials.map(({ unit }) => unit)
    expect(units).toEqual([...new Set(units)])
    expect((await page({})).total).toBeGreaterThan((await page({ newest: 'yes' })).total)
  })
})
