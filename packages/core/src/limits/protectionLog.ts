import type { EntryOf } from '@even-watt/contract'
import { isFigure, say, sayTemperature } from '../figures'
import type { Analysis } from '../trials'
import { overloadsOf } from './overload'

/** Something that the unit did by itself, and the watts at the outlet between which it begins to. */
export interface Threshold {
  readonly what: string
  readonly sentence: string
}

interface Seen {
  readonly watts: number
  readonly reading: EntryOf<'ladder'>['reading']
}

/**
 * Where fan, alarms and trips were seen along a trial: each between the most at which it was not there and the least at which
 * it was, W at the outlet; where temperatures were read, those too (docs/method/limits.md). Of what was never seen nothing is said.
 */
export function protectionLog(analysis: Analysis): Threshold[] {
  const fromSteps = analysis.ladder.steps.flatMap(({ P_C, step }): Seen[] =>
    isFigure(P_C) ? step.readings.map(({ reading }) => ({ watts: P_C.x.value, reading })) : [],
  )
  const fromOverloads = overloadsOf(analysis).flatMap(({ reading: { watts, alarmAt }, step }): Seen[] =>
    step.step.readings.flatMap(({ reading }) => {
      if (alarmAt === undefined) return [{ watts, reading }]
      // It warned on its way up, and went on.
      const warned = { ...reading, alarm: 'overload' as const }
      return [
        { watts: alarmAt, reading: { ...warned, end: 'carried' as const } },
        { watts, reading: warned },
      ]
    }),
  )
  const seen = [...fromSteps, ...fromOverloads]
  const noted = seen.filter(({ reading }) => reading.fan !== undefined)
  return [
    between('The fan runs', noted, ({ fan }) => fan === 'on' || fan === 'speed'),
    between('The overload alarm sounds', seen, ({ alarm }) => alarm === 'overload'),
    between('The low-voltage alarm sounds', seen, ({ alarm }) => alarm === 'low voltage'),
    between('The heat alarm sounds', seen, ({ alarm }) => alarm === 'heat'),
    between('It trips', seen, ({ end }) => end === 'tripped'),
  ].filter((one) => one !== undefined)
}

function between(
  what: string,
  seen: readonly Seen[],
  is: (reading: Seen['reading']) => boolean,
): Threshold | undefined {
  const watts = (one: Seen) => one.watts
  const there = seen.filter(({ reading }) => is(reading)).sort((a, b) => watts(a) - watts(b))
  const [least] = there
  if (!least) return undefined
  const below = seen
    .filter((one) => !is(one.reading) && watts(one) < watts(least))
    .sort((a, b) => watts(b) - watts(a))[0]
  const heat = hottest(least.reading)
  return {
    what,
    sentence: `${what} at ${say(watts(least), 'W')}${heat === undefined ? '' : ` and ${sayTemperature(heat, 1)}`}${below ? `, not yet at ${say(watts(below), 'W')}` : ''}.`,
  }
}

const hottest = ({ temperatures = [] }: Seen['reading']): number | undefined => {
  const own = temperatures.filter(({ place }) => place === 'case' || place === 'heat sink')
  return own.length ? Math.max(...own.map(({ celsius }) => celsius)) : undefined
}
