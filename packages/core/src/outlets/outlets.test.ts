import type { Entry, EntryOf, OutletReading } from '@even-watt/contract'
import fc from 'fast-check'
import { isFigure } from '../figures'
import { meterOf, motorEntry, noLoadEntry, revisionOf, rigOf, trialOf, unitOf, uuid } from '../../test/makers'
import { viewTrial } from '../view'
import { breakersOf } from './breaker'
import { cordsOf } from './cord'
import { eachOutlet } from './eachOutlet'
import { groundFaults, mustOpenIn } from './groundFault'
import { mainsAmpacity } from './mainsSizes'
import { besideMains } from './onTheMains'
import { outletSentences } from './told'

let made = 0
const outlet = (reading: OutletReading): EntryOf<'outlet'> => ({
  id: uuid(700 + made++),
  revision: 1,
  at: new Date(Date.UTC(2026, 3, 14, 8, made % 60)).toISOString(),
  kind: 'outlet',
  reading,
})
const analysisOf = (entries: readonly Entry[], unit = unitOf({ outputVoltage: 230 }), named = true) => {
  const [analysis] = viewTrial(
    trialOf([
      revisionOf({
        unit,
        rig: rigOf({ assignments: [{ quantity: 'V_C', meter: uuid(1) }] }),
        meters: named ? [meterOf()] : [],
      }),
    ]),
    entries,
  ).analyses
  if (!analysis) throw new Error('no analysis')
  return analysis
}
const only = <T>([one]: readonly T[]): T => {
  if (one === undefined) throw new Error('none')
  return one
}

describe('each outlet', () => {
  const read = (...volts: number[]) =>
    only(
      eachOutlet(
        analysisOf([
          outlet({
            test: 'each outlet',
            read: volts.map((volts, i) => ({ outlet: `outlet ${i + 1}`, volts })),
          }),
        ]),
      ),
    )
  it('is odd only beyond what the one meter cannot tell apart', () => {
    expect(read(230.1, 229.9, 230).outlets.map(({ odd }) => odd)).toEqual([false, false, false])
    const { outlets, sentences } = read(230.1, 229.9, 224)
    expect(outlets.map(({ odd }) => odd)).toEqual([false, false, true])
    expect(sentences.join(' ')).toContain('outlet 3 stands 5.9 V lower')
  })
  it('without a named meter is odd from half a per cent on', () => {
    const volts = [230, 229.9, 229]
    const reading = {
      test: 'each outlet' as const,
      read: volts.map((volts, i) => ({ outlet: `o${i}`, volts })),
    }
    const { outlets } = only(eachOutlet(analysisOf([outlet(reading)], unitOf(), false)))
    expect(outlets.map(({ odd }) => odd)).toEqual([false, false, false])
    const worse = { ...reading, read: [...reading.read, { outlet: 'o3', volts: 228.7 }] }
    expect(only(eachOutlet(analysisOf([outlet(worse)], unitOf(), false))).outlets.at(-1)?.odd).toBe(true)
  })
  it('does not depend on the order in which they were read', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 2200, max: 2340 }), { minLength: 2, maxLength: 8 }),
        (tenths) => {
          const volts = tenths.map((one) => one / 10)
          const oddOf = (list: number[]) =>
            read(...list)
              .outlets.filter(({ odd }) => odd)
              .map(({ V }) => V.x.value)
              .sort()
          expect(oddOf(volts)).toEqual(oddOf(volts.toReversed()))
        },
      ),
      { numRuns: 30 },
    )
  })
})

