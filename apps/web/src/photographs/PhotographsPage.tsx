import { photographed, type Photographed } from '@even-watt/contract'
import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { shortDate, shortTime } from '../ui/dates'
import { SelectField } from '../ui/form'
import { useThings } from './about'
import { EditPhotograph } from './EditPhotograph'
import { Picture } from './Picture'
import { sayPhotograph } from './sayPhotograph'
import { TakePhotograph } from './TakePhotograph'
import { keepOriginals, originalsKept } from './take'
import { takenAt, usePhotographs, type PhotographEntry } from './usePhotographs'

/** All photographs of the trial in the order in which they were taken; one of them, to be marked and described. */
export function PhotographsPage() {
  const photographs = usePhotographs(useTrial())
  const [parameters] = useSearchParams()
  const wanted = parameters.get('photograph')
  const chosen = photographs.find(({ id }) => id === wanted)
  return (
    <>
      <StageHead title="Photographs" revisions={false} />
      {chosen ? <EditPhotograph key={chosen.id} entry={chosen} /> : <Sheet photographs={photographs} />}
    </>
  )
}

function Sheet({ photographs }: { photographs: readonly PhotographEntry[] }) {
  const things = useThings()
  const [shows, setShows] = useState<Photographed | ''>('')
  const [originals, setOriginals] = useState(originalsKept)
  const here = photographed.filter((one) => photographs.some(({ reading }) => reading.shows === one))
  const shown = shows === '' ? photographs : photographs.filter(({ reading }) => reading.shows === shows)
  return (
    <>
      <p className="text-quiet mb-2 max-w-prose">
        Turned upright and scaled; place, time and camera are taken out of the file. They leave with the
        trial, and stand in its report.
      </p>
      <div className="no-print mb-3 flex flex-wrap items-end gap-x-4 gap-y-2">
        <TakePhotograph className="action action-main" pasted>
          Take or choose photographs
        </TakePhotograph>
        <span className="text-quiet max-md:hidden">or drop them on the button, or paste one</span>
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={originals}
            onChange={({ target }) => {
              setOriginals(target.checked)
              keepOriginals(target.checked)
            }}
          />
          Keep the full size too, among the files
        </label>
        {here.length > 1 && (
          <SelectField
            label="Show"
            value={shows}
            onChange={({ target }) => setShows(photographed.find((one) => one === target.value) ?? '')}
            options={[['', `all ${photographs.length}`], ...here.map((one) => [one, one] as const)]}
          />
        )}
      </div>
      {photographs.length === 0 && (
        <p>
          No photograph yet. Begin with the label: it is where most promises stand, and the first thing a
          reader asks for.
        </p>
      )}
      <ul className="grid grid-cols-2 gap-x-4 gap-y-5 md:grid-cols-3 xl:grid-cols-4 print:grid-cols-3">
        {shown.map((entry) => (
          <li key={entry.id} className="min-w-0 break-inside-avoid">
            <Link to={`?photograph=${entry.id}`} className="block">
              <Picture entry={entry} alt={sayPhotograph(entry, things)} className="max-h-52 w-full" lazy />
              <span className="plain-link mt-1 block font-semibold break-words">
                {sayPhotograph(entry, things)}
              </span>
            </Link>
            {entry.reading.note && <span className="block break-words">{entry.reading.note}</span>}
            <Taken entry={entry} />
          </li>
        ))}
      </ul>
    </>
  )
}

function Taken({ entry }: { entry: PhotographEntry }) {
  const { unsent } = useTrial()
  return (
    <span className="text-quiet block text-[0.85rem]">
      {shortDate(takenAt(entry))} {shortTime(takenAt(entry))}
      {unsent.has(entry.id) && <span className="text-ochre"> ▲ unsent</span>}
    </span>
  )
}
