import type { Claim, EntryOf, Trial } from '@even-watt/contract'
import fc from 'fast-check'
import {
  cleanLadder,
  ladderEntry,
  noLoadEntry,
  revisionOf,
  trialOf,
  unitOf,
  uuid,
  valuesOf,
} from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { sayDuration } from '../figures'
import { uncertain } from '../meters'
import { claimValue, sayClaim } from '../units'
import { viewTrial } from '../view'
import { outcomeOf, rule } from '.'

type Entries = Parameters<typeof viewTrial>[1]

function findingOf(
  patch: Partial<Claim>,
  entries: Entries,
  more: { trial?: Partial<Trial>; claims?: Claim[]; wave?: 'sine' | 'stepped' } = {},
) {
  const unit = unitOf({ claims: [claimOf(patch), ...(more.claims ?? [])], wave: more.wave ?? 'sine' })
  const finding = viewTrial(trialOf([revisionOf({ unit })], more.trial), entries).findings[0]?.standing
  if (!finding) throw new Error('no finding')
  return finding
}

const step = (P_C: number, more: Partial<EntryOf<'ladder'>['reading']> = {}) =>
  ladderEntry(
    { V_A: 25.9, V_B: 25.6, I: P_C / 0.93 / 25.6, P_C, V_C: 229 },
    { load: `${P_C} W`, held: 600, ...more },
  )

describe('judging a result against a claim', () => {
  const x = (value: number, U: number) => uncertain(value, 's', U / 2)
  it.each([
    [95, 1, 'at least', 92, 'met'],
    [92.5, 1, 'at least', 92, 'met, within uncertainty'],
    [93, 1, 'at least', 92, 'met, within uncertainty'],
    [92, 1, 'at least', 92, 'met, within uncertainty'],
    [91.5, 1, 'at least', 92, 'not met, within uncertainty'],
    [91, 1, 'at least', 92, 'not met, within uncertainty'],
    [90, 1, 'at least', 92, 'not met'],
    [10.4, 0.2, 'at most', 11, 'met'],
    [11.1, 0.2, 'at most', 11, 'not met, within uncertainty'],
    [-2, 0.5, 'within ±', 3, 'met'],
    [-5.7, 1.1, 'within ±', 4, 'not met'],
  ] as const)('%p ± %p %s %p: %s', (value, U, comparator, claim, outcome) => {
    const ruling = rule(x(value, U), 'exact', comparator, claim)
    expect(ruling && outcomeOf(ruling)).toBe(outcome)
  })

  it('never gets worse when the result gets better', () => {
    const order = ['not met', 'not met, within uncertainty', 'met, within uncertainty', 'met']
    const any = fc.double({ min: 0, max: 100, noNaN: true })
    fc.assert(
      fc.property(any, any, fc.double({ min: 0, max: 10, noNaN: true }), (a, b, U) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)]
        const rank = (value: number) => {
          const ruling = rule(x(value, U), 'exact', 'at least', 50)
          return order.indexOf(ruling ? outcomeOf(ruling) : '')
        }
        expect(rank(high)).toBeGreaterThanOrEqual(rank(low))
      }),
    )
  })
})

describe('claims as printed', () => {
  it('are read in SI and said as printed', () => {
    expect(claimValue(claimOf({ value: 1.4, unit: 'kW' }))).toBe(1400)
    expect(claimValue(claimOf({ value: 92, unit: '%' }))).toBeCloseTo(0.92, 12)
    expect(sayClaim(claimOf({ value: 2700, duration: 2 }))).toBe('2700 W for 2 s')
    expect(sayClaim(claimOf({ comparator: 'at most', value: 0.6, unit: 'A' }))).toBe('≤ 0.6 A')
    expect(sayDuration(260)).toBe('4 min 20 s')
    expect(sayDuration(7200)).toBe('2 h')
  })
})

