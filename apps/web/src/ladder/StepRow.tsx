import type { Derived, StepFigures } from '@even-watt/core'
import { channelOf, isFigure } from '@even-watt/core'
import { memo } from 'react'
import { Fig } from '../ui/Fig'
import { MiniWave } from '../captures/MiniWave'
import { columns, type Place } from './columns'

interface Props {
  readonly figures: StepFigures
  readonly label: string
  readonly chosen: boolean
  readonly place: Place | undefined
  readonly odd: boolean
  readonly unsent: boolean
  /** None has a higher efficiency so far. */
  readonly best: boolean
  /** Under the columns of the tester’s own. */
  readonly own: readonly Derived[]
  /** The tester’s own limits that it breaks. */
  readonly broken: string | undefined
  readonly onChoose: (step: string) => void
}

/** What a capture reads by itself; figures derived from it carry no mark. */
const readOf: ReadonlySet<string> = new Set(['V_C', 'I_C', 'P_C', 'PF', 'f', 'THD', 'V_B', 'I'])

/** One step of the ladder. Drawn again only when its own figures change, so that typing stays quick. */
export const StepRow = memo(function StepRow({
  figures,
  label,
  chosen,
  place,
  odd,
  unsent,
  best,
  own,
  broken,
  onChoose,
}: Props) {
  const { step } = figures
  const repeats = step.readings.length
  const [cycle] = step.captures.flatMap(({ reading }) => {
    const wave = channelOf(reading, 'V_C')?.wave
    return wave ? [wave.cycle] : []
  })
  const captured = (id: string) => step.captures.some((capture) => capture.id === id)
  return (
    <tr
      className={`h-[26px] border-b ${chosen ? 'bg-chosen border-ink shadow-[inset_3px_0_var(--ink)]' : 'border-rule hover:bg-raised'}`}
      aria-selected={chosen}
      data-step={step.id}
      onClick={() => onChoose(step.id)}
    >
      <td className="figures px-1 whitespace-nowrap">
        <button
          type="button"
          className={chosen ? 'font-bold' : ''}
          onClick={() => onChoose(step.id)}
          aria-label={`Choose step ${label}`}
        >
          {label}
        </button>
      </td>
      <td className="truncate px-1" title={figures.load}>
        {unsent && (
          <span className="text-ochre" title="not sent yet">
            ▲{' '}
          </span>
        )}
        {odd && (
          <span className="text-ochre" title="something is odd here">
            △{' '}
          </span>
        )}
        {broken !== undefined && (
          <span className="text-madder" title={broken} aria-label={broken}>
            ■{' '}
          </span>
        )}
        {cycle && (
          <span className="float-right">
            <MiniWave cycle={cycle} label="its wave as captured" />
          </span>
        )}
        {figures.load}
        {repeats > 1 && <span className="text-quiet text-[0.85em]"> ×{repeats}</span>}
      </td>
      {columns.map((column) => {
        const figure = column.figure(figures)
        const fitted = isFigure(figure) && figure.working.notes.some((note) => note.startsWith('V_C·I_C'))
        return (
          <td
            key={column.key}
            className={`px-1 text-right whitespace-nowrap ${place === column.place ? 'bg-chosen' : ''}`}
          >
            {best && column.key === 'eta_unit' && (
              <span className="text-[0.8em]" title="highest efficiency so far" aria-label="highest so far">
                ◆{' '}
              </span>
            )}
            <Fig of={figure} bare={column.bare ?? true} hue={column.hue} marked />
            {isFigure(figure) && readOf.has(figure.symbol) && figure.working.entries.some(captured) && (
              <span className="text-quiet" title="from a captured wave">
                †
              </span>
            )}
            {fitted && column.key === 'P_C' && (
              <span className="text-quiet" title="V_C·I_C in place of a wattmeter">
                *
              </span>
            )}
          </td>
        )
      })}
      {own.map((figure, i) => (
        <td key={i} className="px-1 text-right whitespace-nowrap">
          <Fig of={figure} bare={2} marked />
        </td>
      ))}
    </tr>
  )
})
