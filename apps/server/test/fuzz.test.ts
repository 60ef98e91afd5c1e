import { writtenDemo } from '@even-watt/bench/written'
import type { Problem } from '@even-watt/contract'
import type { Router } from 'express'
import fc from 'fast-check'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { Agent, request, type IncomingMessage } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { apiOf } from '../src/api'
import { createApp } from '../src/app'
import { atOnce } from '../src/besides/besides'
import { Lan } from '../src/lan/lan'
import { close, listen, portOf } from '../src/listen'
import { importTrial } from '../src/trials/exchange'
import { takenOf } from '../src/trials/taken'
import { ownDatabase, silent } from './ownDatabase'

/** Requests in all, by a seed that is named where one of them fails. */
const requests = 20_000
const seed = 20_261_201
const atATime = 8

const database = ownDatabase()
const demo = writtenDemo()
const [ottrel] = demo.trials
const [unit] = demo.units
const [rig] = demo.rigs
if (!ottrel || !unit || !rig) throw new Error('no demo')
/** Small enough to be sent over and over. */
const document = { ...ottrel, entries: ottrel.entries.slice(0, 12) }
const trial = document.trial
const sha = 'ab'.repeat(32)
/** A trial that a drawn request may begin. */
const begun = '019ce113-0000-7000-8000-000000000001'

interface Drawn {
  readonly method: string
  readonly path: string
  readonly headers: Readonly<Record<string, string>>
  readonly body: Buffer | undefined
}

/** Where a router answers what, from its own list. */
const routesOf = (path: string, router: Router): [method: string, path: string][] =>
  router.stack.flatMap(({ route, handle }) =>
    route
      ? [...new Set(route.stack.map(({ method }) => method.toUpperCase()))].map(
          (method): [string, string] => [method, `/api${path}${route.path}`.replaceAll(/\/+/g, '/')],
        )
      : 'stack' in handle
        ? routesOf(path, handle as unknown as Router)
        : [],
  )

const odd = fc.constantFrom(
  '',
  '0',
  '-1',
  '1e308',
  '1e-320',
  'NaN',
  'null',
  'a\0b',
  '\ud800',
  '𝄞',
  '../../etc/passwd',
  "'; drop table trial; --",
  '=1+1',
  '<script>',
  'x'.repeat(3000),
  '[object Object]',
  '__proto__',
)
const word = fc.oneof(odd, fc.string({ maxLength: 20, unit: 'grapheme' }), fc.uuid())
/** As a browser would write it; what cannot be written so is left as it is, cut in half. */
const escaped = (text: string) => {
  try {
    return encodeURIComponent(text)
  } catch {
    return '%ed%a0%80'
  }
}
const param = fc.oneof(
  { weight: 6, arbitrary: fc.constantFrom(trial.id, unit.id, rig.id, sha) },
  { weight: 2, arbitrary: fc.uuid() },
  { weight: 1, arbitrary: word.map(escaped) },
  { weight: 1, arbitrary: fc.constantFrom('%', '%00', '%zz', '..', '.', '%2e%2e%2f') },
)
const query = fc.dictionary(
  fc.constantFrom(
    ...['search', 'by', 'way', 'limit', 'offset', 'away', 'newest', 'ids', 'after', 'q', 'kind', 'of'],
    ...[
      'figures',
      'name',
      'instrument',
      'rate',
      'type',
      'about',
      'reference',
      'editedFrom',
      'a[b]',
      '__proto__',
    ],
  ),
  fc.oneof(
    word,
    fc.constantFrom('title', 'up', 'down', 'yes', 'report', 'comparison', 'grid', '5', '1', trial.id),
  ),
  { maxKeys: 5 },
)

