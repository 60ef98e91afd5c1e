import { LanSwitch } from '@even-watt/contract'
import { Router } from 'express'
import type { Pool } from 'pg'
import { body, idOf } from '../http/validate'
import { shutOut } from './devices'
import type { Lan } from './lan'

/** Opens and shuts the local network's door, and shuts devices out; answered on loopback only. */
export function lanRoutes(pool: Pool, lan: Lan): Router {
  const router = Router()
  router.get('/', async (_request, response) => {
    response.json(await lan.state())
  })
  router.put('/', async (request, response) => {
    const { on, passphrase, shutOut: all } = body(request, LanSwitch)
    if (on) response.json(await lan.state(await lan.open(passphrase, all)))
    else {
      await lan.shut()
      response.json(await lan.state())
    }
  })
  router.delete('/devices/:id', async (request, response) => {
    await shutOut(pool, idOf(request, 'This device'))
    lan.hangUp()
    response.json(await lan.state())
  })
  return router
}
