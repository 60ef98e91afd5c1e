import { nextPosition, readingsOf } from '@even-watt/core'
import { useState, type KeyboardEvent } from 'react'
import { v7 } from 'uuid'
import { capture } from '../../outbox/capture'
import { StageHead } from '../../trials/StageHead'
import { useTrial } from '../../trials/useTrial'
import { answer } from '../../ui/answers'
import { momentAfter } from '../days'
import { NeedsSchedule } from '../NeedsSchedule'
import type { SheetColumn, SheetRow, SheetTable } from './boxes'
import { readRow } from './readRow'
import { usePaper, type PaperState } from './usePaper'
import { useSheet } from './useSheet'
import { capital } from '../words'
import { unitOf } from '../../ui/units'
import { FitTable } from '../../ui/FitTable'

/** What was written on the run sheet, typed back in the same order, box by box. */
export function PaperPage() {
  const { trial } = useTrial()
  const sheet = useSheet()
  const paper = usePaper(trial.id)
  return (
    <>
      <StageHead />
      {!sheet ? (
        <NeedsSchedule />
      ) : (
        <>
          <p className="text-quiet mb-2">
            The boxes stand as on paper. <span className="kbd">Enter</span> goes to the next box, and in the
            last one of a line takes the line over. Leave empty what is empty. Times written are taken for the
            planned date, past midnight for the next.
          </p>
          {sheet.tables.map((table) => (
            <PaperTable key={table.block} table={table} paper={paper} sheet={sheet} />
          ))}
        </>
      )}
    </>
  )
}

const boxId = (row: string, column: string) => `box ${row} ${column}`

interface TableProps {
  readonly table: SheetTable
  readonly paper: PaperState
  readonly sheet: NonNullable<ReturnType<typeof useSheet>>
}

function PaperTable({ table, paper, sheet }: TableProps) {
  const { trial, analysis } = useTrial()
  const [faults, setFaults] = useState<{ row: string; at: Readonly<Record<string, string>> }>()
  const { record } = analysis
  const take = (row: SheetRow, index: number) => {
    const written = paper.written(row.id)
    const clock = written['time']?.trim() ?? ''
    // The log that the first line of this table began.
    const log = analysis.logs.findLast(({ entry }) => entry.reading.block === table.block)?.entry
    const at = /^\d?\d:\d\d$/.test(clock)
      ? new Date(
          momentAfter(
            table.from,
            clock,
            sheet.state.schedule.timeZone,
            index > 0 && log ? Date.parse(log.at) : undefined,
          ),
        ).toISOString()
      : new Date().toISOString()
    const read = readRow(table, row, written, {
      newId: v7,
      revision: record.revision.number,
      at,
      position: nextPosition(analysis.ladder.recorded),
      attempt: Math.max(0, ...readingsOf(record, 'motors').map(({ reading }) => reading.number)) + 1,
      loads: sheet.loads,
      log,
    })
    if (!read.entries.length) {
      setFaults({ row: row.id, at: read.faults })
      return
    }
    for (const entry of read.entries) {
      const captured = capture(trial.id, entry)
      if ('faults' in captured) {
        setFaults({
          row: row.id,
          at: Object.fromEntries(captured.faults.map(({ path, message }) => [path, message])),
        })
        return
      }
    }
    setFaults(undefined)
    answer(`Taken over: ${row.label}.`)
    paper.take(row.id)
    const next = table.rows[index + 1]
    if (next) document.getElementById(boxId(next.id, 'time'))?.focus()
  }
  return (
    <section className="mb-4">
      <h2>{capital(table.kind)}</h2>
      <FitTable>
        <thead>
          <tr>
            <th>connected</th>
            {table.columns.map(({ key, head, unit }) => (
              <th key={key}>
                {head}
                {unit && <span className="font-normal">, {unitOf(unit)}</span>}
              </th>
            ))}
            <th />
          </tr>
        </thead>
        <tbody>
          {table.rows.map((row, index) => (
            <tr key={row.id}>
              <td className="min-w-[9rem]">
                {row.label}
                {row.expected !== undefined && (
                  <span className="text-quiet"> expect {Math.round(row.expected)} W</span>
                )}
                {faults?.row === row.id && (
                  <ul className="text-madder" role="alert">
                    {Object.entries(faults.at).map(([key, sentence]) => (
                      <li key={key}>{sentence}</li>
                    ))}
                  </ul>
                )}
              </td>
              {table.columns.map((column, i) => (
                <td key={column.key}>
                  <Box
                    column={column}
                    row={row}
                    paper={paper}
                    wrong={faults?.row === row.id && column.key in faults.at}
                    onEnter={() => {
                      const next = table.columns[i + 1]
                      if (next) document.getElementById(boxId(row.id, next.key))?.focus()
                      else take(row, index)
                    }}
                  />
                </td>
              ))}
              <td className="whitespace-nowrap">
                {paper.isTaken(row.id) ? (
                  <>
                    <span className="text-moss font-bold">● taken over </span>
                    <button type="button" className="plain-link" onClick={() => paper.again(row.id)}>
                      Again
                    </button>
                  </>
                ) : (
                  <button
                    type="button"
                    className="plain-link"
                    aria-label={`Take over ${row.label}`}
                    onClick={() => take(row, index)}
                  >
                    Take over
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </FitTable>
    </section>
  )
}

interface BoxProps {
  readonly column: SheetColumn
  readonly row: SheetRow
  readonly paper: PaperState
  readonly wrong: boolean
  readonly onEnter: () => void
}

const widths: Readonly<Record<string, string>> = {
  note: 'w-[12rem]',
  state: 'w-[9rem]',
  outcome: 'w-[9rem]',
  event: 'w-[7rem]',
  ended: 'w-[8rem]',
}

function Box({ column, row, paper, wrong, onEnter }: BoxProps) {
  const { key, head, choices } = column
  const shared = {
    id: boxId(row.id, key),
    className: `input ${widths[key] ?? 'figures w-[5rem]'}`,
    'aria-label': `${row.label}, ${head}`,
    'aria-invalid': wrong,
    disabled: paper.isTaken(row.id),
    value: paper.written(row.id)[key] ?? '',
    onChange: (event: { target: { value: string } }) => paper.write(row.id, key, event.target.value),
    onKeyDown: (event: KeyboardEvent) => {
      if (event.key !== 'Enter') return
      event.preventDefault()
      onEnter()
    },
  }
  if (!choices) return <input type="text" autoComplete="off" maxLength={1000} {...shared} />
  return (
    <select {...shared}>
      <option value="">–</option>
      {choices.map((one) => (
        <option key={one}>{one}</option>
      ))}
    </select>
  )
}