const bases: readonly unknown[] = [
  ...(
    [
      ...[demo.units[0], demo.rigs[0], demo.meters[0], demo.loads[0], demo.comparisons[0]],
      ...[demo.checklists[0], demo.diaries[0]],
    ] as readonly object[]
  ).map((content) => ({ editedFrom: 0, content })),
  document,
  ...document.entries.map((entry) => [entry]),
  { editedFrom: 1, settings: trial },
  { id: begun, unit: unit.id, rig: rig.id, title: 'Drawn', by: 'R.O.' },
  { after: trial.revisions.length, why: 'drawn', rig: trial.revisions[0]?.rig },
  { away: true },
  { title: trial.title },
  { on: false, passphrase: 'reed-otter-lamp' },
  { editedFrom: 0, content: { decimalMark: '.', temperature: '°C' } },
]
const junk = fc.oneof(
  word,
  fc.double(),
  fc.integer(),
  fc.constantFrom<unknown>(null, true, [], {}, -0, 1e300, 1e-320, [[[[]]]], { a: 1 }),
  fc.jsonValue({ maxDepth: 2 }),
)

/** A document with some of its parts put out, doubled, renamed or replaced. */
const mutated = fc
  .tuple(
    fc.constantFrom(...bases),
    fc.array(
      fc.tuple(
        fc.array(fc.nat(30), { minLength: 1, maxLength: 6 }),
        junk,
        fc.constantFrom('replaced', 'taken out', 'renamed'),
      ),
      { maxLength: 3 },
    ),
  )
  .map(([base, changes]) => {
    const copy = structuredClone(base) as Record<string, unknown>
    for (const [way, value, how] of changes) {
      let at = copy
      way.forEach((step, i) => {
        const keys = Object.keys(at)
        const key = keys[step % keys.length]
        if (key === undefined) return
        const inner = at[key]
        if (i < way.length - 1 && typeof inner === 'object' && inner !== null)
          at = inner as Record<string, unknown>
        else if (how === 'replaced') at[key] = typeof value === 'object' ? structuredClone(value) : value
        else {
          Reflect.deleteProperty(at, key)
          if (how === 'renamed') at[`${key} `] = inner
        }
      })
    }
    return JSON.stringify(copy)
  })

const sent = fc.oneof(
  {
    weight: 6,
    arbitrary: mutated.map((text) => ({ type: 'application/json', bytes: Buffer.from(text) })),
  },
  {
    weight: 1,
    arbitrary: fc
      .tuple(mutated, fc.nat(400))
      .map(([text, cut]) => ({ type: 'application/json', bytes: Buffer.from(text.slice(0, cut)) })),
  },
  {
    weight: 1,
    arbitrary: fc
      .jsonValue()
      .map((value) => ({ type: 'application/json', bytes: Buffer.from(JSON.stringify(value)) })),
  },
  {
    weight: 1,
    arbitrary: fc
      .tuple(
        fc.constantFrom(
          'application/zip',
          'text/plain',
          'application/octet-stream',
          'nonsense',
          'a/b; c=\ud7ff',
        ),
        fc.uint8Array({ maxLength: 200 }),
      )
      .map(([type, bytes]) => ({ type: type.replaceAll(/[^\x20-\x7e]/g, '?'), bytes: Buffer.from(bytes) })),
  },
  { weight: 1, arbitrary: fc.constant(undefined) },
)
const extra = fc.dictionary(
  fc.constantFrom(
    'Range',
    'Content-Range',
    'Last-Event-ID',
    'If-None-Match',
    'Accept-Encoding',
    'Content-Encoding',
  ),
  fc.constantFrom(
    ...['bytes=0-5', 'bytes=-0', 'bytes=9999999999999-', 'bytes 0-1/2', 'bytes 0-9/10', 'bytes x', '7', '-1'],
    ...['9'.repeat(30), '*', 'gzip', 'br', 'nonsense'],
  ),
  { maxKeys: 2 },
)

