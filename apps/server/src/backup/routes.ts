import { Router } from 'express'
import { backupTo, type Ground } from './backup'

/** The whole installation in one file, made while it runs. */
export function backupRoutes(ground: Ground): Router {
  const router = Router()
  router.get('/', async (_request, response) => {
    const day = new Date().toISOString().slice(0, 10)
    response.attachment(`even-watt-${day}.backup.zip`).type('application/zip')
    await backupTo(response, ground)
  })
  return router
}
