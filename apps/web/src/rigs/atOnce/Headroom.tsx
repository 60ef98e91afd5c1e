import { say, type SupplyQuestion, type SupplyView } from '@even-watt/core'
import { useCallback } from 'react'
import { LazyChart } from '../../ui/chart/LazyChart'
import { type ChartTheme } from '../../ui/chart/theme'
import { headroomChart } from './headroomChart'

interface Props {
  readonly view: SupplyView
  readonly question: SupplyQuestion
  readonly claim: number | undefined
  /** Nothing is known of the leads: all of it is at the posts. */
  readonly atPosts: boolean
  /** Whether the supply was measured, or is only promised. */
  readonly measured: boolean
}

/** How far the supply reaches before the unit warns, in a sentence and a picture. */
export function Headroom({ view, question, claim, measured, atPosts }: Props) {
  const build = useCallback(
    (theme: ChartTheme) => headroomChart(view, question, claim, theme),
    [view, question, claim],
  )
  return (
    <section>
      <h3 className="font-semibold">Headroom</h3>
      <p>
        {sayReach(
          view.toAlarm.outputPower,
          view.toAlarm.inputPower,
          view.toAlarm.current,
          view.toAlarm.limitedBy,
        )}{' '}
        {`The cutoff would come at ${say(view.toCutoff.outputPower, 'W')} out, ${say(view.toCutoff.inputPower, 'W')} in, limited by ${view.toCutoff.limitedBy}.`}{' '}
        {claim !== undefined &&
          (view.toAlarm.outputPower >= claim
            ? `The claim of ${say(claim, 'W')} can be shown on it${atPosts ? ', if the leads take little' : ''}.`
            : `A claim of ${say(claim, 'W')} cannot be shown on it.`)}
        {!measured && (
          <span className="text-quiet"> From what the rig promises; nothing of it is measured yet.</span>
        )}
      </p>
      <LazyChart
        title={`Volts at the ${atPosts ? 'posts' : 'terminals'} against load`}
        description="V at B against output watts, with the alarm and the cutoff."
        fileName="headroom"
        height={230}
        build={build}
      />
    </section>
  )
}

const sayReach = (out: number, input: number, current: number, limit: string) =>
  `Before the alarm at most ${say(out, 'W')} out (${say(input, 'W')} in, ${say(current, 'A')}), limited by ${limit}.`
