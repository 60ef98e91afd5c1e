import type { Unit } from '@even-watt/contract'

/** Features that are asked for most; any other may be named. */
export const usualFeatures = [
  'hardwiring terminals',
  'warranty',
  'maker’s support',
  'enclosure',
  'where it may stand',
  'remote',
  'controls',
  'mounting holes',
  'cooling',
  'protections',
  'transfer capacity',
  'main board',
  'control chip',
  'capacitors',
  'year of production',
] as const

/** Whether a unit has something: noted that it has, or has not, or left open. */
export type Has = 'has' | 'has not' | 'not known'

const none = /^(no|none|not there|without|missing)\b/i
const open = /^(\?|unknown|not known|not answered|unanswered|open)/i
const named = (what: string) => what.trim().toLowerCase()

/** What is noted of a feature, by its name in any case; undefined: nothing. */
export const featureOf = (unit: Pick<Unit, 'features'>, what: string): string | undefined =>
  unit.features?.find((one) => named(one.what) === named(what))?.says

export function hasFeature(unit: Pick<Unit, 'features'>, what: string): Has {
  const says = featureOf(unit, what)?.trim()
  if (says === undefined || open.test(says)) return 'not known'
  return none.test(says) ? 'has not' : 'has'
}

/** Names of the features that any of several units has a note of, in the order in which they were first noted. */
export function featuresNoted(units: readonly Pick<Unit, 'features'>[]): string[] {
  const found = new Map<string, string>()
  for (const { what } of units.flatMap(({ features = [] }) => features))
    if (!found.has(named(what))) found.set(named(what), what)
  return [...found.values()]
}