describe('a cord', () => {
  const cord = (more: Partial<Extract<OutletReading, { test: 'cord' }>>, ...others: Entry[]) =>
    only(cordsOf(analysisOf([...others, outlet({ test: 'cord', cord: 'extension', amps: 8, ...more })])))
  it('takes what its size and length say where nothing was read: 20 m of 1.5 mm²', () => {
    const { running, starting, expectedOhms } = cord({ size: '1.5 mm²', length: 20, startAmps: 40 })
    // 2 · 1.12 · 1.7241e-8 · 20 / 1.5e-6
    expect(expectedOhms).toBeCloseTo(0.51493, 5)
    expect(running).toMatchObject({ from: 'size and length' })
    expect(running?.volts).toBeCloseTo(4.119, 3)
    expect(running?.heat).toBeCloseTo(32.96, 2)
    expect(starting?.volts).toBeCloseTo(20.6, 1)
    expect(starting?.share).toBeCloseTo(0.0896, 4)
  })
  it('as it was read stands before what it should take, and a bad one is told by its copper', () => {
    const { running, ohms, drop, sentences } = cord({
      size: '1.5 mm²',
      length: 20,
      atOutlet: 228,
      atEnd: 220,
    })
    expect(running).toMatchObject({ from: 'read', volts: 8, heat: 64 })
    expect(ohms).toBe(1)
    expect(isFigure(drop) && drop.x.value).toBe(8)
    expect(sentences.join(' ')).toContain('Look for a bad plug')
  })
  it('explains a sag by its share of what is missing at its end against no load', () => {
    const idle = noLoadEntry({ V_C: 230 })
    const said = (atOutlet: number, atEnd: number) =>
      cord({ atOutlet, atEnd }, idle).sentences.find((one) => one.includes('missing at its end'))
    expect(said(229, 220)).toContain('90 % of that is the cord. It explains the sag.')
    expect(said(222, 220)).toContain('20 % of that is the cord. It does not explain the sag')
    expect(said(225, 220)).toContain('It explains a part')
  })
  it('whose ends were exchanged is asked about, and one over what it carries is to be stopped', () => {
    expect(cord({ atOutlet: 220, atEnd: 228 }).sentences.join(' ')).toContain('the other way round')
    expect(cord({ amps: 12, size: '18 AWG' }).sentences.join(' ')).toContain('more than it carries (7')
    expect(cord({ amps: 6, size: '18 AWG' }).sentences.join(' ')).not.toContain('more than it carries')
  })
})

describe('a breaker', () => {
  const breaker = (more: Partial<Extract<OutletReading, { test: 'breaker' }>>) =>
    only(
      breakersOf(
        analysisOf([
          outlet({ test: 'breaker', breaker: 'left', rating: 16, amps: 16, tripped: false, ...more }),
        ]),
      ),
    )
  it('holds 1.13 times its rating, opens at 1.45 times within an hour, and may between', () => {
    expect(breaker({ amps: 18, tripped: true }).standing).toBe('too early')
    expect(breaker({ amps: 20, tripped: true }).standing).toBe('may be')
    expect(breaker({ amps: 24, tripped: true }).standing).toBe('as it should')
    expect(breaker({ amps: 18 }).standing).toBe('as it should')
    expect(breaker({ amps: 24, lasted: 600 }).standing).toBe('may be')
    expect(breaker({ amps: 24, lasted: 3600 }).standing).toBe('too late')
  })
  it('larger than the copper behind it is warned of, with the size to use', () => {
    const { thin, sentences } = breaker({ rating: 20, before: 15, size: '14 AWG' })
    expect(thin).toBe(true)
    expect(sentences.join(' ')).toContain('Use 12 AWG')
    expect(breaker({ size: '2.5 mm²' }).thin).toBe(false)
  })
  it('that tripped says nothing of the unit', () => {
    expect(breaker({ tripped: true }).sentences.join(' ')).toContain('nothing of the unit’s own limit')
  })
})

it('copper between two sizes carries what the thinner one does, outside the table nothing is said', () => {
  expect(mainsAmpacity({ unit: 'mm²', area: 2 })).toBe(16)
  expect(mainsAmpacity({ unit: 'AWG', number: 13 })).toBe(15)
  expect(mainsAmpacity({ unit: 'mm²', area: 0.3 })).toBeUndefined()
  expect(mainsAmpacity({ unit: 'AWG', number: 0 })).toBeUndefined()
})

