import { firstFault as first, type Schema } from '../test/firstFault'
import {
  Conductor,
  Display,
  Entry,
  Gauge,
  LadderReading,
  LimiterSet,
  LimitReading,
  Load,
  MeterRange,
  MotorAttempt,
  NewTrial,
  NoLoadReading,
  Value,
} from '.'

const id = '0192e4a0-0000-7000-8000-000000000001'
const at = '2026-03-12T09:12:00.000Z'
const value = { quantity: 'V_B', value: 25.6, grade: 'measured', meter: id, at }
const conductor = {
  gauge: { unit: 'mm²', area: 16 },
  length: 1.2,
  runs: 1,
  material: 'copper',
  strandingFactor: 1.12,
}
const range = {
  id,
  reads: 'DC voltage',
  upTo: 60,
  percent: 0.1,
  counts: 2,
  count: 0.01,
  standsSteppedWave: true,
}
const ladder = { step: id, position: 10, load: 'plate', kind: 'element', values: [value] }

describe('what is taken', () => {
  it.each<[string, Schema, unknown]>([
    ['a value', Value, value],
    ['a value without meter or time', Value, { quantity: 'I', value: -0.1, grade: 'observed' }],
    ['a conductor', Conductor, conductor],
    ['the thickest AWG', Gauge, { unit: 'AWG', number: -3 }],
    ['a range', MeterRange, range],
    ['a reading', LadderReading, ladder],
    [
      'a reading with all circumstances',
      LadderReading,
      {
        ...ladder,
        fan: 'speed',
        alarm: 'other',
        end: 'tripped',
        held: 3,
        note: 'x',
        display: { outputVoltage: 230 },
      },
    ],
    ['an idle reading', NoLoadReading, { mode: 'search', values: [] }],
    ['an attempt', MotorAttempt, { number: 1, load: 'pump', outcome: 'stalled' }],
    ['a limiter', LimiterSet, { claim: id, revision: 1, limiter: 'joint' }],
    ['a new trial', NewTrial, { id, unit: id, rig: id, title: 'T', by: 'R.O.' }],
    ['a taking back', Entry, { id, revision: 1, at, kind: 'take back', entry: id, why: 'slip' }],
    [
      'a correction',
      Entry,
      { id, revision: 2, at, kind: 'ladder', reading: ladder, replaces: { entry: id, why: 'digits' } },
    ],
    ['an oddity kept', Entry, { id, revision: 1, at, kind: 'keep', entry: id, oddity: 3, why: 'charger' }],
  ])('%s', (_words, schema, taken) => expect(first(schema, taken)).toBeUndefined())
})

