import { Id } from '@even-watt/contract'
import type { Request } from 'express'
import { safeParse, type ZodMiniType } from 'zod/mini'
import { invalid, notFound } from './problem'

/** The body as the contract knows it, or a problem that names each field. */
export function body<T>(request: Request, schema: ZodMiniType<T>): T {
  return parse(request.body, schema)
}

export function parse<T>(value: unknown, schema: ZodMiniType<T>): T {
  const result = safeParse(schema, value)
  if (!result.success) throw invalid(result.error)
  return result.data
}

/** The id in the path; anything else is simply not there. */
export function idOf(request: Request, what: string): string {
  const result = safeParse(Id, request.params['id'])
  if (!result.success) throw notFound(what)
  return result.data
}
