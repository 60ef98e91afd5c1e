import { BegunLog, chargeSources, fullMeanings, type LogKind } from '@even-watt/contract'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { CaptureForm } from '../trials/CaptureForm'
import { FieldGrid } from '../trials/FieldGrid'
import { choice, number, perhaps, readFields, startOf, words, type Field } from '../trials/fields'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { ChooseOne } from '../ui/ChooseOne'
import { TextField } from '../ui/form'

const percent = { factor: 0.01 }
const minutes = { factor: 60 }
const loadKinds = ['element', 'filament', 'electronic', 'mixed'] as const

const load = [words('load', 'Load', 'sand oven, low'), number('watts', 'About', 'W')]
/** What each kind of log asks before it begins: nothing of it must be known. */
const fieldsOf: Readonly<Record<LogKind, readonly Field[]>> = {
  'rated hold': [
    ...load,
    number('planned', 'Meant to last', 'min', minutes),
    perhaps('kind', 'Kind of load', loadKinds),
  ],
  'tier hold': [
    ...load,
    number('planned', 'Meant to last', 'min', minutes),
    perhaps('kind', 'Kind of load', loadKinds),
  ],
  'run-down': [
    ...load,
    perhaps('full', 'How it was known to be full', fullMeanings),
    number('charge', 'Its gauge says', '%', percent),
    perhaps('kind', 'Kind of load', loadKinds),
  ],
  soak: [
    words('port', 'Port that is soaked', 'USB-C'),
    number('watts', 'About', 'W'),
    number('planned', 'Meant to last', 'min', minutes),
  ],
  charge: [choice('source', 'Charged by', chargeSources), number('charge', 'Its gauge says', '%', percent)],
  idle: [
    words('mode', 'Mode', 'search'),
    number('charge', 'Its gauge says', '%', percent),
    number('planned', 'Meant to last', 'min', minutes),
  ],
}

const nameOfKind: Readonly<Record<LogKind, string>> = {
  'rated hold': 'Hold at rated power',
  'tier hold': 'Hold of another tier',
  'run-down': 'Run-down',
  soak: 'Soak of a port',
  charge: 'Charge',
  idle: 'Hours of idle',
}

interface Props {
  readonly kinds: readonly [LogKind, ...LogKind[]]
}

/** Begins a log: now, or when it really began, where a logger or a pen was quicker. */
export function BeginLog({ kinds }: Props) {
  const [kind, setKind] = useState<LogKind>(kinds[0])
  return (
    <section className="no-print mt-5">
      <h2>Begin</h2>
      {kinds.length > 1 && (
        <ChooseOne
          label="What is begun"
          options={kinds.map((one) => [one, nameOfKind[one]] as const)}
          value={kind}
          onChange={setKind}
        />
      )}
      <BeginForm key={kind} kind={kind} />
    </section>
  )
}

function BeginForm({ kind }: { kind: LogKind }) {
  const { trial, analysis } = useTrial()
  const navigate = useNavigate()
  const fields = fieldsOf[kind]
  const state = useCaptureForm({
    what: `beginning (${kind})`,
    start: startOf(fields),
    schema: BegunLog,
    read: (from) => {
      const at = from.text('began')
      if (at !== undefined && !Number.isFinite(Date.parse(at)))
        from.report('began', 'Began at: a date and a time, or nothing for now.')
      return { what: kind, note: from.text('note'), ...readFields(fields, from) }
    },
    entry: (reading, { began }) => ({
      kind: 'log',
      reading,
      ...(began ? { at: new Date(began).toISOString() } : {}),
    }),
    onTaken: ({ id }) =>
      void navigate(`/trials/${trial.id}/endurance/log?of=${id}&rig=${analysis.record.revision.number}`),
  })
  return (
    <CaptureForm title={nameOfKind[kind]} state={state} className="mt-2" action="Begin">
      <FieldGrid fields={fields} state={state}>
        <TextField label="Began at" type="datetime-local" hint="empty: now" {...state.field('began')} />
        <TextField label="Note" {...state.field('note')} className="col-span-2" />
      </FieldGrid>
    </CaptureForm>
  )
}
