import { relation } from './relation'

/** At the outlet: watts by volts and amps, the rating, heaters on other volts, and starts. */
export const outlet = [
  relation(['va', 'acVolts', 'acAmps'], 'S = V_out · I_out', (v) => v.va - v.acVolts * v.acAmps),
  relation(['watts', 'va', 'factor'], 'P_out = PF · S', (v) => v.watts - v.va * v.factor),
  relation(
    ['ofRating', 'watts', 'rating'],
    'P/P_rated = P_out ÷ P_rated',
    (v) => v.watts - v.ofRating * v.rating,
  ),
  relation(['margin', 'watts', 'rating'], 'margin = P_rated − P_out', (v) => v.margin - v.rating + v.watts),
  relation(
    ['heater', 'labelWatts', 'labelVolts', 'acVolts'],
    'P_heater = P_label · (V_out ÷ V_label)²',
    (v) => v.heater * v.labelVolts ** 2 - v.labelWatts * v.acVolts ** 2,
  ),
  relation(
    ['startAmps', 'multiple', 'acAmps'],
    'I_start = m · I_out',
    (v) => v.startAmps - v.multiple * v.acAmps,
  ),
  relation(
    ['startVA', 'startAmps', 'acVolts'],
    'S_start = V_out · I_start',
    (v) => v.startVA - v.startAmps * v.acVolts,
  ),
  relation(
    ['startVA', 'code', 'horsepower'],
    'S_start = 1000 · k_code · hp',
    (v) => v.startVA - 1000 * v.code * v.horsepower,
  ),
]
