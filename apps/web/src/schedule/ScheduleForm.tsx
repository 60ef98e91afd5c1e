import { TZDate } from '@date-fns/tz'
import { Schedule, sentences } from '@even-watt/contract'
import { useState, type FormEvent } from 'react'
import { safeParse } from 'zod/mini'
import { readNumber, SelectField, TextField, typed } from '../ui/form'

type Field =
  | 'date'
  | 'time'
  | 'opens'
  | 'closes'
  | 'charge'
  | 'charger'
  | 'settle'
  | 'dwell'
  | 'reading'
  | 'checkEvery'
  | 'timeZone'

const two = (n: number) => String(n).padStart(2, '0')

function typedFrom(schedule: Schedule): Record<Field, string> {
  const starts = new TZDate(schedule.startsAt, schedule.timeZone)
  return {
    date: `${starts.getFullYear()}-${two(starts.getMonth() + 1)}-${two(starts.getDate())}`,
    time: `${two(starts.getHours())}:${two(starts.getMinutes())}`,
    opens: schedule.opens,
    closes: schedule.closes,
    charge: typed(schedule.charge, 100),
    charger: typed(schedule.charger),
    settle: typed(schedule.settle),
    dwell: typed(schedule.dwell),
    reading: typed(schedule.reading),
    checkEvery: typed(schedule.checkEvery),
    timeZone: schedule.timeZone,
  }
}

/** What was typed as a schedule, or the sentence for each field. */
function read(
  form: Record<Field, string>,
  schedule: Schedule,
): { next?: Schedule; faults: Map<string, string> } {
  const faults = new Map<string, string>()
  const number = (field: Field, factor = 1) => {
    const { value, why } = readNumber(form[field])
    if (why !== undefined) faults.set(field, why)
    return value === undefined ? undefined : value * factor
  }
  const date = /^(\d{4})-(\d\d)-(\d\d)$/.exec(form.date.trim())
  const time = /^(\d?\d):(\d\d)$/.exec(form.time.trim())
  if (!date) faults.set('date', 'Begins on: a date like 2026-03-12.')
  if (!time) faults.set('time', 'Begins at: a time of day like 09:00.')
  const charger = number('charger')
  const content = {
    ...schedule,
    timeZone: form.timeZone,
    opens: form.opens.trim(),
    closes: form.closes.trim(),
    charge: number('charge', 0.01),
    settle: number('settle'),
    dwell: number('dwell'),
    reading: number('reading'),
    checkEvery: number('checkEvery'),
    ...(charger === undefined ? {} : { charger }),
  }
  if (charger === undefined) delete content.charger
  if (date && time) {
    const [year = 0, month = 0, day = 0] = date.slice(1).map(Number)
    const [hours = 0, minutes = 0] = time.slice(1).map(Number)
    const starts = new TZDate(year, month - 1, day, hours, minutes, form.timeZone)
    if (starts.getMonth() !== month - 1 || hours > 23 || minutes > 59) {
      faults.set('date', `Begins on: there is no ${form.date} ${form.time}.`)
    } else content.startsAt = new Date(starts.getTime()).toISOString()
  }
  const checked = safeParse(Schedule, content)
  if (!checked.success) {
    for (const { path, message } of sentences(checked.error)) {
      if (!faults.has(path))
        faults.set(path, path === 'charge' ? 'State of charge: from 0 to 100 %.' : message)
    }
  }
  return checked.success && !faults.size ? { next: checked.data, faults } : { faults }
}

interface Props {
  readonly schedule: Schedule
  readonly onSave: (schedule: Schedule) => void
}

/** When, how full, and how long a step takes. */
export function ScheduleForm({ schedule, onSave }: Props) {
  const [form, setForm] = useState(() => typedFrom(schedule))
  const [faults, setFaults] = useState<ReadonlyMap<string, string>>(new Map())
  const field = (name: Field) => ({
    value: form[name],
    error: faults.get(name),
    onChange: (event: { target: { value: string } }) => setForm({ ...form, [name]: event.target.value }),
  })
  const submit = (event: FormEvent) => {
    event.preventDefault()
    const { next, faults: found } = read(form, schedule)
    setFaults(found)
    if (next) onSave(next)
  }
  return (
    <form
      noValidate
      onSubmit={submit}
      className="grid grid-cols-2 items-start gap-3 md:grid-cols-4 lg:grid-cols-6"
    >
      <TextField label="Begins on" type="date" {...field('date')} />
      <TextField label="Begins at" placeholder="09:00" {...field('time')} />
      <TextField label="Bench opens" placeholder="09:00" {...field('opens')} />
      <TextField label="Finish before" placeholder="17:00" {...field('closes')} />
      <TextField label="State of charge" unit="%" inputMode="decimal" {...field('charge')} />
      <TextField
        label="Charger between blocks"
        unit="A"
        inputMode="decimal"
        placeholder="the rig’s own"
        {...field('charger')}
      />
      <TextField label="Settling of the unit" unit="s" inputMode="decimal" {...field('settle')} />
      <TextField label="Dwell" unit="s" inputMode="decimal" {...field('dwell')} />
      <TextField label="Reading the meters" unit="s" inputMode="decimal" {...field('reading')} />
      <TextField label="Check-in every" unit="min" inputMode="decimal" {...field('checkEvery')} />
      <SelectField label="Time zone" {...field('timeZone')} options={zones(schedule.timeZone)} />
      <button type="submit" className="action action-main mt-4">
        Use these
      </button>
    </form>
  )
}

const zones = (own: string) =>
  [...new Set([own, 'UTC', ...Intl.supportedValuesOf('timeZone')])].map((zone) => [zone, zone] as const)
