import type { Problem } from '@even-watt/contract'
import { useEffect, useState } from 'react'
import { useForm, type DefaultValues, type FieldValues, type Path, type UseFormReturn } from 'react-hook-form'
import type { ZodMiniType } from 'zod/mini'
import { problemOf } from '../api/api'
import { drafts, resembles } from './browserStore'
import { contractResolver, faultsOf, messageAt, type Report } from './resolver'

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
  /** Drops what was typed; gives the way back where anything was. */
  readonly cancel: () => (() => void) | undefined
  /** The sentence at a field, if it has one. */
  readonly errorAt: (path: string) => string | undefined
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
  const [draft] = useState(() => {
    const kept = drafts.read(draftKey)
    return resembles(start, kept) ? kept : undefined
  })
  const [restored, setRestored] = useState(draft !== undefined)
  const [problem, setProblem] = useState<Problem>()
  const form = useForm<Form, unknown, Content>({
    defaultValues: (draft ?? start) as DefaultValues<Form>,
    resolver: contractResolver(schema, fromForm),
    reValidateMode: 'onSubmit',
  })
  // Read here, so that the form is drawn again when a fault comes or goes.
  const { errors } = form.formState

  useEffect(
    () =>
      form.subscribe({
        formState: { values: true, isDirty: true },
        callback: ({ values, isDirty, name }) => {
          if (isDirty) drafts.keep(draftKey, values)
          if (name === undefined) return
          // A mended field is no longer at fault; whether it is right is asked when it is saved.
          form.clearErrors(name as Path<Form>)
          setProblem((said) => said && without(said, name))
        },
      }),
    [form, draftKey],
  )

  const submit = form.handleSubmit(
    async (content) => {
      try {
        await save(content)
        drafts.drop(draftKey)
        setProblem(undefined)
      } catch (error) {
        setProblem(problemOf(error))
      }
    },
    (found) => {
      const fields = faultsOf(found)
      setProblem({
        type: 'about:blank',
        status: 422,
        title: sayFields(fields.length),
        fields,
      })
    },
  )

  return {
    // What it is submitted as is this hook's own business.
    form: form as unknown as UseFormReturn<Form>,
    submit,
    problem,
    restored,
    cancel: () => {
      const typed = drafts.read(draftKey)
      if (typed === undefined) return undefined
      drafts.drop(draftKey)
      return () => drafts.keep(draftKey, typed)
    },
    discardDraft: () => {
      drafts.drop(draftKey)
      form.reset(start as DefaultValues<Form>)
      setRestored(false)
    },
    errorAt: (path) => messageAt(errors, path),
  }
}

const sayFields = (n: number): string =>
  n === 1 ? 'One field needs another look.' : `${n} fields need another look.`

/** What is left of a problem once one of its fields was changed; nothing where that was all. */
function without(problem: Problem, field: string): Problem | undefined {
  const fields = problem.fields?.filter(({ path }) => path !== field)
  if (!fields || fields.length === problem.fields?.length) return problem
  return fields.length ? { ...problem, title: sayFields(fields.length), fields } : undefined
}
