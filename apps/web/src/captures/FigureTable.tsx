import type { Grade } from '@even-watt/contract'
import type { Figure } from '@even-watt/core'
import { Fig } from '../ui/Fig'
import type { WaveFigure } from './figures'

interface Props {
  readonly title: string
  readonly figures: readonly WaveFigure[]
  /** The capture behind them; absent: they are imagined. */
  readonly entry?: string
  readonly grade?: Grade
}

/** Figures of a wave, each opening to its working. */
export function FigureTable({ title, figures, entry, grade = 'measured' }: Props) {
  if (!figures.length) return null
  const asFigure = ({ words, unit, x, working, atLeast }: WaveFigure): Figure => ({
    symbol: words,
    unit,
    x,
    grade,
    working: {
      formula: working,
      inputs: [],
      notes: atLeast ? ['The capture is clipped: this is the least that it can be.'] : [],
      entries: entry === undefined ? [] : [entry],
    },
  })
  return (
    <section className="break-inside-avoid">
      <h2>{title}</h2>
      <ul className="max-w-xl">
        {figures.map((figure) => (
          <li key={figure.words} className="flex gap-2 border-b border-rule py-0.5">
            <span className="text-quiet">{figure.words}</span>
            <span className="ml-auto whitespace-nowrap">
              {figure.atLeast && <span className="text-ochre">at least </span>}
              <Fig of={asFigure(figure)} withUnit ungraded />
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
