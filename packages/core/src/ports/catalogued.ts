import { furthestOf, type RigFigured } from '../figured'
import { plain, type Derived } from '../figures'
import type { Analysis } from '../trials'
import { portFigure, type PortUnit } from './figure'
import { sweepsOf, type PortPoint, type PortSweep } from './sweep'

const here = { page: 'ports', method: 'ports', dependsOn: ['unit', 'load'] } as const

/** "USB-C, 20 V": one port may give several volts. */
const portOf = ({ reading: { port, volts } }: PortSweep): string =>
  volts === undefined ? port : `${port}, ${plain(volts)} V`

/** What every port gave at a point of its loading. */
const at = (point: (sweep: PortSweep) => PortPoint | undefined, unit: PortUnit) => (analysis: Analysis) =>
  sweepsOf(analysis.record).map((sweep) => {
    const chosen = point(sweep)
    const of: Derived = chosen
      ? portFigure(sweep, chosen, unit, analysis)
      : { missing: 'It did not stay within its tolerance.' }
    return { of, what: portOf(sweep) }
  })

const most = ({ carried }: PortSweep) => carried
const none = 'No port was loaded.'

/** What the sockets of direct current give, over all that were loaded. */
export const portFigures: readonly RigFigured[] = [
  furthestOf('highest', at(most, 'W'), none, {
    ...here,
    id: 'port watts',
    words: 'most watts of a port',
    head: 'watts within tolerance',
    unit: 'W',
    looked: ['usb', 'socket', 'charger', 'pd', 'adapter'],
  }),
  furthestOf('highest', at(most, 'A'), none, {
    ...here,
    id: 'port amps',
    words: 'most amps of a port',
    head: 'amps within tolerance',
    unit: 'A',
    looked: ['usb', 'socket', 'charger', 'pd'],
  }),
  furthestOf('lowest', at(most, 'V'), none, {
    ...here,
    id: 'port volts',
    words: 'lowest volts of a port at the most that it gives',
    head: 'volts at that',
    unit: 'V',
    looked: ['usb', 'socket', 'floor', 'regulated', 'sag'],
  }),
]
