import { Checklist } from '@even-watt/contract'
import type { Pool } from 'pg'
import { documentRoutes } from '../documents/routes'

export const checklistRoutes = (pool: Pool) => documentRoutes(pool, 'checklist', Checklist)
