import { useId } from 'react'
import { api } from '../api/api'
import { fanStates, NoiseReading } from '@even-watt/contract'
import { noisesOf, readingsOf, recordedOf, say, type Analysis } from '@even-watt/core'
import { VerdictLines } from '../findings/VerdictLines'
import { OddityNotices } from '../oddities/OddityNotices'
import { CaptureForm } from '../trials/CaptureForm'
import { FieldGrid } from '../trials/FieldGrid'
import { choice, number, perhaps, readFields, startOf, words } from '../trials/fields'
import { StageHead } from '../trials/StageHead'
import { Strip } from '../photographs/Strip'
import { SentenceList } from '../trials/SentenceList'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'
import { SelectField } from '../ui/form'
import { typedLength } from '../ui/units'

const fields = [
  number('level', 'Beside it', 'dB(A)'),
  number('background', 'With it switched off', 'dB(A)'),
  number('distance', 'Distance', 'm'),
  words('load', 'Load', 'lamp board'),
  number('watts', 'It takes', 'W'),
  choice('silent', 'The load itself', ['silent', 'makes noise']),
  perhaps('fan', 'Fan', fanStates),
]

/** How loud it is: every reading in a sentence, the background taken out where it can be. */
export function NoiseList({
  analysis,
  editable = false,
}: {
  readonly analysis: Analysis
  readonly editable?: boolean
}) {
  const { view } = useTrial()
  const said = new Map(noisesOf(analysis).map(({ entry, sentence }) => [entry.id, sentence]))
  return (
    <SentenceList
      what="this reading"
      editable={editable}
      beside={(entry) => <Strip subject={{ about: entry }} of="this reading" />}
      lines={recordedOf(analysis.record, 'noise').map(({ id, reading }) => ({
        entry: id,
        sentence: said.get(id) ?? say(reading.level, 'dB(A)'),
        note: reading.note,
        why: view.record.struckWhy.get(id),
      }))}
    />
  )
}

/** How loud it is, with loads that make no noise of their own. */
export function NoisePage() {
  const { analysis, view } = useTrial()
  // Only those that make no noise of their own are offered.
  const { data: loads = [] } = api.useLoadsQuery()
  const silent = useId()
  const readings = readingsOf(analysis.record, 'noise')
  const oddities = useOddities().filter(({ number }) => number === 36)
  const meters = analysis.record.revision.meters.filter(({ ranges }) =>
    ranges.some(({ reads }) => reads === 'sound level'),
  )
  const state = useCaptureForm({
    what: 'noise',
    start: { ...startOf(fields), distance: typedLength(1), meter: meters[0]?.id ?? '' },
    schema: NoiseReading,
    read: (from) => ({
      ...readFields(fields, from),
      silent: from.text('silent') === 'silent',
      meter: from.text('meter'),
      note: from.text('note'),
    }),
    entry: (reading) => ({ kind: 'noise', reading }),
  })
  return (
    <>
      <StageHead title="Noise" />
      <VerdictLines findings={view.findings.filter(({ claim }) => claim.quantity === 'noise')} />
      <OddityNotices oddities={oddities} />
      {readings.length === 0 && (
        <p className="max-w-prose">
          Not listened to yet. Read the level a metre away with a load that is silent, and once more with the
          unit switched off.
        </p>
      )}
      <NoiseList analysis={analysis} editable />
      <CaptureForm title="Listen" state={state} className="mt-3">
        <datalist id={silent}>
          {loads
            .filter(({ loud }) => !loud)
            .map(({ id, name }) => (
              <option key={id} value={name} />
            ))}
        </datalist>
        <FieldGrid fields={fields} state={state} more={{ load: { list: silent } }}>
          <SelectField
            label="Sound level meter"
            {...state.field('meter')}
            options={[...meters.map(({ id, name }) => [id, name] as const), ['', 'another, taken as ± 2 dB']]}
          />
        </FieldGrid>
      </CaptureForm>
    </>
  )
}
