import { Comparison } from '@even-watt/contract'
import type { Pool } from 'pg'
import { documentRoutes } from '../documents/routes'

export const comparisonRoutes = (pool: Pool) => documentRoutes(pool, 'comparison', Comparison)
