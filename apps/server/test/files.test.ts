import { writtenDemo } from '@even-watt/bench/written'
import {
  mostFile,
  mostFiles,
  partSize,
  type Entry,
  type Problem,
  type TrialDocument,
} from '@even-watt/contract'
import fc from 'fast-check'
import { createHash, randomBytes, randomUUID as newId } from 'node:crypto'
import request from 'supertest'
import { ZipFile } from 'yazl'
import { createApp } from '../src/app'
import { sweepBlobs, type BlobState } from '../src/files/blobs'
import { emptyTrialOf } from './emptyTrial'
import { ownDatabase, silent } from './ownDatabase'

const database = ownDatabase()
const app = () => createApp({ pool: database.pool(), feed: database.feed(), log: silent })
const api = () => request(app())
const [ottrel] = writtenDemo().trials
if (!ottrel) throw new Error('no demo')

const shaOf = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex')
const put = (sha: string, bytes: Buffer, number: number) => {
  const part = bytes.subarray(number * partSize, (number + 1) * partSize)
  return api()
    .put(`/api/blobs/${sha}`)
    .set('Content-Type', 'application/octet-stream')
    .set('Content-Range', `bytes ${number * partSize}-${number * partSize + part.length - 1}/${bytes.length}`)
    .send(part)
}
async function store(bytes: Buffer): Promise<string> {
  const sha = shaOf(bytes)
  for (let number = 0; number * partSize < bytes.length; number++) await put(sha, bytes, number).expect(200)
  return sha
}
const read = (path: string) =>
  api()
    .get(path)
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = []
      response.on('data', (chunk: Buffer) => chunks.push(chunk))
      response.on('end', () => done(null, Buffer.concat(chunks)))
    })
const title = ({ body }: { body: unknown }) => (body as Problem).title

const emptyTrial = () => emptyTrialOf(app(), ottrel)
const file = (sha256: string, size: number, name = 'lug.jpg'): Entry => ({
  id: newId(),
  revision: 1,
  at: '2026-03-12T09:00:00.000Z',
  kind: 'file',
  reading: { sha256, size, name, type: 'image/jpeg' },
})
const send = (trial: string, entries: readonly Entry[]) =>
  api()
    .post(`/api/trials/${trial}/entries`)
    .send([...entries])

describe('bytes', () => {
  it('come in parts, in any order and again, and are whole when all are there', async () => {
    const bytes = randomBytes(2 * partSize + 5)
    const sha = shaOf(bytes)
    expect((await put(sha, bytes, 2).expect(200)).body).toMatchObject({ whole: false, parts: [2] })
    expect((await put(sha, bytes, 0).expect(200)).body).toMatchObject({ whole: false, parts: [0, 2] })
    await api().get(`/api/blobs/${sha}`).expect(404)
    await put(sha, bytes, 0).expect(200)
    expect((await put(sha, bytes, 1).expect(200)).body).toMatchObject({ whole: true })
    expect((await api().get(`/api/blobs/${sha}/state`).expect(200)).body as BlobState).toMatchObject({
      whole: true,
    })
    expect(Buffer.compare((await read(`/api/blobs/${sha}`).expect(200)).body as Buffer, bytes)).toBe(0)
  })

  it('are read with ranges, byte for byte', async () => {
    const bytes = randomBytes(partSize + 1000)
    const sha = await store(bytes)
    await fc.assert(
      fc.asyncProperty(fc.nat(bytes.length - 1), fc.nat(bytes.length), async (start, length) => {
        const end = Math.min(bytes.length - 1, start + length)
        const answer = await read(`/api/blobs/${sha}`).set('Range', `bytes=${start}-${end}`).expect(206)
        expect(Buffer.compare(answer.body as Buffer, bytes.subarray(start, end + 1))).toBe(0)
        expect(answer.headers['content-range']).toBe(`bytes ${start}-${end}/${bytes.length}`)
      }),
      { numRuns: 15 },
    )
    await read(`/api/blobs/${sha}`).set('Range', `bytes=${bytes.length}-`).expect(416)
  })

  it('that are not what their name says are refused, and can be sent again', async () => {
    const bytes = randomBytes(1000)
    const sha = shaOf(bytes)
    expect(title(await put(sha, randomBytes(1000), 0).expect(422))).toContain(
      'not those that their name says',
    )
    await put(sha, bytes, 0).expect(200)
  })

  it('are bounded, in size, in parts and in names', async () => {
    const large = await api()
      .put(`/api/blobs/${'0'.repeat(64)}`)
      .set('Content-Type', 'application/octet-stream')
      .set('Content-Range', `bytes 0-${partSize - 1}/${mostFile + 1}`)
      .send(randomBytes(partSize))
      .expect(413)
    expect(title(large)).toBe('A file of 65 MB is too large: up to 64 MB is taken.')
    await api()
      .put(`/api/blobs/${'0'.repeat(64)}`)
      .set('Content-Type', 'text/plain')
      .send('x')
      .expect(400)
    await api().get('/api/blobs/not-a-name').expect(404)
    const bytes = randomBytes(10)
    await api()
      .put(`/api/blobs/${shaOf(bytes)}`)
      .set('Content-Type', 'application/octet-stream')
      .set('Content-Range', `bytes 0-9/20`)
      .send(bytes)
      .expect(422)
  })

  it('are handed over as what they are only where a browser may show that', async () => {
    const sha = await store(Buffer.from('<script>alert(1)</script>'))
    const html = await api().get(`/api/blobs/${sha}?type=text/html&name=a.html`).expect(200)
    expect(html.headers['content-type']).toBe('application/octet-stream')
    expect(html.headers['content-disposition']).toContain('attachment')
    expect(html.headers['content-security-policy']).toContain('sandbox')
    expect((await api().get(`/api/blobs/${sha}?type=image/png`)).headers['content-type']).toBe('image/png')
  })

  it('are attached only once they are here, and up to 1 GB a trial', async () => {
    const trial = await emptyTrial()
    const bytes = randomBytes(100)
    const sha = shaOf(bytes)
    const early = await send(trial, [file(sha, 100)]).expect(422)
    expect((early.body as Problem).fields?.[0]?.message).toBe('The bytes of lug.jpg are not here yet.')
    await store(bytes)
    await send(trial, [file(sha, 100)]).expect(200)
    // The sum is of what the entries say: 16 large files and one byte more.
    await database
      .pool()
      .query('insert into blob (sha256, size, whole) values ($1, $2, true)', ['a'.repeat(64), mostFile])
    const many = Array.from({ length: mostFiles / mostFile }, () => file('a'.repeat(64), mostFile))
    const full = await send(trial, many).expect(422)
    expect((full.body as Problem).fields?.[0]?.message).toContain('more than 1 GB')
  })

  it('that nobody refers to are swept a day later, others are kept', async () => {
    const trial = await emptyTrial()
    const [kept, lost] = [randomBytes(50), randomBytes(60)]
    await send(trial, [file(await store(kept), 50)]).expect(200)
    await store(lost)
    expect(await sweepBlobs(database.pool())).toBe(0)
    await sweepBlobs(database.pool(), '0 seconds')
    await read(`/api/blobs/${shaOf(kept)}`).expect(200)
    await read(`/api/blobs/${shaOf(lost)}`).expect(404)
  })
})

