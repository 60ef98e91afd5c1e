import type { StoredRig } from '@even-watt/contract'
import fc from 'fast-check'
import { bankOf, meterOf, parallelOf, rangeOf, revisionOf, rigOf, uuid } from '../../test/makers'
import { isFigure } from '../figures'
import { expanded, uncertain } from '../meters'
import {
  atCurrent,
  bankCapacity,
  bankNominal,
  bankSource,
  deriveLoadTest,
  describeBank,
  headroom,
  mostPower,
  outputFor,
  restSpread,
  restVoltage,
  sharing,
  takeOffs,
  terminalSource,
  terminalVoltage,
  underPower,
  unknownResistances,
  voltageUnderPower,
} from '.'

const l24 = { bank: { E: 26.4, R: 0.0117 }, path: 0.0059, support: 0 }

describe('constant power', () => {
  it('stands at 25.66 V and 25.29 V with 1600 W, drawing 63.3 A', () => {
    const point = underPower(l24, 1600)
    expect(point?.I).toBeCloseTo(63.3, 1)
    expect(point?.V_A).toBeCloseTo(25.66, 2)
    expect(point?.V_B).toBeCloseTo(25.29, 2)
  })

  it('has no solution beyond E²/4R', () => {
    const source = terminalSource(l24)
    expect(mostPower(source)).toBeCloseTo(26.4 ** 2 / (4 * 0.0176), 6)
    expect(voltageUnderPower(source, mostPower(source) * 1.0001)).toBeUndefined()
    expect(voltageUnderPower(source, mostPower(source) * 0.9999)).toBeCloseTo(13.2, 0)
    expect(mostPower({ E: 12, R: 0 })).toBe(Infinity)
  })

  it('balances energy for any supply, with or without a support source', () => {
    const supply = fc.record({
      bank: fc.record({
        E: fc.double({ min: 10, max: 60, noNaN: true }),
        R: fc.double({ min: 1e-4, max: 0.05, noNaN: true }),
      }),
      path: fc.double({ min: 1e-4, max: 0.05, noNaN: true }),
      support: fc.double({ min: 0, max: 60, noNaN: true }),
    })
    fc.assert(
      fc.property(supply, fc.double({ min: 1, max: 5000, noNaN: true }), (made, P) => {
        const point = underPower(made, P)
        if (!point) return
        expect(point.V_B * point.I).toBeCloseTo(P, 5)
        expect(point.I_bank + point.I_support).toBeCloseTo(point.I, 9)
        expect(point.I_support).toBeLessThanOrEqual(made.support + 1e-9)
        expect(point.V_A - point.V_B).toBeCloseTo(made.path * point.I, 9)
        expect(made.bank.E - point.V_A).toBeCloseTo(made.bank.R * point.I_bank, 9)
      }),
    )
  })

  it('lets a charger carry the first amperes', () => {
    const helped = { ...l24, support: 30 }
    expect(atCurrent(helped, 20)).toMatchObject({ I_bank: 0, I_support: 20, V_A: 26.4 })
    expect(atCurrent(helped, 80)).toMatchObject({ I_bank: 50, I_support: 30 })
    expect(underPower(helped, 1600)?.V_A).toBeGreaterThan(underPower(l24, 1600)?.V_A ?? 99)
    expect(underPower(helped, 500)?.I_bank).toBe(0)
  })

  it('carries the uncertainty of E, R and P as finite differences say', () => {
    const [E, Rb, Rp, P] = [26.4, 0.0117, 0.0059, 1600]
    const at = (e: number, rb: number, rp: number, p: number) =>
      underPower({ bank: { E: e, R: rb }, path: rp, support: 0 }, p)?.V_B ?? NaN
    const x = terminalVoltage(
      uncertain(E, 'e', 1),
      uncertain(Rb, 'b', 1),
      uncertain(Rp, 'p', 1),
      uncertain(P, 'w', 1),
    )
    const h = 1e-6
    expect(x?.sources.get('e')).toBeCloseTo((at(E + h, Rb, Rp, P) - at(E - h, Rb, Rp, P)) / (2 * h), 4)
    expect(x?.sources.get('b')).toBeCloseTo((at(E, Rb + h, Rp, P) - at(E, Rb - h, Rp, P)) / (2 * h), 2)
    expect(x?.sources.get('w')).toBeCloseTo((at(E, Rb, Rp, P + h) - at(E, Rb, Rp, P - h)) / (2 * h), 5)
    expect(
      terminalVoltage(uncertain(E, 'e', 1), uncertain(1, 'b', 0), uncertain(1, 'p', 0), uncertain(P, 'w', 0)),
    ).toBeUndefined()
  })
})

