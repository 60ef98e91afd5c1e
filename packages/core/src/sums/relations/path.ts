import { relation } from './relation'

/** From the battery to the outlet: watts, amps, volts and what is lost on the way. */
export const path = [
  relation(['watts', 'wattsIn', 'efficiency'], 'P_out = η · P_in', (v) => v.watts - v.efficiency * v.wattsIn),
  relation(
    ['wattsIn', 'watts', 'unitLoss'],
    'P_lost = P_in − P_out',
    (v) => v.wattsIn - v.watts - v.unitLoss,
  ),
  relation(
    ['pathOhm', 'bankOhm', 'leadsOhm'],
    'R = R_bank + R_leads',
    (v) => v.pathOhm - v.bankOhm - v.leadsOhm,
  ),
  // The amps of a load of constant power, I = (E − √(E² − 4·R·P)) / 2R: the lower of the two that would hold.
  relation(
    ['amps', 'rest', 'pathOhm', 'wattsIn'],
    'P_in = I · (E − R · I)',
    (v) => v.wattsIn - v.amps * (v.rest - v.pathOhm * v.amps),
  ),
  relation(
    ['terminals', 'rest', 'pathOhm', 'amps'],
    'V_B = E − R · I',
    (v) => v.terminals - v.rest + v.pathOhm * v.amps,
  ),
  relation(['wattsIn', 'terminals', 'amps'], 'P_in = V_B · I', (v) => v.wattsIn - v.terminals * v.amps),
  relation(
    ['posts', 'rest', 'bankOhm', 'amps'],
    'V_A = E − R_bank · I',
    (v) => v.posts - v.rest + v.bankOhm * v.amps,
  ),
  relation(
    ['posts', 'terminals', 'leadsDrop'],
    'ΔV_leads = V_A − V_B',
    (v) => v.posts - v.terminals - v.leadsDrop,
  ),
  relation(
    ['amps', 'posts', 'leadsOhm', 'wattsIn'],
    'P_in = I · (V_A − R_leads · I)',
    (v) => v.wattsIn - v.amps * (v.posts - v.leadsOhm * v.amps),
  ),
  relation(['wattsIn', 'rest', 'idealAmps'], 'I_ideal = P_in ÷ E', (v) => v.wattsIn - v.rest * v.idealAmps),
  relation(['amps', 'idealAmps', 'extraAmps'], 'ΔI = I − I_ideal', (v) => v.amps - v.idealAmps - v.extraAmps),
  relation(['bankDrop', 'amps', 'bankOhm'], 'ΔV_bank = I · R_bank', (v) => v.bankDrop - v.amps * v.bankOhm),
  relation(
    ['leadsDrop', 'amps', 'leadsOhm'],
    'ΔV_leads = I · R_leads',
    (v) => v.leadsDrop - v.amps * v.leadsOhm,
  ),
  relation(
    ['leadsShare', 'leadsDrop', 'rest'],
    'share = ΔV_leads ÷ E',
    (v) => v.leadsDrop - v.leadsShare * v.rest,
  ),
  relation(['bankHeat', 'amps', 'bankDrop'], 'P_bank = I · ΔV_bank', (v) => v.bankHeat - v.amps * v.bankDrop),
  relation(
    ['leadsHeat', 'amps', 'leadsDrop'],
    'P_leads = I · ΔV_leads',
    (v) => v.leadsHeat - v.amps * v.leadsDrop,
  ),
  relation(['leadsHour', 'leadsHeat'], 'E_leads = P_leads · 1 h', (v) => v.leadsHour - v.leadsHeat),
]
