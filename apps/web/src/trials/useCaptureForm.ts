import { sentences, type Entry } from '@even-watt/contract'
import { useState, type FormEvent } from 'react'
import { v7 } from 'uuid'
import { safeParse, type ZodMiniType } from 'zod/mini'
import { capture } from '../outbox/outbox'
import { readNumber } from '../ui/form'
import { useTrial } from './useTrial'

type Typed = Readonly<Record<string, string>>

interface Read {
  /** The number typed in a field; what cannot be read is named at it and left out. */
  readonly number: (name: string) => number | undefined
  readonly text: (name: string) => string | undefined
}

interface Options<Reading> {
  readonly start: Typed
  readonly schema: ZodMiniType<Reading>
  /** The reading from what was typed. */
  readonly read: (from: Read) => unknown
  readonly entry: (reading: Reading) => Omit<Entry, 'id' | 'revision' | 'at'>
  readonly onCaptured?: () => void
}

/** A small form whose content becomes one entry of the record: every fault at its field, nothing typed lost. */
export function useCaptureForm<Reading>({ start, schema, read, entry, onCaptured }: Options<Reading>) {
  const { trial, analysis } = useTrial()
  const [form, setForm] = useState<Typed>(start)
  const [faults, setFaults] = useState<ReadonlyMap<string, string>>(new Map())
  const field = (name: string) => ({
    value: form[name] ?? '',
    onChange: (event: { target: { value: string } }) => setForm({ ...form, [name]: event.target.value }),
    error: faults.get(name),
  })
  const submit = (event: FormEvent) => {
    event.preventDefault()
    const found = new Map<string, string>()
    const content = read({
      number: (name) => {
        const { value, why } = readNumber(form[name])
        if (why !== undefined) found.set(name, why)
        return value
      },
      text: (name) => form[name]?.trim() || undefined,
    })
    const checked = safeParse(schema, content)
    if (!checked.success) {
      for (const { path, message } of sentences(checked.error)) if (!found.has(path)) found.set(path, message)
    }
    setFaults(found)
    if (!checked.success || found.size) return
    const base = { id: v7(), revision: analysis.record.revision.number, at: new Date().toISOString() }
    void capture(trial.id, [{ ...base, ...entry(checked.data) } as Entry])
    onCaptured?.()
  }
  return { form, field, submit, faults }
}
