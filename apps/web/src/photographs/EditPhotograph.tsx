import { markShapes, photographed, type Mark } from '@even-watt/contract'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { capture } from '../outbox/capture'
import { TakingBack } from '../trials/TakingBack'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { ChooseOne } from '../ui/ChooseOne'
import { SelectField, TextField, same } from '../ui/form'
import { Notice } from '../ui/Notice'
import { UndoRedo } from '../ui/UndoRedo'
import { useHistory } from '../ui/useHistory'
import { useKept } from '../ui/useKept'
import { useThings } from './about'
import { MarkList } from './MarkList'
import { MarkingArea } from './MarkingArea'
import { sayPhotograph } from './sayPhotograph'
import { useMarking, type Shape } from './useMarking'
import type { PhotographEntry } from './usePhotographs'

interface Draft {
  readonly shows: string
  readonly about: string
  readonly alt: string
  readonly note: string
  readonly marks: Mark[]
}

const draftOf = ({ reading }: PhotographEntry): Draft => ({
  shows: reading.shows ?? '',
  about: reading.about ?? '',
  alt: reading.alt ?? '',
  note: reading.note ?? '',
  marks: [...reading.marks],
})

const shapeWords: Record<Shape, string> = { ring: 'Ring', arrow: 'Arrow', words: 'Words' }

/** One photograph large: what it shows and is of, what is marked on it. What is kept replaces what was said before. */
export function EditPhotograph({ entry }: { entry: PhotographEntry }) {
  const { trial } = useTrial()
  const navigate = useNavigate()
  const things = useThings()
  const claims = trial.revisions
    .slice(-1)
    .flatMap(({ unit }) => unit.claims.map(({ id }) => [id, things.get(id) ?? ''] as const))
  const { typed: draft, ...kept } = useKept(`photograph ${entry.id}`, draftOf(entry))
  const [shape, setShape] = useState<Shape>('ring')
  const [faults, setFaults] = useState<readonly string[]>([])
  const [takingBack, setTakingBack] = useState<string>()
  const put = (change: Partial<Draft>) => {
    kept.put({ ...draft, ...change })
  }
  const marking = useMarking(draft.marks, (marks) => put({ marks }))
  const history = useHistory(draft.marks, (marks) => put({ marks }))
  const changed = JSON.stringify(draft) !== JSON.stringify(draftOf(entry))
  const sheet = `/trials/${trial.id}/report/photographs`
  const keep = () => {
    const said = Object.entries({ shows: draft.shows, about: draft.about, alt: draft.alt, note: draft.note })
      .map(([name, text]) => [name, text.trim()] as const)
      .filter(([, text]) => text)
    const { sha256, size, name, type, width, height, takenAt } = entry.reading
    const captured = capture(trial.id, {
      revision: entry.revision,
      at: entry.at,
      kind: 'photograph',
      reading: {
        ...{ sha256, size, name, type, width, height, marks: draft.marks },
        ...(takenAt === undefined ? {} : { takenAt }),
        ...Object.fromEntries(said),
      },
      replaces: { entry: entry.id, why: 'described or marked anew' },
    })
    if ('faults' in captured) return setFaults(captured.faults.map(({ message }) => message))
    kept.saved(draft, draft)
    answer('The photograph is kept as it is marked.')
    void navigate(sheet)
  }
  const alt = sayPhotograph(entry, things)
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <div className="min-w-0">
        <div className="no-print mb-2 flex flex-wrap items-center gap-x-4 gap-y-1">
          <ChooseOne
            label="Draw"
            options={markShapes.map((one) => [one, shapeWords[one]] as const)}
            value={shape}
            onChange={setShape}
          />
          <UndoRedo {...history} />
        </div>
        <MarkingArea entry={entry} alt={alt} marks={draft.marks} marking={marking} shape={shape} />
      </div>
      <form
        noValidate
        className="grid content-start gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          keep()
        }}
      >
        <SelectField
          label="It shows"
          value={draft.shows}
          onChange={({ target }) => put({ shows: target.value })}
          options={[['', 'not said'], ...same(photographed)]}
        />
        <SelectField
          label="Of"
          value={draft.about}
          onChange={({ target }) => put({ about: target.value })}
          options={[['', 'the unit or the bench'], ...things]}
        />
        <TextField
          label="Words under it"
          value={draft.note}
          maxLength={1000}
          onChange={({ target }) => put({ note: target.value })}
        />
        <TextField
          label="What is seen, for those who do not see it"
          value={draft.alt}
          maxLength={500}
          placeholder={alt}
          onChange={({ target }) => put({ alt: target.value })}
        />
        <MarkList marks={draft.marks} marking={marking} shape={shape} claims={claims} />
        {faults.map((fault) => (
          <Notice key={fault} kind="problem">
            {fault}
          </Notice>
        ))}
        <div className="flex flex-wrap gap-2">
          <button type="submit" className="action action-main" disabled={!changed}>
            Keep it so
          </button>
          <Link className="action" to={sheet} onClick={kept.discard}>
            {changed ? 'Leave it as it was' : 'All photographs'}
          </Link>
          <button type="button" className="plain-link ml-auto" onClick={() => setTakingBack(entry.id)}>
            Take it back
          </button>
        </div>
      </form>
      <TakingBack
        entry={takingBack}
        what="this photograph"
        onDone={() => {
          setTakingBack(undefined)
        }}
      />
    </div>
  )
}
