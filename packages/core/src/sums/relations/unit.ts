import { relation } from './relation'

/** What a unit asks for its rated watts, the pre-charge of its input, and its ports. */
export const unit = [
  relation(
    ['pricePerWatt', 'price', 'rating'],
    'price_W = price ÷ P_rated',
    (v) => v.price - v.pricePerWatt * v.rating,
  ),
  relation(
    ['wattsPerKilo', 'rating', 'mass'],
    'P_kg = P_rated ÷ mass',
    (v) => v.rating - v.wattsPerKilo * v.mass,
  ),
  relation(
    ['wattsPerLitre', 'rating', 'room'],
    'P_l = P_rated ÷ room',
    (v) => v.rating - v.wattsPerLitre * v.room,
  ),
  relation(['sparkAmps', 'rest', 'resistor'], 'I_pre = E ÷ R_pre', (v) => v.rest - v.sparkAmps * v.resistor),
  relation(
    ['sparkWatts', 'rest', 'sparkAmps'],
    'P_pre = E · I_pre',
    (v) => v.sparkWatts - v.rest * v.sparkAmps,
  ),
  relation(
    ['sparkJoules', 'capacitance', 'rest'],
    'W_pre = ½ · C_in · E²',
    (v) => v.sparkJoules - 0.5e-6 * v.capacitance * v.rest ** 2,
  ),
  relation(
    ['chargeTime', 'resistor', 'capacitance'],
    't_pre = ln 100 · R_pre · C_in',
    (v) => v.chargeTime - Math.log(100) * 1e-6 * v.resistor * v.capacitance,
  ),
  relation(
    ['portWatts', 'portVolts', 'portAmps'],
    'P_port = V_port · I_port',
    (v) => v.portWatts - v.portVolts * v.portAmps,
  ),
]
