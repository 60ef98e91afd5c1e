import type { Entry, Question } from '@even-watt/contract'
import { tellingRig } from '../../draft'
import { thresholdOf } from '../../facts'
import { viewTrial } from '../../view'
import type { Asked, Mark } from '../answer'
import { answersOf } from '../answers'
import { truthOf, type May } from './may'
import { wouldRead, type Load } from './shown'

/** How often, of all that the unit may be, a question ends answered, and how often with yes, no or a figure that stands. */
export interface Chance {
  readonly answered: number
  readonly decided: number
}

/** What a reading would tell, over all that the unit may be. */
export interface Chances {
  readonly of: ReadonlyMap<Question, Chance>
  /** Share of them in which the supply sags to where the unit warns or stops, or cannot give the load at all. */
  readonly sags: number
}

const isRead = (mark: Mark) => mark !== 'not read' && mark !== 'not shown'
const decided: ReadonlySet<Mark> = new Set(['yes', 'no', 'answered'])

/** Asks the court of what would be read of each one that the unit may be (docs/method/answers.md). */
export function chancesOf(asked: Asked, entries: readonly Entry[], load: Load, all: readonly May[]): Chances {
  const {
    on: { analysis },
    trial,
  } = asked
  const before = new Map(answersOf(asked).map((one) => [one.id, one]))
  const at = new Date(Math.max(0, ...entries.map((entry) => Date.parse(entry.at))) + 60_000).toISOString()
  const low = thresholdOf(analysis.record)?.volts ?? 0
  const counts = new Map<Question, { answered: number; decided: number }>()
  let sags = 0
  for (const may of all) {
    const entry = wouldRead(analysis, may, load, at)
    const V_B = truthOf(may, load.watts)?.V_B ?? Infinity
    if (!entry || V_B <= low) {
      sags += 1
      continue
    }
    const view = viewTrial(trial, [...entries, entry])
    const then = tellingRig(view.analyses)
    if (!then) continue
    for (const { id, mark, open } of answersOf({ on: { analysis: then }, view, trial })) {
      // What was not read at all is further once it is; what was read in part, once nothing of it is open.
      const further = isRead(mark) && !isRead(before.get(id)?.mark ?? mark)
      if (open && !further) continue
      const count = counts.get(id) ?? { answered: 0, decided: 0 }
      counts.set(id, {
        answered: count.answered + 1,
        decided: count.decided + Number(decided.has(mark)),
      })
    }
  }
  return {
    of: new Map(
      [...counts].map(([id, count]) => [
        id,
        { answered: count.answered / all.length, decided: count.decided / all.length },
      ]),
    ),
    sags: sags / all.length,
  }
}
