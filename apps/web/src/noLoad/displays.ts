/** What the unit itself shows at no load: field, label, unit. */
export const displays = [
  ['inputVoltage', 'Display, input', 'V'],
  ['outputVoltage', 'Display, output', 'V'],
  ['outputPower', 'Display, output', 'W'],
  ['frequency', 'Display, frequency', 'Hz'],
  ['charge', 'Display, charge', '%'],
  ['loadBars', 'Display, bars of load', ''],
  ['chargeBars', 'Display, bars of charge', ''],
] as const
