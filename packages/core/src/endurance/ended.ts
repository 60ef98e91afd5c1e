import { plain, say } from '../figures'
import { seriesFor, type Log } from '../logs'
import type { Analysis } from '../trials'
import { claimedValue } from '../units'
import { batteriesIn } from './batteries'

const noted: Readonly<Record<NonNullable<Log['ended']>['why'], string>> = {
  'low voltage': 'Its low voltage stopped it',
  heat: 'Heat stopped it',
  BMS: 'A BMS cut off',
  'one battery first': 'One battery ended first, and with it all',
  overload: 'It gave up by overload',
  full: 'It was full',
  'time was up': 'It was ended when its time was up',
  'by hand': 'It was stopped by hand',
  'not known': 'Why it ended is not known',
}

/** Share by which volts may stand over a cutoff and still be it: the last reading is from before it. */
const near = 0.06

/** Ends after which nothing more could be drawn. */
const emptied: ReadonlySet<string> = new Set(['low voltage', 'BMS', 'one battery first'])
export const ranEmpty = ({ ended }: Log): boolean => ended !== undefined && emptied.has(ended.why)

/** Why a log ended, in a sentence, with what its readings say for or against it. */
export function whyEnded(log: Log, analysis: Analysis): string | undefined {
  const { ended } = log
  if (!ended) return undefined
  const said = noted[ended.why]
  const volts = seriesFor(log, 'V_B') ?? seriesFor(log, 'V_A')
  const last = volts?.points.findLast(({ at }) => at <= ended.at)
  const cutoff = claimedValue(analysis.record.revision.unit, 'cutoff voltage')
  if (ended.why === 'low voltage' && last && cutoff !== undefined && last.value > cutoff * (1 + near))
    return `${said}, as noted; but ${say(last.value, 'V', 4)} stood at it when it was last read, over its cutoff of ${plain(cutoff)} V. A BMS or one battery may have ended it: read each battery.`
  const first = batteriesIn(log, analysis)?.first
  if (first && emptied.has(ended.why)) return `${said}: ${first.sentence}`
  return `${said}.`
}
