import { relation } from './relation'

/** Idling, a day, the sun, and what it costs. */
export const days = [
  relation(
    ['idleWatts', 'idleAmps', 'rest'],
    'P_idle = I_idle · E',
    (v) => v.idleWatts - v.idleAmps * v.rest,
  ),
  relation(['idleDay', 'idleWatts'], 'W_idle = 24 h · P_idle', (v) => v.idleDay - 24 * v.idleWatts),
  relation(['idleAhDay', 'idleAmps'], 'Q_idle = 24 h · I_idle', (v) => v.idleAhDay - 24 * v.idleAmps),
  relation(
    ['idleDays', 'usableWh', 'idleDay'],
    'd_idle = W_u ÷ W_idle',
    (v) => v.usableWh - v.idleDays * v.idleDay,
  ),
  relation(
    ['meanWatts', 'duty', 'wattsIn', 'idleWatts'],
    'P_mean = D · P_in + (1 − D) · P_idle',
    (v) => v.meanWatts - v.duty * v.wattsIn - (1 - v.duty) * v.idleWatts,
  ),
  relation(
    ['day', 'wattsIn', 'hoursADay', 'idleWatts'],
    'W_day = P_in · h_day + P_idle · (24 h − h_day)',
    (v) => v.day - v.wattsIn * v.hoursADay - v.idleWatts * (24 - v.hoursADay),
  ),
  relation(['dayAh', 'day', 'rest'], 'Q_day = W_day ÷ E', (v) => v.day - v.dayAh * v.rest),
  relation(
    ['solarDay', 'panels', 'sun', 'panelShare'],
    'W_sun = P_panel · h_sun · η_panel',
    (v) => v.solarDay - v.panels * v.sun * v.panelShare,
  ),
  relation(['days', 'usableWh', 'day'], 'd = W_u ÷ W_day', (v) => v.usableWh - v.days * v.day),
  relation(
    ['sunnyDays', 'usableWh', 'day', 'solarDay'],
    'd_sun = W_u ÷ (W_day − W_sun)',
    (v) => v.usableWh - v.sunnyDays * (v.day - v.solarDay),
  ),
  relation(
    ['costDay', 'day', 'tariff'],
    'C_day = c · W_day ÷ 1000',
    (v) => v.costDay - (v.tariff * v.day) / 1000,
  ),
]
