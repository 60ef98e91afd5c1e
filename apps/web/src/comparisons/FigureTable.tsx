import {
  derive,
  formatNumber,
  isFigure,
  plain,
  say,
  sayStanding,
  type Comparison,
  type CriterionCell,
  type Figure,
} from '@even-watt/core'
import type { OwnRow } from '@even-watt/contract'
import { useState } from 'react'
import { OwnRowsChoice } from '../catalogue/OwnRowsChoice'
import { Fig } from '../ui/Fig'
import { BesideTable } from './BesideTable'

const looks = {
  better: { shape: '●', colour: 'text-moss' },
  worse: { shape: '■', colour: 'text-madder' },
  alike: { shape: '○', colour: 'text-quiet' },
  apart: { shape: '◆', colour: 'text-quiet' },
} as const

interface Props extends Pick<Comparison, 'list' | 'rows' | 'hours'> {
  readonly own: readonly OwnRow[]
  /** Absent: they are read here, not chosen. */
  readonly onOwn: ((rows: readonly OwnRow[]) => void) | undefined
  /** Why they differ, by criterion. */
  readonly causes: Readonly<Record<string, string>>
  readonly onCause: ((criterion: string, cause: string) => void) | undefined
}

/** Figures of each, and how far they lie from the first, with what their meters have in common taken out. */
export function FigureTable({ list, rows, hours, own, onOwn, causes, onCause }: Props) {
  return (
    <section className="mt-5">
      <h2>Figures, and what differs</h2>
      {hours.length > 0 && (
        <p className="text-quiet">
          The owner’s hours: {hours.map(({ hours: h, load }) => sayHours(h, load)).join(', ')}.
        </p>
      )}
      <BesideTable list={list}>
        {rows.map(({ criterion, cells }) => (
          <tr key={criterion.key}>
            <th scope="row">{criterion.words}</th>
            {cells.map((cell, i) => (
              <td key={i}>
                <Fig of={cell.figure} withUnit />
                {!isFigure(cell.figure) && (
                  <span className="text-quiet block text-[0.85rem]">{cell.figure.missing}</span>
                )}
                <Apart cell={cell} first={cells[0]?.figure} />
                {i === cells.length - 1 && (
                  <Cause
                    of={criterion.words}
                    cause={causes[criterion.key] ?? ''}
                    isApart={cells.some(({ against }) => against && against.is !== 'alike')}
                    onChange={onCause && ((cause) => onCause(criterion.key, cause))}
                  />
                )}
              </td>
            ))}
          </tr>
        ))}
      </BesideTable>
      {onOwn && <OwnRowsChoice rows={own} what="a row" onChange={onOwn} />}
      <p className="text-quiet text-[0.9rem]">
        What the same meter and range read in both has the same error in both, which cancels in the
        difference: it is known better than either figure.
      </p>
    </section>
  )
}

interface CauseProps {
  readonly of: string
  readonly cause: string
  readonly isApart: boolean
  readonly onChange: ((cause: string) => void) | undefined
}

/** What the tester takes a difference to come from. */
function Cause({ of, cause, isApart, onChange }: CauseProps) {
  const [open, setOpen] = useState(false)
  if (open && onChange)
    return (
      <input
        className="input no-print mt-1"
        aria-label={`Why ${of} differs`}
        placeholder="a brighter display"
        maxLength={300}
        value={cause}
        autoFocus
        onChange={({ target }) => onChange(target.value)}
        onBlur={() => setOpen(false)}
      />
    )
  return (
    <>
      {cause && <span className="text-quiet block font-normal">because of {cause}</span>}
      {onChange && (isApart || cause) && (
        <button type="button" className="plain-link no-print block font-normal" onClick={() => setOpen(true)}>
          {cause ? 'Change it' : 'Why?'}
          <span className="sr-only"> {of} differs</span>
        </button>
      )}
    </>
  )
}

const sayHours = (hours: number, load: number): string =>
  `${plain(hours)} h ${load === 0 ? 'with nothing connected' : `at ${say(load, 'W')}`}`

/** ", −12 %": of the first, where that is not nought. */
const share = (difference: number, first: number): string =>
  first === 0
    ? ''
    : `, ${difference < 0 ? '−' : '+'}${formatNumber(Math.abs((100 * difference) / first), 0)} %`

function Apart({ cell, first }: { cell: CriterionCell; first: CriterionCell['figure'] | undefined }) {
  const { against, figure } = cell
  if (!against || !first || !isFigure(figure) || !isFigure(first)) return null
  const { shape, colour } = looks[against.is]
  const difference = derive(
    `difference of ${figure.symbol}`,
    figure.unit,
    'this − the first',
    [figure, first] satisfies Figure[],
    against.difference.x,
  )
  return (
    <span className={`block text-[0.9rem] ${colour}`}>
      {shape} {sayStanding(against.is)} <Fig of={difference} className="text-ink" />
      {figure.unit === '%' ? ' points' : ` ${figure.unit}${share(against.difference.x.value, first.x.value)}`}
    </span>
  )
}
