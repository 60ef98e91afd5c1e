import { Load } from '@even-watt/contract'
import { Router } from 'express'
import type { Pool } from 'pg'
import { documentRoutes } from '../documents/routes'
import { readTaken } from './taken'

/** The load shelf, and what its settings really took in earlier trials. */
export function loadRoutes(pool: Pool): Router {
  const router = Router()
  router.get('/taken', async (_request, response) => {
    response.json(await readTaken(pool))
  })
  router.use('/', documentRoutes(pool, 'load', Load))
  return router
}
