import { keepPhotograph } from '@even-watt/bench/photographs/keep'
import { lugPicture } from '@even-watt/bench/photographs/scenes'
import { writtenDemo } from '@even-watt/bench/written'
import type { Entry, EntryOf, Problem, UnitLife } from '@even-watt/contract'
import { createHash, randomUUID as newId } from 'node:crypto'
import request from 'supertest'
import { createApp } from '../src/app'
import { putBytes } from '../src/files/blobs'
import { emptyTrialOf } from './emptyTrial'
import { ownDatabase, silent } from './ownDatabase'

const database = ownDatabase()
const app = () => createApp({ pool: database.pool(), feed: database.feed(), log: silent })
const api = () => request(app())
const [ottrel] = writtenDemo().trials
if (!ottrel) throw new Error('no demo')

const at = '2026-03-12T09:00:00.000Z'
const painted = lugPicture({ hot: true }, 8)

/** A photograph of some bytes, which are stored; what is said of them can be another thing. */
async function photograph(
  bytes: Uint8Array,
  said: Partial<EntryOf<'photograph'>['reading']> = {},
): Promise<EntryOf<'photograph'>> {
  const sha256 = createHash('sha256').update(bytes).digest('hex')
  await putBytes(database.pool(), sha256, Buffer.from(bytes))
  const entry = keepPhotograph(new Map(), painted, { at, revision: 1, seed: 1, name: 'lug.png' }, {})
  return { ...entry, id: newId(), reading: { ...entry.reading, sha256, size: bytes.length, ...said } }
}
const send = (trial: string, entries: readonly Entry[]) =>
  api().post(`/api/trials/${trial}/entries`).send(entries)
const faults = ({ body }: { body: unknown }) => (body as Problem).fields?.map(({ message }) => message)

/** The same picture with a chunk that tells who took it, before its last twelve bytes. */
const talkative = () => {
  const told = Buffer.from('Author\0R. O., 54.1 N 12.3 E')
  const chunk = Buffer.alloc(12 + told.length)
  chunk.writeUInt32BE(told.length, 0)
  chunk.write('tEXt', 4, 'latin1')
  told.copy(chunk, 8)
  return Buffer.concat([painted.subarray(0, -12), chunk, painted.subarray(-12)])
}

describe('photographs', () => {
  it('are taken with their marks, and their bytes come back', async () => {
    const trial = await emptyTrialOf(app(), ottrel)
    const entry = await photograph(painted, {
      shows: 'joints',
      marks: [{ shape: 'ring', from: { x: 0.1, y: 0.2 }, to: { x: 0.5, y: 0.6 }, words: 'was hot' }],
    })
    await send(trial, [entry]).expect(200)
    const { body } = await api().get(`/api/trials/${trial}/entries`).expect(200)
    expect((body as { entries: Entry[] }).entries).toEqual([entry])
    const bytes = await api()
      .get(`/api/blobs/${entry.reading.sha256}?type=image/png`)
      .expect(200)
      .expect('Content-Security-Policy', "default-src 'none'; sandbox")
    expect(bytes.headers['content-type']).toBe('image/png')
  })

  it('that still tell more than is seen are refused, with what they tell', async () => {
    const trial = await emptyTrialOf(app(), ottrel)
    const refused = await send(trial, [await photograph(talkative())]).expect(422)
    expect(faults(refused)).toEqual([
      'lug.png still tells more than is seen on it (tEXt): take that out first.',
    ])
  })

  it('that are something else than is said are refused: a page, another size, another type', async () => {
    const trial = await emptyTrialOf(app(), ottrel)
    const page = Buffer.from('<svg onload="alert(1)" xmlns="http://www.w3.org/2000/svg"/>')
    expect(faults(await send(trial, [await photograph(page)]).expect(422))?.[0]).toMatch(/drawing \(SVG\)/)
    const wide = await photograph(painted, { width: 9000 })
    expect(faults(await send(trial, [wide]).expect(422))?.[0]).toMatch(/960 × 640/)
    const other = await photograph(painted, { type: 'image/webp' })
    expect(faults(await send(trial, [other]).expect(422))?.[0]).toMatch(/image\/png/)
  })

  it('that claim more pixels than they have bytes for are refused unread', async () => {
    const trial = await emptyTrialOf(app(), ottrel)
    const bomb = Buffer.from(painted)
    bomb.writeUInt32BE(10_000, 16)
    bomb.writeUInt32BE(10_000, 20)
    expect(faults(await send(trial, [await photograph(bomb)]).expect(422))?.[0]).toMatch(/100 million pixels/)
  })

  it('whose marks lie outside are refused by the contract', async () => {
    const trial = await emptyTrialOf(app(), ottrel)
    const entry = await photograph(painted, {
      marks: [{ shape: 'arrow', from: { x: -1, y: 0 }, to: { x: 0.5, y: 0.5 } }],
    })
    const refused = await send(trial, [entry]).expect(422)
    expect(faults(refused)).toContain('Across: a share of the width, from 0 to 1.')
  })
})

describe('the life of a unit', () => {
  const remark = (words: string, more: Partial<Entry> = {}): EntryOf<'remark'> =>
    ({
      id: newId(),
      revision: 1,
      at,
      kind: 'remark',
      reading: { kind: 'wish', words },
      ...more,
    }) as EntryOf<'remark'>
  const lifeOf = async (trial: string) => {
    const { body } = await api().get(`/api/trials/${trial}`).expect(200)
    const unit = (body as { revisions: { unit: { id: string } }[] }).revisions[0]?.unit.id ?? ''
    return (await api().get(`/api/units/${unit}/life`).expect(200)).body as UnitLife
  }

  it('names its trials and the remarks that stand: not those taken back or said anew', async () => {
    const trial = await emptyTrialOf(app(), ottrel)
    const [stays, goes, old] = [remark('a longer cord'), remark('a mistake'), remark('louder alarm')]
    const anew = remark('a louder alarm', { replaces: { entry: old.id, why: 'said better' } })
    const back: Entry = { id: newId(), revision: 1, at, kind: 'take back', entry: goes.id, why: 'wrong unit' }
    await send(trial, [stays, goes, old, anew, back]).expect(200)
    const life = await lifeOf(trial)
    expect(life.trials.map(({ id }) => id)).toContain(trial)
    const mine = life.remarks.filter((one) => one.trial === trial).map(({ words }) => words)
    expect(mine.sort()).toEqual(['a longer cord', 'a louder alarm'])
    // A take-back that is itself taken back takes nothing back.
    await send(trial, [{ ...back, id: newId(), entry: back.id, why: 'it was right' }]).expect(200)
    const again = (await lifeOf(trial)).remarks.filter((one) => one.trial === trial)
    expect(again.map(({ words }) => words)).toContain('a mistake')
  })
})
