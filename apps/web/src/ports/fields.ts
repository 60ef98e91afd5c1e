import { portReturns, type PortTest } from '@even-watt/contract'
import { lines, number, perhaps, words, type Field } from '../trials/fields'

const percent = { factor: 0.01 }
const milliohms = { factor: 0.001 }

/** What each test of a port asks, what it cannot do without first. */
export const fieldsOfPort: Readonly<Record<PortTest, readonly Field[]>> = {
  load: [
    words('port', 'Port', 'USB-C'),
    number('volts', 'Its volts', 'V'),
    lines('points', 'Amps and volts, a pair a line', '0.5 5.08\n1.0 5.02\n2.0 4.71'),
    number('lead', 'Lead, both ways', 'mΩ', milliohms),
    number('cutoff', 'It cut off at', 'A'),
    perhaps('returned', 'It came back', portReturns),
    number('cable', 'The cable carries', 'A'),
    number('charge', 'Charge left', '%', percent),
    number('shown', 'Its display said', 'W'),
    words('beside', 'Loaded beside it', 'USB-A at 2 A'),
  ],
  offered: [
    words('port', 'Port', 'USB-C'),
    lines('offers', 'Volts and amps offered, a pair a line', '5 3\n9 3\n20 2.25 given'),
    words('cable', 'Cable', 'marked 3 A'),
  ],
  together: [
    lines('loaded', 'Port, volts, amps; one a line', 'USB-C 20 1.5\nUSB-A 5.1 2'),
    perhaps('held', 'All of them held', ['yes', 'no']),
    words('gaveUp', 'What gave up', 'USB-C'),
  ],
  neighbour: [
    words('port', 'Port', 'USB-A'),
    words('neighbour', 'Its neighbour', 'second USB-A'),
    number('before', 'Volts before', 'V'),
    number('after', 'Volts with it loaded', 'V'),
    number('amps', 'The neighbour takes', 'A'),
  ],
}

export const nameOfPortTest: Readonly<Record<PortTest, string>> = {
  load: 'Volts against amps',
  offered: 'Volts offered',
  together: 'Ports together',
  neighbour: 'Neighbours',
}
