import type { Entry } from '@even-watt/contract'
import { useEffect, useState } from 'react'
import { useForm } from 'react-hook-form'
import { v7 } from 'uuid'
import type { ZodMiniType } from 'zod/mini'
import { capture } from '../outbox/outbox'
import { readNumber } from '../ui/form'
import { contractResolver, messageAt, type Report } from '../ui/resolver'
import { useTrial } from './useTrial'

type Typed = Record<string, string>

interface Read {
  /** The number typed in a field; what cannot be read is named at it and left out. */
  readonly number: (name: string) => number | undefined
  readonly text: (name: string) => string | undefined
  /** Says what is wrong at a field. */
  readonly report: Report
}

interface Options<Reading> {
  readonly start: Typed
  readonly schema: ZodMiniType<Reading>
  /** The reading from what was typed. */
  readonly read: (from: Read) => unknown
  readonly entry: (reading: Reading) => Omit<Entry, 'id' | 'revision' | 'at'>
  /** Keeps what is typed in the browser under this name until it is captured. */
  readonly draftKey?: string
}

function readDraft(key: string): Typed {
  const kept = localStorage.getItem(key)
  return kept === null ? {} : (JSON.parse(kept) as Typed)
}

/** A small form whose content becomes one entry of the record: every fault at its field, nothing typed lost. */
export function useCaptureForm<Reading>({ start, schema, read, entry, draftKey }: Options<Reading>) {
  const { trial, analysis } = useTrial()
  const [kept] = useState(() => (draftKey === undefined ? start : { ...start, ...readDraft(draftKey) }))
  const form = useForm<Typed, unknown, Reading>({
    defaultValues: kept,
    reValidateMode: 'onSubmit',
    resolver: contractResolver(schema, (typed: Typed, report) =>
      read({
        number: (name) => {
          const { value, why } = readNumber(typed[name])
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
      draftKey === undefined
        ? undefined
        : form.subscribe({
            formState: { values: true, isDirty: true },
            callback: ({ values, isDirty }) => {
              if (isDirty) localStorage.setItem(draftKey, JSON.stringify(values))
            },
          }),
    [form, draftKey],
  )
  const { errors } = form.formState
  const errorAt = (name: string) => messageAt(errors, name)
  const submit = form.handleSubmit((reading) => {
    const base = { id: v7(), revision: analysis.record.revision.number, at: new Date().toISOString() }
    // The draft goes only when what was captured is kept.
    void capture(trial.id, [{ ...base, ...entry(reading) } as Entry]).then(() => {
      if (draftKey !== undefined) localStorage.removeItem(draftKey)
    })
    form.reset(start)
  })
  return {
    form,
    submit,
    errorAt,
    field: (name: string) => ({ ...form.register(name), error: errorAt(name) }),
  }
}
