import type { atTheComputer } from '@even-watt/contract'
import type { RequestHandler } from 'express'
import { ProblemError, sendProblem } from '../http/problem'

interface Asked {
  readonly method: string
  readonly path: string
}

/** How a request is told that asks for one of these. */
const rules: Record<(typeof atTheComputer)[number], (asked: Asked) => boolean> = {
  'let devices in and shut them out': ({ path }) => /^\/api\/lan(\/|$)/i.test(path),
  'back up and restore': ({ path }) => /^\/api\/backup(\/|$)/i.test(path),
  'delete anything': ({ method }) => method === 'DELETE',
  'load the demo': ({ path }) => /^\/api\/demo(\/|$)/i.test(path),
}

/** Refuses a device what is done at the computer itself. */
export const rightsOfDevice: RequestHandler = ({ method, path }, response, next) => {
  const asks = Object.values(rules).some((rule) => rule({ method, path }))
  if (asks)
    sendProblem(response, new ProblemError(403, 'This is done at the computer that Even Watt runs on.'))
  else next()
}
