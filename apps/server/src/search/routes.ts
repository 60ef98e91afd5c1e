import { SearchQuery } from '@even-watt/contract'
import { Router } from 'express'
import type { Pool } from 'pg'
import type { Besides } from '../besides/besides'
import { parse } from '../http/validate'
import { search } from './search'

export function searchRoutes(pool: Pool, besides: Besides): Router {
  const router = Router()
  router.get('/', async (request, response) => {
    response.json(await search(pool, besides, parse(request.query, SearchQuery).q))
  })
  return router
}
