import type { RequestHandler } from 'express'
import helmet from 'helmet'
import { ProblemError, sendProblem } from './problem'

const hostname = (host: string) => host.replace(/:\d+$/, '').toLowerCase()
const loopback = new Set(['localhost', '127.0.0.1', '[::1]'])

export const isLoopback = (host: string) =>
  loopback.has(host.includes(':') && !host.startsWith('[') ? `[${host}]` : host)

/** Where a server stands: the names it answers to, and how its own pages are reached. */
export interface Front {
  readonly scheme: 'http' | 'https'
  readonly answers: (host: string) => boolean
  /** What to use instead of a name that is not answered. */
  readonly instead: string
}

export const onLoopback: Front = {
  scheme: 'http',
  answers: (host) => loopback.has(hostname(host)),
  instead: 'Use localhost or 127.0.0.1.',
}

const isApi = (path: string) => /^\/api(\/|$)/i.test(path)

/** Only the names of this front are answered, and only pages of this very address may change or ask for anything. */
export const guard =
  ({ scheme, answers, instead }: Front): RequestHandler =>
  (request, response, next) => {
    const host = request.headers.host ?? ''
    if (!answers(host)) {
      sendProblem(response, new ProblemError(421, 'This address is not served here.', instead))
      return
    }
    const { origin } = request.headers
    const foreign = origin !== undefined && origin !== `${scheme}://${host}`
    const harmless = request.method === 'GET' || request.method === 'HEAD'
    if (foreign && !harmless) {
      sendProblem(response, new ProblemError(403, 'Another page may not change anything here.'))
      return
    }
    // What another page asks for it could not read; but it would be worked out all the same.
    const asking = request.headers['sec-fetch-site']
    if (isApi(request.path) && (foreign || asking === 'cross-site' || asking === 'same-site')) {
      sendProblem(response, new ProblemError(403, 'Another page may not ask for anything here.'))
      return
    }
    next()
  }

/** Strict policy: own scripts only, none inline, nothing from elsewhere. */
export const headers = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      // The charts and React set style attributes at run time.
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:', 'blob:'],
      fontSrc: ["'self'"],
      connectSrc: ["'self'"],
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  // Plain HTTP on loopback: there is no TLS to insist on.
  strictTransportSecurity: false,
})
