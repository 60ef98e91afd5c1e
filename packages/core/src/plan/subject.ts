import type { Subject } from '../subject'
import { noticeNextAlarm } from './oddities'

/** Which loads, in which order. */
export const plan = { oddities: [noticeNextAlarm] } satisfies Subject
