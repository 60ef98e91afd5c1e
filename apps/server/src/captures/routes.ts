import { PushedCapture } from '@even-watt/contract'
import express, { Router } from 'express'
import type { Pool } from 'pg'
import type { Besides } from '../besides/besides'
import { ProblemError } from '../http/problem'
import { idOf, parse } from '../http/validate'
import { pushCapture } from './push'
import { rememberedRecipes } from './remembered'

/** Bytes of a capture that a script sends at once. */
const mostBytes = '32mb'

/** Captures: how the last of each instrument was read, and new ones from scripts. */
export function captureRoutes(pool: Pool, besides: Besides): Router {
  const router = Router()

  router.get('/captures/recipes', async (_request, response) => {
    response.json(await rememberedRecipes(pool))
  })

  router.post(
    '/trials/:id/captures',
    express.raw({ type: () => true, limit: mostBytes }),
    async (request, response) => {
      const id = idOf(request, 'This trial')
      const asked = parse(request.query, PushedCapture)
      if (!Buffer.isBuffer(request.body) || !request.body.length)
        throw new ProblemError(422, 'There are no bytes in it.', 'Send the file itself as the body.')
      response.status(201).json(await pushCapture({ pool, besides }, id, request.body, asked))
    },
  )
  return router
}
