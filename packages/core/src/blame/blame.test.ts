import {
  ladderEntry,
  motorEntry,
  revisionOf,
  rigOf,
  stationOf,
  trialOf,
  unitOf,
  uuid,
} from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import type { LostPart } from '../attribution'
import type { Figure } from '../figures'
import { uncertain } from '../meters'
import { viewTrial } from '../view'
import { whoEnded, type Moment } from '.'
import { liftingJoint, pathTookMost } from './losses'

const figure = (value: number, U = 0.1, more: Partial<Figure> = {}): Figure => ({
  symbol: 'V',
  unit: 'V',
  x: uncertain(value, 'spec|m|r', U / 2),
  grade: 'measured',
  working: { formula: '', inputs: [], notes: [], entries: [] },
  ...more,
})
const missing = { missing: 'not read' }

/** Something that tripped at 1200 W while its input stood at 25 V and its output at 229 V. */
const moment = (patch: Partial<Moment> = {}): Moment => ({
  became: 'tripped',
  alarm: 'none',
  device: undefined,
  inputGone: false,
  inputKept: false,
  notedUnit: false,
  wentOut: false,
  V_B: figure(25),
  swing: 0,
  extreme: false,
  before: undefined,
  amps: 50,
  held: 10,
  V_C: figure(229),
  nominal: 230,
  sag: undefined,
  load: () => '1200 W',
  step: undefined,
  ...patch,
})

const analysisOf = (
  revision: Parameters<typeof revisionOf>[0] = {},
  entries: Parameters<typeof viewTrial>[1] = [],
) => {
  const [analysis] = viewTrial(trialOf([revisionOf(revision)]), entries).analyses
  if (!analysis) throw new Error('no analysis')
  return analysis
}
const onLabel = analysisOf({
  unit: unitOf({ claims: [claimOf({ quantity: 'alarm voltage', value: 21.6, unit: 'V' })] }),
})
/** Who and by which look, with the words made, for a look without words is none. */
const ended = (patch: Partial<Moment>, analysis = onLabel) => {
  const found = whoEnded(moment(patch), analysis)
  if (!found) return undefined
  const { why, would } = found.say()
  expect(why).toMatch(/[.:]$|^$/)
  expect(`${why}${would}`).not.toMatch(/undefined|NaN/)
  return `${found.who}: ${found.code}`
}

