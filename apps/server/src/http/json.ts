import express, { type Request, type RequestHandler } from 'express'
import { ProblemError } from './problem'
import { refuseMonstrous } from './readJson'

/** Reads a JSON body of so many bytes at most. */
export const jsonBody = (limit: string): RequestHandler =>
  express.json({ limit, verify: (_request, _response, bytes) => refuseMonstrous(bytes) })

/** Takes a JSON body of so many bytes at most as it comes, to be read elsewhere. */
export const unreadJson = (limit: string): RequestHandler => express.raw({ type: 'application/json', limit })

/** The bytes of a body that `unreadJson` took. */
export function bytesOf({ body }: Request): Uint8Array {
  if (!Buffer.isBuffer(body)) throw new ProblemError(415, 'Only JSON in UTF-8 is taken here.')
  return body
}
