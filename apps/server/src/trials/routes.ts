import {
  EditedFrom,
  Id,
  NewRevision,
  NewTrial,
  oneOf,
  plain,
  StoredMeter,
  StoredRig,
  StoredUnit,
  trialOrders,
  TrialSettings,
  whole,
  words,
} from '@even-watt/contract'
import { Router } from 'express'
import { pipeline } from 'node:stream/promises'
import type { Pool, PoolClient } from 'pg'
import * as z from 'zod/mini'
import { tellOf, type Feed } from '../database/feed'
import { transaction } from '../database/pool'
import { findDocument, type DocumentTable } from '../documents/documents'
import type { Besides } from '../besides/besides'
import { onceMade } from '../besides/once'
import { bytesOf, unreadJson } from '../http/json'
import { conflict, ProblemError } from '../http/problem'
import { slicesOf } from '../http/slices'
import { body, idOf, parse } from '../http/validate'
import { takeEntries } from './check'
import { archiveOf, missingFiles, takeArchive } from './archive'
import { streamTrial } from './events'
import { importTrial, settingsOf } from './exchange'
import { figuresFile, packed, readingsFile, trialFile } from './exports'
import { stateOf, textToExport } from './readText'
import { deleteTrial, isPutAway, putAway } from './keeping'
import { addRevision, insertTrial, listTrials, lockTrial, readEntries, requireTrial } from './record'
import { runningLogs } from './running'
import { readSettings } from '../settings/settings'
import { readSent } from './sent'
import { readTrialFile } from './taken'
import { overTrials } from './overTrials'
import { verdictsOf } from './verdicts'

const numberIn = (what: string, low: number, high: number) =>
  z.pipe(z.pipe(z.string(), z.transform(Number)), whole(what, low, high))
const yesOrNo = (what: string) =>
  z._default(
    z.pipe(
      oneOf(what, ['yes', 'no'] as const),
      z.transform((said) => said === 'yes'),
    ),
    false,
  )
const ListQuery = z.object({
  search: z._default(plain('Search', 200), ''),
  by: z._default(oneOf('Order', trialOrders), 'startedAt'),
  way: z._default(oneOf('Way', ['up', 'down'] as const), 'down'),
  limit: z._default(numberIn('Limit', 1, 1000), 100),
  offset: z._default(numberIn('Offset', 0, 1e6), 0),
  away: yesOrNo('Away'),
  newest: yesOrNo('Newest'),
})
/** What a trial hands on to one that is like it: what is asked and planned, nothing that was found. */
const alikeTo = ({
  purpose,
  hold,
  duty,
  plan,
  questions,
  displayStandsIn,
  displayCorrected,
}: TrialSettings) => ({
  hold,
  duty,
  ...(questions ? { questions } : {}),
  ...(purpose ? { purpose } : {}),
  ...(plan ? { plan } : {}),
  ...(displayStandsIn === undefined ? {} : { displayStandsIn }),
  ...(displayCorrected === undefined ? {} : { displayCorrected }),
})

const mostVerdicts = 100
/** Names of figures of the catalogue, with commas between. */
const FiguresQuery = z.object({
  figures: z.pipe(
    words('Figures', 2000),
    z.transform((text: string) => text.split(',').slice(0, mostFiguresAsked)),
  ),
})
const VerdictsQuery = z.object({
  ids: z.pipe(
    z.pipe(
      z.string(),
      z.transform((ids) => ids.split(',').filter(Boolean)),
    ),
    z.array(Id).check(z.maxLength(mostVerdicts, `Verdicts: ${mostVerdicts} trials at most at once.`)),
  ),
})
const EntriesQuery = z.object({ after: z._default(z.string().check(z.regex(/^\d{1,18}$/)), '0') })
const entriesPage = 1000
/** Bytes of entries that are read at once: a few hundred of them. */
const shortSent = 2 ** 18
/** Tables of figures that are kept, of trials that did not change. */
const mostFigures = 8
const mostFiguresAsked = 60

const defaultHold = 600

/** A unit as it is described by now. */
const currentUnit = async (client: PoolClient, id: string): Promise<StoredUnit> =>
  parse(await fetchNamed(client, 'unit', id), StoredUnit)

