import type { Claim, Entry, StoredMeter, StoredUnit, Trial } from '@even-watt/contract'
import fc from 'fast-check'
import {
  cleanLadder,
  ladderEntry,
  meterOf,
  noLoadEntry,
  rangeOf,
  revisionOf,
  rigOf,
  trialOf,
  unitOf,
  uuid,
  valuesOf,
} from '../../test/makers'
import { isFigure } from '../figures'
import { expanded, specificationSource, uncertain } from '../meters'
import { viewTrial } from '../view'
import {
  commonErrors,
  compareTrials,
  curveDifference,
  named,
  onSameSupply,
  rank,
  worthOf,
  type Compared,
} from '.'

const claim = (n: number, patch: Partial<Claim> = {}): Claim => ({
  id: uuid(500 + n),
  quantity: 'idle draw',
  comparator: 'at most',
  value: 11,
  unit: 'W',
  readWhere: 'label',
  ...patch,
})

interface Tested {
  readonly unit?: Partial<StoredUnit>
  readonly meter?: Partial<StoredMeter>
  readonly entries?: readonly Entry[]
  readonly trial?: Partial<Trial>
  readonly rig?: Parameters<typeof rigOf>[0]
}

let trials = 0
const tested = ({ unit, meter, entries = [], trial, rig }: Tested): Omit<Compared, 'name'> => {
  trials += 1
  const made = trialOf([revisionOf({ unit: unitOf(unit), meters: [meterOf(meter)], rig: rigOf(rig) })], {
    id: uuid(7000 + trials),
    title: `trial ${trials}`,
    ...trial,
  })
  const view = viewTrial(made, entries)
  const [analysis] = view.analyses
  if (!analysis) throw new Error('no analysis')
  return { trial: made, analysis, findings: view.findings }
}

const loss =
  (p0: number, p1 = 0.021, p2 = 3.1e-5) =>
  (P: number) =>
    p0 + p1 * P + p2 * P ** 2
const idle = (watts: number) =>
  noLoadEntry({ V_B: 26.4, I: Math.round((1000 * watts) / 26.4) / 1000, V_C: 230 })
const fineIdle: Partial<StoredMeter> = {
  ranges: [...meterOf().ranges, { ...rangeOf('DC current', 2, 0.5, 2, 0.001), id: 'fine amps' }],
}
const unit = (name: string, p0: number, more: Tested = {}): Omit<Compared, 'name'> =>
  tested({
    meter: fineIdle,
    entries: [idle(p0), ...cleanLadder(undefined, loss(p0))],
    ...more,
    unit: { name, ...more.unit },
  })

describe('what is compared', () => {
  it('names units by their names, and tells namesakes apart', () => {
    const [a, b, c] = [unit('A', 10), unit('A', 11), unit('B', 12)]
    expect(named([a, c]).map(({ name }) => name)).toEqual(['A', 'B'])
    const second = {
      ...a,
      analysis: {
        ...a.analysis,
        record: { ...a.analysis.record, revision: { ...a.analysis.record.revision, number: 2 } },
      },
    }
    expect(named([a, second]).map(({ name }) => name)).toEqual(['A, rig 1', 'A, rig 2'])
    expect(new Set(named([a, b]).map(({ name }) => name)).size).toBe(2)
    const twin = { ...a, trial: { ...a.trial, id: uuid(8888) } }
    expect(new Set(named([a, twin]).map(({ name }) => name)).size).toBe(2)
  })
})

describe('errors that meters have in common', () => {
  const source = specificationSource(uuid(1), 'DC voltage 60')
  const x = uncertain(25, source, 0.1)
  const pair = (meter: Partial<StoredMeter>) =>
    named([unit('A', 10), unit('B', 10, { meter: { ...fineIdle, ...meter } })])
  const cancels = (list: readonly Compared[]) => {
    const common = commonErrors(list)
    const [a, b] = list
    if (!a || !b) throw new Error('two are compared')
    return [...common(a, x).sources.keys()][0] === [...common(b, x).sources.keys()][0]
  }
  it('cancel on the same meter, range and state', () => expect(cancels(pair({}))).toBe(true))
  it('do not once it was adjusted, or another specification was typed', () => {
    expect(cancels(pair({ adjusted: 'April 2026' }))).toBe(false)
    expect(
      cancels(
        pair({ ranges: (fineIdle.ranges ?? []).map((range) => ({ ...range, percent: range.percent * 2 })) }),
      ),
    ).toBe(false)
  })
  it('make a difference of units sharp, which an adjustment blurs', () => {
    const sharp = compareTrials(pair({})).rows.find(({ criterion }) => criterion.key === 'duty')
    const width = (list: readonly Compared[]) => {
      const [a, b] = list
      const found = a && b && curveDifference(b, a, commonErrors(list))
      return found && 'stretches' in found ? expanded(found.stretches[0]?.x ?? uncertain(0, '', 9)) : NaN
    }
    expect(sharp).toBeDefined()
    expect(width(pair({ adjusted: 'April 2026' }))).toBeGreaterThan(3 * width(pair({})))
  })
})

