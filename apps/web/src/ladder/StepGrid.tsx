import type { Chosen } from '@even-watt/contract'
import {
  capturesOf,
  channelOf,
  chosenAtNoLoad,
  headOf,
  readingsOf,
  sayChosen,
  unitOfChosen,
} from '@even-watt/core'
import { useRef, type ReactNode } from 'react'
import { Fig } from '../ui/Fig'
import { MiniWave } from '../captures/MiniWave'
import { useWindow } from '../ui/useNear'
import { columns, placeHue, places, placeWords, type Layout, type Place } from './columns'
import { stepLabel } from './stepLabel'
import { bestStep } from './bestStep'
import { readIdle, type GridProps } from './gridProps'
import { StepRow } from './StepRow'
import { StruckRow } from './StruckRow'

interface Props extends GridProps {
  readonly layout: Layout
  readonly place: Place | undefined
}

/** Rows that are drawn together; a long ladder draws those near the window only. */
export const together = 25

/**
 * Readings in the order they were taken, each column under the place on the circuit where it was read. A long
 * ladder stands in several tables of the same widths, for the sake of painting.
 */
export function StepGrid(props: Props) {
  const { layout, analysis } = props
  const runs = Math.max(1, Math.ceil(analysis.ladder.recorded.length / together))
  return Array.from({ length: runs }, (_, run) => (
    <div key={run} data-run={run} style={{ width: layout.width }}>
      <RunTable {...props} run={run} />
    </div>
  ))
}

/** One run of rows; while it is far from the window only its room is kept. */
function RunTable({ run, ...props }: Props & { run: number }) {
  const { layout, analysis } = props
  const place = useRef<HTMLDivElement>(null)
  const rows = Math.min(together, analysis.ladder.recorded.length - run * together)
  const far = useWindow(place, rows * rowHeight)
  return (
    <div ref={place} style={{ height: run > 0 ? far : undefined }}>
      {(run === 0 || far === undefined) && (
        <table
          className="table-fixed border-collapse text-[0.97rem]"
          style={{ width: layout.width }}
          aria-label={run === 0 ? 'Ladder' : `Ladder, from step ${run * together + 1}`}
        >
          <ColumnWidths layout={layout} own={props.own.columns.length} />
          <Heads hidden={run > 0} own={props.own.columns} />
          <tbody>
            {run === 0 && <IdleRow analysis={analysis} own={props.own} onIdle={props.onIdle} />}
            <Run {...props} from={run * together} />
          </tbody>
        </table>
      )}
    </div>
  )
}

const rowHeight = 26

function Run({
  analysis,
  from,
  rated,
  chosen,
  place,
  oddSteps,
  unsentSteps,
  own,
  onChoose,
}: Props & { from: number }) {
  const { recorded, steps } = analysis.ladder
  const best = bestStep(steps)
  const figuresOf = new Map(steps.map((figures, i) => [figures.step.id, { figures, i }]))
  return recorded.slice(from, from + together).map((step) => {
    const standing = figuresOf.get(step.id)
    if (!standing) return <StruckRow key={step.id} step={step} own={own.columns.length} />
    const { figures, i } = standing
    return (
      <StepRow
        key={step.id}
        figures={figures}
        label={stepLabel(figures, rated, i)}
        chosen={step.id === chosen}
        place={place}
        odd={oddSteps.has(step.id)}
        unsent={unsentSteps.has(step.id)}
        best={step.id === best}
        own={own.of(figures)}
        broken={own.broken.get(step.id)}
        onChoose={onChoose}
      />
    )
  })
}

