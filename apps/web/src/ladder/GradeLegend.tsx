import type { Grade } from '@even-watt/contract'
import { isFigure, type Analysis } from '@even-watt/core'
import { useMemo } from 'react'
import { gradeMarks } from '../ui/Fig'
import { columns } from './columns'

const words: readonly (readonly [Exclude<Grade, 'measured'>, string])[] = [
  ['display', 'shown by the unit itself'],
  ['estimated', 'estimated'],
  ['observed', 'observed'],
]

/** What the marks before some figures of the grid mean, where there are any. */
export function GradeLegend({ analysis }: { readonly analysis: Analysis }) {
  const { steps } = analysis.ladder
  const said = useMemo(() => {
    const figures = steps.flatMap((step) => columns.map(({ figure }) => figure(step))).filter(isFigure)
    const grades = new Set(figures.map(({ grade }) => grade))
    return [
      ...words.flatMap(([grade, meaning]) => (grades.has(grade) ? `${gradeMarks[grade]} ${meaning}` : [])),
      ...(steps.length > 1 && figures.some(({ symbol }) => symbol === 'η_unit')
        ? ['◆ highest efficiency so far']
        : []),
      ...(steps.some(({ step }) => step.captures.length) ? ['† from a captured wave'] : []),
      ...(figures.some(({ grade, refused }) => refused && grade === 'measured') ? ['▲ decides nothing'] : []),
    ]
  }, [steps])
  return said.length ? (
    <p className="text-quiet text-[0.85rem]">{said.join(' · ')}; a click on a figure says why</p>
  ) : null
}
