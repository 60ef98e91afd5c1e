import { logQuantities, places, type LogFile, type LogQuantity } from '@even-watt/contract'
import { describeQuantity, isTapQuantity, quantityData, type Log } from '@even-watt/core'
import {
  guessTable,
  readHead,
  timeKinds,
  UnreadableLog,
  type TableHead,
  type TakenLog,
} from '@even-watt/core/logs/read/index'
import { proxy, wrap } from 'comlink'
import { format } from 'date-fns'
import { useRef, useState } from 'react'
import { capture } from '../outbox/capture'
import { holdFile } from '../outbox/files'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { Notice } from '../ui/Notice'
import {
  choicesOf,
  factorsOf,
  mappingFor,
  metersFor,
  rememberMapping,
  usualOf,
  type Chosen,
  type Mapping,
} from './columns'
import { beginsAt } from './beginsAt'
import type { Taking } from './takingWorker'

const headBytes = 65_536

interface Opened {
  readonly file: File
  readonly head: TableHead
  readonly mapping: Mapping | undefined
}

/** The table of a logger into a log: choose or drop it, say what its columns are, take it in. */
export function ImportLog({ log }: { readonly log: Log }) {
  const { analysis } = useTrial()
  const [opened, setOpened] = useState<Opened>()
  const [fault, setFault] = useState<string>()
  const open = async (file: File | undefined) => {
    if (!file) return
    setFault(undefined)
    setOpened(undefined)
    try {
      const bytes = new Uint8Array(await file.slice(0, headBytes).arrayBuffer())
      const head = readHead(bytes, file.size)
      setOpened({ file, head, mapping: mappingFor(head, guessTable(head), analysis.record.revision) })
    } catch (error) {
      setFault(error instanceof UnreadableLog ? error.message : `${file.name} cannot be read.`)
    }
  }
  return (
    <section
      className="no-print mt-5"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault()
        void open(event.dataTransfer.files[0])
      }}
    >
      <h2>The table of a logger</h2>
      <p className="text-quiet max-w-prose">
        A row for each moment: a time, and what was read. Commas, semicolons or tabs, decimal points or
        commas; times of day that pass midnight, dates, or minutes from a beginning. Up to a million rows.
      </p>
      <label className="action mt-2 inline-block">
        Choose a table
        <input
          type="file"
          accept=".csv,.tsv,.txt,.log,text/csv"
          className="sr-only"
          onChange={(event) => {
            void open(event.target.files?.[0])
            event.target.value = ''
          }}
        />
      </label>
      {fault && <Notice kind="problem">{fault} Nothing was taken in.</Notice>}
      {opened && (
        <MapAndTake
          key={`${opened.file.name} ${opened.file.size}`}
          log={log}
          opened={opened}
          onDone={() => setOpened(undefined)}
        />
      )}
    </section>
  )
}

const shownRows = 4

