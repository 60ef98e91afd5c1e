import { NewTrial, sentences, type Problem } from '@even-watt/contract'
import { useState, type FormEvent } from 'react'
import { Link, useNavigate } from 'react-router'
import { v7 } from 'uuid'
import { safeParse } from 'zod/mini'
import { api, problemOf } from '../api/api'
import { SelectField, TextField } from '../ui/form'
import { ProblemNotice } from '../ui/Notice'
import { Page } from '../ui/Page'

/** A trial from a unit and a rig; both are frozen into it. */
export function NewTrialPage() {
  const { data: units = [] } = api.useUnitsQuery()
  const { data: rigs = [] } = api.useRigsQuery()
  const [start] = api.useStartTrialMutation()
  const navigate = useNavigate()
  const [id] = useState(() => v7())
  const [form, setForm] = useState({
    unit: '',
    rig: '',
    title: '',
    by: localStorage.getItem('initials') ?? '',
  })
  const [problem, setProblem] = useState<Problem>()
  const errorAt = (path: string) => problem?.fields?.find((field) => field.path === path)?.message
  const set = (patch: Partial<typeof form>) => setForm({ ...form, ...patch })

  const submit = async (event: FormEvent) => {
    event.preventDefault()
    const unit = units.find((candidate) => candidate.id === form.unit)
    const wanted = safeParse(NewTrial, { ...form, id, title: form.title || (unit?.name ?? '') })
    const fields = [
      ...(form.unit ? [] : [{ path: 'unit', message: 'Choose the unit to test.' }]),
      ...(form.rig ? [] : [{ path: 'rig', message: 'Choose the rig it stands on.' }]),
      ...(wanted.success
        ? []
        : sentences(wanted.error).filter(
            (field) => field.path !== 'unit' && field.path !== 'rig' && field.path !== 'title',
          )),
    ]
    if (!wanted.success || fields.length) {
      setProblem({ type: 'about:blank', title: 'The trial cannot start yet.', status: 422, fields })
      return
    }
    try {
      await start(wanted.data).unwrap()
      localStorage.setItem('initials', form.by)
      await navigate(`/trials/${id}/look-over`)
    } catch (error) {
      setProblem(problemOf(error))
    }
  }

  const choose = (documents: readonly { id: string; name: string }[], what: string) => [
    ['', `choose a ${what}`] as const,
    ...documents.map((document) => [document.id, document.name] as const),
  ]
  return (
    <Page title="Start a trial">
      <p className="text-quiet mb-3 max-w-prose">
        Unit, rig and meters are frozen into the trial as they stand now. When the rig changes later, the
        trial gets a new rig revision, and earlier readings stay where they were.
      </p>
      <form noValidate onSubmit={(event) => void submit(event)} className="grid max-w-xl gap-3">
        {problem && <ProblemNotice problem={problem} />}
        <SelectField
          label="Unit"
          value={form.unit}
          onChange={(event) => set({ unit: event.target.value })}
          options={choose(units, 'unit')}
          error={errorAt('unit')}
        />
        {units.length === 0 && (
          <p>
            There is no unit yet:{' '}
            <Link className="plain-link" to="/units/new">
              add one
            </Link>{' '}
            first.
          </p>
        )}
        <SelectField
          label="Rig"
          value={form.rig}
          onChange={(event) => set({ rig: event.target.value })}
          options={choose(rigs, 'rig')}
          error={errorAt('rig')}
        />
        {rigs.length === 0 && (
          <p>
            There is no rig yet:{' '}
            <Link className="plain-link" to="/rigs/new">
              add one
            </Link>{' '}
            first.
          </p>
        )}
        <TextField
          label="Title"
          value={form.title}
          onChange={(event) => set({ title: event.target.value })}
          placeholder="the unit’s name, unless you say otherwise"
          error={errorAt('title')}
        />
        <TextField
          label="Your initials"
          value={form.by}
          onChange={(event) => set({ by: event.target.value })}
          error={errorAt('by')}
        />
        <div>
          <button type="submit" className="action action-main">
            Start
          </button>
        </div>
      </form>
    </Page>
  )
}
