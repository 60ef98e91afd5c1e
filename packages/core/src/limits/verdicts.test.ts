import {
  cableOf,
  ladderEntry,
  meterOf,
  motorEntry,
  noLoadEntry,
  rigOf,
  uuid,
  valuesOf,
} from '../../test/makers'
import { claimOf, stepOf, verdictOn, type Entries } from '../../test/verdicts'

const surge = { quantity: 'surge power', value: 2700, duration: 2 } as const
const alarmAt = claimOf({ id: uuid(31), quantity: 'alarm voltage', value: 21.6, unit: 'V' })

describe('continuous power', () => {
  it('once met stays met after a smaller test, on the same revision and on a later one', () => {
    expect(verdictOn({}, [stepOf(1432), stepOf(700)]).outcome).toBe('met')
    const later = verdictOn({}, [stepOf(1432), stepOf(700, { revision: 2 })])
    expect(later).toMatchObject({ outcome: 'met', revision: 1 })
  })

  it('is not met once the unit trips at it later, and says what it carried before', () => {
    const verdict = verdictOn({}, [stepOf(1432), stepOf(1390, { end: 'tripped', held: 30 })])
    expect(verdict).toMatchObject({ outcome: 'not met, within uncertainty', code: 'gave up' })
    expect(verdict.sentence).toMatch(/It was kept 1 of 2 times\.$/)
    // Whichever came first.
    const before = verdictOn({}, [stepOf(1370, { end: 'tripped', held: 30 }), stepOf(1432)])
    expect(before).toMatchObject({ outcome: 'not met', code: 'gave up' })
  })

  it('names the step that came nearest: 661 W to a heat stop, not 439 W held longer', () => {
    const hold = { value: 650, duration: 3600 }
    const verdict = verdictOn(hold, [
      stepOf(661, { held: 1500, alarm: 'heat', end: 'tripped' }),
      stepOf(439, { held: 4000 }),
    ])
    // Loads come in steps: 661 W is within 2 % of 650 W.
    expect(verdict.outcome).toBe('not met, within uncertainty')
    expect(verdict.sentence).toMatch(/^It gave up at 661.*, by heat after 25 min of 1 h/)
  })

  it('does not know a hold that was not noted', () => {
    const values = valuesOf({ V_B: 25.6, I: 60, P_C: 1432, V_C: 229 })
    const verdict = verdictOn({}, [ladderEntry({}, { values })])
    expect(verdict).toMatchObject({ outcome: 'not shown', limiter: 'time' })
    expect(verdict.sentence).toContain('how long it was carried is not noted')
    expect(verdict.sentence).not.toContain('1 s')
    expect(verdict.wouldShow).toBe('Hold it for 10 min and note the time.')
  })

  it('does not take an overload alarm on a step that was carried for a trip', () => {
    const verdict = verdictOn({}, [stepOf(1420, { alarm: 'overload', end: 'carried' })])
    expect(verdict).toMatchObject({ outcome: 'not shown', limiter: 'time' })
    expect(verdict.sentence).toContain('with the overload alarm on')
  })

  it('is supply-limited where it trips at or under the alarm, though none was noted', () => {
    const trip = stepOf(1200, { end: 'tripped', held: 5, V_B: 21.4 })
    expect(verdictOn({}, [trip], { unit: { claims: [alarmAt] } })).toMatchObject({
      outcome: 'not shown',
      limiter: 'supply',
    })
    // Where its label names none it is assumed to warn at 0.95 of its nominal input, 22.8 V, and that is said.
    expect(verdictOn({}, [trip])).toMatchObject({ outcome: 'not shown', limiter: 'supply' })
    expect(verdictOn({}, [trip]).sentence).toContain('assumed to warn')
    expect(verdictOn({}, [stepOf(1200, { end: 'tripped', held: 5, V_B: 23.4 })]).outcome).toBe('not met')
  })

  it('does not blame the unit for a trip of which neither alarm nor input volts are known', () => {
    const blind = ladderEntry({ P_C: 1200, V_C: 229 }, { end: 'tripped', held: 5 })
    const verdict = verdictOn({}, [blind])
    expect(verdict).toMatchObject({ outcome: 'not shown', limiter: 'meter' })
    expect(verdict.wouldShow).toContain('Read V_B')
    const overload = ladderEntry({ P_C: 1200, V_C: 229 }, { end: 'tripped', alarm: 'overload', held: 5 })
    expect(verdictOn({}, [overload]).outcome).toBe('not met')
  })

  it('is protection-limited where a fuse could not carry it', () => {
    const rig = rigOf({
      positive: [{ id: uuid(51), name: 'fuse', kind: 'fuse', continuous: 30 }, cableOf('positive lead', 52)],
    })
    const tripped = (alarm: 'none' | 'low voltage' | 'heat' | 'overload') =>
      verdictOn({}, [stepOf(1300, { end: 'tripped', held: 60, alarm })], { rig })
    // An input that is taken away is low, too.
    for (const alarm of ['none', 'low voltage'] as const)
      expect(tripped(alarm)).toMatchObject({ outcome: 'not shown', limiter: 'protection' })
    // What the unit says of itself is not the fuse.
    for (const alarm of ['heat', 'overload'] as const) expect(tripped(alarm).outcome).toBe('not met')
  })

  it('is not met by a heat trip at rated load, nor by a trip just above it after 5 s', () => {
    expect(verdictOn({}, [stepOf(1370, { end: 'tripped', alarm: 'heat', held: 200 })]).outcome).toBe(
      'not met',
    )
    const justAbove = verdictOn({}, [stepOf(1410, { end: 'tripped', alarm: 'overload', held: 5 })])
    expect(justAbove.outcome).toBe('not met, within uncertainty')
    expect(justAbove.probability).toBeUndefined()
    // Far above it a trip is what overload protection is for.
    expect(verdictOn({}, [stepOf(1900, { end: 'tripped', alarm: 'overload', held: 5 })]).outcome).toBe(
      'not shown',
    )
  })

  it('is met where it tripped only after the hold', () => {
    expect(verdictOn({}, [stepOf(1432, { end: 'tripped', held: 900 })]).outcome).toBe('met')
  })

  it('asks which alarm it was, where it was another', () => {
    const verdict = verdictOn({}, [stepOf(1405, { alarm: 'other', end: 'tripped', held: 20 })])
    expect(verdict).toMatchObject({ outcome: 'not shown' })
    expect(verdict.sentence).toContain('which it was is not noted')
  })

  it('is never judged by a motor’s trip', () => {
    const motor = stepOf(1300, { kind: 'induction motor', end: 'tripped', held: 3 })
    expect(verdictOn({}, [motor, stepOf(700)])).toMatchObject({ outcome: 'not shown', limiter: 'load' })
  })

  it('is judged in VA where it is promised in VA', () => {
    const values = valuesOf({ V_B: 25.6, I: 50, V_C: 230, I_C: 7, P_C: 1200 })
    const motors = ladderEntry({}, { values, kind: 'mixed', held: 900, load: 'motors and lamps' })
    expect(verdictOn({ value: 1500, unit: 'VA' }, [motors]).outcome).toBe('met')
    expect(verdictOn({ value: 1500, unit: 'W' }, [motors]).outcome).toBe('not shown')
  })
})

