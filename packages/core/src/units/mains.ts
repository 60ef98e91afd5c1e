import type { Settings, Unit } from '@even-watt/contract'

/** What a mains system makes of a new unit's output. */
export function outputOn(
  mains: Settings['mains'],
): Pick<Unit, 'outputVoltage' | 'outputFrequency' | 'phase'> {
  const [volts = 230, hertz = 50] = (mains.replace('120/240', '240').match(/\d+/g) ?? []).map(Number)
  return {
    outputVoltage: volts,
    outputFrequency: hertz,
    phase: mains.includes('split') ? 'split' : 'single',
  }
}
