import { sentences, type Problem } from '@even-watt/contract'
import type { ErrorRequestHandler, Request, Response } from 'express'
import { statfs } from 'node:fs/promises'
import type { $ZodError } from 'zod/v4/core'

type Fields = NonNullable<Problem['fields']>

/** An error that is answered as an RFC 9457 problem document, in plain words. */
export class ProblemError extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail?: string,
    readonly fields?: Fields,
    readonly type = 'about:blank',
  ) {
    super(detail ?? title)
  }
}

export const notFound = (what: string) => new ProblemError(404, `${what} is not here.`)

export const conflict = (detail: string) =>
  new ProblemError(409, 'This was changed meanwhile.', detail, undefined, 'even-watt:conflict')

/** Of a body that is cut off itself, or of something that a whole body holds. */
export const notWhole = (what?: string) =>
  new ProblemError(
    what ? 422 : 400,
    `${what ?? 'This'} is not a whole JSON document.`,
    'It may be cut off, or damaged on the way.',
  )

export const invalid = (error: $ZodError) =>
  new ProblemError(422, 'Some of this cannot be taken as it is.', undefined, sentences(error).slice(0, 20))

export function sendProblem(response: Response, problem: ProblemError): void {
  const body: Problem = {
    type: problem.type,
    title: problem.title,
    status: problem.status,
    ...(problem.detail ? { detail: problem.detail } : {}),
    ...(problem.fields ? { fields: problem.fields } : {}),
  }
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(body))
}

const hasCode = (error: unknown): error is { code: string } =>
  typeof error === 'object' && error !== null && 'code' in error && typeof error.code === 'string'

/** The database is away when the connection fails or it is starting up or shutting down. */
function databaseAway(error: unknown): boolean {
  if (!hasCode(error))
    return (
      error instanceof Error &&
      /^(Connection terminated|timeout exceeded|Connection ended|Client has encountered)/i.test(error.message)
    )
  // 3D000: between the old database and a restored one.
  return /^(ECONN|EPIPE|57P|08|3D000)/.test(error.code)
}

const diskFull = () =>
  new ProblemError(
    503,
    'The disk of the database is full.',
    'Make some room on the server. What was saved before is safe; what you sent is kept in the browser and sent again.',
  )

function problemOf(error: unknown): ProblemError | undefined {
  if (error instanceof ProblemError) return error
  if (hasCode(error) && error.code === '53100') return diskFull()
  if (databaseAway(error)) {
    return new ProblemError(
      503,
      'The database does not answer just now.',
      'Nothing you sent is lost in the browser; it is sent again.',
    )
  }
  if (typeof error !== 'object' || error === null) return undefined
  return problemOfRequest(error as { type?: unknown; status?: unknown })
}

/** What Express and its parts found wrong with a request. */
function problemOfRequest(error: { type?: unknown; status?: unknown }): ProblemError | undefined {
  if (error.type === 'entity.too.large') return new ProblemError(413, 'This is too large to be taken.')
  if (error.type === 'entity.parse.failed') return notWhole()
  if (error.type === 'charset.unsupported' || error.type === 'encoding.unsupported')
    return new ProblemError(415, 'Only JSON in UTF-8 is taken here.')
  if (error.status === 404) return notFound('This address')
  if (typeof error.status === 'number' && error.status >= 400 && error.status < 500)
    return new ProblemError(
      error.status,
      'This request is damaged, or cut off on the way.',
      'Nothing was changed. Send it again.',
    )
  return undefined
}

/** Why a database is away, where that can be told. */
export type WhyAway = () => Promise<ProblemError | undefined>

/** Bytes without which a database goes on no longer. */
const leastRoom = 32 * 2 ** 20

/** A database on a full disk goes away without saying why: its disk is asked. */
export const onFullDisk =
  (folder: string): WhyAway =>
  async () => {
    const { bavail, bsize } = await statfs(folder)
    return bavail * bsize < leastRoom ? diskFull() : undefined
  }

/** Last in the chain: whatever went wrong becomes a problem document. */
export const answerProblems =
  (whyAway: WhyAway = () => Promise.resolve(undefined)): ErrorRequestHandler =>
  async (error: unknown, request: Request, response, next) => {
    if (response.headersSent) {
      next(error)
      return
    }
    const known = databaseAway(error) ? await whyAway().catch(() => undefined) : undefined
    const problem = known ?? problemOf(error)
    if (problem) {
      if (problem.status >= 500) request.log.warn({ err: error }, problem.title)
      sendProblem(response, problem)
      return
    }
    request.log.error({ err: error }, 'request failed')
    sendProblem(
      response,
      new ProblemError(
        500,
        'Something went wrong on the server.',
        'It is in the log; what was saved before is kept.',
      ),
    )
  }
