/** Symbols whose working stands on another page than the ladder’s. */
const pages: readonly (readonly [symbol: RegExp, page: string])[] = [
  [/^(E_B$|Q_B$|E_C$|E_wall|E_in|η$)/, 'logs'],
  [/^(T of|t$|L$)/, 'endurance'],
  [/^(I_port|P_port|V_port)/, 'ports'],
  [/^(round trip|P_wall|P_in|V_in|I_in)/, 'charging'],
  [/^(transfer)/, 'modes'],
  [/^(inrush|S_worst|P_motor)/, 'motors'],
  [/^(recovery|start-up time|soft start)/, 'limits'],
  [/^(I_idle|P_idle|energy per day|share of the bank|days until)/, 'no-load'],
  [/^(E|R_source|R_total|R_10|V_0|V_10|I_0|I_10|drift|E − V_A|P_bank)/, 'supply'],
  [/^(R|R_expected|R_path|gain|drop|V_post|P of|V of|excess|rest of)/, 'rigs'],
  [/^(change of|deviation|difference of|η at its best|η over|lost a day)/, 'comparisons'],
  [/^(lowest at a start|case in a room)/, 'suits'],
  [
    /^(true RMS|mean|highest|lowest|peak to peak|crest|ripple|fundamental|THD|K-factor|between the harmonics|of that noise|dwell|half waves|plateau|droop|P, |S, |S1|S_N|cos φ1|P1|Q1|D_|S_H|N, )/,
    'waveform',
  ],
]

/** The page of the method that says how a figure is worked. */
export const pageFor = (symbol: string): string =>
  pages.find(([pattern]) => pattern.test(symbol))?.[1] ?? 'ladder'
