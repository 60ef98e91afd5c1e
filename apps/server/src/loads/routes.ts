import { Load, type Entry, type StoredLoad, type Taken } from '@even-watt/contract'
import { takenOf } from '@even-watt/core'
import { Router } from 'express'
import type { Pool } from 'pg'
import { listDocuments } from '../documents/documents'
import { documentRoutes } from '../documents/routes'

/** Readings looked at, the newest first: more would not change what is learnt. */
const mostReadings = 5000

/** The load shelf, and what its settings really took in earlier trials. */
export function loadRoutes(pool: Pool): Router {
  const router = Router()
  router.get('/taken', async (_request, response) => {
    const { rows } = await pool.query<{ body: Entry }>(
      `select body from entry
       where kind = 'ladder' and jsonb_array_length(coalesce(body #> '{reading,uses}', '[]'::jsonb)) = 1
       order by sequence desc limit $1`,
      [mostReadings],
    )
    const loads = (await listDocuments(pool, 'load')) as unknown as StoredLoad[]
    const readings = rows.flatMap(({ body }) => (body.kind === 'ladder' ? [body.reading] : []))
    const taken: Taken[] = takenOf(loads, readings)
    response.json(taken)
  })
  router.use('/', documentRoutes(pool, 'load', Load))
  return router
}
