import { Unit } from '@even-watt/contract'
import type { Pool } from 'pg'
import { documentRoutes } from '../documents/routes'

export const unitRoutes = (pool: Pool) => documentRoutes(pool, 'unit', Unit)
