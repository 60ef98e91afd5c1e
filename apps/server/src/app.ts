import express, { type Express, type RequestHandler } from 'express'
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import type { Pool } from 'pg'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import { gate, type Gate } from './backup/gate'
import type { RestoreGround } from './backup/restore'
import { backupRoutes } from './backup/routes'
import { apiOf } from './api'
import { atOnce, type Besides } from './besides/besides'
import type { Feed } from './database/feed'
import { jsonBody } from './http/json'
import { guard, headers, onLoopback, type Front } from './http/guard'
import { answerProblems, notFound, type WhyAway } from './http/problem'
import type { Lan } from './lan/lan'

export interface AppOptions {
  readonly pool: Pool
  /** What happens to trials, for the pages that follow them. */
  readonly feed: Feed
  readonly log: Logger
  /** Folder of the built interface; absent in tests of the API alone. */
  readonly web?: string
  /** Folder of the demo, where it is not read from the checkout. */
  readonly demo?: string
  /** Where it stands; on loopback unless told otherwise. */
  readonly front?: Front
  /** Whoever does not pass it finds nothing behind it. */
  readonly door?: RequestHandler
  /** The local network's door, to be opened and shut from here. */
  readonly lan?: Lan
  /** Where long work is done; at once unless told otherwise. */
  readonly besides?: Besides
  /** Shut while a backup is restored, for all fronts of one installation. */
  readonly restoring?: Gate
  /** Asked where the database is away. */
  readonly whyAway?: WhyAway
  /** The cluster, where this installation has one of its own to back up and to restore into. */
  readonly backup?: RestoreGround
}

/** The whole server: API, health, and the built interface. It keeps no state of its own. */
export function createApp({
  pool,
  feed,
  log,
  web,
  demo,
  backup,
  front = onLoopback,
  door,
  lan,
  whyAway,
  restoring = gate(),
  besides = atOnce,
}: AppOptions): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(
    pinoHttp({
      logger: log,
      autoLogging: { ignore: (request) => !request.url?.startsWith('/api') },
      quietReqLogger: true,
    }),
  )
  app.get('/healthz', async (_request, response) => {
    await pool.query('select 1')
    response.json({ status: 'ok' })
  })
  app.use(headers, guard(front))
  if (door) app.use(door)
  if (backup) app.use('/api/backup', backupRoutes(backup, restoring))
  app.use('/api', restoring.handler)

  // Routes that take large files read their body themselves.
  const small = jsonBody('1mb')
  app.use('/api', (request, response, next) => {
    const large = /^\/(trials\/(import$|[^/]+\/(entries|captures)$)|blobs\/)/.test(request.path)
    if (large) next()
    else small(request, response, next)
  })
  for (const [path, routes] of Object.entries(apiOf({ pool, feed, besides, lan, demo })))
    app.use(`/api${path}`, routes)
  app.use('/api', () => {
    throw notFound('This address')
  })

  if (web && existsSync(web)) {
    app.use(
      '/assets',
      express.static(join(web, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
    )
    app.use(express.static(web, { index: false, maxAge: 0 }))
    app.get('/{*path}', (_request, response) => {
      response.set('Cache-Control', 'no-cache').sendFile(join(web, 'index.html'))
    })
  }
  app.use(answerProblems(whyAway))
  return app
}
