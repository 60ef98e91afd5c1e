import type { CsvRow, Subject } from '../subject'
import { modeDraw, transferTime } from './promises'

/** On, search, pass-through, off: what each draws, and how one goes over into another. */
export const modes = {
  kinds: {
    mode: (reading): CsvRow => {
      const { test, note } = reading
      switch (reading.test) {
        case 'draw':
          return {
            test,
            mode: reading.mode,
            'stood [h]': reading.hours,
            'refilled [Wh]': reading.refilled,
            note,
          }
        case 'wake':
          return { test, 'load [W]': reading.watts, woke: String(reading.woke), note }
        case 'transfer':
          return { test, way: reading.way, 'gap [ms]': reading.gap, 'timed by': reading.seen, note }
        case 'pass-through':
          return {
            test,
            'grid [V]': reading.gridVolts,
            'grid [W]': reading.gridWatts,
            'outlet [V]': reading.outletVolts,
            'outlet [W]': reading.outletWatts,
            note,
          }
      }
    },
  },
  promises: { 'transfer time': transferTime, 'mode draw': modeDraw },
} satisfies Subject
