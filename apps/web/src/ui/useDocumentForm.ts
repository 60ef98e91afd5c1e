import { sentences, type Problem } from '@even-watt/contract'
import { useEffect, useState } from 'react'
import { useForm, type DefaultValues, type FieldValues, type Path, type UseFormReturn } from 'react-hook-form'
import { safeParse, type ZodMiniType } from 'zod/mini'
import { problemOf } from '../api/api'

/** Adds a sentence to a field of the form, by its path. */
export type Report = (path: string, why: string | undefined) => void

interface Options<Form extends FieldValues, Content> {
  /** Names the draft kept in the browser. */
  readonly draftKey: string
  readonly start: Form
  readonly schema: ZodMiniType<Content>
  /** Content from what was typed; what cannot be read is reported and left out. */
  readonly fromForm: (form: Form, report: Report) => unknown
  readonly save: (content: Content) => Promise<void>
}

interface DocumentForm<Form extends FieldValues> {
  readonly form: UseFormReturn<Form>
  readonly submit: () => Promise<void>
  readonly problem: Problem | undefined
  readonly restored: boolean
  readonly discardDraft: () => void
  /** The sentence at a field, if it has one. */
  readonly errorAt: (path: string) => string | undefined
}

function readDraft<Form>(key: string): Form | undefined {
  const kept = sessionStorage.getItem(key)
  return kept === null ? undefined : (JSON.parse(kept) as Form)
}

/**
 * A form over a document of the contract: errors land at their fields, and what is typed is kept in the browser
 * until it is saved.
 */
export function useDocumentForm<Form extends FieldValues, Content>({
  draftKey,
  start,
  schema,
  fromForm,
  save,
}: Options<Form, Content>): DocumentForm<Form> {
  const [draft] = useState(() => readDraft<Form>(draftKey))
  const [restored, setRestored] = useState(draft !== undefined)
  const [problem, setProblem] = useState<Problem>()
  const [errors, setErrors] = useState<ReadonlyMap<string, string>>(new Map())
  const form = useForm<Form>({ defaultValues: (draft ?? start) as DefaultValues<Form> })

  useEffect(
    () =>
      form.subscribe({
        formState: { values: true, isDirty: true },
        callback: ({ values, isDirty }) => {
          if (isDirty) sessionStorage.setItem(draftKey, JSON.stringify(values))
        },
      }),
    [form, draftKey],
  )

  const submit = async () => {
    const found = new Map<string, string>()
    const content = fromForm(form.getValues(), (path, why) => {
      if (why !== undefined) found.set(path, why)
    })
    const result = safeParse(schema, content)
    if (!result.success) {
      for (const { path, message } of sentences(result.error)) if (!found.has(path)) found.set(path, message)
    }
    setErrors(found)
    const first = [...found.keys()][0]
    if (first !== undefined) {
      setProblem({
        type: 'about:blank',
        status: 422,
        title: found.size === 1 ? 'One field needs another look.' : `${found.size} fields need another look.`,
        fields: [...found].map(([path, message]) => ({ path, message })),
      })
      form.setFocus(first as Path<Form>)
      return
    }
    if (!result.success) return
    try {
      await save(result.data)
      sessionStorage.removeItem(draftKey)
      setProblem(undefined)
    } catch (error) {
      setProblem(problemOf(error))
    }
  }

  return {
    form,
    submit,
    problem,
    restored,
    discardDraft: () => {
      sessionStorage.removeItem(draftKey)
      form.reset(start as DefaultValues<Form>)
      setRestored(false)
    },
    errorAt: (path) => errors.get(path),
  }
}
