import { trialJsonSchema } from '@even-watt/contract'
import { Router } from 'express'
import type { Pool } from 'pg'
import type { Besides } from './besides/besides'
import { captureRoutes } from './captures/routes'
import { checklistRoutes } from './checklists/routes'
import { comparisonRoutes } from './comparisons/routes'
import type { Feed } from './database/feed'
import { loadDemo } from './demo/load'
import { diaryRoutes } from './diary/routes'
import { editionRoutes } from './editions/routes'
import { fileRoutes } from './files/routes'
import type { Lan } from './lan/lan'
import { lanRoutes } from './lan/routes'
import { loadRoutes } from './loads/routes'
import { meterRoutes } from './meters/routes'
import { refuseNoPhotograph } from './photographs/check'
import { rigRoutes } from './rigs/routes'
import { searchRoutes } from './search/routes'
import { settingsRoutes } from './settings/routes'
import { trialRoutes } from './trials/routes'
import { unitRoutes } from './units/routes'

export interface ApiOptions {
  readonly pool: Pool
  readonly feed: Feed
  readonly besides: Besides
  readonly lan?: Lan | undefined
  /** Folder of the demo, where it is not read from the checkout. */
  readonly demo?: string | undefined
}

/** All that is asked under /api but a backup, by where it stands: whoever tries every address finds them here. */
export const apiOf = ({ pool, feed, besides, lan, demo }: ApiOptions): Readonly<Record<string, Router>> => ({
  '/units': unitRoutes(pool),
  '/meters': meterRoutes(pool),
  '/rigs': rigRoutes(pool),
  '/loads': loadRoutes(pool),
  '/comparisons': comparisonRoutes(pool),
  '/checklists': checklistRoutes(pool),
  '/diaries': diaryRoutes(pool),
  '/editions': editionRoutes(pool),
  ...(lan ? { '/lan': lanRoutes(pool, lan) } : {}),
  '/search': searchRoutes(pool, besides),
  '/settings': settingsRoutes(pool),
  '/blobs': fileRoutes(pool, (sha256) => refuseNoPhotograph(pool, sha256)),
  '/trials': trialRoutes(pool, feed, besides),
  '/': captureRoutes(pool, besides),
  '/demo': demoRoutes(pool, demo),
  '/schema': schemaRoutes(),
})

function demoRoutes(pool: Pool, folder: string | undefined): Router {
  const router = Router()
  router.post('/', async (_request, response) => {
    await loadDemo(pool, folder)
    response.status(204).end()
  })
  return router
}

function schemaRoutes(): Router {
  const router = Router()
  let written: string | undefined
  router.get('/trial.json', (_request, response) => {
    written ??= JSON.stringify(trialJsonSchema())
    response.type('application/schema+json').send(written)
  })
  return router
}