describe('whatever is asked under /api', () => {
  const folder = mkdtempSync(join(tmpdir(), 'even-watt-fuzz-'))
  afterAll(() => rmSync(folder, { recursive: true, force: true }))

  it(`is answered, or refused in a sentence: ${requests} drawn requests over every route`, async () => {
    // A demo of nothing: to load the whole of it over and over tells no more.
    for (const name of [
      'units',
      'meters',
      'loads',
      'rigs',
      'trials',
      'editions',
      'comparisons',
      'checklists',
      'diaries',
    ])
      writeFileSync(join(folder, `${name}.json`), '[]')
    const options = { pool: database.pool(), feed: database.feed(), log: silent, demo: folder }
    const lan: Lan = new Lan({ pool: options.pool, folder, port: () => 0, appFor: () => createApp(options) })
    const routes = Object.entries(apiOf({ ...options, besides: atOnce, lan })).flatMap(([path, router]) =>
      routesOf(path, router),
    )
    expect(routes.length).toBeGreaterThan(50)
    await importTrial(options.pool, takenOf(document))
    const server = await listen(createApp({ ...options, lan }), '127.0.0.1', 0)
    const agent = new Agent({ keepAlive: true, maxSockets: atATime })
    const port = portOf(server)
    // A trial can be begun only of what is there.
    for (const [path, content] of [
      [`units/${unit.id}`, unit],
      [`rigs/${rig.id}`, rig],
    ] as const)
      await fetch(`http://127.0.0.1:${port}/api/${path}`, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ editedFrom: 0, content }),
      })

    const drawn: fc.Arbitrary<Drawn> = fc
      .record({
        route: fc.constantFrom(...routes),
        params: fc.array(param, { minLength: 2, maxLength: 2 }),
        query,
        sent,
        extra,
      })
      .map(({ route: [method, path], params, query: asked, sent: body, extra: headers }) => {
        let i = 0
        const pairs = Object.entries(asked).map(([key, value]) => `${escaped(key)}=${escaped(value)}`)
        const carries = method !== 'GET' && body
        return {
          method,
          path: `${path.replaceAll(/:\w+/g, () => params[i++] ?? '')}${pairs.length ? `?${pairs.join('&')}` : ''}`,
          headers: {
            ...headers,
            ...(carries ? { 'Content-Type': body.type, 'Content-Length': String(body.bytes.length) } : {}),
          },
          body: carries ? body.bytes : undefined,
        }
      })

    const ask = ({ method, path, headers, body }: Drawn) =>
      new Promise<{ status: number; type: string; text: string }>((resolve) => {
        const asked = request(
          { port, host: '127.0.0.1', method, path, headers, agent },
          (answer: IncomingMessage) => {
            const { statusCode: status = 0 } = answer
            const type = answer.headers['content-type'] ?? ''
            // A stream of events has no end: that it begins is enough.
            if (type.startsWith('text/event-stream')) {
              asked.destroy()
              resolve({ status, type, text: '' })
              return
            }
            let text = ''
            answer.setEncoding('utf8').on('data', (more: string) => {
              if (text.length < 2000) text += more
            })
            answer.on('end', () => resolve({ status, type, text }))
          },
        )
        asked.on('error', (error) => resolve({ status: 0, type: '', text: error.message }))
        asked.setTimeout(20_000, () => asked.destroy(new Error('no answer')))
        asked.end(body)
      })

    const wrong: string[] = []
    const statuses = new Map<number, number>()
    const reached = new Set<string>()
    const list = fc.sample(drawn, { numRuns: requests, seed })[Symbol.iterator]()
    await Promise.all(
      Array.from({ length: atATime }, async () => {
        for (const one of list) {
          const { status, type, text } = await ask(one)
          statuses.set(status, (statuses.get(status) ?? 0) + 1)
          if (status < 400) reached.add(`${one.method} ${status}`)
          const problem =
            status >= 400 && type.startsWith('application/problem+json')
              ? (JSON.parse(text) as Problem)
              : undefined
          const fine =
            (status >= 200 && status < 400) ||
            (status < 500 && problem?.status === status && problem.title !== '')
          if (!fine)
            wrong.push(
              `${one.method} ${one.path} ${JSON.stringify(one.headers)} ${String(one.body)}: ${status} ${text}`,
            )
        }
      }),
    )
    agent.destroy()
    await lan.shut()
    await close(server)
    expect(wrong.map((one) => one.slice(0, 600))).toEqual([])
    expect([...statuses.values()].reduce((sum, count) => sum + count)).toBe(requests)
    // It is no fuzz that only ever meets a shut door.
    for (const good of ['GET 200', 'PUT 200', 'POST 201', 'DELETE 204']) expect(reached).toContain(good)
    // On a busy machine they take minutes; how long is no matter of this test.
  }, 300_000)
})
