import type { Bank, PathElement } from '@even-watt/contract'
import fc from 'fast-check'
import { bankOf, cableOf, parallelOf, revisionOf, rigOf, uuid } from '../../test/makers'
import { isFigure } from '../figures'
import { expanded, subtract } from '../meters'
import { bankSource, headroom, sharing } from '../supply'
import {
  changedRig,
  checkRig,
  deriveSurvey,
  elementStates,
  expectedTotal,
  leadsResistance,
  placed,
  promisedSupply,
  supplyOf,
  viewSupply,
  weakestCurrent,
  weakestLinks,
} from '.'

const ohms = fc.double({ min: 0.001, max: 0.03, noNaN: true })
const amps = fc.double({ min: 1, max: 300, noNaN: true })
const resistances = fc.array(ohms, { minLength: 1, maxLength: 8 })
const area = fc.constantFrom(6, 10, 16, 25, 35, 50, 70)

const rigWith = (mm2: number, metres: number) =>
  rigOf({
    positive: [
      { id: uuid(51), name: 'fuse', kind: 'fuse', continuous: 100 },
      cableOf('positive lead', 52, { gauge: { unit: 'mm²', area: mm2 }, length: metres }),
    ],
    negative: [cableOf('negative lead', 54, { gauge: { unit: 'mm²', area: mm2 }, length: metres })],
  })

describe('any bank', () => {
  it('gives in shares what is drawn of it, whatever its resistances', () => {
    fc.assert(
      fc.property(resistances, amps, (list, current) => {
        const shares = sharing(parallelOf(list), current) ?? []
        expect(shares.reduce((sum, one) => sum + one, 0)).toBeCloseTo(current, 6)
      }),
    )
  })

  it('is as stiff or stiffer with one more battery at its end', () => {
    fc.assert(
      fc.property(resistances, ohms, (list, more) => {
        const [before, after] = [bankSource(parallelOf(list)), bankSource(parallelOf([...list, more]))]
        expect(after?.R ?? Infinity).toBeLessThanOrEqual((before?.R ?? 0) + 1e-12)
        expect(after?.E).toBeCloseTo(before?.E ?? NaN, 9)
      }),
    )
  })

  it('does not care from which end it is counted', () => {
    const turned = (bank: Bank): Bank => {
      if (bank.join.kind !== 'in line') return bank
      const n = bank.strings.length - 1
      const { positive, negative, positiveAt, negativeAt } = bank.join
      return {
        ...bank,
        strings: [...bank.strings].reverse(),
        join: {
          kind: 'in line',
          positive: [...positive].reverse(),
          negative: [...negative].reverse(),
          positiveAt: n - positiveAt,
          negativeAt: n - negativeAt,
        },
      }
    }
    fc.assert(
      fc.property(resistances, amps, (list, current) => {
        const bank = parallelOf(list)
        const shares = sharing(bank, current) ?? []
        const back = [...(sharing(turned(bank), current) ?? [])].reverse()
        shares.forEach((share, i) => expect(back[i]).toBeCloseTo(share, 6))
      }),
    )
  })
})

describe('any path', () => {
  it('loses in its elements what the current and their resistances say, growing with its square', () => {
    fc.assert(
      fc.property(area, fc.double({ min: 0.2, max: 5, noNaN: true }), amps, (mm2, metres, current) => {
        const rig = rigWith(mm2, metres)
        const lost = elementStates(rig, current).reduce((sum, { watts }) => sum + watts, 0)
        const all = placed(rig).map(({ element }) => element)
        expect(lost).toBeCloseTo(expectedTotal(all, undefined).value * current ** 2, 6)
        const twice = elementStates(rig, 2 * current).reduce((sum, { watts }) => sum + watts, 0)
        expect(twice / lost).toBeCloseTo(4, 9)
      }),
    )
  })

  it('is limited by the same link however the current is asked about', () => {
    fc.assert(
      fc.property(area, amps, (mm2, current) => {
        const rig = rigWith(mm2, 1)
        const weakest = weakestCurrent(rig)
        const [tightest] = weakestLinks(rig, current)
        expect(tightest?.name).toBe(weakest?.link.name)
        expect((tightest?.margin ?? 0) < 0).toBe(current > (weakest?.current ?? Infinity) + 1e-9)
      }),
    )
  })

  it('reaches less far with longer leads, never farther', () => {
    const question = { alarm: 21.6, cutoff: 20.8, loss: (P: number) => 10 + 0.04 * P }
    fc.assert(
      fc.property(area, fc.double({ min: 0.2, max: 10, noNaN: true }), (mm2, metres) => {
        const reach = (length: number) => {
          const rig = rigWith(mm2, length)
          return viewSupply(rig, promisedSupply(rig), question)?.toAlarm.outputPower ?? NaN
        }
        expect(reach(metres * 1.5)).toBeLessThanOrEqual(reach(metres) + 1e-6)
        expect(leadsResistance(rigWith(mm2, 2 * metres))).toBeCloseTo(
          2 * leadsResistance(rigWith(mm2, metres)),
          9,
        )
      }),
    )
  })

  it('lets the alarm come before the cutoff, and neither before the threshold is met', () => {
    fc.assert(
      fc.property(ohms, fc.double({ min: 15, max: 26, noNaN: true }), (R, threshold) => {
        const supply = { bank: { E: 26.4, R }, path: 0.004, support: 0 }
        const [alarm, cutoff] = [headroom(supply, threshold), headroom(supply, threshold - 1)]
        expect(alarm.current).toBeLessThanOrEqual(cutoff.current + 1e-9)
        expect(26.4 - (R + 0.004) * alarm.current).toBeGreaterThanOrEqual(threshold - 1e-9)
      }),
    )
  })
})

