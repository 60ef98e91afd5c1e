import type { Face, Tests } from '@even-watt/contract'
import { shortened } from '@even-watt/core'
import type { Parsed } from '@even-watt/core'
import { readLength, readTemperature } from '../ui/units'

/** One field of a form that captures, told by data: so that tests with many fields need no markup of their own. */
export type Field = Face & { readonly name: string }

/** The fields of one test, as it is declared. */
export const fieldsIn = ({ fields }: Tests[string]): readonly Field[] =>
  Object.entries(fields).map(([name, face]) => ({ ...face, name }))

export const number = (
  name: string,
  label: string,
  unit: string,
  more: { factor?: number; hint?: string } = {},
): Field => ({
  name,
  label,
  unit,
  is: 'number',
  ...more,
})
export const words = (name: string, label: string, example?: string): Field => ({
  name,
  label,
  is: 'words',
  ...(example ? { example } : {}),
})
export const choice = (name: string, label: string, of: readonly string[]): Field => ({
  name,
  label,
  is: 'choice',
  of,
})
export const perhaps = (name: string, label: string, of: readonly string[]): Field => ({
  name,
  label,
  is: 'choice',
  of,
  optional: true,
})

/** What choices begin with: the first of each that must be made. */
export const startOf = (fields: readonly Field[]): Record<string, string> =>
  Object.fromEntries(
    fields.flatMap((field) =>
      (field.is === 'choice' || field.is === 'yes or no') && !field.optional
        ? [[field.name, field.of[0] ?? '']]
        : [],
    ),
  )

interface From {
  readonly number: (name: string, parse?: (text: string) => Parsed) => number | undefined
  readonly text: (name: string) => string | undefined
}

/** What is typed in the units of the bench; all else is typed as it is stored. */
const readAs: Readonly<Record<string, (text: string) => Parsed>> = { '°C': readTemperature, m: readLength }

/** What was typed, by name, in SI; lines are left to whoever knows what stands in them. */
export const readFields = (fields: readonly Field[], { number, text }: From): Record<string, unknown> =>
  Object.fromEntries(
    fields.flatMap((field): [string, unknown][] => {
      if (field.is === 'lines') return []
      if (field.is === 'tick') return [[field.name, text(field.name) === 'yes' || undefined]]
      if (field.is === 'yes or no') {
        const said = text(field.name)
        return [[field.name, said === undefined ? undefined : said === field.of[0]]]
      }
      if (field.is !== 'number') return [[field.name, text(field.name)]]
      const value = number(field.name, readAs[field.unit])
      return [[field.name, value === undefined ? undefined : shortened(value * (field.factor ?? 1), 15)]]
    }),
  )
