import type { Tests } from '@even-watt/contract'
import type { ReactNode } from 'react'
import type { ZodMiniType } from 'zod/mini'
import type { Made } from '../outbox/capture'
import { TextField } from '../ui/form'
import { CaptureForm } from '../trials/CaptureForm'
import { FieldGrid } from '../trials/FieldGrid'
import { fieldsIn, readFields, startOf, type Field } from '../trials/fields'
import { useCaptureForm, type CaptureFormState, type Read } from '../trials/useCaptureForm'

/** Either what was typed line by line, or which line cannot be read. */
export type Lines<T> = { readonly read: T[] } | { readonly why: string }

interface Props<Reading> {
  readonly tests: Tests
  readonly test: string
  /** "test of a mode". */
  readonly what: string
  readonly schema: ZodMiniType<Reading>
  readonly entry: (reading: Reading) => Omit<Made, 'revision'>
  /** Which of its fields are asked on this rig; absent: all. */
  readonly asks?: (field: Field) => boolean
  /** What stands in the fields before anything is typed, beside the first of each choice. */
  readonly start?: Readonly<Record<string, string>>
  /** How several lines are read, by the name of their field. */
  readonly readers?: Readonly<Record<string, (text: string) => Lines<unknown>>>
  /** What it holds and no field asks for. */
  readonly apart?: (from: Read) => Readonly<Record<string, unknown>>
  readonly next?: (reading: Reading) => Record<string, string>
  /** More attributes of single fields, by name. */
  readonly more?: Readonly<Record<string, object>>
  /** Fields and what belongs to them that the declaration does not hold. */
  readonly children?: (state: CaptureFormState) => ReactNode
  readonly below?: ReactNode
}

/** One test, by its declaration: its own fields, the needed ones first, and its free words. */
export function TestForm<Reading>(props: Props<Reading>) {
  const { tests, test, what, schema, entry, asks = () => true, start, readers = {}, apart, next } = props
  const declared = tests[test]
  if (!declared) throw new Error(`There is no test called ${test}.`)
  const { name, note } = declared
  const fields = fieldsIn(declared).filter(asks)
  const state = useCaptureForm({
    what: `${what} (${name.toLowerCase()})`,
    start: { ...startOf(fields), ...start },
    schema,
    read: (from) => ({
      test,
      ...readFields(fields, from),
      ...readLines(fields, readers, from),
      ...apart?.(from),
      note: from.text('note'),
    }),
    entry: entry as (reading: Reading) => Made,
    ...(next ? { next } : {}),
  })
  return (
    <CaptureForm title={name} state={state} className="mt-2">
      <FieldGrid fields={fields} state={state} {...(props.more ? { more: props.more } : {})}>
        {props.children?.(state)}
        <TextField label={note} {...state.field('note')} className="col-span-2" />
      </FieldGrid>
      {props.below}
    </CaptureForm>
  )
}

const readLines = (
  fields: readonly Field[],
  readers: NonNullable<Props<unknown>['readers']>,
  { text, report }: Read,
): Readonly<Record<string, unknown>> =>
  Object.fromEntries(
    fields
      .filter(({ is }) => is === 'lines')
      .map(({ name }): [string, unknown] => {
        const lines = readers[name]?.(text(name) ?? '')
        if (lines && 'read' in lines) return [name, lines.read]
        report(name, lines?.why)
        return [name, []]
      }),
  )