describe('surge power', () => {
  it('is not judged by a trip after a longer time, at another power', () => {
    const verdict = verdictOn(surge, [stepOf(1540, { end: 'tripped', alarm: 'overload', held: 60 })])
    expect(verdict.outcome).not.toMatch(/^(not )?met/)
  })

  it('is not met when it tripped after 1 s of 2', () => {
    const verdict = verdictOn(surge, [stepOf(2690, { end: 'tripped', alarm: 'overload', held: 1 })], fast)
    expect(verdict.outcome).toBe('not met, within uncertainty')
    expect(verdict.sentence).toContain('after 1 s of 2 s')
  })

  it('is supply-limited when the low-voltage alarm came first', () => {
    const alarmed = stepOf(2000, { alarm: 'low voltage', end: 'alarmed', held: 2, V_B: 21.4 })
    expect(verdictOn(surge, [alarmed], fast)).toMatchObject({ outcome: 'not shown', limiter: 'supply' })
  })

  it('is met by a step that was carried, and meter-limited on a meter too slow for it', () => {
    const big = stepOf(2760, { held: 2 })
    expect(verdictOn(surge, [big], fast).outcome).toMatch(/^met/)
    const slow = { meters: [meterOf({ updateRate: 0.5 })] }
    expect(verdictOn(surge, [big], slow)).toMatchObject({ outcome: 'not shown', limiter: 'meter' })
    // Held for a minute it was read often enough.
    expect(verdictOn(surge, [stepOf(2760, { held: 60 })], slow).outcome).toMatch(/^met/)
  })
})

