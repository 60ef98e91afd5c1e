import { isReading, type Entry } from '@even-watt/contract'
import { chapterMarks, type Marked } from '@even-watt/core'
import { format } from 'date-fns'
import { useMemo, useState } from 'react'
import { namesIn } from '../trials/naming'
import { useStages } from '../trials/stageContext'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { TextField } from '../ui/form'

/** A date and a time as a field of the browser has them, in the tester's own time. */
const asField = (instant: string) => format(new Date(instant), "yyyy-MM-dd'T'HH:mm:ss")

/** What nobody does before a camera. */
const besides: ReadonlySet<string> = new Set([
  'file',
  'photograph',
  'run',
  'prediction',
  'expectation',
  'came out',
])
const filmed = (entry: Entry) => isReading(entry) && !besides.has(entry.kind)

/** Chapter marks for those who film: what was read, at the film's own times. */
export function ChaptersPage() {
  const { entries, view } = useTrial()
  const stages = useStages()
  const events = useMemo(
    () =>
      entries
        .filter((entry) => filmed(entry) && !view.record.struckWhy.has(entry.id))
        .map((entry): Marked => ({ at: entry.at, words: namesIn(stages, entry) ?? entry.kind }))
        .sort((a, b) => a.at.localeCompare(b.at)),
    [entries, view, stages],
  )
  const [first] = events
  const [begins, setBegins] = useState(() => (first ? asField(first.at) : ''))
  const [minutes, setMinutes] = useState('')
  const start = Date.parse(begins)
  const length = Number(minutes.replace(',', '.'))
  const marks = Number.isFinite(start)
    ? chapterMarks(events, {
        begins: new Date(start).toISOString(),
        ...(length > 0 ? { ends: new Date(start + length * 60_000).toISOString() } : {}),
      })
    : []
  const text = marks.join('\n')
  return (
    <>
      <StageHead title="Chapters of a film" revisions={false} />
      <p className="max-w-prose">
        The record knows when everything was read. Say when the camera was started, by the same clock; what
        happened on film stands below, to be copied under it.
      </p>
      <div className="no-print my-3 flex flex-wrap items-start gap-3">
        <TextField
          label="The camera was started"
          type="datetime-local"
          step={1}
          value={begins}
          error={begins && !Number.isFinite(start) ? 'A day and a time, to the second.' : undefined}
          onChange={({ target }) => setBegins(target.value)}
        />
        <TextField
          label="The film lasts"
          unit="min"
          inputMode="decimal"
          placeholder="to the end"
          value={minutes}
          error={
            minutes.trim() && !(length > 0) ? `"${minutes.slice(0, 20)}" is no number of minutes.` : undefined
          }
          onChange={({ target }) => setMinutes(target.value)}
        />
        <button
          type="button"
          className="action action-main mt-5"
          disabled={!marks.length}
          onClick={() =>
            void navigator.clipboard
              .writeText(text)
              .then(() => answer('The chapter marks are copied.'))
              .catch(() => answer('This browser does not let them be copied: select them by hand.'))
          }
        >
          Copy {marks.length} marks
        </button>
      </div>
      {marks.length ? (
        <pre className="figures border-t border-rule pt-2 whitespace-pre-wrap" aria-label="Chapter marks">
          {text}
        </pre>
      ) : (
        <p className="text-quiet">Nothing was read while that film ran.</p>
      )}
    </>
  )
}
