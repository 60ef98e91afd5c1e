import type { Unit } from '@even-watt/contract'
import { plain, say } from '../figures'
import { ratedPower } from './claims'

/** What units are told apart by, each in a few words: revision, rating, volts, wave, how it came. */
export function unitFacts(unit: Unit): string[] {
  const rated = ratedPower(unit)
  return [
    unit.revision ? `revision ${unit.revision}` : '',
    rated === undefined ? '' : say(rated, 'W'),
    unit.inputVoltage === undefined ? '' : `${plain(unit.inputVoltage)} V`,
    unit.wave === 'unstated' ? 'wave not said' : unit.wave,
    unit.provenance?.how ?? '',
  ]
}