const fast = { meters: [meterOf({ updateRate: 10 })] }

describe('regulation and output', () => {
  const regulation = { quantity: 'regulation', comparator: 'within ±', value: 3, unit: '%' } as const

  it('are taken against the leg that was read, on a split phase', () => {
    const entries = [ladderEntry({ V_B: 25, V_C: 121, P_C: 500 })]
    const unit = { phase: 'split', outputVoltage: 240 } as const
    expect(verdictOn(regulation, entries, { unit })).toMatchObject({ outcome: 'met' })
  })

  it('may be promised in volts', () => {
    const entries = [ladderEntry({ V_B: 25, V_C: 222, P_C: 500 })]
    const inVolts = (value: number) => verdictOn({ ...regulation, value, unit: 'V' }, entries)
    expect(inVolts(15).outcome).toBe('met')
    expect(inVolts(4).outcome).toMatch(/^not met/)
    expect(inVolts(4).figure?.unit).toBe('V')
  })

  it('rest on steps that were carried without an alarm, and on the input volts at which the output was read', () => {
    const verdict = verdictOn(regulation, [
      ladderEntry({ V_B: 25, V_C: 230, P_C: 500 }),
      ladderEntry({ V_B: 23, P_C: 900 }),
      ladderEntry({ V_B: 21, V_C: 190, P_C: 1100 }, { alarm: 'low voltage', end: 'alarmed' }),
    ])
    expect(verdict.outcome).toMatch(/^met/)
    expect(verdict.sentence).toContain('Seen with 25.00 to 25.00 V')
  })

  it('of frequency and volts are over all that was carried, not at no load only', () => {
    const entries = [noLoadEntry({ V_C: 230, f: 50 }), ladderEntry({ V_C: 230, f: 52.5, P_C: 900 })]
    const frequency = { quantity: 'frequency', comparator: 'within ±', value: 1, unit: 'Hz' } as const
    expect(verdictOn(frequency, entries).outcome).toBe('not met')
    const volts = { quantity: 'output voltage', comparator: 'at least', value: 220, unit: 'V' } as const
    expect(verdictOn(volts, [...entries, ladderEntry({ V_C: 205, P_C: 1300 })]).figure?.x.value).toBe(205)
  })
})

describe('the volts at which it warns', () => {
  const alarm = { quantity: 'alarm voltage', comparator: 'at least', value: 21.6, unit: 'V' } as const
  const warned = (V_B: number) => stepOf(1000, { V_B, alarm: 'low voltage', end: 'alarmed' })

  it('are judged by where it did and where it did not', () => {
    expect(verdictOn(alarm, [stepOf(500), warned(22)]).outcome).toBe('met')
    expect(verdictOn(alarm, [stepOf(500, { V_B: 21 })]).outcome).toBe('not met')
    // Between the two, or never low enough: two bounds of which neither reaches what is promised.
    const between = verdictOn(alarm, [stepOf(500), warned(21)])
    expect(between).toMatchObject({ outcome: 'not shown', code: 'not tried closely' })
    expect(between.sentence).toMatch(/It warns with 21\.0.* at the terminals, and does not with 25\.6/)
    const above = verdictOn(alarm, [stepOf(500)])
    expect(above).toMatchObject({ outcome: 'not shown', code: 'not tried closely' })
    expect(above.sentence).toMatch(/It does not warn with 25\.6.*Lower the input slowly/)
    expect(verdictOn({ ...alarm, comparator: 'at most' }, [stepOf(500), warned(23)]).outcome).toBe('not met')
  })

  it('are not known where it never stopped', () => {
    expect(verdictOn({ ...alarm, quantity: 'cutoff voltage', value: 20.8 }, [stepOf(500)]).outcome).toBe(
      'not tested',
    )
  })
})

