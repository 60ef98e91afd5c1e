import { NewTrial, type Problem, type StoredRig, type StoredUnit, type Trial } from '@even-watt/contract'
import { rigFacts, unitFacts } from '@even-watt/core'
import { useState } from 'react'
import { Controller, useForm } from 'react-hook-form'
import { Link, useNavigate } from 'react-router'
import { v7 } from 'uuid'
import { api, problemOf } from '../api/api'
import { SelectField, TextField } from '../ui/form'
import { ChooseWish, questionsWanted } from '../answers/ChooseWish'
import { handTo, readerNow } from '../ui/reader'
import { ProblemNotice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { contractResolver } from '../ui/resolver'
import { toldApart } from '../ui/toldApart'

interface Form {
  unit: string
  rig: string
  title: string
  by: string
  wanted: string
}

/** A trial from a unit and a rig; both are frozen into it. */
export function NewTrialPage() {
  const [like] = useState(() => new URLSearchParams(location.search).get('like') ?? undefined)
  const units = api.useUnitsQuery()
  const rigs = api.useRigsQuery()
  const before = api.useTrialQuery(like ?? '', { skip: !like })
  if (units.isLoading || rigs.isLoading || before.isLoading) return null
  return <NewTrialForm units={units.data ?? []} rigs={rigs.data ?? []} before={before.data} />
}

interface Props {
  readonly units: readonly StoredUnit[]
  readonly rigs: readonly StoredRig[]
  /** A trial that the new one is like. */
  readonly before: Trial | undefined
}

function NewTrialForm({ units, rigs, before }: Props) {
  const last = before?.revisions.at(-1)
  const known = (list: readonly { id: string }[], id: string | undefined) =>
    list.some((one) => one.id === id) ? (id ?? '') : ''
  const [start] = api.useStartTrialMutation()
  const navigate = useNavigate()
  const [id] = useState(() => v7())
  const [problem, setProblem] = useState<Problem>()
  const { register, handleSubmit, control, formState } = useForm<Form, unknown, NewTrial>({
    defaultValues: {
      unit: known(units, last?.unit.id),
      rig: known(rigs, last?.rig.id),
      title: '',
      by: readerNow() ?? '',
      wanted: '',
    },
    resolver: contractResolver(NewTrial, (form: Form, report) => {
      if (!form.unit) report('unit', 'Choose the unit to test.')
      if (!form.rig) report('rig', 'Choose the rig it stands on.')
      const name = units.find((unit) => unit.id === form.unit)?.name
      // Without a unit there is no name to stand in for the title, and that is said at the unit.
      const { wanted, ...rest } = form
      const questions = questionsWanted(wanted)
      return {
        ...rest,
        id,
        ...(questions ? { questions } : {}),
        title: form.title.trim() || (name ?? 'untitled'),
        ...(before ? { like: before.id } : {}),
      }
    }),
  })
  const field = (name: keyof Form) => ({
    ...register(name),
    error: formState.errors[name]?.message,
  })
  const submit = handleSubmit(
    async (wanted) => {
      try {
        await start(wanted).unwrap()
        handTo(wanted.by)
        await navigate(`/trials/${id}/answers`)
      } catch (error) {
        setProblem(problemOf(error))
      }
    },
    () => setProblem({ type: 'about:blank', title: 'The trial cannot start yet.', status: 422 }),
  )
  return (
    <Page title="Start a trial">
      <p className="text-quiet mb-3 max-w-prose">
        Unit, rig and meters are frozen into the trial as they stand now. When the rig changes later, the
        trial gets a new rig revision, and earlier readings stay where they were.
        {before && ` Questions, hours and plan are those of “${before.title}”.`}
      </p>
      <form noValidate onSubmit={(event) => void submit(event)} className="grid max-w-xl gap-3">
        {problem && <ProblemNotice problem={problem} />}
        <SelectField label="Unit" {...field('unit')} options={choose(units, 'unit', unitFacts)} />
        {units.length === 0 && <None what="unit" path="/units/new" />}
        <SelectField label="Rig" {...field('rig')} options={choose(rigs, 'rig', rigFacts)} />
        {rigs.length === 0 && <None what="rig" path="/rigs/new" />}
        <TextField
          label="Title"
          {...field('title')}
          placeholder="the unit’s name, unless you say otherwise"
        />
        <Controller
          control={control}
          name="wanted"
          render={({ field: { value, onChange } }) => (
            <ChooseWish
              value={value}
              otherwise={before ? 'as there' : 'all that such a unit is asked'}
              onChange={onChange}
            />
          )}
        />
        <TextField label="Your initials" {...field('by')} />
        <div>
          <button type="submit" className="action action-main">
            Start
          </button>
        </div>
      </form>
    </Page>
  )
}

function choose<D extends { id: string; name: string; savedAt: string }>(
  documents: readonly D[],
  what: string,
  facts: (one: D) => readonly string[],
) {
  const apart = toldApart(documents, facts)
  return [
    ['', `choose a ${what}`] as const,
    ...documents.map(({ id, name }) => [id, [name, apart.get(id)].filter(Boolean).join(', ')] as const),
  ]
}

const None = ({ what, path }: { what: string; path: string }) => (
  <p>
    There is no {what} yet:{' '}
    <Link className="plain-link" to={path}>
      add one
    </Link>{' '}
    first.
  </p>
)