function Heads({ hidden, own }: { readonly hidden: boolean; readonly own: readonly Chosen[] }) {
  return (
    <thead className={hidden ? 'sr-only' : 'text-[0.8rem]'}>
      <tr>
        <th colSpan={2} className="border-t-3 border-rule px-1 text-left">
          Step
        </th>
        {places.map(({ place: at, columns: run }) => (
          <th
            key={at}
            colSpan={run.length}
            className="border-t-3 px-1 text-left whitespace-nowrap"
            style={{ borderColor: placeHue[at] }}
          >
            {placeWords[at]}
          </th>
        ))}
        {own.length > 0 && (
          <th colSpan={own.length} className="border-t-3 border-rule px-1 text-left">
            own columns
          </th>
        )}
      </tr>
      <tr className="text-quiet border-b border-ink">
        <th className="px-1 text-left font-normal">%</th>
        <th className="px-1 text-left font-normal">load</th>
        {columns.map((column) => (
          <th key={column.key} className="px-1 text-right font-normal">
            {column.head}
          </th>
        ))}
        {own.map((chosen) => {
          const [head, from] = headOf(chosen)
          const unit = unitOfChosen(chosen)
          return (
            <th
              key={sayChosen(chosen)}
              className="px-1 text-right leading-tight font-normal"
              title={sayChosen(chosen)}
            >
              {head}
              {unit && ` ${unit}`}
              {from && <span className="block">{from}</span>}
            </th>
          )
        })}
      </tr>
    </thead>
  )
}

/** The same widths for the grid and the rows below it in which the next step is typed. */
export function ColumnWidths({ layout, own }: { readonly layout: Layout; readonly own: number }) {
  return (
    <colgroup>
      <col style={{ width: layout.step }} />
      <col style={{ width: layout.load }} />
      {columns.map((column) => (
        <col key={column.key} style={{ width: layout.at.get(column.key)?.width }} />
      ))}
      {Array.from({ length: own }, (_, i) => (
        <col key={i} style={{ width: layout.own }} />
      ))}
    </colgroup>
  )
}

/** Nothing connected: the foot of the ladder, read there as well. */
function IdleRow({ analysis, own, onIdle }: Pick<GridProps, 'analysis' | 'own' | 'onIdle'>) {
  const { on } = analysis.noLoad
  const readings = readingsOf(analysis.record, 'no load')
  const [cycle] = capturesOf(analysis.record, readings).flatMap(({ reading }) => {
    const wave = channelOf(reading, 'V_C')?.wave
    return wave ? [wave.cycle] : []
  })
  const cells: Record<string, ReactNode> = {
    V_A: <Fig of={on.read.V_A} bare marked />,
    V_B: <Fig of={on.read.V_B} bare marked />,
    I: <Fig of={on.I_idle} bare marked />,
    P_loss: <Fig of={on.P_idle} bare marked />,
    V_C: <Fig of={on.read.V_C} bare marked />,
    f: <Fig of={on.read.f} bare marked />,
    THD: <Fig of={on.read.THD} bare marked />,
  }
  return (
    <tr className="h-[26px] border-b border-rule">
      <td className="px-1">idle</td>
      <td className="text-quiet truncate px-1">
        {cycle && (
          <span className="float-right">
            <MiniWave cycle={cycle} label="its wave as captured" />
          </span>
        )}
        {readings.length ? (
          // Where its wave stands beside it there is room for no more words.
          <button
            type="button"
            className="hover:underline"
            title={readIdle(readings.length)}
            onClick={onIdle}
          >
            nothing connected
          </button>
        ) : (
          <>
            nothing connected{' '}
            <button type="button" className="plain-link" onClick={onIdle}>
              {readIdle(0)}
            </button>
          </>
        )}
      </td>
      {columns.map((column) => (
        <td key={column.key} className="px-1 text-right whitespace-nowrap">
          {cells[column.key] ?? (
            <span className="text-quiet" title="not a figure of an idle reading">
              –
            </span>
          )}
        </td>
      ))}
      {own.columns.map((chosen) => {
        const figure = chosenAtNoLoad(chosen, { analysis })
        return (
          <td key={sayChosen(chosen)} className="px-1 text-right whitespace-nowrap">
            {figure ? (
              <Fig of={figure} bare={2} marked />
            ) : (
              <span className="text-quiet" title="not a figure of an idle reading">
                –
              </span>
            )}
          </td>
        )
      })}
    </tr>
  )
}
