import type { Problem, Quantity } from '@even-watt/contract'
import { nextPosition } from '@even-watt/core'
import { format } from 'date-fns'
import { useMemo, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { v7 } from 'uuid'
import { api, problemOf } from '../api/api'
import { RangeChoice } from '../evidence/RangeChoice'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { ChooseFile } from '../ui/ChooseFile'
import { ColumnTable } from '../ui/ColumnTable'
import { Notice, ProblemNotice } from '../ui/Notice'
import { mapRows } from './mapping'
import { guessMapping, targets, type Mapping, type Target } from './targets'
import { bounds, readTable, TableError, type Table } from './readTable'

/** Readings from a spreadsheet: choose a file, say what each column is, look, take them in, all or none. */
export function ImportReadingsPage() {
  const [table, setTable] = useState<Table>()
  const [progress, setProgress] = useState<number>()
  const [failure, setFailure] = useState<string>()
  const cancel = useRef<AbortController | undefined>(undefined)

  const take = async (file: File | undefined) => {
    if (!file) return
    setFailure(undefined)
    setTable(undefined)
    cancel.current = new AbortController()
    try {
      setProgress(0)
      setTable(await readTable(file, setProgress, cancel.current.signal))
    } catch (error) {
      setFailure(error instanceof TableError ? error.message : 'The file cannot be read.')
    } finally {
      setProgress(undefined)
    }
  }
  return (
    <>
      <StageHead title="Import readings" />
      <p className="max-w-prose">
        A CSV from a spreadsheet: headings in the first row, a reading in each row after it. Commas,
        semicolons or tabs; decimal points or commas. Readings come onto the rig revision chosen above, on the
        meters it hangs up.
      </p>
      <ChooseFile
        accept=".csv,.tsv,.txt,text/csv"
        className="action mt-2 inline-block"
        onChoose={([file]) => void take(file)}
      >
        Choose a CSV
      </ChooseFile>
      {progress !== undefined && (
        <p role="status" className="mt-2">
          Reading, {Math.round(progress * 100)} % …{' '}
          <button type="button" className="plain-link" onClick={() => cancel.current?.abort()}>
            Cancel
          </button>
        </p>
      )}
      {failure && <Notice kind="problem">{failure} Nothing was taken in.</Notice>}
      {table && <MapAndTake key={table.header.join()} table={table} />}
    </>
  )
}

const today = () => format(new Date(), 'yyyy-MM-dd')
const shownFaults = 8
const shownRows = 6

function MapAndTake({ table }: { table: Table }) {
  const { trial, analysis } = useTrial()
  const [mapping, setMapping] = useState<Mapping>(() => guessMapping(table.header))
  const [thdInPercent, setThdInPercent] = useState(true)
  const [day, setDay] = useState(() => today())
  const [ranges, setRanges] = useState<ReadonlyMap<Quantity, string>>(new Map())
  const [leaveOut, setLeaveOut] = useState(false)
  const [problem, setProblem] = useState<Problem>()
  const [send, { isLoading }] = api.useSendEntriesMutation()
  const { refetch } = api.useEntriesQuery(trial.id)
  const navigate = useNavigate()
  const { revision } = analysis.record
  const last = nextPosition(analysis.ladder.recorded)
  const mapped = useMemo(
    () =>
      mapRows(table.rows, mapping, {
        revision,
        position: last,
        at: new Date().toISOString(),
        newId: v7,
        thdInPercent,
        day,
        ranges,
        header: table.header,
      }),
    [table, mapping, revision, last, thdInPercent, day, ranges],
  )
  const { entries, faults } = mapped
  const largest = useMemo(() => {
    const most = new Map<Quantity, number>()
    for (const { quantity, value } of entries.flatMap(({ reading }) => reading.values))
      most.set(quantity, Math.max(most.get(quantity) ?? 0, Math.abs(value)))
    return most
  }, [entries])
  const broken = new Set(faults.map((fault) => fault.row)).size
  const tooMany = entries.length > bounds.atOnce
  const ready = entries.length > 0 && !tooMany && (broken === 0 || leaveOut)

  const choose = (column: number, target: Target | '') => {
    const next = new Map([...mapping].filter(([other, taken]) => other !== column && taken !== target))
    if (target) next.set(column, target)
    setMapping(next)
  }
  const takeIn = async () => {
    try {
      await send({ trial: trial.id, entries: [...entries] }).unwrap()
      await refetch()
      await navigate(`/trials/${trial.id}/ladder?rig=${revision.number}`)
    } catch (error) {
      setProblem(problemOf(error))
    }
  }
  return (
    <section className="mt-4">
      <h2>What each column is</h2>
      <ColumnTable
        headings={table.header}
        rows={table.rows.slice(0, shownRows)}
        firstRow={2}
        isUsed={(column) => mapping.has(column)}
        choice={(i, said) => (
          <select
            className="input"
            value={mapping.get(i) ?? ''}
            aria-label={`What column ${said} is`}
            onChange={(event) => choose(i, event.target.value as Target | '')}
          >
            <option value="">left out</option>
            {targets.map((target) => (
              <option key={target} value={target}>
                {target}
              </option>
            ))}
          </select>
        )}
      />
      {table.rows.length > shownRows && (
        <p className="text-quiet">and {table.rows.length - shownRows} more rows</p>
      )}
      {[...mapping.values()].includes('THD') && (
        <label className="mt-2 flex items-center gap-2">
          <input
            type="checkbox"
            checked={thdInPercent}
            onChange={(event) => setThdInPercent(event.target.checked)}
          />{' '}
          THD is in per cent
        </label>
      )}
      {[...mapping.values()].includes('time') && (
        <label className="mt-2 flex items-center gap-2">
          Times of day are of
          <input
            type="date"
            className="input w-auto"
            value={day}
            onChange={(event) => setDay(event.target.value || today())}
          />
        </label>
      )}
      {revision.rig.assignments.map(({ quantity, meter }) =>
        quantity === 'idle I' ? null : (
          <RangeChoice
            key={`${quantity} ${meter}`}
            quantity={quantity}
            meter={meter}
            value={largest.get(quantity)}
            range={ranges.get(quantity) ?? ''}
            onChange={(range) => setRanges(new Map([...ranges, [quantity, range]]))}
          />
        ),
      )}
      <p className="mt-3 font-semibold">
        {entries.length} readings in {new Set(entries.map((entry) => entry.reading.step)).size} steps can be
        taken in.
      </p>
      {tooMany && (
        <Notice kind="problem">
          That is more than {bounds.atOnce} at once. Split the file; nothing was taken in.
        </Notice>
      )}
      {broken > 0 && (
        <Notice kind="problem" word={`${broken} row${broken > 1 ? 's' : ''}`}>
          <ul>
            {faults.slice(0, shownFaults).map((fault, i) => (
              <li key={i}>
                Row {fault.row}: {fault.sentence}
              </li>
            ))}
            {faults.length > shownFaults && <li>and {faults.length - shownFaults} more</li>}
          </ul>
          <label className="mt-1 flex items-center gap-2">
            <input
              type="checkbox"
              checked={leaveOut}
              onChange={(event) => setLeaveOut(event.target.checked)}
            />{' '}
            Leave {broken === 1 ? 'this row' : 'these rows'} out and take the rest
          </label>
        </Notice>
      )}
      {problem && <ProblemNotice problem={problem} />}
      <button
        type="button"
        className="action action-main mt-2"
        disabled={!ready || isLoading}
        onClick={() => void takeIn()}
      >
        {isLoading ? 'Taking them in …' : `Take ${entries.length} readings in`}
      </button>
    </section>
  )
}
