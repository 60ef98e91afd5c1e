import type { Subject } from '../subject'
import { analyseNoLoad } from './figures'
import { judgeIdle, judgeSearch } from './judges/idle'
import { judgeFrequency, judgeOutputVoltage } from './judges/output'
import { noticeIdleLoad } from './oddities'

/** Output on, nothing connected. */
export const noLoad = {
  kinds: { 'no load': ({ note }) => ({ note }) },
  parts: { noLoad: analyseNoLoad },
  judges: {
    'idle draw': judgeIdle,
    'search-mode draw': judgeSearch,
    'output voltage': judgeOutputVoltage,
    frequency: judgeFrequency,
  },
  oddities: [noticeIdleLoad],
} satisfies Subject