describe('any survey', () => {
  const volts = fc.record({
    fuse: fc.double({ min: 0, max: 0.05, noNaN: true }),
    lead: fc.double({ min: 0.01, max: 0.2, noNaN: true }),
    lug: fc.double({ min: 0, max: 0.6, noNaN: true }),
  })
  const at = (read: { fuse: number; lead: number; lug: number }, order: readonly string[]) => {
    const all: Record<string, number> = { [uuid(51)]: read.fuse, [uuid(52)]: read.lead, [uuid(53)]: read.lug }
    return deriveSurvey(
      {
        id: uuid(80),
        revision: 1,
        at: '2026-03-12T10:00:00.000Z',
        kind: 'survey',
        reading: {
          current: 50,
          method: 'across',
          voltmeter: uuid(1),
          ammeter: uuid(1),
          readings: order.map((element) => ({ element, volts: all[element] ?? 0 })),
        },
      },
      revisionOf(),
    )
  }
  const ids = [uuid(51), uuid(52), uuid(53)]

  it('says the same in whatever order it was typed', () => {
    fc.assert(
      fc.property(volts, fc.shuffledSubarray(ids, { minLength: 3 }), (read, order) => {
        const [one, two] = [at(read, ids), at(read, order)]
        expect(two.lines.map(({ element }) => element.id)).toEqual(one.lines.map(({ element }) => element.id))
        expect(two.toFix.map(({ element }) => element.id)).toEqual(one.toFix.map(({ element }) => element.id))
      }),
    )
  })

  it('names first what takes most of all that takes too much', () => {
    fc.assert(
      fc.property(volts, (read) => {
        const { toFix, lines } = at(read, ids)
        const watts = toFix.map((line) => (isFigure(line.watts) ? line.watts.x.value : 0))
        expect(watts).toEqual([...watts].sort((a, b) => b - a))
        for (const line of lines) {
          if (!line.excessive || !isFigure(line.resistance) || !isFigure(line.expected)) continue
          const over = subtract(line.resistance.x, line.expected.x)
          expect(over.value).toBeGreaterThan(0)
          expect(expanded(over)).toBeGreaterThan(0)
        }
      }),
    )
  })
})

describe('changes of a rig', () => {
  it('keep all else as it was, and leave the rig they began with alone', () => {
    const rig = rigOf({ bank: bankOf() })
    const before = JSON.stringify(rig)
    const conductor = {
      gauge: { unit: 'mm²' as const, area: 50 },
      length: 0.8,
      runs: 1,
      material: 'copper' as const,
      strandingFactor: 1.12,
    }
    const after = changedRig(rig, [
      { kind: 'cable', element: uuid(52), conductor },
      { kind: 'support', current: 30 },
      { kind: 'battery', name: 'third', rest: 26.4, resistance: 0.01, link: 0.0003 },
    ])
    expect(JSON.stringify(rig)).toBe(before)
    expect(after.negative).toEqual(rig.negative)
    expect(after.bank.strings).toHaveLength(2)
    expect(after.bank.join).toMatchObject({ positive: [0.0003], negative: [0.0003] })
    expect(checkRig(after).filter(({ weight }) => weight === 'danger')).toEqual([])
    expect(supplyOf(promisedSupply(after))?.support).toBe(30)
    const toBusbars = changedRig(
      { ...rig, bank: { ...rig.bank, join: { kind: 'busbars', leads: [0.0006] } } },
      [{ kind: 'battery', name: 'third', rest: 26.4, resistance: 0.01, link: 0.0003 }],
    )
    expect(toBusbars.bank.join).toEqual({ kind: 'busbars', leads: [0.0006, 0.0006] })
  })

  it('do nothing to a part that is of another kind', () => {
    const rig = rigOf()
    const conductor = {
      gauge: { unit: 'mm²' as const, area: 50 },
      length: 1,
      runs: 1,
      material: 'copper' as const,
      strandingFactor: 1,
    }
    const names = (elements: readonly PathElement[]) => elements.map(({ name, kind }) => `${name} ${kind}`)
    const after = changedRig(rig, [{ kind: 'cable', element: uuid(53), conductor }])
    expect(names(after.negative)).toEqual(names(rig.negative))
    expect(
      changedRig({ ...rig, bank: { ...rig.bank, join: { kind: 'busbars', leads: [0.0006] } } }, [
        { kind: 'take-off', positiveAt: 0, negativeAt: 0 },
      ]).bank.join.kind,
    ).toBe('busbars')
  })
})
