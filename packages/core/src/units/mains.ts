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

/** Volts and hertz of a mains system, of a split phase the whole; undefined while the bench was not asked. */
export function mainsOf(mains: Settings['mains'] | undefined): { volts: number; hertz: number } | undefined {
  if (!mains) return undefined
  const { outputVoltage: volts, outputFrequency: hertz } = outputOn(mains)
  return { volts, hertz }
}
