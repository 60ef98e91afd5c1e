import { partSize, Sha256 } from '@even-watt/contract'
import express, { Router, type Request } from 'express'
import type { Pool } from 'pg'
import { pipeline } from 'node:stream/promises'
import { safeParse } from 'zod/mini'
import { notFound, ProblemError } from '../http/problem'
import { blobState, putPart, readRange } from './blobs'

const what = 'This file'

function shaOf(request: Request): string {
  const result = safeParse(Sha256, request.params['sha256'])
  if (!result.success) throw notFound(what)
  return result.data
}

/** `bytes 0-1048575/2000000`: where a part begins, and how large the whole is. */
function partOf(request: Request): { size: number; number: number } {
  const [, start, end, size] =
    /^bytes (\d{1,12})-(\d{1,12})\/(\d{1,12})$/.exec(request.get('Content-Range') ?? '') ?? []
  const number = Number(start) / partSize
  if (size === undefined || !Number.isInteger(number) || Number(end) < Number(start))
    throw new ProblemError(
      400,
      'Which part of the file this is, is not said.',
      `Content-Range: bytes <start>-<end>/<size> is needed, with a start that is a multiple of ${partSize}.`,
    )
  return { size: Number(size), number }
}

/** What a browser may show by itself; all else is handed over as a file. */
const shown = /^(image\/(png|jpeg|webp|gif)|text\/plain|application\/pdf)$/

/** Bytes by their name: sent in parts, read with ranges. `check` refuses bytes that are whole now and may not stay. */
export function fileRoutes(pool: Pool, check: (sha256: string) => Promise<void>): Router {
  const router = Router()

  router.get('/:sha256/state', async (request, response) => {
    response.json((await blobState(pool, shaOf(request))) ?? { size: 0, whole: false, parts: [] })
  })

  router.put(
    '/:sha256',
    express.raw({ type: () => true, limit: partSize + 1 }),
    async (request, response) => {
      const bytes = Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0)
      const sha256 = shaOf(request)
      const before = await blobState(pool, sha256)
      const state = await putPart(pool, sha256, { ...partOf(request), bytes })
      if (state.whole && !before?.whole) await check(sha256)
      response.json(state)
    },
  )

  router.get('/:sha256', async (request, response) => {
    const sha256 = shaOf(request)
    const state = await blobState(pool, sha256)
    if (!state?.whole) throw notFound(what)
    const type = String(request.query['type'] ?? '')
    // First, for a name tells Express a type.
    if (!shown.test(type)) response.attachment(String(request.query['name'] ?? 'file').slice(0, 200))
    response.set({
      'Accept-Ranges': 'bytes',
      'Cache-Control': 'private, max-age=31536000, immutable',
      // What a stranger's file may do when it is opened by itself: nothing.
      'Content-Security-Policy': "default-src 'none'; sandbox",
      'Content-Type': shown.test(type) ? type : 'application/octet-stream',
    })
    const ranges = request.range(state.size)
    if (ranges === -1) {
      response.set('Content-Range', `bytes */${state.size}`)
      throw new ProblemError(416, 'The file has no such range.')
    }
    const [range] = Array.isArray(ranges) && ranges.length === 1 ? ranges : []
    const { start, end } = range ?? { start: 0, end: state.size - 1 }
    if (range) response.status(206).set('Content-Range', `bytes ${start}-${end}/${state.size}`)
    response.set('Content-Length', String(end - start + 1))
    if (request.method === 'HEAD') response.end()
    else await pipeline(readRange(pool, sha256, start, end), response)
  })
  return router
}
