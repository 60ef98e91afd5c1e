import { Settings } from '@even-watt/contract'
import { Router } from 'express'
import type { Pool } from 'pg'
import { remember } from '../database/installation'
import { body } from '../http/validate'
import { readSettings } from './settings'

/** What the bench was asked once; null until it was. */
export function settingsRoutes(pool: Pool): Router {
  const router = Router()
  router.get('/', async (_request, response) => {
    response.json((await readSettings(pool)) ?? null)
  })
  router.put('/', async (request, response) => {
    const settings = body(request, Settings)
    await remember(pool, 'settings', JSON.stringify(settings))
    response.json(settings)
  })
  return router
}
