import { Knock, sentences } from '@even-watt/contract'
import { parse as parseCookies } from 'cookie'
import express, { Router, type RequestHandler, type Response } from 'express'
import { rateLimit } from 'express-rate-limit'
import type { Pool } from 'pg'
import { safeParse } from 'zod/mini'
import { ProblemError, sendProblem } from '../http/problem'
import { letIn, mayPass } from './devices'
import { doorPage } from './doorPage'
import { isPassphrase } from './passphrase'
import { rightsOfDevice } from './rights'

/** Bound to this host and to TLS by its name. */
const cookie = '__Host-even-watt'
const year = 365 * 24 * 3_600_000

/** Its form says where it comes from, which a page without a referrer would not. */
function show(response: Response, status: number, said?: string): void {
  response
    .status(status)
    .set({ 'Cache-Control': 'no-store', 'Referrer-Policy': 'same-origin' })
    .type('html')
    .send(doorPage(said))
}

const tooMany = 'Too many attempts. Wait five minutes, then try again.'
const window = 5 * 60_000
/** Wrong attempts of one address; and where all together are as many as these, of each that tries then. */
const ofOne = 8
const ofAll = 60

/**
 * Limits wrong attempts by the address that makes them, so that a guesser waits and the owner does not: while many guess, each
 * address has one attempt instead of eight.
 */
function attempts(): { readonly limit: RequestHandler; readonly wrong: () => void } {
  let wrong: number[] = []
  const many = () => {
    wrong = wrong.filter((at) => at > Date.now() - window)
    return wrong.length >= ofAll
  }
  return {
    wrong: () => wrong.push(Date.now()),
    limit: rateLimit({
      windowMs: window,
      limit: () => (many() ? 1 : ofOne),
      skipSuccessfulRequests: true,
      handler: (_request, response) => {
        show(response, 429, tooMany)
      },
    }),
  }
}

/**
 * The door of the local network: who holds no cookie of a device that was let in finds only a page that asks for the
 * passphrase. Wrong attempts are limited; the cookie is Secure, HttpOnly and SameSite=Strict.
 */
export function door(pool: Pool): Router {
  const router = Router()
  const { limit, wrong } = attempts()
  router.post(
    '/door',
    limit,
    express.urlencoded({ extended: false, limit: '4kb' }),
    async (request, response) => {
      const knock = safeParse(Knock, request.body)
      if (!knock.success) {
        const said = sentences(knock.error)[0]?.message
        show(response, 422, said)
      } else if (!(await isPassphrase(pool, knock.data.passphrase.trim()))) {
        wrong()
        show(response, 401, 'That is not the passphrase.')
      } else {
        const token = await letIn(pool, knock.data.name)
        response.cookie(cookie, token, {
          httpOnly: true,
          secure: true,
          sameSite: 'strict',
          path: '/',
          maxAge: year,
        })
        response.redirect(303, '/')
      }
    },
  )
  router.use(onlyLetIn(pool), rightsOfDevice)
  return router
}

const onlyLetIn =
  (pool: Pool): RequestHandler =>
  async (request, response, next) => {
    const token = parseCookies(request.headers.cookie ?? '')[cookie]
    if (token !== undefined && (await mayPass(pool, token))) next()
    else if (request.path.startsWith('/api'))
      sendProblem(
        response,
        new ProblemError(
          401,
          'This device has not been let in.',
          'Open the page again and give the passphrase.',
        ),
      )
    else show(response, 401)
  }
