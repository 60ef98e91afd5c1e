import {
  comebacks,
  flickers,
  functionResults,
  gaveUpBy,
  overloadWays,
  seenBy,
  thresholds,
  type LimitTest,
} from '@even-watt/contract'
import { choice, number, perhaps, tick, words, type Field } from '../trials/fields'

/** What each test asks, what it cannot do without first. */
export const fieldsOfTest: Readonly<Record<LimitTest, readonly Field[]>> = {
  overload: [
    words('load', 'Load', 'kettle + immersion rod'),
    number('watts', 'At the outlet', 'W'),
    choice('ended', 'What ended it', gaveUpBy),
    number('lasted', 'Lasted', 's'),
    perhaps('leg', 'Leg', ['L1', 'L2']),
    choice('how', 'How it was loaded', overloadWays),
    number('alarmAt', 'It warned at', 'W'),
    number('volts', 'Volts at C', 'V'),
    number('inputVolts', 'Volts at B', 'V'),
    perhaps('comeback', 'It came back', comebacks),
    number('comebackAfter', 'Back after', 's'),
    number('baseBefore', 'Base step before', 'V'),
    number('baseAfter', 'Base step afterwards', 'V'),
  ],
  threshold: [
    choice('which', 'Which', thresholds),
    number('V_B', 'Volts at B', 'V'),
    number('watts', 'Load', 'W'),
  ],
  'start-up': [
    choice('outcome', 'Outcome', ['started', 'started after tries', 'did not start']),
    number('startUp', 'Until 90 % of its volts', 's'),
    number('softStart', 'From 10 to 90 %', 's'),
    choice('seen', 'Timed by', seenBy),
    words('load', 'Load connected', 'nothing'),
    number('watts', 'It takes', 'W'),
  ],
  dynamic: [
    number('from', 'From', 'W'),
    number('to', 'To', 'W'),
    number('lowest', 'Lowest after it', 'V'),
    number('highest', 'Highest after it', 'V'),
    number('back', 'Steady again after', 's'),
    number('pulses', 'Swing with a load that pulsates', '%'),
    choice('lamps', 'Lamps', flickers),
    tick('hunts', 'It hunts at a steady load'),
    tick('blanks', 'It blanks when a load is released'),
  ],
  'input sweep': [
    words('load', 'Load', 'drying plate low'),
    number('V_B', 'Volts at B', 'V'),
    number('V_C', 'Volts at C', 'V'),
  ],
  function: [words('what', 'What was checked', 'remote switch'), choice('result', 'Result', functionResults)],
}
