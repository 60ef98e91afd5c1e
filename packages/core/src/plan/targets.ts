import { parseNumber } from '../entry'

/** Sets of targets in % of rated watts (docs/method/plan.md). */
export const targetSets = [
  { name: 'usual', shares: [5, 10, 25, 50, 75, 100, 110] },
  { name: 'IEC 61683', shares: [5, 10, 25, 50, 75, 100, 120] },
  { name: 'European weights', shares: [5, 10, 20, 30, 50, 100] },
  { name: 'Californian weights', shares: [10, 20, 30, 50, 75, 100] },
] as const

export type TypedTargets = { ok: true; targets: number[] } | { ok: false; why: string }

const mostTargets = 40

/** Targets as typed: "5 %, 25 %, 350 W"; a bare number is per cent of rated. In W, in the order typed. */
export function parseTargets(typed: string, rated: number | undefined): TypedTargets {
  const parts = typed
    .split(/[;\n]|,(?=\s)|\s{2,}/)
    .map((part) => part.trim())
    .filter(Boolean)
  if (!parts.length) return { ok: false, why: 'Targets: at least one, such as "5 %, 25 %, 350 W".' }
  if (parts.length > mostTargets) return { ok: false, why: `Targets: ${mostTargets} at most.` }
  const targets: number[] = []
  for (const part of parts) {
    const inWatts = /w$/i.test(part)
    const number = parseNumber(part.replace(/\s*(%|w)$/i, ''))
    if (!number.ok) return { ok: false, why: `"${part}": ${number.why}` }
    if (!inWatts && rated === undefined) {
      return { ok: false, why: `"${part}": the unit claims no continuous watts, so give targets in W.` }
    }
    const watts = inWatts ? number.value : (number.value / 100) * (rated ?? 0)
    if (!(watts > 0)) return { ok: false, why: `"${part}": a target is above 0.` }
    targets.push(watts)
  }
  return { ok: true, targets }
}