describe('two curves', () => {
  const against = (one: Omit<Compared, 'name'>, base: Omit<Compared, 'name'>) => {
    const list = named([base, one])
    const [b, a] = list
    if (!a || !b) throw new Error('two are compared')
    return curveDifference(a, b, commonErrors(list))
  }
  it('are told apart where they differ by more than is uncertain, and not elsewhere', () => {
    // 6 W more idle weighs at small loads and is lost at large ones.
    const found = against(unit('B', 10.4), unit('A', 16.4))
    if (!('stretches' in found)) throw new Error(found.missing)
    expect(found.stretches.map(({ is }) => is)).toEqual(['better', 'alike'])
    const [better] = found.stretches
    const P = better?.at ?? 0
    const eta = (p0: number) => P / (P + loss(p0)(P))
    expect(better?.x.value).toBeCloseTo(eta(10.4) - eta(16.4), 3)
    expect(found.sentence).toMatch(
      /^Efficiency: B is better than A by .* points at .* W, and so below .* W; no difference is shown above/,
    )
  })
  it('of one unit are alike all over', () => {
    const found = against(unit('B', 10.4), unit('A', 10.4))
    expect('sentence' in found && found.sentence).toBe(
      'Efficiency: no difference is shown between B and A from 72.0 to 1400 W, all that both were measured at.',
    )
  })
  it('turned round say the opposite of the same loads', () => {
    const [one, two] = [against(unit('B', 10.4), unit('A', 16.4)), against(unit('A', 16.4), unit('B', 10.4))]
    if (!('stretches' in one) || !('stretches' in two)) throw new Error('no curve')
    expect(two.stretches.map(({ is }) => is)).toEqual(['worse', 'alike'])
    expect(two.stretches[0]?.to).toBeCloseTo(one.stretches[0]?.to ?? 0, 6)
    expect(two.stretches[0]?.x.value).toBeCloseTo(-(one.stretches[0]?.x.value ?? 0), 9)
  })
  it('are not carried beyond their steps, nor made up', () => {
    const small = tested({ unit: { name: 'S' }, entries: [idle(10), ...cleanLadder([20, 30, 40], loss(10))] })
    expect(against(small, unit('A', 10))).toEqual({
      missing: 'S and A were not measured at the same loads.',
    })
    expect(against(tested({ unit: { name: 'N' } }), unit('A', 10))).toEqual({ missing: 'N has no curve.' })
  })
})

