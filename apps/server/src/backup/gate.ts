import type { RequestHandler } from 'express'
import { ProblemError } from '../http/problem'

/** Shut while the database is exchanged: what comes meanwhile is sent again by whoever sent it. */
export interface Gate {
  readonly handler: RequestHandler
  /** Works with the gate shut; refused where it is shut already. */
  readonly shutWhile: <T>(work: () => Promise<T>) => Promise<T>
}

export function gate(): Gate {
  let shut = false
  return {
    handler(_request, _response, next) {
      if (!shut) next()
      else
        throw new ProblemError(
          503,
          'A backup is being restored just now.',
          'Nothing you sent is lost in the browser; it is sent again.',
        )
    },
    async shutWhile(work) {
      if (shut) throw new ProblemError(409, 'A backup is being restored already.')
      shut = true
      try {
        return await work()
      } finally {
        shut = false
      }
    },
  }
}
