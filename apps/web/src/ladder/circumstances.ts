import type { LadderReading } from '@even-watt/contract'
import { sayDisplay, sayDuration } from '@even-watt/core'

/** What went with a reading, beside its values: fan, alarm, how it ended, what was shown, seen and heard. */
export const circumstances = (reading: LadderReading): string =>
  [
    reading.fan && `fan ${reading.fan}`,
    reading.alarm && reading.alarm !== 'none' && `alarm: ${reading.alarm}`,
    reading.end && reading.end !== 'carried' && reading.end,
    reading.lowered && 'input lowered on purpose',
    reading.held !== undefined && `held ${sayDuration(reading.held)}`,
    sayDisplay(reading.display),
    reading.observed,
    reading.note,
  ]
    .filter(Boolean)
    .join(' · ')