describe('a ground-fault device', () => {
  const fault = (more: Partial<Extract<OutletReading, { test: 'ground fault' }>>, bonding?: 'floating') =>
    only(
      groundFaults(
        analysisOf(
          [
            outlet({
              test: 'ground fault',
              device: 'back outlet',
              rating: 30,
              how: 'a tester from live to earth',
              opened: true,
              ...more,
            }),
          ],
          unitOf({ ...(bonding ? { bonding } : {}) }),
        ),
      ),
    )
  it('must open by the curves of the standards', () => {
    expect(mustOpenIn(6, 6)).toBeCloseTo(5.594, 3)
    expect(mustOpenIn(30, 30)).toBe(0.3)
    expect(mustOpenIn(30, 60)).toBe(0.15)
    expect(mustOpenIn(30, 150)).toBe(0.04)
    expect(mustOpenIn(30, 29)).toBeUndefined()
  })
  it('passes by leakage and time, fails by either or by its reset', () => {
    expect(fault({ leaked: 30, after: 180, restored: true }).standing).toBe('passed')
    expect(fault({ leaked: 30, after: 310 }).standing).toBe('failed')
    expect(fault({ leaked: 30, opened: false }).standing).toBe('failed')
    expect(fault({ leaked: 30, after: 180, restored: false }).standing).toBe('failed')
    expect(fault({ leaked: 20, opened: false }).standing).toBe('not known')
    expect(fault({ opened: true }).standing).toBe('not known')
    expect(fault({ how: 'its own test button' }).standing).toBe('only its button')
  })
  it('says that a floating neutral leaves nothing to open by', () => {
    expect(fault({ leaked: 30, after: 100 }, 'floating').sentences.join(' ')).toContain('may not protect')
    expect(fault({ leaked: 30, after: 100 }).sentences.join(' ')).not.toContain('may not protect')
  })
})

describe('the same load on the mains', () => {
  const beside = (...entries: Entry[]) => only(besideMains(analysisOf(entries)))
  const saw = outlet({ test: 'on the mains', load: 'Saw', peakAmps: 46, runningAmps: 8, volts: 230 })
  it('says by how much less the unit gave, and that it was not the load', () => {
    const { shortfall, sentences } = beside(
      motorEntry({ load: 'saw', peakCurrent: 29, outcome: 'stalled' }),
      saw,
    )
    expect(shortfall).toEqual({ mains: 46, unit: 29, in: 'A' })
    expect(sentences.join(' ')).toContain('17.0 A, 3910 VA or 37 % less')
    expect(sentences.join(' ')).toContain('5.8 times what it takes running')
  })
  it('calls a start as strong as that of the mains no shortfall, and waits for an attempt of that name', () => {
    expect(
      beside(motorEntry({ load: 'saw', peakCurrent: 45, outcome: 'started' }), saw).sentences.join(' '),
    ).toContain('as much as the mains')
    expect(beside(motorEntry({ load: 'pump', peakCurrent: 29 }), saw).sentences.join(' ')).toContain(
      'No attempt on the unit is called',
    )
  })
})

it('every test has its sentences, none longer than twenty words', () => {
  const analysis = analysisOf([
    outlet({
      test: 'each outlet',
      read: [
        { outlet: 'a', volts: 230 },
        { outlet: 'b', volts: 220 },
      ],
      watts: 500,
    }),
    outlet({
      test: 'cord',
      cord: 'extension',
      amps: 14,
      size: '1 mm²',
      length: 10,
      atOutlet: 228,
      atEnd: 221,
    }),
    outlet({
      test: 'breaker',
      breaker: 'left',
      rating: 20,
      amps: 24,
      tripped: true,
      size: '14 AWG',
      before: 15,
    }),
    outlet({
      test: 'ground fault',
      device: 'back',
      rating: 30,
      how: 'a tester from live to earth',
      opened: true,
      leaked: 30,
      after: 100,
      restored: true,
    }),
    outlet({ test: 'on the mains', load: 'saw', peakAmps: 40 }),
  ])
  const all = [...outletSentences(analysis).values()]
  expect(all).toHaveLength(5)
  for (const sentence of all.flat().flatMap((one) => one.split(/(?<=[.?]) /)))
    expect(sentence.split(' ').length).toBeLessThanOrEqual(26)
})
