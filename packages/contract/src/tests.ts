import * as z from 'zod/mini'
import type { plain } from './shared'
import { number, oneOf, positive, text, words } from './shared'

/** How a form asks for one thing, and a table heads it. */
export type Face = { readonly label: string } & (
  | {
      readonly is: 'number'
      readonly unit: string
      /** SI for one of the unit shown: 0.01 for a per cent. */
      readonly factor?: number
      readonly hint?: string
    }
  | { readonly is: 'words'; readonly example?: string }
  /** The first is chosen to begin with, unless it may be left open. */
  | { readonly is: 'choice'; readonly of: readonly string[]; readonly optional?: true }
  | { readonly is: 'yes or no'; readonly of: readonly [yes: string, no: string]; readonly optional?: true }
  | { readonly is: 'tick' }
  /** Several lines of figures, in the order and the units of its columns. */
  | { readonly is: 'lines'; readonly example: string; readonly columns: Readonly<Record<string, string>> }
)

/** One thing that a test holds: what is taken, and how it is asked for. */
type Told<S extends z.ZodMiniType = z.ZodMiniType, F extends Face = Face> = F & { readonly schema: S }
type Is<K extends Face['is']> = Extract<Face, { is: K }>

/** A figure from 0 up. */
export const from0 = (label: string, unit: string, most: number) =>
  figure(label, unit, number(`${label}, ${unit}`, 0, most))
/** A figure above 0. */
export const above0 = (label: string, unit: string, most: number) =>
  figure(label, unit, positive(unit ? `${label}, ${unit}` : label, most))
/** A figure with its own schema, in SI; `factor` is what one of the unit shown is of it. */
export const figure = <S extends z.ZodMiniType<number>>(
  label: string,
  unit: string,
  schema: S,
  factor?: number,
): Told<S, Is<'number'>> => ({
  schema,
  is: 'number',
  label,
  unit,
  ...(factor === undefined ? {} : { factor }),
})

const said = (label: string, example: string | undefined): Is<'words'> => ({
  is: 'words',
  label,
  ...(example === undefined ? {} : { example }),
})
export const someWords = (label: string, longest: number, example?: string) => ({
  schema: words(label, longest),
  ...said(label, example),
})
/** Words that may be left out. */
export const someText = (label: string, longest: number, example?: string) => ({
  schema: text(label, longest),
  ...said(label, example),
})

export const choice = <const O extends readonly string[]>(label: string, of: O) => ({
  schema: oneOf(label, of),
  is: 'choice' as const,
  label,
  of,
})
/** What is so or is not, in its own words. */
export const yesOrNo = (label: string, yes = 'yes', no = 'no') => ({
  schema: z.boolean(`${label}: yes or no.`),
  is: 'yes or no' as const,
  label,
  of: [yes, no] as const,
})
/** What was seen, or not. */
export const tick = (label: string) => ({
  schema: z.optional(z.boolean(`${label}: yes or no.`)),
  is: 'tick' as const,
  label,
})
export const lines = <S extends z.ZodMiniType>(
  label: string,
  example: string,
  columns: Readonly<Record<string, string>>,
  schema: S,
): Told<S, Is<'lines'>> => ({ schema, is: 'lines', label, example, columns })

/** The same, and it may be left out. */
export const perhaps = <F extends Told>({
  schema,
  ...face
}: F): Omit<F, 'schema'> & { readonly schema: z.ZodMiniOptional<F['schema']>; readonly optional: true } => ({
  ...face,
  schema: z.optional<F['schema']>(schema),
  optional: true,
})

/** One test of a kind of entry: its form, its row in a table, its schema, from one declaration. */
interface Test {
  readonly name: string
  readonly fields: Readonly<Record<string, Told>>
  /** What it holds and no field asks for: what the meters of the rig read. */
  readonly apart: Readonly<Record<string, z.ZodMiniType>>
  /** What its free words are called. */
  readonly note: string
}
export type Tests = Readonly<Record<string, Test>>

type None = Readonly<Record<never, z.ZodMiniType>>

export const testOf = <
  const F extends Readonly<Record<string, Told>>,
  const A extends Readonly<Record<string, z.ZodMiniType>> = None,
>(
  name: string,
  fields: F,
  more: { readonly apart?: A; readonly note?: string } = {},
) => ({ name, fields, apart: more.apart ?? ({} as A), note: more.note ?? 'Note' })

type Note = { note: z.ZodMiniOptional<ReturnType<typeof plain>> }
type SchemaOf<T extends string, D extends Test> = z.ZodMiniObject<
  { test: z.ZodMiniLiteral<T> } & { [K in keyof D['fields']]: D['fields'][K]['schema'] } & {
    [K in keyof D['apart']]: D['apart'][K]
  } & Note,
  z.core.$strip
>
type AnyOf<D extends Tests> = { [T in keyof D & string]: SchemaOf<T, D[T]> }[keyof D & string]

/** What an entry of a kind reads: one of its tests. */
export function readingOf<const D extends Tests>(what: string, tests: D) {
  const schemas = Object.entries(tests).map(([test, { fields, apart, note }]) =>
    z.object({
      test: z.literal(test),
      ...Object.fromEntries(Object.entries(fields).map(([name, { schema }]) => [name, schema])),
      ...apart,
      note: text(note, 1000),
    }),
  )
  return z.discriminatedUnion(
    'test',
    schemas as unknown as [AnyOf<D>, ...AnyOf<D>[]],
    `${what}: one of ${Object.keys(tests).join(', ')}.`,
  )
}
