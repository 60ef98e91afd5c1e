import type { Comparator, OwnLimit, Settings } from '@even-watt/contract'
import { comparators } from '@even-watt/contract'
import { capital, parseNumber, parseTemperature, sayLimit, unitOfChosen } from '@even-watt/core'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, problemOf } from '../api/api'
import { Verdict } from '../evidence/Verdict'
import { useSaveSettings } from '../trials/useSaveSettings'
import type { TrialState } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { SelectField, TextField } from '../ui/form'
import { ChooseFigure } from './ChooseFigure'
import { useOnRig } from './useOnRig'
import { useOwnLimits, type LimitScope, type ScopedLimit } from './useOwnLimits'

interface Props {
  readonly state: TrialState
  readonly editable?: boolean
}

/** Limits of the tester’s own for any figure, each with how it was kept. */
export function OwnLimits({ state, editable = false }: Props) {
  const { trial, view, analysis } = state
  const limits = useOwnLimits(trial, useOnRig(view.analyses, analysis))
  if (!limits.length && !editable) return null
  return (
    <section className="mt-5">
      <h2>Limits of your own</h2>
      <ul>
        {limits.map((one) => (
          <Line key={one.limit.id} of={one} state={state} editable={editable} />
        ))}
      </ul>
      {editable && <AddLimit state={state} />}
    </section>
  )
}

function Line({ of, state, editable }: { readonly of: ScopedLimit } & Required<Props>) {
  const { put } = usePutLimits(state)
  return (
    <li className="break-inside-avoid border-b border-rule py-1">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span className="min-w-64 font-semibold">{capital(of.words)}</span>
        <Verdict outcome={of.outcome} />
        {of.scope === 'every trial' && <span className="text-quiet">of this bench</span>}
        {editable && (
          <button
            type="button"
            className="plain-link no-print ml-auto"
            aria-label={`Drop the limit: ${of.words}`}
            onClick={() => void put(of.scope, (all) => all.filter(({ id }) => id !== of.limit.id))}
          >
            Drop it
          </button>
        )}
      </p>
      <p className="text-quiet max-w-4xl text-[0.9rem]">{of.sentence}</p>
    </li>
  )
}

type Change = (all: readonly OwnLimit[]) => readonly OwnLimit[]

/** Keeps limits where they belong: with the trial, or with the bench. */
function usePutLimits({ trial }: TrialState) {
  const { save } = useSaveSettings()
  const { data: settings } = api.useSettingsQuery()
  const [saveBench] = api.useSaveSettingsMutation()
  const putBench = async (change: Change) => {
    if (!settings) {
      answer('Say first what mains your place has: Settings, This bench.')
      return
    }
    const { version, ...rest } = settings
    const content: Settings = { ...rest, ownLimits: [...change(settings.ownLimits ?? [])] }
    try {
      await saveBench({ editedFrom: version, content }).unwrap()
    } catch (error) {
      answer(problemOf(error).title)
    }
  }
  return {
    put: async (scope: LimitScope, change: Change) => {
      if (scope === 'every trial') await putBench(change)
      else await save({ ownLimits: [...change(trial.ownLimits ?? [])] })
    },
  }
}

const usual: Pick<OwnLimit, 'of' | 'is'> = {
  of: { figure: 'V_C', held: { against: 'nothing connected', as: 'per cent' } },
  is: 'within ±',
}

const scopes: readonly (readonly [LimitScope, string])[] = [
  ['this trial', 'this trial'],
  ['every trial', 'every trial of this bench'],
]

function AddLimit({ state }: { readonly state: TrialState }) {
  const { put } = usePutLimits(state)
  const [open, setOpen] = useState(false)
  const [{ of, is }, setLimit] = useState(usual)
  const [typed, setTyped] = useState('')
  const [scope, setScope] = useState<LimitScope>('this trial')
  const [tried, setTried] = useState(false)
  const unit = unitOfChosen(of)
  const read = unit === '°C' ? parseTemperature(typed) : parseNumber(typed)
  if (!open)
    return (
      <button type="button" className="plain-link no-print mt-1" onClick={() => setOpen(true)}>
        Set a limit of your own
      </button>
    )
  return (
    <form
      className="no-print mt-2 flex max-w-5xl flex-wrap items-start gap-3"
      aria-label="A limit of your own"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        setTried(true)
        if (!read.ok) return
        const limit: OwnLimit = { id: v7(), of, is, value: read.value }
        void put(scope, (all) => [...all, limit])
        answer(`${capital(sayLimit(limit))} is judged now.`)
        setTyped('')
        setTried(false)
      }}
    >
      <ChooseFigure value={of} of="all" onChange={(next) => setLimit({ of: next, is })} />
      <SelectField
        label="It may be"
        value={is}
        options={comparators.map((one) => [one, one] as const)}
        onChange={({ target }) => setLimit({ of, is: target.value as Comparator })}
      />
      <SelectField
        label="It holds in"
        value={scope}
        options={scopes}
        onChange={({ target }) => setScope(target.value === 'every trial' ? 'every trial' : 'this trial')}
      />
      <TextField
        label="Limit"
        unit={unit || undefined}
        value={typed}
        inputMode="decimal"
        error={tried && !read.ok ? read.why : undefined}
        onChange={({ target }) => setTyped(target.value)}
      />
      <button type="submit" className="action mt-5">
        Set it
      </button>
      <button type="button" className="plain-link mt-6" onClick={() => setOpen(false)}>
        Close
      </button>
    </form>
  )
}
