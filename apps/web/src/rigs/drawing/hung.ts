import type { RigForm } from '../editor/form'

/** Meters as they hang on the drawing. */
export interface Hung {
  readonly A: readonly string[]
  readonly B: readonly string[]
  /** Ammeters by the element or battery they are on. */
  readonly on: ReadonlyMap<string, string>
}

const atA = new Set(['V_A', 'I_bank'])
const atB = new Set(['V_B', 'I', 'idle I'])

/** Which meters hang where, for the drawing. */
export function hungMeters(
  rig: Pick<RigForm, 'assignments' | 'positive'>,
  meters: readonly { id: string; name: string }[],
): Hung {
  const named = rig.assignments.flatMap(({ quantity, meter, on }) => {
    const name = meters.find(({ id }) => id === meter)?.name
    return name === undefined ? [] : [{ quantity, on, words: `${quantity} ${name}` }]
  })
  const at = (taps: ReadonlySet<string>) =>
    named.filter(({ quantity }) => taps.has(quantity)).map(({ words }) => words)
  return {
    A: at(atA),
    B: at(atB),
    on: new Map(named.flatMap(({ on, words }) => (on ? [[on, words] as const] : []))),
  }
}
