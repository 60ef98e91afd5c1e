import { displayCells } from '../evidence'
import { temperatureCells } from '../rigs'
import type { Subject } from '../subject'
import { noLoadFigures } from './catalogued'
import { analyseNoLoad } from './figures'
import { idleDraw, searchDraw } from './promises/idle'
import { noticeIdleLoad, noticeLowToBegin } from './oddities'

/** Output on, nothing connected. */
export const noLoad = {
  kinds: {
    'no load': ({ mode, held, temperatures, display, observed, note }, { rig }) => ({
      mode,
      'held [s]': held,
      ...temperatureCells(temperatures, rig),
      ...displayCells(display),
      'seen and heard': observed,
      note,
    }),
  },
  parts: { noLoad: analyseNoLoad },
  promises: {
    'idle draw': idleDraw,
    'search-mode draw': searchDraw,
  },
  figures: noLoadFigures,
  oddities: [noticeIdleLoad, noticeLowToBegin],
} satisfies Subject
