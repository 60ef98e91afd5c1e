import type { Claim, EntryOf, Entry, ModeReading } from '@even-watt/contract'
import { checkIn, logEntry, meterOf, revisionOf, trialOf, unitOf, uuid, valuesOf } from '../../test/makers'
import { expanded } from '../meters'
import { isFigure } from '../figures'
import { viewTrial } from '../view'
import { modeDraws, passThroughOf, transfersOf, wakeOf } from '.'

let made = 0
const mode = (reading: ModeReading): EntryOf<'mode'> => ({
  id: uuid(500 + made++),
  revision: 1,
  at: new Date(Date.UTC(2026, 3, 14, 8, made)).toISOString(),
  kind: 'mode',
  reading,
})
const look = (entries: readonly Entry[], patch: Partial<Claim> = {}) => {
  const claim: Claim = {
    id: uuid(30),
    quantity: 'mode draw',
    comparator: 'at most',
    value: 6,
    unit: 'W',
    mode: 'search',
    readWhere: 'label',
    ...patch,
  }
  const view = viewTrial(
    trialOf([revisionOf({ unit: unitOf({ claims: [claim] }), meters: [meterOf()] })]),
    entries,
  )
  const [analysis] = view.analyses
  if (!analysis) throw new Error('no analysis')
  return { analysis, finding: view.findings[0]?.standing }
}
const draw = (more: Partial<Extract<ModeReading, { test: 'draw' }>>) =>
  mode({ test: 'draw', mode: 'search', values: [], ...more })

describe('what a mode draws', () => {
  it('is volts times amps at the terminals, and judged so', () => {
    const { analysis, finding } = look([draw({ values: valuesOf({ V_B: 26, I: 2 }), cycles: 12 })], {
      value: 70,
    })
    const [one] = modeDraws(analysis)
    expect(one && isFigure(one.watts) && one.watts.x.value).toBeCloseTo(52, 9)
    expect(finding?.outcome).toBe('met')
  })
  it('of a search wants the mean of ten cycles', () => {
    expect(
      look([draw({ values: valuesOf({ V_B: 26, I: 2 }), cycles: 3 })], { value: 60 }).finding,
    ).toMatchObject({ outcome: 'not shown', limiter: 'time' })
    // One glance at a draw that comes and goes says nothing of its mean; watt-hours over hours do.
    const glance = look([draw({ values: valuesOf({ V_B: 26, I: 0.05 }) })], { value: 60 })
    expect(glance.finding).toMatchObject({ outcome: 'not shown', limiter: 'time' })
    expect(glance.finding?.sentence).toContain('Over how many cycles is not noted; 10 are needed.')
    expect(look([draw({ hours: 10, refilled: 100 })], { value: 60 }).finding?.outcome).toBe('met')
    const both = [
      draw({ values: valuesOf({ V_B: 26, I: 2 }), cycles: 12 }),
      draw({ values: valuesOf({ V_B: 26, I: 3 }) }),
    ]
    expect(look(both, { value: 70 }).finding).toMatchObject({ outcome: 'met', figure: { x: { value: 52 } } })
  })
  it('from a refill holds the losses of charging within their bounds', () => {
    const [one] = modeDraws(look([draw({ hours: 10, refilled: 100 })]).analysis)
    if (!one || !isFigure(one.watts)) throw new Error('no figure')
    expect(one.watts.x.value).toBeCloseTo(8.8, 9)
    expect(one.watts.x.value + expanded(one.watts.x)).toBeGreaterThan(10)
  })
  it('from its gauge alone decides nothing, and rests on what a run-down gave', () => {
    const run = logEntry({ what: 'run-down', watts: 300 })
    const entries = [
      run,
      checkIn(run, 0, { P_C: 300 }),
      checkIn(run, 180, { P_C: 300 }, { ended: 'BMS' }),
      draw({ hours: 10, chargeBefore: 1, chargeAfter: 0.9 }),
    ]
    const { analysis, finding } = look(entries)
    const [one] = modeDraws(analysis)
    expect(one && isFigure(one.watts) && one.watts.x.value).toBeCloseTo(9, 6)
    expect(finding?.outcome).toBe('not tested')
  })
})

describe('where search mode wakes', () => {
  it('is found by halving', () => {
    const tried: EntryOf<'mode'>[] = []
    const truth = 23.4
    let next = 40
    for (let i = 0; i < 8; i++) {
      tried.push(mode({ test: 'wake', watts: next, woke: next >= truth }))
      next = wakeOf(look(tried).analysis.record)?.tryNext ?? 0
    }
    const found = wakeOf(look(tried).analysis.record)
    expect(found?.sleeps).toBeLessThan(truth)
    expect(found?.wakes).toBeGreaterThanOrEqual(truth)
    expect((found?.wakes ?? 0) - (found?.sleeps ?? 0)).toBeLessThan(1)
  })
  it('is not steady where a smaller load woke it than one that did not', () => {
    const entries = [
      mode({ test: 'wake', watts: 20, woke: true }),
      mode({ test: 'wake', watts: 30, woke: false }),
    ]
    expect(wakeOf(look(entries).analysis.record)?.sentence).toContain('its threshold is not steady')
    expect(wakeOf(look([]).analysis.record)).toBeUndefined()
  })
})

describe('a transfer', () => {
  const claim = { quantity: 'transfer time', value: 20, unit: 'ms' } as const
  const moved = (gap: number | undefined, seen: 'capture' | 'watch' | 'by eye') =>
    mode({ test: 'transfer', way: 'grid to battery', seen, ...(gap === undefined ? {} : { gap }) })
  it('is judged by its slowest, to the ms of a capture', () => {
    // It depends on the moment at which the grid goes: one is not enough.
    expect(look([moved(12, 'capture')], claim).finding).toMatchObject({
      outcome: 'not shown',
      code: 'few attempts',
    })
    const three = [moved(12, 'capture'), moved(8, 'capture'), moved(3, 'capture')]
    expect(look(three, claim).finding).toMatchObject({ outcome: 'met', figure: { x: { value: 12 } } })
    expect(look([moved(12, 'capture'), moved(28, 'capture')], claim).finding).toMatchObject({
      outcome: 'not met',
    })
  })
  it('by eye or a watch decides nothing near its promise', () => {
    expect(look([moved(12, 'by eye')], claim).finding?.outcome).toBe('not tested')
    expect(look([moved(30, 'watch')], claim).finding?.outcome).toBe('not met, within uncertainty')
    expect(look([moved(undefined, 'by eye')], claim).finding?.outcome).toBe('not tested')
  })
  it('says whether other equipment is sure to ride through', () => {
    const said = (gap: number) => transfersOf(look([moved(gap, 'capture')]).analysis)[0]?.sentence
    expect(said(12)).toContain('most equipment rides through that')
    expect(said(35)).toContain('over the 20 ms')
  })
})

describe('pass-through', () => {
  const pass = (gridVolts: number, outletVolts: number, more = {}) =>
    mode({ test: 'pass-through', gridVolts, outletVolts, ...more })
  it('follows the grid only where the grid moved and it moved along', () => {
    const follows = (entries: Entry[]) => passThroughOf(look(entries).analysis.record)?.follows
    expect(follows([pass(230, 229.6), pass(212, 211.8)])).toBe(true)
    expect(follows([pass(230, 229.6)])).toBeUndefined()
    expect(follows([pass(212, 230)])).toBe(false)
  })
  it('keeps what the grid gives beyond the outlet', () => {
    expect(
      passThroughOf(look([pass(230, 230, { gridWatts: 372, outletWatts: 300 })]).analysis.record)?.kept,
    ).toBe(72)
  })
})
