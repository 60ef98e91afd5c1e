import type { Entry, EntryOf, Load, StoredUnit } from '@even-watt/contract'
import { meterOf, motorEntry, revisionOf, rigOf, trialOf, unitOf, uuid } from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { viewTrial } from '../view'
import { attemptWords, machineWords } from '.'

const claims = [
  claimOf({ quantity: 'continuous power', value: 2000, unit: 'W' }),
  claimOf({ id: uuid(31), quantity: 'surge power', value: 4000, unit: 'W' }),
]
const analysisOf = (entries: readonly Entry[], unit: Partial<StoredUnit> = {}) => {
  const revision = revisionOf({
    unit: unitOf({ outputVoltage: 230, claims, ...unit }),
    rig: rigOf({
      assignments: (['I_C', 'V_C', 'V_B'] as const).map((quantity) => ({ quantity, meter: uuid(1) })),
    }),
    meters: [meterOf({ ranges: meterOf().ranges.map((range) => ({ ...range, upTo: 1000 })) })],
  })
  const [analysis] = viewTrial(trialOf([revision]), entries).analyses
  if (!analysis) throw new Error('no analysis')
  return analysis
}
let made = 0
const attempt = (reading: Partial<EntryOf<'motors'>['reading']>) => ({
  ...motorEntry({ caught: 'inrush clamp', ...reading }),
  id: uuid(770 + made++),
})
const said = (
  reading: Partial<EntryOf<'motors'>['reading']>,
  shelf: readonly Load[] = [],
  unit: Partial<StoredUnit> = {},
) => {
  const analysis = analysisOf([attempt(reading)], unit)
  const [one] = analysis.motors.attempts
  if (!one) throw new Error('no attempt')
  return attemptWords(one, analysis, shelf).join(' ')
}

describe('one attempt', () => {
  it('has its power factor, its share of the rating, and what is left', () => {
    // 6 A · 230 V = 1380 VA; 966 W over it is 0.70.
    const words = said({ runningCurrent: 6, runningWatts: 966 })
    expect(words).toContain('1380 VA at 230 V: power factor 0.70')
    expect(words).toContain('48 % of its rated 2000 W; 1034 W are left')
    expect(said({ runningCurrent: 2, runningWatts: 966 })).toContain('cannot be')
    expect(said({ runningCurrent: 12, runningWatts: 2400 })).toContain('400 W over its rated 2000 W')
  })
  it('has its start over its running watts, as a share of the promised surge, and what to buy', () => {
    const words = said({ peakCurrent: 12, runningCurrent: 2.5, runningWatts: 400 })
    expect(words).toContain('2760 VA, 6.9 times what it takes running')
    expect(words).toContain('69 % of the promised surge of 4000 W')
    expect(words).toContain('500 W or more for good and 2760 VA for the start: the start decides')
  })
  it('is held against the nameplate of the load of its name', () => {
    const pump = (current: number) =>
      [
        {
          name: 'Pump',
          kind: 'induction motor',
          volts: 230,
          settings: [],
          loud: false,
          nameplate: { current },
        },
      ] as unknown as Load[]
    expect(said({ runningCurrent: 6 }, pump(6))).toContain(
      '100 % of the 6.00 A on its nameplate: as it should',
    )
    expect(said({ runningCurrent: 8 }, pump(6))).toContain('overloaded, or its volts are low')
    expect(said({ runningCurrent: 4, runningWatts: 600 }, pump(6))).toContain(
      '1380 VA; read were 920 VA and 600 W',
    )
    expect(said({ load: 'saw', runningCurrent: 4 }, pump(6))).not.toContain('nameplate')
  })
  it('of a leg is held against what one leg is rated for', () => {
    const words = said({ leg: 'L1', peakCurrent: 25, lowestOutput: 110 }, [], {
      outputVoltage: 240,
      phase: 'split',
    })
    // 2000 W on 240 V: 8.33 A a leg; 25 A at 120 V: 3 kVA.
    expect(words).toContain('L1 carried 25.0 A, 3.00 kVA: 3.0 times the 8.33 A that one leg is rated for')
    expect(words).toContain('2.00 kVA: this was 150 % of it')
  })
  it('has its dip on both sides, with a warning where electronics may drop out', () => {
    const words = said({ lowestOutput: 184, bankBefore: 26, lowestInput: 23.4 })
    expect(words).toContain('fell to 184 V: 20 % under nominal. Sensitive electronics')
    expect(words).toContain('from 26.00 V to 23.40 V: 10 %')
    expect(said({ lowestOutput: 225 })).not.toContain('Sensitive')
  })
  it('that failed names what to read, and infers heat only as an inference', () => {
    expect(said({ outcome: 'stalled' })).toContain(
      'To tell surge, supply and cord apart read: lowest volts at the outlet',
    )
    expect(said({ outcome: 'tripped', note: 'came back when cool' })).toContain('inferred, not measured')
    expect(said({ outcome: 'started' })).not.toContain('To tell')
  })
})

it('repeats have their spread and their highest; together is held against one by one', () => {
  const words = machineWords(
    analysisOf([
      attempt({ number: 1, load: 'saw', peakCurrent: 20 }),
      attempt({ number: 2, load: 'saw', peakCurrent: 24 }),
      attempt({ number: 3, load: 'pump', peakCurrent: 16 }),
      attempt({ number: 4, load: 'saw + pump', peakCurrent: 30 }),
    ]),
  )
  expect(words).toEqual([
    'Saw: 2 peaks of 20.0 A to 24.0 A, 22.0 A on average. Attempt 2 is the highest; before it 20.0 A.',
    'Saw + pump together: 30.0 A, 75 % of the 40.0 A that they take one by one.',
  ])
})
