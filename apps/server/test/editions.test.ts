import { writtenDemo } from '@even-watt/bench/written'
import { partSize, type Edition, type NewEdition, type Problem } from '@even-watt/contract'
import { createHash, randomUUID as newId } from 'node:crypto'
import request from 'supertest'
import { createApp } from '../src/app'
import { putBytes, sweepBlobs } from '../src/files/blobs'
import { emptyTrialOf } from './emptyTrial'
import { ownDatabase, silent } from './ownDatabase'

const database = ownDatabase()
const app = () => createApp({ pool: database.pool(), feed: database.feed(), log: silent })
const api = () => request(app())
const [ottrel] = writtenDemo().trials
if (!ottrel) throw new Error('no demo')

const shaOf = (bytes: Buffer | string) => createHash('sha256').update(bytes).digest('hex')
let pages = 0

/** A page whose bytes are on the server, as an edition of a trial. */
async function pageOf(trial: string, number: number, more: Partial<NewEdition> = {}): Promise<NewEdition> {
  pages += 1
  const content = `<h1>page ${pages}</h1>`
  const bytes = Buffer.from(`<!doctype html><main>${content}</main>`)
  const sha256 = shaOf(bytes)
  await putBytes(database.pool(), sha256, bytes)
  return {
    kind: 'trial',
    of: trial,
    number,
    title: 'Ottrel',
    madeBy: 'Even Watt',
    stated: [{ about: 'the answer', says: 'All 8 claims are met.' }],
    contentSha256: shaOf(content),
    sha256,
    size: bytes.length,
    ...(number > 1 ? { why: 'A reading was taken back.' } : {}),
    ...more,
  }
}
const keep = (edition: NewEdition, id: string = newId()) => api().put(`/api/editions/${id}`).send(edition)

describe('editions', () => {
  it('are kept in order, and found by the hash of what they say', async () => {
    const trial = newId()
    const [first, second] = [await pageOf(trial, 1), await pageOf(trial, 2)]
    await keep(first).expect(200)
    await keep(second).expect(200)
    const { body: all } = await api().get(`/api/editions?kind=trial&of=${trial}`).expect(200)
    expect((all as Edition[]).map(({ number }) => number)).toEqual([2, 1])
    const { body: found } = await api().get(`/api/editions/by-content/${first.contentSha256}`).expect(200)
    expect(found).toMatchObject({ number: 1, title: 'Ottrel' })
    await api()
      .get(`/api/editions/by-content/${shaOf('nothing')}`)
      .expect(404)
    await api().get('/api/editions/by-content/no-hash').expect(404)
  })

  it('sent twice are kept once; a number that is taken is refused', async () => {
    const trial = newId()
    const [edition, other] = [await pageOf(trial, 1), await pageOf(trial, 1)]
    const id = newId()
    await keep(edition, id).expect(200)
    await keep(edition, id).expect(200)
    const refused = await keep(other).expect(409)
    expect((refused.body as Problem).detail).toContain('Edition 1 was published elsewhere')
  })

  it('need their page on the server, and from the second on why they changed', async () => {
    const trial = newId()
    const missing = await pageOf(trial, 1, { sha256: shaOf('elsewhere') })
    expect((await keep(missing).expect(422)).body).toMatchObject({
      title: 'The page of this edition is not here as a whole.',
    })
    expect((await keep(await pageOf(trial, 1, { size: partSize })).expect(422)).body).toMatchObject({
      status: 422,
    })
    const silently = await pageOf(trial, 2)
    const refused = await keep({ ...silently, why: ' ' }).expect(422)
    expect(JSON.stringify(refused.body)).toContain('Why it changed: say it in a few words')
  })

  it('hold their pages while others are swept, and go with their trial', async () => {
    const trial = await emptyTrialOf(app(), ottrel)
    const edition = await pageOf(trial, 1)
    await keep(edition).expect(200)
    await sweepBlobs(database.pool(), '0 seconds')
    await api().get(`/api/blobs/${edition.sha256}`).expect(200)
    const { body: known } = await api().get(`/api/trials/${trial}`)
    await api()
      .delete(`/api/trials/${trial}`)
      .send({ title: (known as { title: string }).title })
      .expect(204)
    expect((await api().get(`/api/editions?kind=trial&of=${trial}`)).body).toEqual([])
    await sweepBlobs(database.pool(), '0 seconds')
    await api().get(`/api/blobs/${edition.sha256}`).expect(404)
  })
})
