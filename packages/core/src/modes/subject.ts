import type { Subject } from '../subject'
import { modeFigures } from './catalogued'
import { modeDraw, transferTime } from './promises'

/** On, search, pass-through, off: what each draws, and how one goes over into another. */
export const modes = {
  kinds: { mode: 'as declared' },
  promises: { 'transfer time': transferTime, 'mode draw': modeDraw },
  figures: modeFigures,
} satisfies Subject
