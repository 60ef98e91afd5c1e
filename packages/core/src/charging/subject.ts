import type { CsvRow, Subject } from '../subject'
import { chargingFigures } from './catalogued'
import { chargePower, chargeTime } from './promises'

/** What goes in: from the wall, a vehicle, the sun. */
export const charging = {
  kinds: {
    charging: (reading): CsvRow =>
      reading.test === 'input'
        ? {
            test: 'charging input',
            'charged by': reading.source,
            'irradiance [W/m²]': reading.irradiance,
            note: reading.note,
          }
        : {
            test: 'panel',
            panel: reading.name,
            owned: reading.owned,
            'open circuit [V]': reading.openVolts,
            'short circuit [A]': reading.shortAmps,
            'at its best [W]': reading.watts,
            note: reading.note,
          },
  },
  promises: { 'charge power': chargePower, 'charge time': chargeTime },
  figures: chargingFigures,
} satisfies Subject
