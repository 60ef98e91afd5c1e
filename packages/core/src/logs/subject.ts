import type { CsvRow, Subject } from '../subject'
import { logsIn, type Log } from './log'
import { noticeAstray, noticeBothWays, noticeDarkCounter, noticeGap, noticeRoomMoved } from './oddities'
import { describeQuantity } from './series'

declare module '../trials/analysis' {
  interface Analysis {
    readonly logs: readonly Log[]
  }
}

/** Readings over time: check-ins and the tables of loggers. */
export const logs = {
  kinds: {
    log: ({ what, load, watts, full, charge, source, port, mode, note }): CsvRow => ({
      'log of': what,
      load,
      'expected [W]': watts,
      'full meant': full,
      'charge shown': charge,
      'charged by': source,
      port,
      mode,
      note,
    }),
    'check-in': (reading): CsvRow => ({
      'charge shown': reading.charge,
      event: reading.event,
      ended: reading.ended,
      'seen and heard': reading.observed,
      note: reading.note,
    }),
    'log file': ({ source, rows, seconds, columns }): CsvRow => ({
      file: source.name,
      rows,
      'seconds [s]': seconds,
      columns: columns.map(({ quantity }) => describeQuantity(quantity).words).join(', '),
    }),
  },
  parts: { logs: logsIn },
  oddities: [noticeRoomMoved, noticeGap, noticeDarkCounter, noticeBothWays, noticeAstray],
} satisfies Subject
