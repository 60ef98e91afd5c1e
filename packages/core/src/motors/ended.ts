import type { Who } from '@even-watt/contract'
import { flowing, whoEnded, type Ended, type Moment, type Outcome } from '../blame'
import { deviceIn } from '../facts'
import { isFigure } from '../figures'
import type { Analysis } from '../trials'
import type { AttemptFigures } from './attempt'
import { inputGone } from './values'

/** As a tester says it of a start. */
export const nameOfWho: Readonly<Record<Who, string>> = {
  protection: 'a protective device opened',
  joint: 'a bad joint stopped it',
  leads: 'the leads took too much',
  supply: 'the supply gave out',
  unit: 'the unit gave out',
  machine: 'the machine itself',
  load: 'the loads ended',
  person: 'it was stopped by hand',
  time: 'its time was up',
  meter: 'by whom cannot be told',
}

const became: Readonly<Record<AttemptFigures['outcome'], Outcome>> = {
  started: 'carried',
  'started late': 'turned late',
  stalled: 'did not turn',
  tripped: 'tripped',
  'tripped and recovered': 'tripped',
}

/** A start as a moment that all looks are taken at. */
function momentOf(attempt: AttemptFigures, { record }: Analysis): Moment {
  const { seen, entry, outcome, lowest, lowestInput, nominal, inputBefore, inputCurrent, lasted } = attempt
  const { reading } = entry
  const usual = record.revision.unit.inputVoltage ?? 0
  return {
    became: became[outcome],
    alarm: 'none',
    device: deviceIn(reading.opened),
    // A lowest value of next to nothing is what a meter keeps once the path is open.
    inputGone:
      seen?.inputGone ??
      (outcome !== 'stalled' && reading.lowestInput !== undefined && reading.lowestInput < inputGone * usual),
    inputKept: seen !== undefined && seen.lowestInput !== undefined && !seen.inputGone,
    notedUnit: reading.opened === 'the unit',
    wentOut: seen !== undefined || reading.opened === 'the unit',
    V_B: lowestInput,
    // The course holds means of a cycle: what pulses within it is no sag.
    swing: 0,
    extreme: true,
    before: inputBefore,
    amps: inputCurrent,
    held: lasted,
    V_C: lowest,
    nominal,
    sag: undefined,
    load: () => (isFigure(attempt.current) ? flowing(attempt.current.x.value) : ''),
    step: undefined,
  }
}

/**
 * Who stopped a start that failed or came late, by the looks that all moments share (docs/method/blame.md). Of one that
 * started in time, only whether the output folded under it; undefined where it did not.
 */
export const whoStopped = (attempt: AttemptFigures, analysis: Analysis): Ended | undefined =>
  whoEnded(momentOf(attempt, analysis), analysis)
