import type { EntryOf, LadderPlanned, StoredLoad } from '@even-watt/contract'
import { cleanLadder, revisionOf, rigOf, trialOf, unitOf, uuid } from '../../test/makers'
import { claimOf as claim } from '../../test/verdicts'
import { viewTrial } from '../view'
import {
  chargerOf,
  runLog,
  scheduleOf,
  scheduleQuestion,
  secondsToSettle,
  usualKinds,
  usualSchedule,
} from '.'

const load = (n: number, patch: Partial<StoredLoad> = {}): StoredLoad => ({
  id: uuid(n),
  version: 1,
  savedAt: '2026-03-01T00:00:00.000Z',
  name: `load ${n}`,
  kind: 'element',
  volts: 230,
  settings: [{ id: uuid(n * 10), name: '', watts: 700 }],
  loud: false,
  ...patch,
})
const oven = load(61, { warmUp: { cold: 1.04, seconds: 90 } })
const plate = load(62)
const use = (of: StoredLoad) => ({ load: of.id, setting: of.settings[0]?.id ?? '' })
const plan: LadderPlanned = {
  outlets: 4,
  excluded: [],
  steps: [
    { target: 700, uses: [use(oven)], expected: 690, locked: false },
    { target: 1400, uses: [use(oven), use(plate)], expected: 1370, locked: false },
  ],
}
const entries = cleanLadder()
const analysisOf = (patch: Parameters<typeof revisionOf>[0] = {}) => {
  const [analysis] = viewTrial(trialOf([revisionOf(patch)]), entries).analyses
  if (!analysis) throw new Error('no analysis')
  return analysis
}
let made = 0
const usual = usualSchedule(unitOf(), () => uuid(7000 + made++), '2026-03-12T09:00:00.000Z', 'UTC')
const ask = (patch: Partial<Parameters<typeof scheduleQuestion>[1]> = {}) =>
  scheduleQuestion(usual, {
    analysis: analysisOf(),
    plan,
    loads: [oven, plate],
    hold: 900,
    rated: 1400,
    loss: (P) => 0.08 * P,
    days: [{ opens: Date.UTC(2026, 2, 12, 9), closes: Date.UTC(2026, 2, 12, 17) }],
    sayTime: String,
    ...patch,
  })

it('counts the ladder that was typed as loads that were on, each for as long as it was held or a step takes', () => {
  const { loaded } = ask()
  expect(loaded.length).toBeGreaterThan(3)
  loaded.forEach(({ from, to, watts }, i) => {
    expect(watts).toBeGreaterThan(0)
    expect(to - from).toBeLessThanOrEqual(1000 * 600)
    expect(from).toBeGreaterThanOrEqual(loaded[i - 1]?.to ?? -Infinity)
  })
})

describe('a schedule from a trial', () => {
  it('waits for an element to settle to 1 %: τ·ln(4 %/1 %)', () => {
    expect(secondsToSettle(oven)).toBeCloseTo(90 * Math.log(4), 9)
    expect(secondsToSettle(load(1, { warmUp: { cold: 0.96, seconds: 90 } }))).toBeCloseTo(90 * Math.log(4), 9)
    expect(secondsToSettle(load(1, { warmUp: { cold: 1.005, seconds: 90 } }))).toBe(0)
    expect(secondsToSettle(plate)).toBe(0)
  })

  it('takes the steps of the plan; only what is switched on afresh must settle', () => {
    const { steps } = ask()
    expect(steps.map(({ what, watts }) => [what, watts])).toEqual([
      ['load 61', 690],
      ['load 61 + load 62', 1370],
    ])
    expect(steps[0]?.settle).toBeCloseTo(124.8, 1)
    expect(steps[1]?.settle).toBe(0)
  })

  it('makes the plan that can be made while no loads are chosen', () => {
    expect(ask({ plan: undefined }).steps.map(({ watts }) => Math.round(watts))).toEqual([
      70, 140, 350, 700, 1050, 1400, 1540,
    ])
    const bare = { ...plan, steps: plan.steps.map((step) => ({ ...step, uses: [] })) }
    expect(ask({ plan: bare }).steps.map(({ watts }) => watts)).toEqual([700, 1400])
  })

  it('starts the motors that the unit can run at all, small ones first', () => {
    const motor = (n: number, watts: number, patch: Partial<StoredLoad> = {}) =>
      load(n, { kind: 'induction motor', settings: [{ id: uuid(n * 10), name: '', watts }], ...patch })
    const loads = [motor(71, 1100), motor(72, 180), motor(73, 5000), motor(74, 200, { volts: 120 }), plate]
    expect(ask({ loads }).motors.map(({ what }) => what)).toEqual(['load 72', 'load 71'])
  })

  it('holds for as long as the claim says, else as the tester said', () => {
    expect(ask().hold).toBe(900)
    const unit = unitOf({ claims: [claim({ duration: 1800 })] })
    expect(ask({ analysis: analysisOf({ unit }) }).hold).toBe(1800)
  })

  it('charges by what is stated, else by the rig’s own charger, not by an alternator', () => {
    const support = { kind: 'charger' as const, name: 'Charger', current: 30, ownUse: 0 }
    expect(chargerOf({}, rigOf({ support }))).toBe(30)
    expect(chargerOf({ charger: 10 }, rigOf({ support }))).toBe(10)
    expect(chargerOf({}, rigOf({ support: { ...support, kind: 'alternator' } }))).toBe(0)
    expect(chargerOf({}, rigOf())).toBe(0)
  })

  it('has every stage in the order of work, by what the unit is', () => {
    expect(usualKinds(unitOf())).toEqual([
      'look over',
      'rig',
      'make safe',
      'no load',
      'ladder',
      'limits',
      'motors',
      'rated hold',
      'checks',
      'findings',
    ])
    const station = unitOf({ kind: 'power station', claims: [claim({ quantity: 'energy', unit: 'Wh' })] })
    expect(usualKinds(station)).toEqual(expect.arrayContaining(['ports', 'run-down']))
    expect(scheduleOf(ask()).placed.filter(({ part }) => !part)).toHaveLength(10)
  })

  it('reads what happened from the record, whatever was taken back left out', () => {
    const event = (n: number, at: string): EntryOf<'run'> => ({
      id: uuid(n),
      revision: 1,
      at,
      kind: 'run',
      reading: { block: uuid(7000), action: 'start' },
    })
    const [kept, struck] = [event(901, '2026-03-12T10:00:00.000Z'), event(902, '2026-03-12T09:00:00.000Z')]
    const { record } = viewTrial(trialOf(), [
      struck,
      kept,
      { id: uuid(903), revision: 1, at: struck.at, kind: 'take back', entry: struck.id, why: 'slip' },
    ])
    expect(runLog(record)).toEqual([{ at: Date.UTC(2026, 2, 12, 10), event: kept.reading }])
  })
})