function MapAndTake({ log, opened, onDone }: { log: Log; opened: Opened; onDone: () => void }) {
  const { trial, analysis } = useTrial()
  const { revision } = analysis.record
  const { file, head } = opened
  const width = head.headings.length
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
  const take = async () => {
    setFault(undefined)
    setProgress(0)
    const own = new Worker(new URL('./takingWorker.ts', import.meta.url), { type: 'module' })
    worker.current = own
    try {
      const taken = await wrap<Taking>(own).take(file, head, time, choicesOf(mapping), proxy(setProgress))
      if ('why' in taken) return setFault(`${taken.why} Nothing was taken in.`)
      const { why } = await keepIt(
        trial.id,
        revision.number,
        log,
        file,
        taken,
        beginsAt(time.kind, taken.first, day, log.entry.at),
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
      <div className="overflow-x-auto">
        <table className="list-table">
          <thead>
            <tr>
              {Array.from({ length: width }, (_, i) => {
                const chosen = columns.find(({ column }) => column === i)
                return (
                  <th key={i} className="min-w-32 align-top">
                    <span className="block max-w-44 truncate" title={head.headings[i]}>
                      {head.headings[i] || `column ${i + 1}`}
                    </span>
                    <select
                      className="input"
                      aria-label={`What column ${head.headings[i] || i + 1} is`}
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
                  </th>
                )
              })}
            </tr>
          </thead>
          <tbody>
            {head.sample.slice(0, shownRows).map((row, i) => (
              <tr key={i}>
                {Array.from({ length: width }, (_, k) => (
                  <td key={k} className="figures max-w-44 truncate">
                    {row[k]}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
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

function TimeChoice({
  time,
  onChange,
}: {
  time: Mapping['time']
  onChange: (time: Mapping['time']) => void
}) {
  return (
    <>
      <select
        className="input"
        aria-label="How times are written"
        value={time.kind}
        onChange={(event) =>
          onChange({ ...time, kind: timeKinds.find((kind) => kind === event.target.value) ?? time.kind })
        }
      >
        {timeKinds.map((kind) => (
          <option key={kind}>{kind}</option>
        ))}
      </select>
      {time.kind === 'date and time' && (
        <label className="flex items-center gap-1 font-normal">
          <input
            type="checkbox"
            checked={time.monthFirst}
            onChange={(event) => onChange({ ...time, monthFirst: event.target.checked })}
          />
          month first
        </label>
      )}
    </>
  )
}

/** The unit of a column, and the meter, battery or place that it is of. */
function OfChoice({ chosen, onChange }: { chosen: Chosen; onChange: (patch: Partial<Chosen>) => void }) {
  const { analysis } = useTrial()
  const { revision } = analysis.record
  const { quantity, factor, of, heading } = chosen
  if (quantity === undefined) return null
  const units = factorsOf(quantity)
  return (
    <>
      {units.length > 1 && (
        <select
          className="input"
          aria-label={`Unit of ${heading}`}
          value={String(factor)}
          onChange={(event) => onChange({ factor: Number(event.target.value) })}
        >
          {units.map(([one, words]) => (
            <option key={one} value={one}>
              {words}
            </option>
          ))}
        </select>
      )}
      <select
        className="input"
        aria-label={`On what ${heading} was read`}
        value={of}
        onChange={(event) => onChange({ of: event.target.value })}
      >
        {ofChoices(quantity, revision).map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
    </>
  )
}

function ofChoices(
  quantity: LogQuantity,
  revision: Parameters<typeof usualOf>[1],
): (readonly [string, string])[] {
  const { rig } = revision
  if (quantity === 'T')
    return [
      ...places
        .filter((place) => place !== 'room' && place !== 'part of the rig')
        .map((place) => [place, place] as const),
      ...[...rig.positive, ...rig.negative].map(({ id, name }) => [id, name] as const),
    ]
  if (quantity === 'charge')
    return [['', 'its own gauge'], ...rig.bank.strings.flat().map(({ id, name }) => [id, name] as const)]
  if (quantity === 'V_battery' || quantity === 'I_battery')
    return rig.bank.strings.flat().map(({ id, name }) => [id, name] as const)
  if (!isTapQuantity(quantity)) return [['', 'as it stands']]
  return [
    ['', 'no meter named'],
    ...metersFor(quantity, quantityData[quantity].reads, revision).map(({ id, name }) => [id, name] as const),
  ]
}

/** Keeps the packed rows and then the entry that names them; resolves with why it cannot be. */
async function keepIt(
  trial: string,
  revision: number,
  log: Log,
  file: File,
  { bytes, reading }: TakenLog,
  from: string,
): Promise<{ why?: string }> {
  const held = await holdFile(bytes.buffer, {
    name: `${file.name.replace(/\.[^.]*$/, '').slice(0, 190)}.log`,
    type: 'application/octet-stream',
  })
  const whole: LogFile = {
    ...held,
    log: log.entry.id,
    source: { name: file.name.slice(0, 200), size: file.size },
    from,
    ...reading,
  }
  const captured = capture(trial, { kind: 'log file', revision, reading: whole })
  if ('faults' in captured) return { why: captured.faults.map(({ message }) => message).join(' ') }
  await captured.kept
  return {}
}
