import type { Quantity, Rig } from '@even-watt/contract'
import { notRead } from '../evidence'
import { estimated, isFigure, type Derived } from '../figures'
import { multiply, subtract } from '../meters'
import { expectedTotal, placed } from '../rigs'

/**
 * Volts at the terminals where only the posts were read: V_A less what the path is expected to take at the current that was
 * read. An estimate, so it decides nothing (docs/method/ladder.md); nothing at all while the leads are not described.
 */
export function terminalsOf(read: Readonly<Record<Quantity, Derived>>, rig: Rig, scope: string): Derived {
  const { V_A, V_B, I } = read
  if (isFigure(V_B) || !isFigure(V_A) || !isFigure(I)) return V_B
  if (rig.leads === 'not known')
    return { missing: `${notRead('V_B')} Nothing is known of the leads: read at the terminals.` }
  const elements = placed(rig).map(({ element }) => element)
  if (!elements.length) return V_B
  const R = expectedTotal(elements, rig.typical, 20, scope)
  const figure = estimated('V_B', 'V', subtract(V_A.x, multiply(R, I.x)), 'V_A − R_path·I', [
    'Not read: the path is taken as it is expected to be, with sound joints.',
  ])
  return isFigure(figure) ? { ...figure, working: { ...figure.working, inputs: [V_A, I] } } : figure
}
