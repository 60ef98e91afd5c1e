import { relation } from './relation'

/** What a battery holds, how long it lasts, and how batteries are put together. */
export const battery = [
  relation(['rest', 'oneVolts', 'series'], 'E = s · E_1', (v) => v.rest - v.series * v.oneVolts),
  relation(['ah', 'oneAh', 'parallel'], 'Q = q · Q_1', (v) => v.ah - v.parallel * v.oneAh),
  relation(
    ['bankOhm', 'oneOhm', 'series', 'parallel'],
    'R_bank = R_1 · s ÷ q',
    (v) => v.bankOhm * v.parallel - v.oneOhm * v.series,
  ),
  relation(['wh', 'ah', 'rest'], 'W = Q · E', (v) => v.wh - v.ah * v.rest),
  relation(['usableWh', 'wh', 'usable'], 'W_u = u · W', (v) => v.usableWh - v.usable * v.wh),
  relation(
    ['loadHours', 'wh', 'watts'],
    't_load = W ÷ P_out',
    (v) => v.wh - v.loadHours * v.watts,
    'loadHours',
  ),
  relation(
    ['idealHours', 'usableWh', 'wattsIn'],
    't_ideal = W_u ÷ P_in',
    (v) => v.usableWh - v.idealHours * v.wattsIn,
    'idealHours',
  ),
  relation(['cRate', 'amps', 'ah'], 'C = I ÷ Q', (v) => v.amps - v.cRate * v.ah),
  relation(
    ['hours', 'usable', 'ratedHours', 'ah', 'amps', 'peukert'],
    't = u · h_Q · (Q ÷ (I · h_Q))^p',
    (v) => v.hours - v.usable * v.ratedHours * (v.ah / (v.amps * v.ratedHours)) ** v.peukert,
  ),
]
