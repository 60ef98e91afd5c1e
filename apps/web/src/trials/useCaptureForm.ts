import type { Entry } from '@even-watt/contract'
import { useEffect, useState, type FormEvent } from 'react'
import { useForm } from 'react-hook-form'
import type { ZodMiniType } from 'zod/mini'
import { capture, type Made } from '../outbox/capture'
import { answer } from '../ui/answers'
import { drafts, resembles } from '../ui/browserStore'
import { readNumber } from '../ui/form'
import { contractResolver, messageAt, type Report } from '../ui/resolver'
import { useSlips, type Slip, type TypedValue } from './useSlips'
import { useTrial } from './useTrial'
import { type Parsed } from '@even-watt/core'

type Typed = Record<string, string>

export interface Read {
  /** The number typed in a field; what cannot be read is named at it and left out. */
  readonly number: (name: string, parse?: (text: string) => Parsed) => number | undefined
  readonly text: (name: string) => string | undefined
  /** Says what is wrong at a field. */
  readonly report: Report
}

/** An entry without its revision: that of the screen is meant. */
type OfReading = Made extends infer M ? (M extends Made ? Omit<M, 'revision'> : never) : never

interface Options<Reading> {
  /** Names what is read, for the answer and for the draft that is kept until it is captured: "load test". */
  readonly what: string
  readonly start: Typed
  readonly schema: ZodMiniType<Reading>
  /** The reading from what was typed. */
  readonly read: (from: Read) => unknown
  /** The entry of a reading; `typed` is what stood in the fields. */
  readonly entry: (reading: Reading, typed: Typed) => OfReading
  /** What the next one begins with, where that depends on the one just captured. */
  readonly next?: (reading: Reading) => Typed
  /** Fields that are readings of a quantity: a slip of the point in one of them is asked about. */
  readonly readings?: readonly Omit<TypedValue, 'text'>[]
  /** What follows once it is captured. */
  readonly onTaken?: (entry: Entry) => void
}

export type CaptureFormState = ReturnType<typeof useCaptureForm>

const words: Typed = {}
const noReadings: readonly Omit<TypedValue, 'text'>[] = []

/** A small form whose content becomes one entry of the record: every fault at its field, nothing typed lost. */
export function useCaptureForm<Reading>({
  what,
  start,
  schema,
  read,
  entry,
  next,
  readings = noReadings,
  onTaken,
}: Options<Reading>) {
  const { trial, analysis } = useTrial()
  const slips = useSlips(analysis)
  const [slip, setSlip] = useState<Slip>()
  const { number: revision } = analysis.record.revision
  const draftName = `${what} ${trial.id} ${revision}`
  const [draft] = useState(() => {
    const kept = drafts.read(draftName)
    return resembles(words, kept) && Object.values(kept).every((one) => typeof one === 'string')
      ? kept
      : undefined
  })
  const [restored, setRestored] = useState(draft !== undefined)
  const [refused, setRefused] = useState<string>()
  const form = useForm<Typed, unknown, Reading>({
    defaultValues: { ...start, ...draft },
    reValidateMode: 'onSubmit',
    resolver: contractResolver(schema, (typed: Typed, report) =>
      read({
        number: (name, parse) => {
          const { value, why } = readNumber(typed[name], parse)
          report(name, why)
          return value
        },
        text: (name) => typed[name]?.trim() || undefined,
        report,
      }),
    ),
  })
  useEffect(
    () =>
      form.subscribe({
        formState: { values: true, isDirty: true },
        callback: ({ values, isDirty, name }) => {
          // Beginning again changes no field of its own, and leaves nothing half typed.
          if (name === undefined) return
          if (isDirty) drafts.keep(draftName, values)
          form.clearErrors(name)
          setRefused(undefined)
          setSlip(undefined)
        },
      }),
    [form, draftName],
  )
  const { errors } = form.formState
  const errorAt = (name: string) => messageAt(errors, name)
  const beginAgain = (values: Typed) => {
    drafts.drop(draftName)
    // Every field is named, or one that has no beginning of its own would keep what was captured.
    const empty = Object.fromEntries(Object.keys(form.getValues()).map((name) => [name, '']))
    form.reset({ ...empty, ...values })
    setRestored(false)
    setRefused(undefined)
  }
  const take = (reading: Reading): boolean => {
    const captured = capture(trial.id, { ...entry(reading, form.getValues()), revision } as Made)
    if ('faults' in captured) {
      setRefused(captured.faults.map(({ message }) => message).join(' '))
      return false
    }
    // What was typed goes only when what was captured is kept.
    void captured.kept.then(() => answer(`The ${what} is captured.`))
    beginAgain(next ? { ...start, ...next(reading) } : start)
    onTaken?.(captured.entry)
    return true
  }
  const submit = async (event?: FormEvent): Promise<boolean> => {
    let taken = false
    await form.handleSubmit((reading) => {
      const values = form.getValues()
      const found = slips.first(readings.map((one) => ({ ...one, text: values[one.name] })))
      setSlip(found)
      taken = !found && take(reading)
    })(event)
    return taken
  }
  return {
    form,
    /** Captures what is typed; resolves with whether it was. */
    submit,
    /** What may have slipped, and the answer: it then is captured. */
    slip: slip && {
      slip,
      answer: (meant: boolean): Promise<boolean> => {
        if (meant) form.setValue(slip.name, slip.meant, { shouldDirty: true })
        else slips.isRight(slip)
        return submit()
      },
    },
    errorAt,
    /** What is wrong with the whole, at no field of its own. */
    refused,
    restored,
    discard: () => beginAgain(start),
    field: (name: string) => ({ ...form.register(name), error: errorAt(name) }),
  }
}