export function trialRoutes(pool: Pool, feed: Feed, besides: Besides): Router {
  const router = Router()
  const verdicts = verdictsOf(pool, besides)
  const figures = onceMade<Uint8Array>(mostFigures)

  router.get('/', async (request, response) => {
    const { way, ...query } = parse(request.query, ListQuery)
    response.json(await listTrials(pool, { ...query, descending: way === 'down' }))
  })

  router.get('/running', async (_request, response) => {
    response.json(await runningLogs(pool))
  })

  router.get('/verdicts', async (request, response) => {
    response.json(await verdicts(parse(request.query, VerdictsQuery).ids))
  })

  router.get('/figures', async (request, response) => {
    response.json(await overTrials(pool, besides, parse(request.query, FiguresQuery).figures))
  })

  router.post('/', async (request, response) => {
    const wanted = body(request, NewTrial)
    const unit = parse(await fetchNamed(pool, 'unit', wanted.unit), StoredUnit)
    const rig = parse(await fetchNamed(pool, 'rig', wanted.rig), StoredRig)
    const startedAt = new Date().toISOString()
    const settings: TrialSettings = {
      hold: defaultHold,
      duty: [],
      ...(wanted.like ? alikeTo(await requireTrial(pool, wanted.like)) : {}),
      ...(wanted.questions ? { questions: wanted.questions } : {}),
      title: wanted.title,
      by: wanted.by,
      limiters: [],
    }
    await transaction(pool, async (client) => {
      const inserted = await insertTrial(client, {
        id: wanted.id,
        version: 1,
        startedAt,
        settings,
        unit,
        rig,
      })
      if (!inserted) return
      const meters = await freezeMeters(client, rig, [])
      await addRevision(client, wanted.id, {
        number: 1,
        why: 'As first set up',
        madeAt: startedAt,
        unit,
        rig,
        meters,
      })
    })
    response.status(201).json(await requireTrial(pool, wanted.id))
  })

  router.post('/import', unreadJson('64mb'), async (request, response) => {
    const archive = request.is('application/zip') === 'application/zip'
    const bytes = archive ? await takeArchive(pool, request) : bytesOf(request)
    const taken = await besides.run(readTrialFile, bytes, archive ? 'Its trial.json' : undefined)
    const id = await importTrial(pool, taken)
    response.status(201).json({ id, missing: await missingFiles(pool, taken.files) })
  })

  router.get('/:id', async (request, response) => {
    response.json(await requireTrial(pool, idOf(request, 'This trial')))
  })

  router.put('/:id', async (request, response) => {
    const id = idOf(request, 'This trial')
    const edit = body(request, z.extend(EditedFrom, { settings: TrialSettings }))
    const { rowCount } = await pool.query(
      'update trial set version = version + 1, settings = $3 where id = $1 and version = $2',
      [id, edit.editedFrom, edit.settings],
    )
    const trial = await requireTrial(pool, id)
    const repeated =
      trial.version === edit.editedFrom + 1 &&
      JSON.stringify(settingsOf(trial)) === JSON.stringify(edit.settings)
    if (!rowCount && !repeated) {
      throw conflict(
        `This trial was saved elsewhere as version ${trial.version}; yours was made from version ${edit.editedFrom}.`,
      )
    }
    if (rowCount) await tellOf(pool, id)
    response.json(trial)
  })

  router.get('/:id/put-away', async (request, response) => {
    response.json({ away: await isPutAway(pool, idOf(request, 'This trial')) })
  })

  router.put('/:id/put-away', async (request, response) => {
    const { away } = body(request, z.object({ away: z.boolean('Away: yes or no.') }))
    await putAway(pool, idOf(request, 'This trial'), away)
    response.json({ away })
  })

  router.delete('/:id', async (request, response) => {
    const { title } = body(request, z.object({ title: plain('Title', 200) }))
    await deleteTrial(pool, idOf(request, 'This trial'), title)
    response.status(204).end()
  })

  router.post('/:id/revisions', async (request, response) => {
    const id = idOf(request, 'This trial')
    const { after, why, touched, rig, unit } = body(request, NewRevision)
    await transaction(pool, async (client) => {
      await lockTrial(client, id)
      const trial = await requireTrial(client, id)
      const last = trial.revisions.at(-1)
      if (!last || last.number !== after) {
        throw conflict(
          `This trial is at rig revision ${last?.number ?? 0} already; yours followed revision ${after}.`,
        )
      }
      const meters = await freezeMeters(client, rig, last.meters)
      await addRevision(client, id, {
        number: after + 1,
        why,
        ...(touched ? { touched } : {}),
        madeAt: new Date().toISOString(),
        unit: unit ? await currentUnit(client, last.unit.id) : last.unit,
        rig,
        meters,
      })
    })
    response.status(201).json(await requireTrial(pool, id))
  })

  router.get('/:id/entries', async (request, response) => {
    const { after } = parse(request.query, EntriesQuery)
    const { entries, ...page } = await readEntries(pool, idOf(request, 'This trial'), after, entriesPage)
    response.type('json').send(`{"entries":${entries},${JSON.stringify(page).slice(1)}`)
  })

  router.get('/:id/events', async (request, response) => {
    const { after } = parse({ after: request.get('Last-Event-ID') ?? request.query['after'] }, EntriesQuery)
    await streamTrial({ pool, feed }, { trial: idOf(request, 'This trial'), after, response })
  })

  router.post('/:id/entries', unreadJson('24mb'), async (request, response) => {
    const id = idOf(request, 'This trial')
    const bytes = bytesOf(request)
    const entries = bytes.length > shortSent ? await besides.run(readSent, bytes) : readSent(bytes)
    const added = await transaction(pool, (client) => takeEntries(client, id, entries))
    response.json({ kept: entries.length, added })
  })

  router.get('/:id/export.json', async (request, response) => {
    const text = await textToExport(pool, idOf(request, 'This trial'))
    const file = await besides.run(trialFile, text, new Date().toISOString())
    response.attachment(`${fileName(text.trial.title)}.trial.json`).type('application/json')
    await pipeline(slicesOf(file), response)
  })

  router.get('/:id/export.zip', async (request, response) => {
    const text = await textToExport(pool, idOf(request, 'This trial'))
    const parts = await besides.run(packed, text, new Date().toISOString())
    response.attachment(`${fileName(text.trial.title)}.trial.zip`).type('application/zip')
    await pipeline(archiveOf(pool, parts), response)
  })

  router.get('/:id/export.csv', async (request, response) => {
    const text = await textToExport(pool, idOf(request, 'This trial'))
    const file = await besides.run(readingsFile, text)
    response.attachment(`${fileName(text.trial.title)}.readings.csv`).type('text/csv; charset=utf-8')
    await pipeline(slicesOf(file), response)
  })

  router.get('/:id/figures.csv', async (request, response) => {
    const { id, title } = await requireTrial(pool, idOf(request, 'This trial'))
    const { columns, mains } = (await readSettings(pool)) ?? {}
    const bench = { ...(columns ? { columns } : {}), ...(mains ? { mains } : {}) }
    const file = await figures(`${await stateOf(pool, id)} ${JSON.stringify(bench)}`, async () =>
      besides.run(figuresFile, await textToExport(pool, id), bench),
    )
    response.attachment(`${fileName(title)}.figures.csv`).type('text/csv; charset=utf-8')
    await pipeline(slicesOf(file), response)
  })

  return router
}

const fileName = (title: string) =>
  title
    .replace(/[^\p{L}\p{N}-]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60) || 'trial'

async function fetchNamed(pool: Pool | PoolClient, table: DocumentTable, id: string): Promise<unknown> {
  const document = await findDocument(pool, table, id)
  if (!document) {
    throw new ProblemError(422, `This ${table} is not here any more.`, undefined, [
      { path: table, message: `Choose a ${table} that exists.` },
    ])
  }
  return document
}

/** The meters a rig hangs up, as they stand in the library now, or as they were in the revision before. */
async function freezeMeters(
  client: PoolClient,
  rig: StoredRig,
  before: readonly StoredMeter[],
): Promise<StoredMeter[]> {
  const wanted = [...new Set(rig.assignments.map((assignment) => assignment.meter))]
  const meters: StoredMeter[] = []
  for (const id of wanted) {
    const found = (await findDocument(client, 'meter', id)) ?? before.find((meter) => meter.id === id)
    if (!found) {
      throw new ProblemError(422, 'A meter of this rig is not here any more.', undefined, [
        {
          path: 'rig.assignments',
          message: 'One of the taps names a meter that does not exist; choose another.',
        },
      ])
    }
    meters.push(parse(found, StoredMeter))
  }
  return meters
}
