import type { Question } from '@even-watt/contract'
import type { Answered, Asked, Asking } from './answer'
import { judgedBy } from './claims'
import { knownOver } from './earlierRigs'
import { battery } from './questions/battery'
import { gives } from './questions/gives'
import { keepAsks, keepOf } from './questions/keep'
import { lasts } from './questions/lasts'
import { leads } from './questions/leads'
import { nothing } from './questions/nothing'
import { reaches } from './questions/reaches'
import { starts } from './questions/starts'
import { charges, ports } from './questions/station'
import { wave } from './questions/wave'

/** All questions but the last, which gathers them, in a tester’s order. */
const askings: readonly Asking[] = [
  gives,
  nothing,
  reaches,
  leads,
  battery,
  wave,
  starts,
  lasts,
  ports,
  charges,
]

/** What one wants of a trial, and which questions that asks. */
export const wishes = {
  'an afternoon': ['gives', 'nothing', 'reaches', 'leads', 'battery', 'keep'],
  'a full review': [...askings.map(({ id }) => id), 'keep'],
  acceptance: ['gives', 'nothing', 'starts', 'lasts', 'keep'],
} as const satisfies Readonly<Record<string, readonly Question[]>>

/** Questions that a trial asks: its own choice, else all that its unit has. */
export const questionsOf = (asked: Asked): readonly Question[] => {
  const chosen = asked.trial.questions ?? wishes['a full review']
  return chosen.filter((id) => {
    const asking = askings.find((one) => one.id === id)
    return !asking || (asking.suits?.(asked) ?? true)
  })
}

/** A question in words. */
export interface InWords {
  readonly id: Question
  readonly asks: string
}

const asksKeep: InWords = { id: 'keep', asks: keepAsks }

/** Every question, of a unit that nothing is known of yet. */
export const inWords: readonly InWords[] = [...askings.map(({ id, asks }) => ({ id, asks })), asksKeep]

/** Every question that could be asked of a unit, as it would be asked. */
export const askable = (asked: Asked): readonly InWords[] => [
  ...askings
    .filter(({ suits }) => suits?.(asked) ?? true)
    .map(({ id, asks, asksOf }) => ({ id, asks: asksOf?.(asked) ?? asks })),
  asksKeep,
]

/** The questions of a trial with their answers, in a tester’s order; what was not asked is not there (docs/method/answers.md). */
export function answersOf(asked: Asked): Answered[] {
  const wanted = new Set(questionsOf(asked))
  const answered = askings
    .filter(({ id }) => wanted.has(id))
    .map((asking): Answered => {
      const { id, asks, asksOf, place, page, judgedBy: quantities } = asking
      const known = knownOver(asking, asked)
      return {
        id,
        asks: asksOf?.(asked) ?? asks,
        place,
        page,
        ...(quantities ? judgedBy(quantities, known, asked) : known),
      }
    })
  return wanted.has('keep') ? [...answered, keepOf(answered, asked)] : answered
}
