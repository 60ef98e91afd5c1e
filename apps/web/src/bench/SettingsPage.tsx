import { mainsSystems, Settings, type Problem } from '@even-watt/contract'
import { useState } from 'react'
import { safeParse } from 'zod/mini'
import { api, problemOf } from '../api/api'
import { answer } from '../ui/answers'
import { same, SelectField, TextField } from '../ui/form'
import { Loaded } from '../ui/Loaded'
import { ProblemNotice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { chooseUnits } from '../ui/units'

const blank: Settings = { mains: '230 V 50 Hz', currency: 'EUR' }

/** What a bench is asked once, to be changed later. */
export function SettingsPage() {
  const settings = api.useSettingsQuery()
  return (
    <Page title="This bench">
      <p className="text-quiet mb-3 max-w-prose">
        Asked once, and what new units begin with. Lengths and temperatures are stored in metres and °C
        whatever is chosen; a unit typed with a number (“4 ft”, “104 °F”) always counts.
      </p>
      <Loaded query={settings} what="what the bench was asked">
        {(known) => <Fields known={known ?? blank} />}
      </Loaded>
    </Page>
  )
}

function Fields({ known }: { readonly known: Settings }) {
  const [form, setForm] = useState(known)
  const [problem, setProblem] = useState<Problem>()
  const [save] = api.useSaveSettingsMutation()
  const read = safeParse(Settings, form)
  const change = (patch: Partial<Record<keyof Settings, string>>) =>
    setForm({ ...form, ...patch } as Settings)
  const submit = async () => {
    if (!read.success) return
    try {
      await save(read.data).unwrap()
      chooseUnits(read.data)
      setProblem(undefined)
      answer('Saved.')
    } catch (error) {
      setProblem(problemOf(error))
    }
  }
  return (
    <form
      noValidate
      className="grid max-w-xl grid-cols-2 gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
    >
      {problem && <ProblemNotice problem={problem} />}
      <SelectField
        label="Mains of your place"
        value={form.mains}
        onChange={(event) => change({ mains: event.target.value })}
        options={same(mainsSystems)}
      />
      <TextField
        label="Currency"
        value={form.currency}
        maxLength={3}
        onChange={(event) => change({ currency: event.target.value })}
        error={read.success ? undefined : read.error.issues[0]?.message}
      />
      <SelectField
        label="Lengths in"
        value={form.length ?? 'm'}
        onChange={(event) => change({ length: event.target.value })}
        options={[
          ['m', 'metres'],
          ['ft', 'feet'],
        ]}
      />
      <SelectField
        label="Temperatures in"
        value={form.temperature ?? '°C'}
        onChange={(event) => change({ temperature: event.target.value })}
        options={same(['°C', '°F'])}
      />
      <button type="submit" className="action action-main w-fit">
        Save
      </button>
    </form>
  )
}