describe('a comparison', () => {
  const hours = [
    { hours: 18, load: 0 },
    { hours: 6, load: 352 },
  ]
  const claims = [
    claim(1),
    claim(2, { quantity: 'efficiency', comparator: 'at least', value: 92, unit: '%' }),
  ]
  const base = unit('A', 16.4, { unit: { claims }, trial: { duty: hours } })
  const other = unit('B', 10.4, {
    unit: {
      claims: [
        ...claims,
        claim(3, { quantity: 'surge power', comparator: 'at least', value: 2700, unit: 'W', duration: 2 }),
      ],
    },
  })
  const made = compareTrials(named([base, other]))
  const row = (key: string) => made.rows.find(({ criterion }) => criterion.key === key)

  it('says of each figure which is better, with what the meters share taken out', () => {
    expect(row('idle')?.cells.map(({ against }) => against?.is)).toEqual([undefined, 'better'])
    expect(row('idle')?.cells[1]?.against?.difference.x.value).toBeCloseTo(-6, 1)
    // The steps that were offered are no figure of the unit.
    expect(row('carried')?.cells[1]?.against).toBeUndefined()
    expect(row('THD')?.cells.map(({ figure }) => isFigure(figure))).toEqual([false, false])
  })
  it('holds both against the hours of whoever stated them', () => {
    expect(made.hours).toBe(hours)
    const lost = row('day')?.cells.map(({ figure }) => (isFigure(figure) ? figure.x.value : NaN))
    // 18 h idle and 6 h at 352 W.
    expect(lost?.[0]).toBeCloseTo(24 * 16.4 + 6 * loss(0)(352), 0)
    expect((lost?.[0] ?? 0) - (lost?.[1] ?? 0)).toBeCloseTo(24 * 6, 0)
  })
  it('lays the same promises side by side, and says which was kept by one only and which nobody tested', () => {
    expect(made.claims.map(({ words, cells }) => [words, ...cells.map((cell) => cell?.outcome)])).toEqual([
      ['idle draw', 'not met', 'met'],
      ['efficiency', expect.any(String), expect.any(String)],
      ['surge power', undefined, 'not shown'],
    ])
    expect(made.answer).toContain('The promise of idle draw is met by B, not by A.')
  })
  it('says first what is better', () => {
    expect(made.answer[0]).toMatch(/^B is better than A in idle draw \(less by 5\.99\d* ± 0\.0\d+ W\)/)
    expect(made.answer.join(' ')).not.toContain('Not alike')
  })
  it('says how unlike the conditions were', () => {
    const cold = unit('C', 10, { rig: { ambient: 2 }, meter: { ...fineIdle, adjusted: 'May' } })
    const lent = unit('D', 10, { unit: { provenance: { how: 'lent', preProduction: true } } })
    const bare = tested({ unit: { name: 'E', inputVoltage: 12 } })
    const unlike = (one: Omit<Compared, 'name'>) =>
      compareTrials(named([base, one])).conditions.flatMap(({ words, unlike: why }) => (why ? [words] : []))
    expect(unlike(other)).toEqual([])
    expect(unlike(cold)).toEqual([
      'room',
      'meter of volts at the terminals',
      'meter of input current',
      'meter of watts at the outlet',
    ])
    expect(unlike(lent)).toEqual(['how it came'])
    const light = unit('F', 10, { entries: [idle(10), ...cleanLadder([72, 141, 352], loss(10))] })
    expect(unlike(light)).toEqual(['loads'])
    expect(unlike(bare)).toEqual(
      expect.arrayContaining(['made for', 'volts at the terminals', 'kinds of load']),
    )
  })
  it('holds volts and distortion against each other over the loads that all carried', () => {
    const bent = (loads: readonly number[]) =>
      cleanLadder(loads, loss(10)).map((step) => {
        const watts = step.reading.values.find(({ quantity }) => quantity === 'P_C')?.value ?? 0
        const values = step.reading.values.map((one) =>
          one.quantity === 'V_C' ? { ...one, value: 230 - watts / 100 } : one,
        )
        return {
          ...step,
          reading: { ...step.reading, values: [...values, ...valuesOf({ THD: 0.01 + watts / 1e5 })] },
        }
      })
    const light = unit('light', 10, { entries: bent([72, 141, 352]) })
    const heavy = unit('heavy', 10, { entries: bent([72, 141, 352, 704, 1400]) })
    const only = (key: string, list: readonly Omit<Compared, 'name'>[]) =>
      compareTrials(named(list)).rows.find(({ criterion }) => criterion.key === key)?.cells ?? []
    for (const key of ['volts', 'THD']) {
      const cells = only(key, [light, heavy])
      expect(cells[1]?.against?.is).toBe('alike')
      const [, figure] = cells.map((cell) => cell.figure)
      expect(figure && isFigure(figure) && figure.working.notes).toEqual([
        'Over the loads up to 352 W, which all of them carried.',
      ])
      // As heavy as each other: all of it counts.
      const [whole] = only(key, [heavy, unit('heavy too', 10, { entries: bent([1000, 1400]) })])
      expect(whole && isFigure(whole.figure) && whole.figure.working.notes).toEqual([])
      const [, none] = only(key, [light, unit('only heavy', 10, { entries: bent([1000, 1400]) })])
      expect(none && !isFigure(none.figure) && none.figure.missing).toContain('only over 352 W')
    }
  })
  it('stands with a unit without readings, which has no figure and no verdict', () => {
    const bare = compareTrials(named([base, tested({ unit: { name: 'E' } })]))
    expect(bare.rows.every(({ cells }) => cells[1]?.against === undefined)).toBe(true)
    expect(bare.curves[0]?.found).toEqual({ missing: 'E has no curve.' })
  })
})

