import { Diary } from '@even-watt/contract'
import type { Pool } from 'pg'
import { documentRoutes } from '../documents/routes'

/** A diary has the id of its unit. */
export const diaryRoutes = (pool: Pool) => documentRoutes(pool, 'diary', Diary)
