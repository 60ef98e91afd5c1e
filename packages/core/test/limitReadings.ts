import { LimitReading } from '@even-watt/contract'

/** Every way in which each test of limits may be noted: what must be there alone, and with each thing that may be. */
const base: Readonly<Record<LimitReading['test'], object>> = {
  overload: { how: 'raised', load: 'heaters', watts: 1850.5, ended: 'overload' },
  threshold: { which: 'cutoff', V_B: 20.8 },
  'start-up': { outcome: 'did not start', seen: 'capture' },
  dynamic: { from: 60.1, to: 1060.2, lamps: 'not looked at' },
  'input sweep': { load: 'Heaters', V_B: 24.1, V_C: 229.7 },
  interlock: { wiring: 'remote switch', setting: 'off', started: true },
  function: { what: 'Remote switch', result: 'passed' },
}
const more: Readonly<Record<LimitReading['test'], readonly object[]>> = {
  overload: [
    ...['carried', 'heat', 'low input', 'BMS', 'fuse', 'breaker', 'loads ended', 'not known'].map(
      (ended) => ({
        ended,
      }),
    ),
    ...['timed tier', 'ramp'].map((how) => ({ how })),
    { lasted: 0.1 + 0.2, leg: 'L1' },
    { alarmAt: 1700.1 },
    { comeback: 'not at all' },
    { comeback: 'by itself', comebackAfter: 6.3 },
    { baseBefore: 230.1, baseAfter: 0.1 + 229.8 },
  ],
  threshold: [{ which: 'alarm', watts: 704.3 }, { which: 'reconnect' }],
  'start-up': [
    { outcome: 'started', load: 'pump' },
    { load: 'pump', watts: 370.1, startUp: 2.1, softStart: 0.3 },
  ],
  dynamic: [
    { lowest: 217.9 },
    { highest: 236.1 },
    { back: 0.1 + 0.2 },
    { pulses: 0.1 + 0.2 },
    { hunts: true },
    { blanks: true },
    { lamps: 'flickers' },
  ],
  'input sweep': [{}],
  interlock: [{ wiring: 'ignition wire, without battery on it', setting: 'on', started: false }],
  function: [{ result: 'failed' }],
}

export const limitReadings: readonly LimitReading[] = (Object.keys(base) as LimitReading['test'][]).flatMap(
  (test) => {
    const all = Object.assign({}, ...more[test]) as object
    return [{}, ...more[test], all].map((one) => LimitReading.parse({ test, ...base[test], ...one }))
  },
)