describe('headroom', () => {
  it('is 273 A and 5.89 kW on L24, and 2.5 kW behind a 100 A breaker', () => {
    const free = headroom(l24, 21.6)
    expect(free.current).toBeCloseTo(273, 0)
    expect(free.inputPower / 1000).toBeCloseTo(5.89, 2)
    expect(free.limitedBy).toBe('threshold')
    const capped = headroom(l24, 21.6, 100)
    expect(capped).toMatchObject({ current: 100, limitedBy: 'weakest link' })
    expect(capped.inputPower / 1000).toBeCloseTo(2.5, 1)
  })

  it('is 81 A, 890 W in and 784 W out on the tired 12 V battery', () => {
    const reach = headroom({ bank: { E: 12.7, R: 0.017 }, path: 0.004, support: 0 }, 11)
    expect(reach.current).toBeCloseTo(81, 0)
    expect(reach.inputPower).toBeCloseTo(890, 0)
    expect(outputFor(reach.inputPower, (P) => P / 0.88 - P)).toBeCloseTo(784, 0)
  })

  it('is the path’s alone while the support source carries all', () => {
    // 26.4 V, 11.7 mΩ of bank and 5.9 mΩ of path, a source of 30 A: 16.9 A bring the terminals to 26.3 V.
    const helped = { bank: { E: 26.4, R: 0.0117 }, path: 0.0059, support: 30 }
    const reach = headroom(helped, 26.3)
    expect(reach.current).toBeCloseTo(16.95, 2)
    expect(reach.inputPower).toBeCloseTo(446, 0)
    // Where it no longer carries all, both ways agree.
    const [just, beyond] = [
      headroom(helped, 26.4 - 0.0059 * 30 + 1e-9),
      headroom(helped, 26.4 - 0.0059 * 30 - 1e-9),
    ]
    expect(just.current).toBeCloseTo(beyond.current, 5)
  })

  it('is E²/4R where the threshold is under half of E, and nothing where it is above E', () => {
    expect(headroom(l24, 5)).toMatchObject({
      limitedBy: 'most power',
      inputPower: expect.closeTo(26.4 ** 2 / (4 * 0.0176), 6) as number,
    })
    expect(headroom(l24, 27).inputPower).toBe(0)
    expect(outputFor(5, () => 10)).toBe(0)
  })
})

describe('a bank', () => {
  it('adds series and parallel', () => {
    const bank = bankOf()
    expect([bankNominal(bank), bankCapacity(bank)]).toEqual([25.6, 150])
    expect(bankSource(bank)).toEqual({
      E: expect.closeTo(26.4, 9) as number,
      R: expect.closeTo(0.0117, 9) as number,
    })
    expect(describeBank(bank)).toBe('L24: 12.8 V 150 Ah lithium iron phosphate, 2 in series')
    const three = parallelOf([0.017, 0.006, 0.0064], 12.7, 1e-9)
    expect(bankSource(three)?.R).toBeCloseTo(0.00262, 5)
    expect(bankCapacity(three)).toBe(450)
  })

  it('shares nothing while a resistance is not known, and names whose', () => {
    const bank = parallelOf([0.004, 0.004])
    const [first] = bank.strings[1] ?? []
    const unknown = {
      ...bank,
      strings: [bank.strings[0] ?? [], [{ ...first, resistance: undefined } as NonNullable<typeof first>]],
    }
    expect(sharing(unknown, 100)).toBeUndefined()
    expect(bankSource(unknown)).toBeUndefined()
    expect(unknownResistances(unknown)).toEqual([first?.name])
  })

  it('leaves out a dead battery and everything behind an open link', () => {
    const bank = parallelOf([0.004, 0.004, 0.004])
    const dead = {
      ...bank,
      strings: bank.strings.map((string, i) => string.map((one) => ({ ...one, open: i === 1 }))),
    }
    expect(sharing(dead, 90)?.[1]).toBe(0)
    const cut = { ...bank, join: { ...bank.join, positive: [null, 0.0004] } } as typeof bank
    expect(sharing(cut, 90)).toEqual([expect.closeTo(90, 6), expect.closeTo(0, 6), expect.closeTo(0, 6)])
    const gone = {
      ...cut,
      strings: cut.strings.map((string, i) => string.map((one) => ({ ...one, open: i === 0 }))),
    }
    expect(bankSource(gone)).toBeUndefined()
  })

  it('warns of unlike rest voltages in parallel, and of the current they drive', () => {
    const bank = parallelOf([0.01, 0.01], 12.7, 0.0005)
    const uneven = {
      ...bank,
      strings: bank.strings.map((string, i) =>
        string.map((one) => ({ ...one, nominal: 12, rest: i ? 12.7 : 12.5 })),
      ),
    }
    const spread = restSpread(uneven)
    expect(spread?.spread).toBeCloseTo(0.2, 9)
    expect(spread?.allowed).toBeCloseTo(0.05, 9)
    expect(spread?.circulating).toBeCloseTo(0.2 / 0.021, 6)
    expect(restSpread(bank)).toBeUndefined()
    expect(restSpread(bankOf())).toBeUndefined()
  })

  it('offers three take-offs, sharing the more evenly the later', () => {
    const bank = parallelOf([0.0038, 0.0038, 0.0038, 0.0038])
    const spreads = takeOffs(bank).map(({ bank: other }) => {
      const shares = sharing(other, 120) ?? []
      return Math.max(...shares) - Math.min(...shares)
    })
    expect(spreads).toEqual([...spreads].sort((a, b) => b - a))
    expect(takeOffs(bankOf())).toEqual([])
  })

  it('assumes rest volts from the chemistry where none were read', () => {
    const [battery] = bankOf().strings[0] ?? []
    if (!battery) throw new Error('no battery')
    const unread = { ...battery, rest: undefined }
    expect(restVoltage(unread)).toBeCloseTo(13.2, 9)
    expect(restVoltage({ ...unread, chemistry: 'AGM', nominal: 12 })).toBeCloseTo(12.7, 9)
  })
})

