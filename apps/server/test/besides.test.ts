import { writtenDemo } from '@even-watt/bench/written'
import request from 'supertest'
import { createApp } from '../src/app'
import { atOnce, type Besides } from '../src/besides/besides'
import { onceMade } from '../src/besides/once'
import { threads } from '../src/besides/threads'
import { readPushed } from '../src/captures/readPushed'
import { ProblemError } from '../src/http/problem'
import { figuresFile, packed, readingsFile, trialFile } from '../src/trials/exports'
import { readSent } from '../src/trials/sent'
import { readTrialFile, takenOf } from '../src/trials/taken'
import { importTrial } from '../src/trials/exchange'
import type { TrialText } from '../src/trials/text'
import { verdictCounts } from '../src/trials/verdictCounts'
import { ownDatabase, silent } from './ownDatabase'

const database = ownDatabase()
const [ottrel] = writtenDemo().trials
if (!ottrel) throw new Error('no demo')
const text: TrialText = { trial: ottrel.trial, entries: JSON.stringify(ottrel.entries) }
const bytesOf = (words: string) => new TextEncoder().encode(words)

describe('work that is done besides', () => {
  let besides: Besides
  beforeAll(async () => {
    besides = await threads()
  })

  it('gives what it gives at once', async () => {
    const at = '2026-11-01T10:00:00.000Z'
    const both = async <A extends readonly unknown[], R>(task: (...sent: A) => R, ...sent: A) =>
      expect(await besides.run(task, ...sent)).toEqual(await atOnce.run(task, ...sent))
    await both(verdictCounts, text)
    await both(trialFile, text, at)
    await both(packed, text, at)
    await both(readingsFile, text)
    await both(figuresFile, text, {})
    await both(readTrialFile, trialFile(text, at))
    await both(readSent, bytesOf(JSON.stringify(ottrel.entries.filter(({ kind }) => kind === 'ladder'))))
  })

  it('throws the problem it would throw at once, with its fields, and goes on to the next', async () => {
    const refused = besides.run(readSent, bytesOf('[{"kind":"ladder"}]'))
    await expect(refused).rejects.toBeInstanceOf(ProblemError)
    await expect(refused).rejects.toMatchObject({
      status: 422,
      fields: expect.arrayContaining([expect.objectContaining({ path: '0.at' })]),
    })
    await expect(besides.run(readSent, bytesOf('[{'))).rejects.toMatchObject({ status: 400 })
    await expect(besides.run(readPushed, bytesOf('words'), undefined, undefined)).rejects.toMatchObject({
      title: 'This capture cannot be read.',
    })
    const broken = { trial: ottrel.trial, entries: '[null]' }
    await expect(besides.run(verdictCounts, broken)).rejects.toThrow(/TypeError/)
    expect(await besides.run(verdictCounts, text)).not.toEqual([])
  })

  it('refuses a task that it does not know', async () => {
    const unknown = () => 1
    await expect(besides.run(unknown)).rejects.toThrow('There is no task unknown.')
  })

  it('holds up nobody: a short question is answered before many tasks end', async () => {
    await importTrial(database.pool(), takenOf(ottrel))
    const app = createApp({ pool: database.pool(), feed: database.feed(), log: silent, besides })
    let ended = 0
    const asked = Array.from({ length: 100 }, () => besides.run(figuresFile, text, {}).then(() => ended++))
    await request(app).get('/healthz').expect(200)
    expect(ended).toBeLessThan(asked.length)
    await Promise.all(asked)
    const { body } = await request(app).get(`/api/trials/verdicts?ids=${ottrel.trial.id}`).expect(200)
    expect(body).toEqual({ [ottrel.trial.id]: verdictCounts(text) })
  })
})

describe('what is made once', () => {
  it('is made by the first who asks, for all who ask of the same, and anew where it failed', async () => {
    const once = onceMade<number>(2)
    let made = 0
    const make = async () => ++made
    expect(await Promise.all([once('a', make), once('a', make), once('b', make)])).toEqual([1, 1, 2])
    // The one that was unasked longest makes room.
    expect(await once('c', make)).toBe(3)
    expect(await once('a', make)).toBe(4)
    expect(await once('c', make)).toBe(3)
    await expect(once('d', () => Promise.reject(new Error('away')))).rejects.toThrow('away')
    expect(await once('d', make)).toBe(5)
  })
})