describe('as if on the same supply', () => {
  it('a unit with worse leads is no worse for them', () => {
    const same = onSameSupply(named([unit('A', 10.4), unit('B', 10.4)]))
    const [a, b] = same?.cells ?? []
    if (!a || !b || 'missing' in a || 'missing' in b) throw new Error('no figures')
    expect(a.efficiency).toBeCloseTo(b.efficiency, 4)
    expect(same?.load).toBe(1400)
    // What goes in comes out or is lost, in the unit and on the way.
    const lostInUnit = loss(10.4)(1400)
    expect(a.input).toBeGreaterThan(1400 + lostInUnit)
    expect(a.input * a.efficiency).toBeCloseTo(1400, 9)
  })
  it('cannot be for a unit of another input, nor without curves', () => {
    const other = onSameSupply(named([unit('A', 10), unit('B', 10, { unit: { inputVoltage: 12 } })]))
    expect(other?.cells[1]).toEqual({ name: 'B', missing: 'made for another input' })
    expect(onSameSupply(named([unit('A', 10), tested({ unit: { name: 'E' } })]))).toBeUndefined()
  })
})

describe('per proven watt', () => {
  const priced = {
    price: { amount: 389, currency: 'EUR' },
    mass: 4.1,
    size: [0.34, 0.21, 0.09] as [number, number, number],
  }
  it('is what the handbook has: 0.271 EUR, 2.86 g and 4.48 cm³ for each of 1434 W', () => {
    const [one] = named([tested({ unit: priced, entries: [ladderEntry({ V_B: 25.5, I: 60, P_C: 1434 })] })])
    const worth = one && worthOf(one)
    expect(worth?.price?.x.value).toBeCloseTo(0.271, 3)
    expect(worth?.mass?.value).toBeCloseTo(2.86, 2)
    expect(worth?.volume?.value).toBeCloseTo(4.48, 2)
  })
  it('leaves out what is not noted, and is nothing where no watts were carried', () => {
    const [bare, none] = named([tested({ entries: [ladderEntry({ P_C: 500 })] }), tested({ unit: priced })])
    expect(bare && worthOf(bare)).not.toHaveProperty('price')
    expect(none && worthOf(none)).toBeUndefined()
  })
})

describe('a ranking by the tester’s weights', () => {
  const hours = [{ hours: 24, load: 352 }]
  const ranked = (list: readonly Compared[], weights: Record<string, number>) =>
    rank(list, hours, weights, commonErrors(list))
  const list = named([unit('A', 16.4), unit('B', 10.4), unit('C', 10.4)])

  it('puts first what is better, and leaves together what nobody can tell apart', () => {
    const found = ranked(list, { idle: 1, duty: 3 })
    if (!('places' in found)) throw new Error(found.missing)
    expect(found.places.map(({ one, place }) => [one.name, place])).toEqual([
      ['B', 1],
      ['C', 1],
      ['A', 3],
    ])
    expect(found.counted).toEqual([
      { words: 'idle draw', weight: 1 },
      { words: 'efficiency over a usual day', weight: 3 },
    ])
  })
  it('needs a weight, and says what could not count', () => {
    expect(ranked(list, {})).toEqual({ missing: 'Give at least one criterion a weight above 0.' })
    expect(ranked(list, { idle: 0 })).toHaveProperty('missing')
    // What was tried is no criterion.
    expect(ranked(list, { carried: 5 })).toHaveProperty('missing')
    expect(ranked(list, { THD: 1 })).toEqual({
      missing: 'Nothing that is weighted is known of all of them: highest THD.',
    })
    const half = ranked(list, { THD: 1, idle: 1 })
    expect('left' in half && half.left).toEqual(['highest THD'])
  })
  it('is the same in whatever order they stand and however the weights are scaled', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 80, max: 300 }), { minLength: 2, maxLength: 5 }),
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        (idles, factor) => {
          const units = named(
            idles.map((tenths, i) =>
              tested({ meter: fineIdle, unit: { name: `U${i}` }, entries: [idle(tenths / 10)] }),
            ),
          )
          const said = (of: readonly Compared[], by: number) => {
            const found = ranked(of, { idle: by })
            return 'places' in found
              ? Object.fromEntries(found.places.map(({ one, place }) => [one.name, place]))
              : found
          }
          expect(said([...units].reverse(), factor)).toEqual(said(units, 1))
        },
      ),
      { numRuns: 30 },
    )
  })
})
