import { formatNumber, isFigure, ratedPower, say, type StepFigures } from '@even-watt/core'
import { useTrial } from '../trials/useTrial'
import { Notice } from '../ui/Notice'

interface Props {
  /** W that a plan or the shelf expects of the step being typed. */
  readonly expected: number | undefined
  readonly preview: StepFigures | undefined
}

/** Before the switch is thrown, or as the watts are typed: that a step goes beyond what the label promises. */
export function BeyondRating({ expected, preview }: Props) {
  const { analysis } = useTrial()
  const rated = ratedPower(analysis.record.revision.unit)
  const read = preview && isFigure(preview.P_C) ? preview.P_C.x.value : undefined
  const watts = read ?? expected
  if (!rated || watts === undefined || watts <= rated) return null
  return (
    <Notice kind="odd" word="Beyond the rating">
      {say(watts, 'W')} is {formatNumber((100 * watts) / rated, 0)} % of the {say(rated, 'W')} on its label,{' '}
      {say(watts - rated, 'W')} over. Keep it short, watch the heat, and stay at the switch.
    </Notice>
  )
}