describe('efficiency with volts at the posts alone', () => {
  const claim = { quantity: 'efficiency', value: 90, unit: '%' } as const
  const posts = (P_C: number) => ladderEntry({ V_A: 25, I: 40, P_C }, { load: `${P_C} W` })

  it('shows a promise, for the unit is no worse than with its leads; a miss needs the leads', () => {
    expect(verdictOn(claim, [posts(960)])).toMatchObject({ outcome: 'met' })
    const short = verdictOn(claim, [posts(880)])
    expect(short).toMatchObject({ outcome: 'not shown', limiter: 'meter' })
    expect(short.sentence).toContain('Read V_B at the terminals.')
  })
})

describe('a motor that was started', () => {
  it('leaves a surge to be shown by a capture', () => {
    expect(verdictOn(surge, [motorEntry(), stepOf(700)])).toMatchObject({
      outcome: 'not shown',
      limiter: 'load',
    })
    expect(verdictOn(surge, [motorEntry(), stepOf(700)]).sentence).toContain('a capture of a start')
  })
})

describe('output out of regulation', () => {
  it('is held against its own volts at no load where it promises none, and not against the label', () => {
    const at = (V_C: number, more: Entries = [], P_C = 1432) => {
      const step = stepOf(1432)
      const values = valuesOf({ V_B: 25.6, I: 60, P_C, V_C })
      return verdictOn({}, [{ ...step, reading: { ...step.reading, values } }, ...more])
    }
    const noLoad = (V_C: number) => noLoadEntry({ V_B: 26.4, I: 0.4, V_C })
    const folded = at(184, [noLoad(231)])
    expect(folded.outcome).toBe('not met')
    expect(folded.sentence).toMatch(
      /its output is 20\.\d+ ± [\d.]+ % under what it gives with nothing connected, against 1400 W/,
    )
    expect(at(215, [noLoad(231)]).outcome).toBe('met')
    // Its input was where it warns, though no alarm was noted.
    const low = stepOf(1432)
    const values = valuesOf({ V_B: 21.5, I: 70, P_C: 1432, V_C: 184 })
    expect(
      verdictOn({}, [{ ...low, reading: { ...low.reading, values } }, noLoad(231)], {
        unit: { claims: [alarmAt] },
      }),
    ).toMatchObject({ outcome: 'not shown', limiter: 'supply' })
    // One for another market, and one of which nobody read the volts at no load.
    expect(at(118, [noLoad(120)]).outcome).toBe('met')
    expect(at(184).outcome).toBe('not met')
    expect(at(184, [], 1050).outcome).toBe('not met')
  })
  it('is the unit’s own only where it carried the load without an alarm', () => {
    const regulation = claimOf({
      id: uuid(32),
      quantity: 'regulation',
      comparator: 'within ±',
      value: 4,
      unit: '%',
    })
    const sagging = (more: Parameters<typeof stepOf>[1]) => {
      const step = stepOf(1432, more)
      return verdictOn(
        {},
        [
          {
            ...step,
            reading: { ...step.reading, values: valuesOf({ V_B: 23.5, I: 70, P_C: 1432, V_C: 205 }) },
          },
        ],
        {
          unit: { claims: [regulation] },
        },
      )
    }
    expect(sagging({}).outcome).toBe('not met')
    expect(sagging({ alarm: 'low voltage', end: 'alarmed' })).toMatchObject({
      outcome: 'not shown',
      limiter: 'supply',
    })
  })
})