describe('a short load test', () => {
  const test = {
    restVoltage: 26.42,
    restCurrent: 0,
    loadedVoltage: 25.74,
    loadedCurrent: 58,
    recoveredVoltage: 26.4,
    voltmeter: uuid(1),
    ammeter: uuid(1),
  }
  const entry = {
    id: uuid(70),
    revision: 1,
    at: '2026-03-12T09:00:00.000Z',
    kind: 'load test' as const,
    reading: test,
  }

  it('gives 11.7 mΩ from 26.42 V to 25.74 V at 58 A', () => {
    const { R_10, what } = deriveLoadTest(entry, revisionOf())
    expect(isFigure(R_10) && 1000 * R_10.x.value).toBeCloseTo(11.7, 1)
    expect(what).toBe('L24')
  })

  it('knows the sag better than either end, both being read on one meter', () => {
    const precise = meterOf({
      ranges: [rangeOf('DC voltage', 60, 0.5, 2, 0.01), rangeOf('DC current', 400, 2, 3, 0.1)],
    })
    const { sag } = deriveLoadTest(entry, revisionOf({ meters: [precise] }))
    expect(isFigure(sag) && expanded(sag.x)).toBeLessThan(0.02)
  })

  it('has no resistance beside a charger, unless the bank’s own current was read', () => {
    const support = { kind: 'charger', name: 'Charger', current: 30, ownUse: 0 } as const
    const beside = (assignments: StoredRig['assignments']) =>
      deriveLoadTest(entry, revisionOf({ rig: rigOf({ support, assignments }) })).R_10
    expect(beside([])).toEqual({
      missing: 'The Charger carries a part of it: switch it off, or read the bank’s own current.',
    })
    expect(beside([{ quantity: 'I', meter: uuid(1) }])).toHaveProperty('missing')
    expect(isFigure(beside([{ quantity: 'I_bank', meter: uuid(1) }]))).toBe(true)
  })

  it('has no resistance where no current was drawn', () => {
    const idle = { ...entry, reading: { ...test, loadedCurrent: 5, restCurrent: 5 } }
    expect(deriveLoadTest(idle, revisionOf()).R_10).toHaveProperty('missing')
  })
})

describe('a load test without an ammeter', () => {
  // A bench of 12 V whose truth is 7.0 mΩ at the posts and 44.0 A at 501 W.
  const reading = {
    restVoltage: 13.1,
    restCurrent: 0,
    loadedVoltage: 12.79,
    loadedPower: 501,
    voltmeter: uuid(1),
    wattmeter: uuid(1),
  }
  const entry = {
    id: uuid(71),
    revision: 1,
    at: '2026-03-12T09:00:00.000Z',
    kind: 'load test' as const,
    reading,
  }

  it('bounds the resistance from the watts at the outlet, and decides nothing by it', () => {
    const { R_10, I_10 } = deriveLoadTest(entry, revisionOf())
    if (!isFigure(R_10) || !isFigure(I_10)) throw new Error('missing')
    expect([R_10.grade, I_10.grade]).toEqual(['estimated', 'estimated'])
    expect(Math.abs(I_10.x.value - 44)).toBeLessThan(expanded(I_10.x))
    expect(Math.abs(R_10.x.value - 0.31 / 44)).toBeLessThan(expanded(R_10.x))
  })

  it('prefers amps where they were read', () => {
    const { R_10 } = deriveLoadTest({ ...entry, reading: { ...reading, loadedCurrent: 44 } }, revisionOf())
    expect(isFigure(R_10) && R_10.grade).toBe('measured')
  })
})
