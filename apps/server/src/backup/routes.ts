import { Router, type Request } from 'express'
import { createWriteStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { StartError } from '../cluster/startError'
import { ProblemError } from '../http/problem'
import type { Gate } from './gate'
import { restoreInto, type RestoreGround } from './restore'
import { backupTo } from './write'

/** Bytes of a backup that a page may send; a larger one is restored by the command. */
const most = 8 * 2 ** 30

/** Keeps what is sent as a file while it is worked with. */
async function withUpload<T>(request: Request, work: (file: string) => Promise<T>): Promise<T> {
  const size = Number(request.get('Content-Length'))
  if (!Number.isInteger(size) || size < 1) throw new ProblemError(411, 'No backup was sent.')
  if (size > most)
    throw new ProblemError(413, `A backup of up to ${most / 2 ** 30} GB is taken here; use the command.`)
  const folder = await mkdtemp(join(tmpdir(), 'even-watt-upload-'))
  try {
    const file = join(folder, 'even-watt.backup.zip')
    await pipeline(request, createWriteStream(file, { mode: 0o600 }))
    return await work(file)
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

const refused = (error: unknown) =>
  error instanceof StartError ? new ProblemError(422, 'Nothing was restored.', error.message) : error

/** The whole installation in one file, made while it runs; and back into one that holds nothing yet. */
export function backupRoutes(ground: RestoreGround, { shutWhile }: Gate): Router {
  const router = Router()
  let writing = false
  router.get('/', async (_request, response) => {
    if (writing)
      throw new ProblemError(409, 'A backup is being made already.', 'Wait for its end, then save another.')
    const day = new Date().toISOString().slice(0, 10)
    response.attachment(`even-watt-${day}.backup.zip`).type('application/zip')
    writing = true
    try {
      await backupTo(response, ground.url)
    } finally {
      writing = false
    }
  })
  router.put('/', async (request, response) => {
    const summary = await withUpload(request, (file) =>
      shutWhile(() =>
        restoreInto(ground, file).catch((error: unknown) => {
          throw refused(error)
        }),
      ),
    )
    response.json(summary)
  })
  return router
}
