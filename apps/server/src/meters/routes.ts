import { Meter } from '@even-watt/contract'
import type { Pool } from 'pg'
import { documentRoutes } from '../documents/routes'

export const meterRoutes = (pool: Pool) => documentRoutes(pool, 'meter', Meter)
