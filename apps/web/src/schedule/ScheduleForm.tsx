import { TZDate } from '@date-fns/tz'
import { Schedule } from '@even-watt/contract'
import { useForm } from 'react-hook-form'
import { readNumber, SelectField, TextField, typed } from '../ui/form'
import { contractResolver, type Report } from '../ui/resolver'

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

/** A schedule from what was typed; what cannot be read is named at its field. */
function contentOf(form: Record<Field, string>, schedule: Schedule, report: Report): unknown {
  const number = (field: Field, factor = 1) => {
    const { value, why } = readNumber(form[field])
    report(field, why)
    return value === undefined ? undefined : value * factor
  }
  const charge = number('charge', 0.01)
  if (charge !== undefined && (charge < 0 || charge > 1))
    report('charge', 'State of charge: from 0 to 100 %.')
  return {
    ...schedule,
    startsAt: startOf(form, report) ?? schedule.startsAt,
    timeZone: form.timeZone,
    opens: form.opens.trim(),
    closes: form.closes.trim(),
    charge,
    charger: number('charger'),
    settle: number('settle'),
    dwell: number('dwell'),
    reading: number('reading'),
    checkEvery: number('checkEvery'),
  }
}

/** The moment it begins, as the clock of its time zone shows it. */
function startOf(form: Record<Field, string>, report: Report): string | undefined {
  const date = /^(\d{4})-(\d\d)-(\d\d)$/.exec(form.date.trim())
  const time = /^(\d?\d):(\d\d)$/.exec(form.time.trim())
  if (!date) report('date', 'Begins on: a date like 2026-03-12.')
  if (!time) report('time', 'Begins at: a time of day like 09:00.')
  if (!date || !time) return undefined
  const [year = 0, month = 0, day = 0] = date.slice(1).map(Number)
  const [hours = 0, minutes = 0] = time.slice(1).map(Number)
  const starts = new TZDate(year, month - 1, day, hours, minutes, form.timeZone)
  if (starts.getMonth() !== month - 1 || hours > 23 || minutes > 59) {
    report('date', `Begins on: there is no ${form.date} ${form.time}.`)
    return undefined
  }
  return new Date(starts.getTime()).toISOString()
}

interface Props {
  readonly schedule: Schedule
  readonly onSave: (schedule: Schedule) => void
}

/** When, how full, and how long a step takes. A block that is moved meanwhile takes nothing away that was typed here. */
export function ScheduleForm({ schedule, onSave }: Props) {
  const stands = typedFrom(schedule)
  return <Fields key={JSON.stringify(stands)} stands={stands} schedule={schedule} onSave={onSave} />
}

function Fields({ stands, schedule, onSave }: Props & { readonly stands: Record<Field, string> }) {
  const { register, handleSubmit, formState } = useForm<Record<Field, string>, unknown, Schedule>({
    defaultValues: stands,
    reValidateMode: 'onSubmit',
    resolver: contractResolver(Schedule, (form: Record<Field, string>, report) =>
      contentOf(form, schedule, report),
    ),
  })
  const field = (name: Field) => ({ ...register(name), error: formState.errors[name]?.message })
  const submit = handleSubmit(onSave)
  return (
    <form
      noValidate
      onSubmit={(event) => void submit(event)}
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
