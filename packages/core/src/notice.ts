import type { LadderPlanned } from '@even-watt/contract'
import type { Oddity } from './oddities'
import { remembering } from './remember'
import type { Subject } from './subject'
import { subjects } from './subjects'
import type { Analysis } from './trials'

const notices = subjects.flatMap((subject: Subject) => subject.oddities ?? [])
/** What each notice found, as far as it has looked. */
const looked = remembering<Analysis, Oddity[][]>()
const noticed = remembering<Analysis, Oddity[]>()

/** Looks for all that is odd about one revision, and may be paused after each notice. */
export function* noticing(analysis: Analysis, plan?: LadderPlanned): Generator<void, Oddity[][]> {
  const found = looked(analysis, [plan], () => [])
  const context = { analysis, unit: analysis.record.revision.unit, plan }
  for (const find of notices.slice(found.length)) {
    found.push(find(context))
    yield
  }
  return found
}

/** Everything odd about one revision, most basic first. */
export const notice = (analysis: Analysis, plan?: LadderPlanned): Oddity[] =>
  noticed(analysis, [plan], () => {
    const work = noticing(analysis, plan)
    let step = work.next()
    while (!step.done) step = work.next()
    return step.value.flat()
  })
