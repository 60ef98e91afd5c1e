import { formatNumber, isFigure, type Analysis } from '@even-watt/core'
import { useMemo } from 'react'
import { hungMeters } from './drawing/hung'
import { lossesAt } from './drawing/losses'
import { RigDrawing } from './drawing/RigDrawing'
import { rigToForm } from './editor/form'

/** The drawing with what each element gives off at a current; else at the highest that was read on it. */
export function RigPicture({ analysis, at }: { analysis: Analysis; at?: number }) {
  const { revision } = analysis.record
  const { rig, meters, unit } = revision
  const form = useMemo(() => rigToForm(rig), [rig])
  const most = Math.max(
    0,
    ...analysis.ladder.steps.map(({ read }) => (isFigure(read.I) ? read.I.x.value : 0)),
  )
  const current = at ?? most
  const survey = analysis.supply.surveys.at(-1)
  const losses = useMemo(
    () => (current > 0 ? lossesAt(rig, current, survey) : undefined),
    [rig, current, survey],
  )
  return (
    <figure>
      <RigDrawing
        rig={form}
        unit={unit.name}
        meters={hungMeters(form, meters)}
        {...(losses ? { losses } : {})}
      />
      {at === undefined && (
        <figcaption className="text-quiet text-[0.85rem]">
          {losses
            ? `Heat of each element at ${formatNumber(most, 1)} A, the most read on this rig; ${survey ? 'by the drop survey' : 'by what is expected of each: no drop survey yet'}.`
            : 'No current was read on this rig yet.'}
        </figcaption>
      )}
    </figure>
  )
}
