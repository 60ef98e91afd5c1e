import { logQuantities } from '@even-watt/contract'
import { describeQuantity, type Log } from '@even-watt/core'
import { sayZone, zoneOf, type TableHead, type TakenLog } from '@even-watt/core/logs/read/index'
import { proxy, wrap } from 'comlink'
import { format } from 'date-fns'
import { useRef, useState } from 'react'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { ColumnTable } from '../ui/ColumnTable'
import { Notice } from '../ui/Notice'
import { beginsAt } from './beginsAt'
import { choicesOf, factorsOf, rememberMapping, usualOf, type Chosen, type Mapping } from './columns'
import { OfChoice, TimeChoice } from './ColumnChoices'
import { keepTable } from './keepTable'
import type { Taking } from './takingWorker'

const shownRows = 4

/** A table that was opened: its first rows, and what its columns are as far as that was recognised. */
export interface OpenedTable {
  readonly file: File
  readonly head: TableHead
  readonly mapping: Mapping | undefined
}

interface Props {
  readonly log: Log
  readonly opened: OpenedTable
  readonly onDone: () => void
}

/** The zone of its times is kept with what it says. */
const inItsZone = (taken: TakenLog, zone: number): TakenLog => ({
  ...taken,
  reading: {
    ...taken.reading,
    said: [`Times of the file are ${sayZone(zone)}.`, ...taken.reading.said].slice(0, 30),
  },
})

/** What each column of a table is, and its taking in by a worker that can be stopped. */
export function MapLog({ log, opened, onDone }: Props) {
  const { trial, analysis } = useTrial()
  const { revision } = analysis.record
  const { file, head } = opened
  const [mapping, setMapping] = useState<Mapping>(
    () => opened.mapping ?? { time: { column: 0, kind: 'seconds', monthFirst: false }, columns: [] },
  )
  const begun = new Date(log.entry.at)
  const [day, setDay] = useState(() => format(begun, 'yyyy-MM-dd'))
  const [progress, setProgress] = useState<number>()
  const [fault, setFault] = useState<string>()
  const worker = useRef<Worker | undefined>(undefined)
  const { time, columns } = mapping
  const choose = (column: number, patch: Partial<Chosen> | 'time') => {
    if (patch === 'time')
      return setMapping({
        time: { ...time, column },
        columns: columns.filter((one) => one.column !== column),
      })
    const known = columns.find((one) => one.column === column) ?? {
      column,
      heading: head.headings[column] ?? '',
      quantity: undefined,
      factor: 1,
      of: '',
    }
    const next = { ...known, ...patch }
    setMapping({
      ...mapping,
      columns: [...columns.filter((one) => one.column !== column), next].sort((a, b) => a.column - b.column),
    })
  }
  const zone = time.kind === 'date and time' ? zoneOf(head.sample[0]?.[time.column] ?? '') : undefined
  const take = async () => {
    setFault(undefined)
    setProgress(0)
    const own = new Worker(new URL('./takingWorker.ts', import.meta.url), { type: 'module' })
    worker.current = own
    try {
      const taken = await wrap<Taking>(own).take(file, head, time, choicesOf(mapping), proxy(setProgress))
      if ('why' in taken) return setFault(`${taken.why} Nothing was taken in.`)
      const { why } = await keepTable(
        trial.id,
        revision.number,
        log,
        file,
        zone === undefined ? taken : inItsZone(taken, zone),
        beginsAt(time.kind, taken.first, day, log.entry.at, zone),
      )
      if (why !== undefined) return setFault(why)
      rememberMapping(head, mapping)
      answer(`${file.name} is taken in: ${taken.reading.rows} rows.`)
      return onDone()
    } catch {
      setFault(
        `${file.name} could not be read to its end: it may have been moved or changed. Nothing was taken in.`,
      )
    } finally {
      own.terminate()
      setProgress(undefined)
    }
    return undefined
  }
  const cancel = () => {
    worker.current?.terminate()
    setProgress(undefined)
    setFault('Cancelled. Nothing was taken in.')
  }
  const named = columns.filter(({ quantity }) => quantity !== undefined)
  return (
    <div className="mt-3">
      <h3 className="font-semibold">What each column of {file.name} is</h3>
      <ColumnTable
        headings={head.headings}
        rows={head.sample.slice(0, shownRows)}
        choice={(i, said) => {
          const chosen = columns.find(({ column }) => column === i)
          return (
            <>
              <select
                className="input"
                aria-label={`What column ${said} is`}
                value={time.column === i ? 'time' : (chosen?.quantity ?? '')}
                onChange={(event) => {
                  const { value } = event.target
                  if (value === 'time') return choose(i, 'time')
                  const quantity = logQuantities.find((one) => one === value)
                  return choose(i, {
                    quantity,
                    factor: factorsOf(quantity)[0]?.[0] ?? 1,
                    of: usualOf(quantity, revision),
                  })
                }}
              >
                <option value="">kept, not used</option>
                <option value="time">time</option>
                {logQuantities.map((one) => (
                  <option key={one} value={one}>
                    {describeQuantity(one).words}
                  </option>
                ))}
              </select>
              {time.column === i ? (
                <TimeChoice time={time} onChange={(next) => setMapping({ ...mapping, time: next })} />
              ) : (
                chosen && <OfChoice chosen={chosen} onChange={(patch) => choose(i, patch)} />
              )}
            </>
          )
        }}
      />
      {time.kind === 'time of day' && (
        <label className="mt-2 flex items-center gap-2">
          Its first row is of
          <input
            type="date"
            className="input w-auto"
            value={day}
            onChange={(event) => setDay(event.target.value || day)}
          />
        </label>
      )}
      {zone !== undefined && (
        <p className="text-quiet mt-2">
          Times of the file are {sayZone(zone)}; here it is {sayZone(-begun.getTimezoneOffset())}. They are
          put where they were by the clock of this place.
        </p>
      )}
      {opened.mapping === undefined && (
        <Notice kind="odd" word="Time">
          No column of times was recognised: choose it, and how it is written.
        </Notice>
      )}
      {fault && <Notice kind="problem">{fault}</Notice>}
      <div className="mt-2 flex items-baseline gap-4">
        <button
          type="button"
          className="action action-main"
          disabled={!named.length || progress !== undefined}
          onClick={() => void take()}
        >
          {progress === undefined ? 'Take it in' : `Reading, ${Math.round(100 * progress)} % …`}
        </button>
        {progress !== undefined && (
          <button type="button" className="plain-link" onClick={cancel}>
            Cancel
          </button>
        )}
        {!named.length && <span className="text-quiet">Say what at least one column holds.</span>}
      </div>
    </div>
  )
}
