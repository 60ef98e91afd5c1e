import { mainsSystems, Settings, type Problem, type StoredSettings } from '@even-watt/contract'
import type { Writing } from '@even-watt/core'
import { useState } from 'react'
import { safeParse } from 'zod/mini'
import { api, problemOf } from '../api/api'
import { answer } from '../ui/answers'
import { same, SelectField, TextField } from '../ui/form'
import { KeptNotice } from '../ui/KeptNotice'
import { Loaded } from '../ui/Loaded'
import { ProblemNotice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { chooseUnits } from '../ui/units'
import { useKept } from '../ui/useKept'

/** What stands in the fields before the bench was asked. */
const blank: StoredSettings = { mains: '230 V 50 Hz', currency: 'EUR', version: 0 }

type Options = readonly [readonly [string, string], ...(readonly (readonly [string, string])[])]

/** How figures are typed and read; the first of each is what a bench begins with. */
const choices: readonly (readonly [name: keyof Writing, label: string, options: Options])[] = [
  [
    'decimal',
    'Decimal mark',
    [
      ['.', '12.8 (point)'],
      [',', '12,8 (comma)'],
    ],
  ],
  [
    'length',
    'Lengths in',
    [
      ['m', 'metres, millimetres'],
      ['ft', 'feet, inches'],
    ],
  ],
  [
    'temperature',
    'Temperatures in',
    [
      ['°C', '°C'],
      ['°F', '°F'],
    ],
  ],
  [
    'mass',
    'Masses in',
    [
      ['kg', 'kilograms'],
      ['lb', 'pounds'],
    ],
  ],
  [
    'gauge',
    'Cable sizes read in',
    [
      ['mm²', 'mm²'],
      ['AWG', 'AWG'],
    ],
  ],
  [
    'torque',
    'Torques in',
    [
      ['N·m', 'N·m'],
      ['lb·in', 'lb·in'],
    ],
  ],
  [
    'motors',
    'Motors’ shaft power in',
    [
      ['W', 'watts'],
      ['hp', 'horsepower'],
    ],
  ],
]

/** What a bench is asked once, to be changed later. */
export function SettingsPage() {
  const settings = api.useSettingsQuery()
  return (
    <Page title="This bench">
      <p className="text-quiet mb-3 max-w-prose">
        Asked once, and what new units begin with. A unit typed with a number always counts: “4 ft”, “104 °F”,
        “9 lb”. So do both 12.8 and 12,8. Files that are saved or exported keep the decimal point.
      </p>
      <Loaded query={settings} what="what the bench was asked">
        {(known) => <Fields known={known ?? blank} />}
      </Loaded>
    </Page>
  )
}

function Fields({ known: { version, ...known } }: { readonly known: StoredSettings }) {
  const { typed: form, ...kept } = useKept<Settings>('this bench', known)
  const [problem, setProblem] = useState<Problem>()
  const [save] = api.useSaveSettingsMutation()
  // What a use needs is edited elsewhere, and may be newer than what was typed here.
  const read = safeParse(Settings, { ...form, suits: known.suits })
  const change = (patch: Partial<Record<keyof Settings, string>>) =>
    kept.put({ ...form, ...patch } as Settings)
  const submit = async () => {
    if (!read.success) return
    try {
      await save({ editedFrom: version, content: read.data }).unwrap()
      chooseUnits(read.data)
      kept.saved(form, form)
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
      {kept.restored && (
        <div className="col-span-2">
          <KeptNotice onDiscard={kept.discard} />
        </div>
      )}
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
      {choices.map(([name, label, options]) => (
        <SelectField
          key={name}
          label={label}
          value={form[name] ?? options[0][0]}
          onChange={(event) => change({ [name]: event.target.value })}
          options={options}
        />
      ))}
      <button type="submit" className="action action-main col-span-2 w-fit">
        Save
      </button>
    </form>
  )
}