describe('who ended something', () => {
  it.each<[string, Partial<Moment>, string | undefined]>([
    ['carried', { became: 'carried' }, undefined],
    ['a fuse found open', { device: 'fuse' }, 'protection: device opened'],
    ['its input gone first', { inputGone: true }, 'protection: device opened'],
    ['far over the fuse', { amps: 400, held: 60 }, 'protection: over a device'],
    ['over it with an alarm of its own', { amps: 400, held: 60, alarm: 'overload' }, 'unit: overload alarm'],
    ['over it where its input was kept', { amps: 400, held: 60, inputKept: true }, 'meter: cannot tell'],
    [
      'over it where the unit was seen to go',
      { amps: 400, held: 60, notedUnit: true, wentOut: true },
      'unit: switched itself off',
    ],
    [
      'over it, no trip',
      { amps: 400, held: 60, became: 'warned', alarm: 'overload' },
      'unit: overload alarm',
    ],
    ['within it', { amps: 90, held: 60 }, 'meter: cannot tell'],
    ['amps not read', { amps: undefined }, 'meter: cannot tell'],
    ['its input at the alarm', { V_B: figure(21.5) }, 'supply: input low'],
    ['its input a hair over the alarm', { V_B: figure(21.65) }, 'supply: input low'],
    ['its input over the alarm', { V_B: figure(21.8) }, 'meter: cannot tell'],
    ['over it by the mean, under it by ripple', { V_B: figure(22.2), swing: 0.6 }, 'supply: input low'],
    ['turned late with a low input', { became: 'turned late', V_B: figure(21.5) }, 'supply: input low'],
    ['warned of nothing with a low input', { became: 'warned', V_B: figure(21.5) }, 'supply: input low'],
    ['carried with a low input', { became: 'carried', V_B: figure(21.5) }, undefined],
    [
      'warned of low volts',
      { became: 'warned', alarm: 'low voltage', V_B: figure(21.9) },
      'supply: low-voltage alarm',
    ],
    [
      'warned of low volts far over them',
      { became: 'warned', alarm: 'low voltage', V_B: figure(24.9) },
      'meter: alarm early',
    ],
    [
      'warned of low volts, not read',
      { became: 'warned', alarm: 'low voltage', V_B: missing },
      'supply: low-voltage alarm',
    ],
    ['a slow meter at the alarm', { V_B: figure(21.65), extreme: true }, 'supply: input low'],
    ['an alarm of no name', { became: 'warned', alarm: 'other' }, 'meter: alarm not named'],
    ['heat', { became: 'warned', alarm: 'heat' }, 'unit: heat alarm'],
    ['its output folded', { V_C: figure(180) }, 'unit: output folded'],
    ['its output just at 90 %', { V_C: figure(206.95, 0.2) }, 'meter: cannot tell'],
    ['folded, input not read', { V_C: figure(180), V_B: missing }, 'meter: input not read'],
    ['went out by itself', { wentOut: true }, 'unit: switched itself off'],
    ['went out, input not read', { wentOut: true, V_B: missing }, 'meter: input not read'],
    ['did not turn while the output stood', { became: 'did not turn' }, 'machine: output stood'],
    ['turned late while the output stood', { became: 'turned late' }, 'machine: output stood'],
    [
      'did not turn, output at 90 %',
      { became: 'did not turn', V_C: figure(207, 1), V_B: missing },
      'meter: input not read',
    ],
    ['by hand', { became: 'stopped by hand' }, 'person: stopped by hand'],
    ['time', { became: 'time was up' }, 'time: time was up'],
    ['loads', { became: 'loads ended' }, 'load: loads ended'],
  ])('%s', (_, patch, who) => expect(ended(patch)).toBe(who))

  it('a device carries for a while what it does not carry for long', () => {
    const fused = analysisOf({
      rig: rigOf({
        positive: [
          {
            id: uuid(51),
            name: 'fuse',
            kind: 'fuse',
            continuous: 100,
            shortTime: { current: 140, seconds: 60 },
          },
        ],
      }),
    })
    expect(ended({ amps: 140, held: 5 }, fused)).toBe('meter: cannot tell')
    expect(ended({ amps: 140, held: 600 }, fused)).toBe('protection: over a device')
    // For how long nobody noted.
    expect(ended({ amps: 140, held: undefined }, fused)).toBe('protection: over a device')
    const leads = analysisOf({
      rig: rigOf({ positive: [{ id: uuid(51), name: 'lug', kind: 'lug', continuous: 10 }] }),
    })
    expect(ended({ amps: 50, held: 600 }, leads)).toBe('meter: cannot tell')
  })

  it('where nobody states an alarm, one below its nominal input is believed', () => {
    const unstated = analysisOf()
    const warned = { became: 'warned', alarm: 'low voltage' } as const
    expect(ended({ ...warned, V_B: figure(23.6) }, unstated)).toBe('supply: low-voltage alarm')
    expect(ended({ ...warned, V_B: figure(24.3) }, unstated)).toBe('meter: alarm early')
    // 0.95 of 24 V.
    expect(ended({ V_B: figure(22.75) }, unstated)).toBe('supply: input low')
    expect(ended({ V_B: figure(22.95) }, unstated)).toBe('meter: cannot tell')
  })

  it('a power station has no input to be low', () => {
    const station = analysisOf({ unit: stationOf() })
    expect(ended({ V_B: missing, V_C: figure(180) }, station)).toBe('unit: output folded')
    expect(ended({ V_B: missing, wentOut: true }, station)).toBe('unit: switched itself off')
  })

  it('a joint that was hot when somebody stopped', () => {
    const [step] = analysisOf({}, [
      ladderEntry(
        { V_A: 25.9, V_B: 24.9, I: 60, P_C: 1432, V_C: 229 },
        { held: 260, end: 'stopped by hand' },
      ),
    ]).ladder.steps
    const stopped = { became: 'stopped by hand', V_B: figure(24.9), step } as const
    expect(ended(stopped)).toBe('joint: hot joint')
    expect(ended({ ...stopped, became: 'warned', alarm: 'heat' })).toBe('joint: hot joint')
    expect(ended({ ...stopped, became: 'warned', alarm: 'overload' })).toBe('unit: overload alarm')
    // One volt of a joint lifts an input of 21 V over 21.6 V.
    const [low] = analysisOf({}, [ladderEntry({ V_A: 22.6, V_B: 21, I: 60, P_C: 1200, V_C: 229 })]).ladder
      .steps
    expect(ended({ V_B: figure(21.1), step: low })).toBe('joint: bad joint')
    expect(ended({ V_B: figure(20.1), step: low })).not.toBe('joint: bad joint')
  })

  it('is one for motors too', () => {
    const attempt = motorEntry({ outcome: 'tripped', opened: 'breaker', lowestOutput: 228, lasted: 5 })
    const [analysis] = viewTrial(trialOf([revisionOf()]), [attempt]).analyses
    expect(analysis?.motors.attempts[0]?.ended).toMatchObject({ who: 'protection', code: 'device opened' })
  })
})

describe('where the volts went', () => {
  const part = (kind: LostPart['kind'], volts: number, excess?: number): LostPart =>
    ({
      kind,
      volts: figure(volts),
      watts: figure(volts * 50),
      excess: excess === undefined ? undefined : figure(excess * 50),
    }) as unknown as LostPart
  const lost = (parts: LostPart[], culprit?: LostPart) => ({
    parts,
    missing: parts.reduce((sum, { volts }) => sum + (volts?.x.value ?? 0), 0),
    attribution: { culprit, parts } as never,
  })

  it('leads and what is switched in them against bank and joints', () => {
    expect(pathTookMost(lost([part('leads', 0.8), part('bank', 0.5)]))).toBe(true)
    expect(pathTookMost(lost([part('leads', 0.4), part('devices', 0.3), part('bank', 0.5)]))).toBe(true)
    expect(pathTookMost(lost([part('leads', 0.4), part('bank', 0.5)]))).toBe(false)
    expect(pathTookMost(lost([part('leads', 0.5), part('bank', 0.5)]))).toBe(false)
    // What the bank took nobody knows.
    expect(pathTookMost(lost([part('leads', 0.8), part('joints', 0.1)]))).toBe(false)
  })

  it('a joint that would have lifted the input, and took its share', () => {
    const threshold = { volts: 21.6, which: 'alarm', by: 'label' } as const
    const joint = part('joints', 0.6, 0.5)
    const lifted = (culprit: LostPart, V_B: number, others: LostPart[] = [part('bank', 0.5)]) =>
      liftingJoint(lost([culprit, ...others], culprit), moment({ V_B: figure(V_B) }), threshold)?.to
    expect(lifted(joint, 21.3)).toBeCloseTo(21.8, 9)
    expect(lifted(joint, 21.0)).toBeUndefined()
    expect(lifted(joint, 21.3, [part('bank', 2)])).toBeUndefined()
    expect(lifted(part('leads', 0.6, 0.5), 21.3)).toBeUndefined()
    expect(lifted(part('joints', 0.6), 21.3)).toBeUndefined()
  })
})
