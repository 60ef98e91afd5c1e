import { plain } from '../figures'
import type { CsvRow, Subject } from '../subject'
import { port } from './promise'
import { noticePorts } from './oddities'

/** Sockets that give direct current, and what they share. */
export const ports = {
  kinds: {
    port: (reading): CsvRow => {
      switch (reading.test) {
        case 'load':
          return {
            test: reading.test,
            port: reading.port,
            points: reading.points.map(({ amps, volts }) => `${plain(amps)} A ${plain(volts)} V`).join('; '),
            'lead [Ω]': reading.lead,
            'cut off at [A]': reading.cutoff,
            note: reading.note,
          }
        case 'offered':
          return {
            test: reading.test,
            port: reading.port,
            points: reading.offers
              .map(({ volts, amps }) => `${plain(volts)} V${amps === undefined ? '' : ` ${plain(amps)} A`}`)
              .join('; '),
            note: reading.note,
          }
        case 'together':
          return {
            test: reading.test,
            port: reading.loaded.map(({ port }) => port).join(' + '),
            points: reading.loaded.map(({ volts, amps }) => `${plain(amps)} A ${plain(volts)} V`).join('; '),
            note: reading.note,
          }
        case 'neighbour':
          return {
            test: reading.test,
            port: reading.port,
            points: `${plain(reading.before)} V; ${plain(reading.after)} V`,
            note: reading.note,
          }
      }
    },
  },
  promises: { port },
  oddities: [noticePorts],
} satisfies Subject
