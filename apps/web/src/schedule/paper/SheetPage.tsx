import { authority } from '@even-watt/core'
import type { ReactNode } from 'react'
import { useSafety } from '../../safety/useSafety'
import { StageHead } from '../../trials/StageHead'
import { useTrial } from '../../trials/useTrial'
import { PaperChoice } from '../../ui/PaperChoice'
import { NeedsSchedule } from '../NeedsSchedule'
import type { SheetTable } from './boxes'
import type { ScheduleState } from '../useSchedule'
import { useSheet } from './useSheet'
import { capital, percent, sayPart, sayStretch } from '../words'
import { unitOf } from '../../ui/units'
import { FitTable } from '../../ui/FitTable'

/** The run sheet: the schedule, the cautions, and a box for every reading, for those who work on paper. */
export function SheetPage() {
  const { trial, analysis } = useTrial()
  const sheet = useSheet()
  if (!sheet) {
    return (
      <>
        <StageHead />
        <NeedsSchedule />
      </>
    )
  }
  const { unit, rig, number } = analysis.record.revision
  return (
    <>
      <div className="no-print">
        <StageHead />
        <PaperChoice landscape />
      </div>
      <article className="run-sheet">
        <header className="mb-2 border-b-2 border-ink pb-1">
          <h1>Run sheet: {trial.title}</h1>
          <p>
            {unit.name} on rig {number}, {rig.name}. Planned from{' '}
            {sheet.state.clock.both(sheet.state.made.placed[0]?.from ?? 0)}. Tested by {trial.by} ______ on
            ______________
          </p>
        </header>
        <Cautions />
        <Timetable state={sheet.state} />
        {sheet.tables.map((table) => (
          <Boxes key={table.block} table={table} state={sheet.state} />
        ))}
      </article>
    </>
  )
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="mb-3">
      <h2>{title}</h2>
      {children}
    </section>
  )
}

function Cautions() {
  const { cautions } = useSafety(useTrial())
  return (
    <Part title="Cautions: tick when read">
      <ul className="text-[0.9rem] md:columns-2 print:columns-2">
        {cautions.map(({ name, sentence }) => (
          <li key={name} className="flex break-inside-avoid gap-2">
            <Tick />
            <span>{sentence}</span>
          </li>
        ))}
      </ul>
      <p className="text-[0.9rem]">{authority} Initials ________ time ________</p>
    </Part>
  )
}

const Tick = () => <span aria-hidden className="mt-[0.2em] inline-block size-3 shrink-0 border border-ink" />

function Timetable({ state: { made, clock, schedule } }: { state: ScheduleState }) {
  return (
    <Part title="Timetable">
      <FitTable>
        <thead>
          <tr>
            <th>planned</th>
            <th>what</th>
            <th className="right">bank, %</th>
            <th className="w-28">began</th>
            <th className="w-28">ended</th>
          </tr>
        </thead>
        <tbody>
          {made.placed.map((stretch, i) => {
            const newDay = clock.date(stretch.from) !== clock.date(made.placed[i - 1]?.from ?? 0)
            const charge = stretch.pieces.at(-1)?.charge[1]
            return (
              <tr key={i}>
                <td className="figures whitespace-nowrap">
                  {newDay && `${clock.date(stretch.from)} `}
                  {clock.time(stretch.from)}–{clock.time(stretch.to)}
                </td>
                <td>
                  {stretch.part ? sayPart(stretch.part) : sayStretch(stretch)}
                  {stretch.because !== undefined && <span className="text-quiet">: {stretch.because}</span>}
                </td>
                <td className="figures right">
                  {charge === undefined ? '–' : percent(charge).replace(' %', '')}
                </td>
                <td className="border border-rule" />
                <td className="border border-rule" />
              </tr>
            )
          })}
        </tbody>
      </FitTable>
      <p className="text-quiet text-[0.9rem]">
        Check-ins of long blocks every {schedule.checkEvery} min: write the time and what you saw in its note.
      </p>
    </Part>
  )
}

/** One table of empty boxes, in reading order. */
function Boxes({ table, state: { clock } }: { table: SheetTable; state: ScheduleState }) {
  return (
    <Part title={`${capital(table.kind)}, planned ${clock.both(table.from)}`}>
      <FitTable className="w-full border-collapse">
        <thead>
          <tr>
            <th className="w-[22%] border border-ink px-1 text-left">connect</th>
            <th className="border border-ink px-1 text-right">expect, W</th>
            {table.columns.map(({ key, head, unit }) => (
              <th key={key} className="border border-ink px-1 text-left whitespace-nowrap">
                {head}
                {unit && <span className="font-normal"> {unitOf(unit)}</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.map((row) => (
            <tr key={row.id} className="h-8">
              <td className="border border-ink px-1">{row.label}</td>
              <td className="figures border border-ink px-1 text-right">
                {row.expected === undefined ? '–' : Math.round(row.expected)}
              </td>
              {table.columns.map(({ key }) => (
                <td key={key} className={`border border-ink ${key === 'note' ? 'w-[16%]' : ''}`} />
              ))}
            </tr>
          ))}
        </tbody>
      </FitTable>
    </Part>
  )
}
