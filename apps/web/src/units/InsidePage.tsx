import { Opened } from '@even-watt/contract'
import { readingsOf, sayLink } from '@even-watt/core'
import { Places } from '../photographs/Places'
import { CaptureForm } from '../trials/CaptureForm'
import { FieldGrid } from '../trials/FieldGrid'
import { number, readFields, words } from '../trials/fields'
import { SentenceList } from '../trials/SentenceList'
import { StageHead } from '../trials/StageHead'
import { useCaptureForm } from '../trials/useCaptureForm'
import { useTrial } from '../trials/useTrial'
import { Notice } from '../ui/Notice'
import { Section } from '../ui/Section'

const fields = [
  number('link', 'Across the internal link', 'V'),
  number('waited', 'Unplugged for', 'min', { factor: 60 }),
  words('note', 'Where it was read', 'across the two largest capacitors'),
]

/** The unit opened: first its cautions and the reading that says it is dead, then what is seen. */
export function InsidePage() {
  const { analysis, view } = useTrial()
  const { unit } = analysis.record.revision
  const read = readingsOf(view.record, 'opened')
  const last = read.at(-1)
  const state = useCaptureForm({
    what: 'reading of the link',
    start: {},
    schema: Opened,
    read: (from) => readFields(fields, from),
    entry: (reading) => ({ kind: 'opened', reading }),
  })
  if (unit.kind === 'power station')
    return (
      <>
        <StageHead title="Inside" revisions={false} />
        <Notice kind="problem" word="Leave it closed">
          A station has its store inside, which nobody can switch off: it is not opened.
        </Notice>
      </>
    )
  return (
    <>
      <StageHead title="Inside" revisions={false} />
      <p className="max-w-prose">
        Only who is qualified for it opens a unit. Unplugged from the bank and from every load; then wait. The
        high-voltage link inside, 170 to 400 V, stays charged for minutes: read it with a meter made for it
        before anything is touched, and read it again before every touch.
      </p>
      {last ? (
        <Notice kind={sayLink(last.reading.link).dead ? 'good' : 'problem'} word="The link">
          {sayLink(last.reading.link).sentence}
        </Notice>
      ) : (
        <Notice kind="odd" word="Not read">
          Nothing says yet that the link is dead.
        </Notice>
      )}
      <SentenceList
        what="this reading"
        editable
        lines={read.map(({ id, reading }) => ({
          entry: id,
          sentence: `${sayLink(reading.link).sentence}${reading.waited === undefined ? '' : ` Unplugged for ${Math.round(reading.waited / 60)} min.`}`,
          note: reading.note,
        }))}
      />
      <CaptureForm title="Read the link" state={state} className="mt-3">
        <FieldGrid fields={fields} state={state} />
      </CaptureForm>
      <Section title="What is seen">
        <p className="text-quiet max-w-prose">
          Joints that are dull or burnt, capacitors that bulge, a heat sink that is loose, the fuses’ rating,
          the fan’s bearing. Open a photograph to mark what is meant.
        </p>
        <Places shows={['inside', 'capacitors', 'heat sink', 'joints', 'fuses', 'fan', 'board', 'damage']} />
      </Section>
    </>
  )
}
