import type { Rig } from '@even-watt/contract'

/** Ids of what was made, and of how it was kept, say nothing of a rig; that of a meter says which one hangs there. */
const besides: ReadonlySet<string> = new Set(['id', 'version', 'savedAt'])

/** The same text for the same description, in whatever order its fields are kept. */
function told(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(told)
  if (typeof value !== 'object' || value === null) return value
  return Object.entries(value)
    .filter(([key, one]) => !besides.has(key) && one !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, one]) => [key, told(one)])
}

/** Whether two rigs are described alike, with the same meters: begun with the same words once more, it is the same bench. */
export const isSameRig = (a: Rig, b: Rig): boolean => JSON.stringify(told(a)) === JSON.stringify(told(b))
