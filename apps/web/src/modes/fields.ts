import { modeNames, seenBy, transferWays, type ModeTest } from '@even-watt/contract'
import { choice, number, perhaps, words, type Field } from '../trials/fields'

const percent = { factor: 0.01 }

/** What each test of a mode asks beside the watts that the rig’s meters read. */
export const fieldsOfMode: Readonly<Record<ModeTest, readonly Field[]>> = {
  draw: [
    choice('mode', 'Mode', modeNames),
    number('cycles', 'Mean of so many cycles', ''),
    number('hours', 'It stood for', 'h'),
    number('refilled', 'Filled again with', 'Wh'),
    number('chargeBefore', 'Gauge before', '%', percent),
    number('chargeAfter', 'Gauge afterwards', '%', percent),
  ],
  wake: [number('watts', 'Small load', 'W'), choice('woke', 'It woke', ['yes', 'no'])],
  transfer: [
    choice('way', 'Which way', transferWays),
    number('gap', 'Without its sine', 'ms'),
    choice('seen', 'Timed by', seenBy),
    number('watts', 'Load', 'W'),
    perhaps('rodeThrough', 'What ran on it', ['rode through', 'restarted']),
    words('equipment', 'What ran on it', 'computer'),
  ],
  'pass-through': [
    number('gridVolts', 'Grid', 'V'),
    number('gridWatts', 'From the grid', 'W'),
    number('outletVolts', 'Outlet', 'V'),
    number('outletWatts', 'At the outlet', 'W'),
  ],
}

export const nameOfModeTest: Readonly<Record<ModeTest, string>> = {
  draw: 'What it draws',
  wake: 'When it wakes',
  transfer: 'Transfer',
  'pass-through': 'Pass-through',
}
