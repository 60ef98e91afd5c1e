import { Id, NewEdition, Publishable, Sha256 } from '@even-watt/contract'
import { Router } from 'express'
import type { Pool } from 'pg'
import { safeParse } from 'zod/mini'
import * as z from 'zod/mini'
import { notFound } from '../http/problem'
import { body, idOf, parse } from '../http/validate'
import { findEdition, keepEdition, listEditions } from './editions'

const Of = z.object({ kind: Publishable, of: Id })

/** What was published: listed, kept, and found again by the hash of its content. */
export function editionRoutes(pool: Pool): Router {
  const router = Router()
  router.get('/', async (request, response) => {
    const { kind, of } = parse(request.query, Of)
    response.json(await listEditions(pool, kind, of))
  })
  router.get('/by-content/:sha256', async (request, response) => {
    const sha256 = safeParse(Sha256, request.params['sha256'])
    const found = sha256.success ? await findEdition(pool, sha256.data) : undefined
    if (!found) throw notFound('This edition')
    response.json(found)
  })
  router.put('/:id', async (request, response) => {
    response.json(await keepEdition(pool, idOf(request, 'This edition'), body(request, NewEdition)))
  })
  return router
}