const zipped = (parts: readonly (readonly [name: string, bytes: Buffer])[]): Promise<Buffer> =>
  new Promise((resolve) => {
    const zip = new ZipFile()
    for (const [name, bytes] of parts) zip.addBuffer(bytes, name)
    zip.end()
    const chunks: Buffer[] = []
    zip.outputStream.on('data', (chunk: Buffer) => chunks.push(chunk))
    zip.outputStream.on('end', () => resolve(Buffer.concat(chunks)))
  })
const take = (archive: Buffer) =>
  api().post('/api/trials/import').set('Content-Type', 'application/zip').send(archive)

describe('a trial with its files', () => {
  it('leaves as one archive and comes back on a bench that has nothing, figure for figure and byte for byte', async () => {
    const [bytes, more] = [randomBytes(partSize + 77), Buffer.from('notes')]
    const trial = await emptyTrial()
    await send(trial, [
      file(await store(bytes), bytes.length),
      file(await store(more), more.length, 'notes.txt'),
    ]).expect(200)
    const before = (await api().get(`/api/trials/${trial}/export.json`)).body as TrialDocument
    const archive = (await read(`/api/trials/${trial}/export.zip`).expect(200)).body as Buffer
    const pool = database.pool()
    const { title } = before.trial
    await api().delete(`/api/trials/${trial}`).send({ title }).expect(204)
    await pool.query('delete from blob')
    await take(archive).expect(201)
    const after = (await api().get(`/api/trials/${trial}/export.json`).expect(200)).body as TrialDocument
    expect({ ...after, madeAt: '' }).toEqual({ ...before, madeAt: '' })
    expect(Buffer.compare((await read(`/api/blobs/${shaOf(bytes)}`).expect(200)).body as Buffer, bytes)).toBe(
      0,
    )
    expect(((await read(`/api/blobs/${shaOf(more)}`).expect(200)).body as Buffer).toString()).toBe('notes')
  })

  it('names the loads of its plan wherever it goes', async () => {
    for (const load of writtenDemo().loads)
      await api().put(`/api/loads/${load.id}`).send({ editedFrom: 0, content: load }).expect(200)
    const trial = await emptyTrial()
    const { plan } = ((await api().get(`/api/trials/${trial}/export.json`)).body as TrialDocument).trial
    const used = new Set(plan?.steps.flatMap(({ uses }) => uses.map((use) => use.load)))
    expect(new Set(plan?.loads?.map(({ id }) => id))).toEqual(used)
  })

  it.each([
    ['no archive', async () => Buffer.from('PK not really')],
    ['one cut in half', async () => (await zipped([['trial.json', Buffer.from('{}')]])).subarray(0, 60)],
    ['one without a trial', async () => zipped([[`files/${shaOf(Buffer.from('x'))}`, Buffer.from('x')]])],
    [
      'one with something else in it',
      async () =>
        zipped([
          ['trial.json', Buffer.from('{}')],
          ['run.sh', Buffer.from('x')],
        ]),
    ],
    ['one whose trial is cut', async () => zipped([['trial.json', Buffer.from('{"format"')]])],
    [
      'one whose file is not what its name says',
      async () => zipped([[`files/${'b'.repeat(64)}`, Buffer.from('x')]]),
    ],
    ['one with a trial of nothing', async () => zipped([['trial.json', Buffer.from('{}')]])],
  ])('is refused in a sentence when it is %s', async (_, make) => {
    const answer = await take(await make()).expect(422)
    expect(title(answer)).toMatch(/\.$/)
  })
})
