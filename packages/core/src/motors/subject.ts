import type { Subject } from '../subject'
import { noticeBankLow } from './oddities'

/** What it starts. */
export const motors = { kinds: { motors: null }, oddities: [noticeBankLow] } satisfies Subject
