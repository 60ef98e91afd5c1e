import { inUnits, isFigure, showBare, showFigure, type Derived, type Figure } from '@even-watt/core'
import { memo } from 'react'
import { useShowWorking } from './working'

const hues = { dc: 'text-copper', ac: 'text-petrol', heat: 'text-plum', none: '' } as const
export type Hue = keyof typeof hues

interface Props {
  readonly of: Derived
  readonly hue?: Hue
  /** Leave the uncertainty to the working; 2: but show the value to its second figure. */
  readonly bare?: boolean | 2
  readonly withUnit?: boolean
  /** With a plus before what is above nought: a difference. */
  readonly signed?: boolean
  /** Leave the grade out, where the heading of its column says it. */
  readonly ungraded?: boolean
  /** The grade as a mark before the value, where a legend says what it means. */
  readonly marked?: boolean
  readonly className?: string
}

/** A derived figure: its value, smaller its uncertainty and unit; a click shows its working. Missing is a dash. */
export const Fig = memo(function Fig({
  of,
  hue = 'none',
  bare = false,
  withUnit = false,
  signed = false,
  ungraded = false,
  marked = false,
  className = '',
}: Props) {
  const show = useShowWorking()
  if (!isFigure(of)) {
    return (
      <span
        className={`figures text-quiet ${className}`}
        title={of.missing}
        aria-label={`missing: ${of.missing}`}
      >
        –
      </span>
    )
  }
  const inUnit = inUnits(of)
  const { value, uncertainty } = showFigure(inUnit)
  return (
    <button
      type="button"
      className={`figures whitespace-nowrap hover:underline ${hues[hue]} ${className}`}
      onClick={(event) => {
        event.stopPropagation()
        show(of)
      }}
      title={gradeNote(of)}
    >
      {marked && of.grade !== 'measured' && <GradeMark grade={of.grade} />}
      {signed && of.x.value > 0 && '+'}
      {bare ? showBare(inUnit, Number(bare)) : value}
      {uncertainty && !bare && <span className="text-quiet text-[0.8em]"> ± {uncertainty}</span>}
      {withUnit && inUnit.unit && <span className="text-[0.85em]"> {inUnit.unit}</span>}
      {of.grade !== 'measured' && !ungraded && !marked && (
        <span className="text-ochre text-[0.8em]"> {of.grade}</span>
      )}
      {of.grade === 'measured' && of.refused && (
        <span className="text-ochre text-[0.8em]" aria-label="decides nothing">
          {' '}
          ▲
        </span>
      )}
    </button>
  )
})

export const gradeMarks = { measured: '', display: '◇', estimated: '~', observed: '◌' } as const

const GradeMark = ({ grade }: Pick<Figure, 'grade'>) => (
  <span className="text-[0.8em] opacity-80" aria-label={grade}>
    {gradeMarks[grade]}
  </span>
)

const gradeNote = ({ symbol, working, grade, refused }: Figure) =>
  [
    `${symbol} = ${working.formula}${grade === 'measured' ? '' : `, ${grade}`}`,
    ...(refused ? [`Decides nothing: ${refused.why} ${refused.todo}`] : []),
  ].join('. ')
