import { ampacity, conductorResistance } from '../../conductors'
import { relation } from './relation'

/** What the table of the conductors is for, °C: insulation, and the air around (docs/method/conductors.md). */
const table = { insulation: 105, ambient: 30 }

/** Copper, what it carries, and the fuse before it. */
export const leads = [
  relation(
    ['leadsOhm', 'area', 'length', 'runs', 'copper'],
    'R_leads = 2 · ℓ · ρ(T) ÷ (n · A)',
    (v) =>
      v.leadsOhm * v.area * v.runs -
      conductorResistance(
        {
          material: 'copper',
          gauge: { unit: 'mm²', area: 1 },
          length: 2 * v.length,
          runs: 1,
          strandingFactor: 1,
        },
        v.copper,
      ),
  ),
  relation(
    ['carries', 'area', 'runs'],
    'I_z: single in free air of 30 °C, insulation for 105 °C',
    (v) =>
      v.carries -
      (ampacity({ gauge: { unit: 'mm²', area: v.area }, runs: v.runs, material: 'copper' }, table) ?? NaN),
    'carries',
  ),
  relation(['fuse', 'amps', 'fuseFactor'], 'I_fuse = k_fuse · I', (v) => v.fuse - v.fuseFactor * v.amps),
  relation(
    ['batteries', 'amps', 'limit'],
    'N = I ÷ I_limit, rounded up',
    (v) => v.batteries - Math.ceil(v.amps / v.limit - 1e-9),
    'batteries',
  ),
]
