import { safeParse } from 'zod/mini'
import { sentences } from '../src'

export type Schema = Parameters<typeof safeParse>[0]

/** The first sentence with which a schema refuses a value; undefined: it takes it. */
export function firstFault(schema: Schema, value: unknown): string | undefined {
  const result = safeParse(schema, value)
  return result.success ? undefined : sentences(result.error)[0]?.message
}
