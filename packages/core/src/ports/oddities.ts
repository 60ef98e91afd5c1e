import { say } from '../figures'
import type { Notice } from '../oddities'
import { sweepsOf } from './sweep'

/** Share of watts by which a display must be off. */
const displayOff = 0.08

/** 37: the cable, not the port, limits; 40: a port's display against what was read. */
export const noticePorts: Notice = ({ analysis }) => {
  const revision = analysis.record.revision.number
  return sweepsOf(analysis.record).flatMap((sweep) => {
    const { entry, reading, leadDrop, cableLimits, points } = sweep
    const at = { revision, entry: entry.id }
    const last = points.at(-1)
    const shown = reading.shown
    return [
      ...(cableLimits
        ? [
            {
              number: 37 as const,
              odd: `The cable of ${reading.port} takes ${say(leadDrop ?? 0, 'V', 1)}: the port itself holds.`,
              why: 'What fails at the end of a thin cable is no fault of the port.',
              todo: 'Read it at the port, or with a shorter cable.',
              at,
            },
          ]
        : []),
      ...(shown !== undefined && last && last.watts > 0 && Math.abs(shown / last.watts - 1) > displayOff
        ? [
            {
              number: 40 as const,
              odd: `The display says ${say(shown, 'W')} where ${say(last.watts, 'W')} were read at ${reading.port}.`,
              why: 'Who plans by the display is off by as much.',
              todo: 'Judge by the meter; note the display as what it is.',
              at,
            },
          ]
        : []),
    ]
  })
}
