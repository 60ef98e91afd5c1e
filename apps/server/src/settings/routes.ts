import { EditedFrom, Settings } from '@even-watt/contract'
import { Router } from 'express'
import type { Pool } from 'pg'
import * as z from 'zod/mini'
import { body } from '../http/validate'
import { readSettings, saveSettings } from './settings'

const Edit = z.extend(EditedFrom, { content: Settings })

/** What the bench was asked once; null until it was. */
export function settingsRoutes(pool: Pool): Router {
  const router = Router()
  router.get('/', async (_request, response) => {
    response.json((await readSettings(pool)) ?? null)
  })
  router.put('/', async (request, response) => {
    const { editedFrom, content } = body(request, Edit)
    response.json(await saveSettings(pool, editedFrom, content))
  })
  return router
}
