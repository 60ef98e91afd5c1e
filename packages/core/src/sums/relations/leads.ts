import { ampacity, conductorResistance } from '../../conductors'
import { relation } from './relation'

/** What the table of the conductors is for, °C: insulation, and the air around (docs/method/conductors.md). */
const table = { insulation: 105, ambient: 30 }

/** Batteries side by side for so many amps; what is only dust over a whole number asks for no other one. */
const sideBySide = (amps: number, each: number) => Math.ceil(amps / each - 1e-9)

/** Copper, what it carries, the fuse before it, and what batteries and clamp stand. */
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
    (v) => v.batteries - sideBySide(v.amps, v.limit),
    'batteries',
  ),
  relation(
    ['limitSpare', 'batteries', 'limit', 'amps'],
    'I_spare = N · I_limit − I',
    (v) => v.limitSpare - v.batteries * v.limit + v.amps,
    'limitSpare',
  ),
  relation(
    ['chargeBatteries', 'chargeAmps', 'chargeLimit'],
    'N_charge = I_charge ÷ I_take, rounded up',
    (v) => v.chargeBatteries - sideBySide(v.chargeAmps, v.chargeLimit),
    'chargeBatteries',
  ),
  relation(
    ['chargeSpare', 'chargeBatteries', 'chargeLimit', 'chargeAmps'],
    'I_charge,spare = N_charge · I_take − I_charge',
    (v) => v.chargeSpare - v.chargeBatteries * v.chargeLimit + v.chargeAmps,
    'chargeSpare',
  ),
  relation(
    ['clampLeft', 'clamp', 'amps'],
    'ΔI_clamp = I_clamp − I',
    (v) => v.clampLeft - v.clamp + v.amps,
    'clampLeft',
  ),
  relation(
    ['clampIdealLeft', 'clamp', 'idealAmps'],
    'ΔI_clamp,ideal = I_clamp − I_ideal',
    (v) => v.clampIdealLeft - v.clamp + v.idealAmps,
    'clampIdealLeft',
  ),
]
