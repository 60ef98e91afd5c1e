import { Unit } from '@even-watt/contract'
import type { Pool } from 'pg'
import { documentRoutes } from '../documents/routes'
import { idOf } from '../http/validate'
import { lifeOf } from './life'

export const unitRoutes = (pool: Pool) => {
  const router = documentRoutes(pool, 'unit', Unit)
  router.get('/:id/life', async (request, response) => {
    response.json(await lifeOf(pool, idOf(request, 'This unit')))
  })
  return router
}
