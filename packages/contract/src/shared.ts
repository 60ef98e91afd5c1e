import * as z from 'zod/mini'

/** Ids are made by the browser (UUIDv7), so sending the same thing twice is harmless. In capitals it is the same id. */
export const Id = z.uuid('This id is not a UUID.').check(z.toLowerCase())
export type Id = z.infer<typeof Id>

const say = (what: string, accepted: string) => `${what}: ${accepted}.`

/** A finite number within bounds; NaN and infinities never cross the wire. */
export const number = (
  what: string,
  low: number,
  high: number,
  accepted = `a number from ${low} to ${high}`,
) => z.number(say(what, accepted)).check(z.gte(low, say(what, accepted)), z.lte(high, say(what, accepted)))

/** A number above zero. */
export const positive = (what: string, high: number) =>
  z.number(say(what, `a number above 0 and up to ${high}`)).check(
    // What is smaller is no quantity of a bench, and one over it no number any more.
    z.gte(1e-30, say(what, `must be above 0; up to ${high} is accepted`)),
    z.lte(high, say(what, `a number above 0 and up to ${high}`)),
  )

export const whole = (what: string, low: number, high: number) => {
  const accepted = `a whole number from ${low} to ${high}`
  return z.int(say(what, accepted)).check(z.gte(low, say(what, accepted)), z.lte(high, say(what, accepted)))
}

/** What a database cannot hold as text: a character of number 0, or half of one that takes two places. */
const holdable = (what: string) =>
  z.refine<string>(
    (typed) => typed.isWellFormed() && !typed.includes('\0'),
    `${what}: it holds a damaged character, which cannot be stored; type it again.`,
  )

/** Text as it was typed, perhaps nothing. */
export const plain = (what: string, longest: number) =>
  z
    .string(`${what}: text.`)
    .check(z.maxLength(longest, `${what}: ${longest} characters at most.`), holdable(what))

/** Text of one form, such as a time of day. */
export const matching = (pattern: RegExp, message: string) =>
  z.string(message).check(z.regex(pattern, message))

/** What the server itself says in an answer: nobody typed it. */
export const answered = z.string()

/** "a name", "the load", "why it is kept". */
const asked = (what: string): string => {
  if (what === 'Name') return 'a name'
  const low = what.charAt(0).toLowerCase() + what.slice(1)
  return /^(why|where|what|in|its) /.test(low) ? low : `the ${low}`
}

/** Required words of one line. */
export const words = (what: string, longest = 120) =>
  z
    .string(say(what, 'some words'))
    .check(
      z.trim(),
      z.minLength(1, `Enter ${asked(what)}.`),
      z.maxLength(longest, `${what}: ${longest} characters at most.`),
      holdable(what),
    )

/** Optional free text. */
export const text = (what: string, longest = 2000) => z.optional(plain(what, longest))

export const oneOf = <const T extends readonly string[]>(what: string, values: T) =>
  z.enum(values, `${what}: one of ${values.join(', ')}.`)

export const instant = (what: string) =>
  z.iso.datetime({ error: `${what}: a date and time in UTC, like 2026-03-12T09:12:00Z.` })

/** Sent with an edit: the version it was made from. A mismatch is shown, never overwritten. */
export const EditedFrom = z.object({ editedFrom: whole('Edited from version', 0, 1_000_000_000) })

/** RFC 9457 problem document, in plain words, with a sentence for each field it is about. */
export const Problem = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.optional(z.string()),
  fields: z.optional(z.array(z.object({ path: z.string(), message: z.string() }))),
})
export type Problem = z.infer<typeof Problem>

/** Turns what Zod found into one sentence a field, named by its path. */
export function sentences(error: z.core.$ZodError): { path: string; message: string }[] {
  return error.issues.map((issue) => ({
    path: issue.path.map(String).join('.'),
    message:
      issue.code === 'invalid_key'
        ? (issue.issues[0]?.message ?? issue.message)
        : issue.code === 'unrecognized_keys'
          ? `Not known here: ${issue.keys.slice(0, 5).join(', ').slice(0, 200)}.`
          : issue.code === 'invalid_type' && issue.message.startsWith('Invalid')
            ? `${issue.path.map(String).join('.') || 'The document'}: ${issue.expected} is needed here.`
            : issue.message,
  }))
}
