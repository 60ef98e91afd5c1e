import type { LadderPlanned } from '@even-watt/contract'
import type { Oddity } from './oddities'
import { remembering } from './remember'
import type { Subject } from './subject'
import { subjects } from './subjects'
import type { Analysis } from './trials'

const notices = subjects.flatMap((subject: Subject) => subject.oddities ?? [])
const noticed = remembering<Analysis, Oddity[]>()

/** Everything odd about one revision, most basic first. */
export const notice = (analysis: Analysis, plan?: LadderPlanned): Oddity[] =>
  noticed(analysis, [plan], () => {
    const context = { analysis, unit: analysis.record.revision.unit, plan }
    return notices.flatMap((find) => find(context))
  })