describe('what is refused, and how', () => {
  it.each<[string, Schema, unknown, string]>([
    ['a number as text', Value, { ...value, value: '25.6' }, 'Value: a number from -10000000 to 10000000.'],
    ['a number out of reach', Value, { ...value, value: 1e9 }, 'Value: a number from -10000000 to 10000000.'],
    ['NaN', Value, { ...value, value: NaN }, 'Value: a number from -10000000 to 10000000.'],
    [
      'a test of limits of no kind',
      LimitReading,
      { test: 'crush' },
      'Test: one of overload, threshold, start-up, dynamic, input sweep, interlock, function.',
    ],
    [
      'an overload that lasted no time',
      LimitReading,
      { test: 'overload', how: 'raised', load: 'kettle', watts: 900, ended: 'overload', lasted: 0 },
      'Lasted, s: must be above 0; up to 1000000 is accepted.',
    ],
    [
      'a function check without words',
      LimitReading,
      { test: 'function', what: ' ', result: 'passed' },
      'Enter what was checked.',
    ],
    [
      'a peak under the running current',
      MotorAttempt,
      { number: 1, load: 'pump', outcome: 'started', peakCurrent: 3, runningCurrent: 4 },
      'Peak A: it cannot be under the running current; check which is which.',
    ],
    [
      'a thousandth attempt',
      MotorAttempt,
      { number: 1000, load: 'pump', outcome: 'started' },
      'Attempt: a whole number from 1 to 999.',
    ],
    [
      'a code letter that does not exist',
      Load,
      {
        name: 'pump',
        kind: 'induction motor',
        volts: 230,
        settings: [{ id, name: '', watts: 370 }],
        loud: false,
        nameplate: { horsepower: 0.5, code: 'I' },
      },
      'Code letter: one of A, B, C, D, E, F, G, H, J, K, L, M, N, P, R, S, T, U, V.',
    ],
    [
      'an unknown quantity',
      Value,
      { ...value, quantity: 'V_Z' },
      'Quantity: one of V_A, I_bank, V_B, I, P_B, Q_B, E_B, V_C, I_C, P_C, PF, f, THD, T, V_L1, V_L2, I_L1, I_L2, P_L1, P_L2, E_C, P_wall, E_wall, V_in, I_in, P_in, E_in, V_port, I_port.',
    ],
    [
      'an unknown grade',
      Value,
      { ...value, grade: 'guessed' },
      'Grade: one of measured, display, estimated, observed.',
    ],
    ['an id that is none', Value, { ...value, meter: 'dmm' }, 'This id is not a UUID.'],
    [
      'no area',
      Conductor,
      { ...conductor, gauge: { unit: 'mm²', area: 0 } },
      'Area, mm²: must be above 0; up to 2000 is accepted.',
    ],
    ['half a run', Conductor, { ...conductor, runs: 1.5 }, 'Runs: a whole number from 1 to 20.'],
    [
      'a negative length',
      Conductor,
      { ...conductor, length: -1 },
      'Length, m: must be above 0; up to 1000 is accepted.',
    ],
    [
      'a stranding factor under 1',
      Conductor,
      { ...conductor, strandingFactor: 0.5 },
      'Stranding factor: a number from 1 to 2.',
    ],
    [
      'wood',
      Conductor,
      { ...conductor, material: 'wood' },
      'Material: one of copper, aluminium, copper-clad aluminium.',
    ],
    [
      'a count of nothing',
      MeterRange,
      { ...range, count: 0 },
      'Size of a count: must be above 0; up to 1000000 is accepted.',
    ],
    ['an accuracy below 0', MeterRange, { ...range, percent: -1 }, 'Accuracy, %: a number from 0 to 100.'],
    ['a load without words', LadderReading, { ...ladder, load: '  ' }, 'Enter the load.'],
    [
      'too many values',
      LadderReading,
      { ...ladder, values: Array.from({ length: 41 }, () => value) },
      'Values: 40 at most in one reading.',
    ],
    [
      'a hold of no time',
      LadderReading,
      { ...ladder, held: 0 },
      'Held for: must be above 0; up to 1000000 is accepted.',
    ],
    ['a fan that flies', LadderReading, { ...ladder, fan: 'flying' }, 'Fan: one of off, on, speed.'],
    [
      'a long note',
      NoLoadReading,
      { mode: 'on', values: [], note: 'x'.repeat(1001) },
      'Note: 1000 characters at most.',
    ],
    ['a display below zero', Display, { outputVoltage: -1 }, 'Display, output V: a number from 0 to 2000.'],
    [
      'attempt nought',
      MotorAttempt,
      { number: 0, load: 'pump', outcome: 'started' },
      'Attempt: a whole number from 1 to 999.',
    ],
    [
      'an outcome of its own',
      MotorAttempt,
      { number: 1, load: 'pump', outcome: 'fled' },
      'Outcome: one of started, started late, stalled, tripped, tripped and recovered.',
    ],
    [
      'a limiter of its own',
      LimiterSet,
      { claim: id, revision: 1, limiter: 'luck' },
      'Limiter: one of supply, load, meter, protection, joint, leads, machine, time, person.',
    ],
    [
      'a kind of its own',
      Entry,
      { id, revision: 1, at, kind: 'lunch' },
      'Kind of entry: one of no load, ladder, limit, motors, log, check-in, log file, noise, outlet, port, charging, mode, load test, survey, prediction, make safe, run, file, photograph, opened, remark, checked, capture, expectation, came out, take back, keep, doubt, worked again.',
    ],
    [
      'a time without its zone',
      Entry,
      { id, revision: 1, at: '2026-03-12 09:12', kind: 'take back', entry: id, why: 'x' },
      'Taken at: a date and time in UTC, like 2026-03-12T09:12:00Z.',
    ],
    [
      'a taking back without why',
      Entry,
      { id, revision: 1, at, kind: 'take back', entry: id, why: '' },
      'Enter why it is taken back.',
    ],
  ])('%s', (_words, schema, refused, sentence) => expect(first(schema, refused)).toBe(sentence))
})
