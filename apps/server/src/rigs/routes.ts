import { Rig } from '@even-watt/contract'
import type { Pool } from 'pg'
import { documentRoutes } from '../documents/routes'

export const rigRoutes = (pool: Pool) => documentRoutes(pool, 'rig', Rig)
