import type { Quantity } from '@even-watt/contract'
import { besideSteps, quantities } from '@even-watt/core'

/** What a column of a foreign table may hold. */
export type Target =
  | Quantity
  | keyof typeof shownTargets
  | 'time'
  | 'load'
  | 'kind'
  | 'fan'
  | 'alarm'
  | 'end'
  | 'held'
  | 'seen and heard'
  | 'note'

/** What the unit itself showed, and where that stands in a reading. */
export const shownTargets = {
  'display, input V': 'inputVoltage',
  'display, output V': 'outputVoltage',
  'display, output W': 'outputPower',
  'display, Hz': 'frequency',
  'bars of load': 'loadBars',
  'bars of charge': 'chargeBars',
} as const
const shown = Object.keys(shownTargets) as (keyof typeof shownTargets)[]

export const targets: readonly Target[] = [
  'time',
  'load',
  'kind',
  ...quantities.filter((quantity) => !besideSteps.has(quantity)),
  ...shown,
  'fan',
  'alarm',
  'end',
  'held',
  'seen and heard',
  'note',
]

/** Column index → target; columns that are left out have none. */
export type Mapping = ReadonlyMap<number, Target>

const aliases: Record<string, Target> = {
  va: 'V_A',
  vbank: 'V_A',
  vb: 'V_B',
  vdc: 'V_B',
  vin: 'V_B',
  dcv: 'V_B',
  i: 'I',
  idc: 'I',
  iin: 'I',
  dca: 'I',
  vc: 'V_C',
  vac: 'V_C',
  vout: 'V_C',
  acv: 'V_C',
  ic: 'I_C',
  iac: 'I_C',
  aca: 'I_C',
  pc: 'P_C',
  pac: 'P_C',
  pout: 'P_C',
  w: 'P_C',
  watts: 'P_C',
  pf: 'PF',
  f: 'f',
  hz: 'f',
  frequency: 'f',
  thd: 'THD',
  t: 'T',
  temp: 'T',
  temperature: 'T',
  load: 'load',
  step: 'load',
  kind: 'kind',
  fan: 'fan',
  alarm: 'alarm',
  end: 'end',
  ended: 'end',
  held: 'held',
  note: 'note',
  remark: 'note',
  time: 'time',
  taken: 'time',
  date: 'time',
  at: 'time',
  clock: 'time',
}

/** Headings of several words, the more telling first: what tells them, and what they hold. */
const phrases: readonly (readonly [RegExp, Target])[] = [
  [/bars.*(charge|batt)/, 'bars of charge'],
  [/bars/, 'bars of load'],
  [/(?=.*(shown|display))(?=.*\bhz\b)/, 'display, Hz'],
  [/(?=.*(shown|display))(?=.*\bw\b)/, 'display, output W'],
  [/(?=.*(shown|display))(?=.*\bv\b)(?=.*(batt|in\b|input))/, 'display, input V'],
  [/(?=.*(shown|display))(?=.*\bv\b)/, 'display, output V'],
  [/(?=.*\bw\b)(?=.*(out|load|ac\b))/, 'P_C'],
  [/(?=.*\bw\b)(?=.*(dc\b|input|terminal))/, 'P_B'],
  [/(?=.*\bv\b)(?=.*(out|ac\b))/, 'V_C'],
  [/(?=.*\bv\b)(?=.*(post|batt|bank))/, 'V_A'],
  [/(?=.*\bv\b)(?=.*(unit|terminal|input))/, 'V_B'],
  [/(?=.*\ba\b)(?=.*(out|ac\b))/, 'I_C'],
  [/(?=.*\ba\b)(?=.*(clamp|dc\b|input|shunt))/, 'I'],
  [/seen|heard/, 'seen and heard'],
]

/** Longer headings are no headings. */
const longest = 80

/** Guesses the target of each column from its heading; a target is given to one column only. */
export function guessMapping(header: readonly string[]): Mapping {
  const mapping = new Map<number, Target>()
  const used = new Set<Target>()
  header.forEach((heading, i) => {
    const [word = ''] = heading.trim().split(/[\s[(,]/)
    const exact = targets.find((target) => target === word)
    const low = heading.toLowerCase().slice(0, longest)
    const phrase = phrases.find(([tells]) => tells.test(low))?.[1]
    // "load W shown" is what the display says of the load.
    const claimed = /shown|display/.test(low) ? phrase : undefined
    const target = claimed ?? exact ?? phrase ?? aliases[word.toLowerCase().replace(/[^a-z]/g, '')]
    if (!target || used.has(target)) return
    mapping.set(i, target)
    used.add(target)
  })
  return mapping
}
