import { SearchQuery } from '@even-watt/contract'
import { Router } from 'express'
import type { Pool } from 'pg'
import { parse } from '../http/validate'
import { search } from './search'

export function searchRoutes(pool: Pool): Router {
  const router = Router()
  router.get('/', async (request, response) => {
    response.json(await search(pool, parse(request.query, SearchQuery).q))
  })
  return router
}