describe('power claims are censored', () => {
  it('is met when carried for the hold', () => expect(findingOf({}, [step(1432)]).outcome).toBe('met'))

  it('is not shown, load-limited, as far as the loads went, never not met', () => {
    expect(findingOf({}, [step(1000)])).toMatchObject({ outcome: 'not shown', limiter: 'load' })
  })

  it('is not shown when the low-voltage alarm came first', () => {
    const warned = (V_B: number, claims: Claim[] = []) =>
      findingOf(
        {},
        [
          step(1100, {
            alarm: 'low voltage',
            end: 'alarmed',
            values: valuesOf({ V_B, I: 50, P_C: 1100, V_C: 229 }),
          }),
        ],
        { claims },
      )
    expect(warned(21.4)).toMatchObject({ outcome: 'not shown', limiter: 'supply' })
    // With its input well over where it warns, the supply is not to blame; nor is the unit, as long as a dip may have been.
    const early = warned(24.9)
    expect(early).toMatchObject({ outcome: 'not shown', limiter: 'meter' })
    expect(early.sentence).toContain('well over its nominal 24.0 V: it warned too early, or')
    const alarm = claimOf({ id: uuid(31), quantity: 'alarm voltage', value: 21.6, unit: 'V' })
    expect(warned(23.4, [alarm]).sentence).toContain('well over the 21.6 V at which it says it warns')
    expect(warned(22.2, [alarm])).toMatchObject({ limiter: 'supply' })
  })

  it('is limited by a joint when one took far more than it should', () => {
    const read = { V_A: 25.9, V_B: 24.9, I: 60, P_C: 1432, V_C: 229 }
    const hot = findingOf({}, [ladderEntry(read, { held: 260, end: 'stopped by hand' })])
    expect(hot).toMatchObject({ outcome: 'not shown', limiter: 'joint' })
    expect(hot.sentence).toContain('went into the joints')
  })

  it('is not shown when the hold was cut short, by what the tester says limited it', () => {
    const read = { V_A: 25.8, V_B: 25.6, I: 60, P_C: 1432, V_C: 229 }
    const cut = ladderEntry(read, { held: 260, end: 'stopped by hand' })
    expect(findingOf({}, [cut])).toMatchObject({ outcome: 'not shown', limiter: 'time' })
    const limiters = [
      { claim: uuid(30), revision: 1, limiter: 'joint' as const, wouldShow: 'Remake the lug.' },
    ]
    const byHand = findingOf({}, [cut], { trial: { limiters } })
    expect(byHand).toMatchObject({ outcome: 'not shown', limiter: 'joint' })
    expect(byHand.sentence).toContain('Remake the lug.')
  })

  it('is met for the time the claim states, however short', () => {
    expect(findingOf({ duration: 120 }, [step(1432, { held: 130 })]).outcome).toBe('met')
  })

  it('is not met when the unit trips below it, or leaves its own regulation there', () => {
    expect(findingOf({}, [step(1200, { alarm: 'overload', end: 'tripped' })]).outcome).toBe('not met')
    const regulation = claimOf({
      id: uuid(31),
      quantity: 'regulation',
      comparator: 'within ±',
      value: 4,
      unit: '%',
    })
    const sagging = (P_C: number, V_C: number) =>
      findingOf({}, [step(P_C, { values: valuesOf({ V_B: 25.6, P_C, V_C }) })], { claims: [regulation] })
    expect(sagging(1432, 210)).toMatchObject({ outcome: 'not met', code: 'sagged' })
    expect(sagging(1432, 210).sentence).toContain('regulation')
    // 1270 W at 210 V: with 6.05 A it does not keep its volts, so that it carries under 1391 W at 230 V.
    expect(sagging(1270, 210)).toMatchObject({ outcome: 'not met, within uncertainty', code: 'sagged' })
    expect(sagging(1000, 205)).toMatchObject({ outcome: 'not met', code: 'sagged' })
    // Folded far under it by a load far beyond it: those amps would be 1840 W.
    expect(sagging(1000, 125)).toMatchObject({ outcome: 'not shown', code: 'beyond what is promised' })
  })

  it('is never judged by a display or an estimate', () => {
    const display = ladderEntry(
      {},
      { held: 600, values: [{ quantity: 'P_C', value: 1500, grade: 'display' }] },
    )
    expect(findingOf({}, [display])).toMatchObject({
      outcome: 'not tested',
      sentence: expect.stringContaining('display') as string,
    })
  })

  it('says of a surge that typed extremes are meter-limited, and nothing when nothing was tried', () => {
    const surge = { quantity: 'surge power' as const, value: 2700, duration: 2 }
    expect(findingOf(surge, [step(1400)])).toMatchObject({ outcome: 'not shown', limiter: 'load' })
    expect(findingOf(surge, []).outcome).toBe('not tested')
    const motor: Entries[number] = {
      id: uuid(40),
      revision: 1,
      at: '2026-03-12T10:00:00.000Z',
      kind: 'motors',
      reading: { number: 1, load: 'pump', outcome: 'started' },
    }
    expect(findingOf(surge, [step(1400), motor]).sentence).toContain('give no watts over time')
    expect(findingOf(surge, [motor])).toMatchObject({ outcome: 'not tested', code: 'no evidence' })
  })
})

