import { sentences } from '@even-watt/contract'
import { get, set, type FieldErrors, type FieldValues, type Resolver } from 'react-hook-form'
import { safeParse, type ZodMiniType } from 'zod/mini'

/** Adds a sentence to a field of the form, by its path; without one it adds nothing. */
export type Report = (path: string, why: string | undefined) => void

/**
 * What a form's submission is checked with: the content is read from what was typed, then the contract is asked. Every
 * fault is a sentence at its field; what cannot be read at all is said before what the contract says of the rest.
 */
export const contractResolver =
  <Form extends FieldValues, Content>(
    schema: ZodMiniType<Content>,
    read: (form: Form, report: Report) => unknown,
  ): Resolver<Form, unknown, Content> =>
  (form) => {
    const faults = new Map<string, string>()
    const report: Report = (path, why) => {
      if (why !== undefined && !faults.has(path)) faults.set(path, why)
    }
    const checked = safeParse(schema, read(form, report))
    if (!checked.success) for (const { path, message } of sentences(checked.error)) report(path, message)
    if (checked.success && !faults.size) return { values: checked.data, errors: {} }
    const errors: FieldErrors<Form> = {}
    // Deepest first: a fault of a whole list stands beside those of its lines.
    for (const [path, message] of [...faults].reverse())
      set(errors, get(errors, path) ? `${path}.root` : path, { type: 'contract', message })
    return { values: {}, errors }
  }

/** Every fault of a form with its path; that of a whole list stands before those of its lines. */
export function faultsOf(errors: object, below = ''): { path: string; message: string }[] {
  return Object.entries(errors).flatMap(([name, error]: [string, unknown]) => {
    if (typeof error !== 'object' || error === null || name === 'ref') return []
    const path = name === 'root' ? below : below ? `${below}.${name}` : name
    const own =
      'message' in error && typeof error.message === 'string' ? [{ path, message: error.message }] : []
    return [...own, ...faultsOf(error, path)]
  })
}

/** The sentence at a field, if it has one. */
export function messageAt(errors: object, path: string): string | undefined {
  const fault = get(errors, path) as { message?: unknown } | undefined
  return typeof fault?.message === 'string' ? fault.message : undefined
}