describe('efficiency claims', () => {
  const entries = [noLoadEntry({ V_B: 26.4, I: 10.4 / 26.4 }), ...cleanLadder()]

  it('that state no load are judged at the peak and answered with the range', () => {
    const finding = findingOf({ quantity: 'efficiency', value: 92, unit: '%' }, entries)
    expect(finding.sentence).toMatch(/^The peak, near \d+ W, is 94\.\d/)
    expect(finding.sentence).toMatch(/92 % holds from \d+ W to 1400 W; not below\./)
  })

  it('that state a load are judged there', () => {
    const finding = findingOf({ quantity: 'efficiency', value: 92, unit: '%', load: 1000 }, entries)
    expect(finding.sentence).toContain('Efficiency at 1000 W is 94.')
    expect(findingOf({ quantity: 'efficiency', value: 92, unit: '%', load: 3000 }, entries).outcome).toBe(
      'not tested',
    )
  })

  it('fall back to the best step while there is no curve', () => {
    expect(findingOf({ quantity: 'efficiency', value: 92, unit: '%' }, [step(700)]).sentence).toContain(
      'The best step',
    )
  })
})

describe('the other claims', () => {
  const noLoad = noLoadEntry({ V_B: 26.4, I: 0.394, V_C: 231.4, f: 50, THD: 0.011 })

  it('judge idle in the unit it is claimed in', () => {
    const amps = findingOf({ quantity: 'idle draw', comparator: 'at most', value: 0.6, unit: 'A' }, [noLoad])
    expect(amps.figure?.unit).toBe('A')
    const watts = findingOf({ quantity: 'idle draw', comparator: 'at most', value: 11, unit: 'W' }, [noLoad])
    expect(watts.figure?.unit).toBe('W')
    expect(watts.sentence).toContain('A weak figure')
  })

  it('judge regulation by the largest deviation from nominal', () => {
    const steps = [step(700), step(1400, { values: valuesOf({ V_C: 220, V_B: 25, P_C: 1400 }) })]
    const finding = findingOf({ quantity: 'regulation', comparator: 'within ±', value: 3, unit: '%' }, steps)
    expect(finding.figure?.x.value).toBeCloseTo(-10 / 230, 9)
    expect(finding.outcome).toBe('not met')
    expect(finding.sentence).toContain('the rest of the input range is not shown')
  })

  it('judge frequency wherever it was read, and say what would test the rest', () => {
    expect(
      findingOf({ quantity: 'frequency', comparator: 'within ±', value: 0.5, unit: 'Hz' }, [noLoad]).outcome,
    ).toBe('met')
    expect(findingOf({ quantity: 'alarm voltage', value: 21.6, unit: 'V' }, [noLoad])).toMatchObject({
      outcome: 'not tested',
    })
  })

  it('let the newest revision with evidence stand, and keep what earlier ones said', () => {
    const unit = unitOf({ claims: [claimOf({})] })
    const trial = trialOf([
      revisionOf({ unit }),
      revisionOf({ unit, number: 2, why: 'remade' }),
      revisionOf({ unit, number: 3, why: 'later' }),
    ])
    const [claim] = viewTrial(trial, [
      step(1000),
      ladderEntry({ P_C: 1432 }, { revision: 2, held: 600 }),
    ]).findings
    expect(claim?.standing).toMatchObject({ revision: 2, outcome: 'met' })
    expect(claim?.earlier.map((finding) => [finding.revision, finding.outcome])).toEqual([[1, 'not shown']])
  })
})
