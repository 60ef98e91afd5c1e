import type { Conductor } from '@even-watt/contract'
import fc from 'fast-check'
import {
  allowedTime,
  ampacity,
  awgArea,
  nearestAwg,
  conductorResistance,
  formatAwg,
  formatGauge,
  heatingTime,
  inParallel,
  parallelShares,
  parseAwg,
  parseGauge,
  sizeCable,
  tableAmpacity,
  tauFromRating,
  withEnds,
  type SizingQuestion,
} from '.'

const lead = (patch: Partial<Conductor> = {}): Conductor => ({
  gauge: { unit: 'mm²', area: 16 },
  length: 1.2,
  runs: 1,
  material: 'copper',
  strandingFactor: 1,
  ...patch,
})

describe('resistance', () => {
  it('gives the worked loop of 16 mm², 1.2 m each way', () => {
    expect(2 * conductorResistance(lead()) * 1000).toBeCloseTo(2.586, 3)
    expect(2 * conductorResistance(lead(), 60) * 1000).toBeCloseTo(2.993, 2)
    const stranded = lead({ strandingFactor: 1.12 })
    expect(2 * conductorResistance(stranded) * 1000).toBeCloseTo(2.897, 2)
  })

  it('gives 21.15 mm² and 0.815 mΩ/m for 4 AWG', () => {
    expect(awgArea(4)).toBeCloseTo(21.15, 2)
    expect(conductorResistance(lead({ gauge: { unit: 'AWG', number: 4 }, length: 1 })) * 1000).toBeCloseTo(
      0.815,
      3,
    )
  })

  it('scales with length and inversely with area and runs', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        fc.integer({ min: 1, max: 10 }),
        (length, runs) => {
          const R = conductorResistance(lead({ length, runs }))
          expect(conductorResistance(lead({ length: 2 * length, runs }))).toBeCloseTo(2 * R, 12)
          expect(conductorResistance(lead({ length, runs, gauge: { unit: 'mm²', area: 32 } }))).toBeCloseTo(
            R / 2,
            12,
          )
          expect(R * runs).toBeCloseTo(conductorResistance(lead({ length })), 12)
        },
      ),
    )
  })

  it('finds the number of every size again, and the nearest of those between', () => {
    for (let n = -3; n <= 40; n++) {
      expect(nearestAwg(awgArea(n))).toBeCloseTo(n, 9)
      expect(nearestAwg(awgArea(n) * 1.1)).toBeCloseTo(n, 9)
      expect(nearestAwg(awgArea(n) * 0.91)).toBeCloseTo(n, 9)
    }
    // 16 mm² lies between 6 (13.3 mm²) and 5 (16.8 mm²).
    expect(nearestAwg(16)).toBe(5)
  })

  it('halves the area every three AWG numbers, nearly', () => {
    expect(awgArea(7) / awgArea(4)).toBeCloseTo(0.4987, 3)
  })
})

describe('gauges as typed', () => {
  it.each([
    ['4/0', -3],
    ['0000', -3],
    ['-3', -3],
    ['1/0', 0],
    ['0', 0],
    ['4', 4],
    ['40', 40],
  ])('%s is AWG number %p', (text, n) => expect(parseAwg(text)).toBe(n))

  it.each(['41', '-4', '5/0', 'x', '00000', '4.5'])('%s is no AWG number', (text) =>
    expect(parseAwg(text)).toBeUndefined(),
  )

  it('keeps every gauge as it was named', () => {
    expect(parseGauge('16 mm²')).toEqual({ ok: true, gauge: { unit: 'mm²', area: 16 } })
    expect(parseGauge('2,5mm2')).toEqual({ ok: true, gauge: { unit: 'mm²', area: 2.5 } })
    expect(parseGauge('4 AWG')).toEqual({ ok: true, gauge: { unit: 'AWG', number: 4 } })
    expect(parseGauge('4/0')).toEqual(parseGauge('0000'))
    expect(parseGauge('4/0')).toEqual(parseGauge('-3'))
  })

  it('asks when the unit is missing, and does not take a thickness for an area', () => {
    expect(parseGauge('25')).toEqual({ ok: false, why: 'Is "25" in mm² or AWG? Add the unit.' })
    expect(parseGauge('4 mm')).toMatchObject({
      ok: false,
      why: expect.stringContaining('thickness') as string,
    })
    expect(parseGauge('0 mm²').ok).toBe(false)
    expect(parseGauge('-16 mm²').ok).toBe(false)
    expect(parseGauge('thick').ok).toBe(false)
  })

  it('reads back what it writes', () => {
    fc.assert(
      fc.property(fc.integer({ min: -3, max: 40 }), (n) => {
        expect(parseAwg(formatAwg(n))).toBe(n)
        expect(parseGauge(formatGauge({ unit: 'AWG', number: n }))).toEqual({
          ok: true,
          gauge: { unit: 'AWG', number: n },
        })
      }),
    )
  })
})

describe('ampacity and sizing', () => {
  const question: SizingQuestion = {
    power: 1400,
    efficiency: 0.92,
    nominal: 24,
    lowest: 21.6,
    at: 'nominal',
    ripple: 0,
    length: 1.2,
    material: 'copper',
    strandingFactor: 1.12,
    insulation: 105,
    ambient: 30,
    bundling: 1,
    dropLimit: 0.03,
  }

  it('sizes 1400 W at nominal and at the alarm, by mean and by RMS current', () => {
    const nominal = sizeCable(question)
    expect(nominal.current).toBeCloseTo(63.4, 1)
    expect(nominal.design).toBeCloseTo(79.3, 1)
    const lowest = sizeCable({ ...question, at: 'lowest' })
    expect(lowest.current).toBeCloseTo(70.5, 1)
    expect(lowest.design).toBeCloseTo(88.1, 1)
    expect(lowest.fuse).toBe(100)
    const ripple = sizeCable({ ...question, at: 'lowest', ripple: Math.SQRT1_2 })
    expect(ripple.rms).toBeCloseTo(86.3, 1)
    expect(ripple.design).toBeCloseTo(108, 0)
    expect(ripple.fuse).toBe(125)
  })

  it('offers the smallest that carries it, drops little and lets a fuse in between', () => {
    const { smallest, choices } = sizeCable({ ...question, at: 'lowest' })
    // 16 mm² at terminals of 75 °C carries 130·√(45/75) = 100.7 A: just enough for the 100 A fuse.
    expect(smallest.metric?.gauge).toEqual({ unit: 'mm²', area: 16 })
    for (const choice of choices.filter(({ fits }) => fits)) {
      expect(choice.ampacity).toBeGreaterThanOrEqual(choice.fuse ?? Infinity)
      expect(choice.fuses[0]).toBe(choice.fuse)
      expect(choice.fuses.at(-1)).toBeLessThanOrEqual(choice.ampacity)
      expect(choice.dropShare).toBeLessThanOrEqual(0.03)
    }
    const far = sizeCable({ ...question, length: 12 })
    expect(far.smallest.metric === undefined || far.smallest.metric.dropShare <= 0.03).toBe(true)
    expect(sizeCable({ ...question, power: 20_000 }).fuse).toBeUndefined()
  })

  it('corrects by the insulation: 70 °C PVC carries 0.73 of the table', () => {
    const wire = { gauge: { unit: 'mm²' as const, area: 16 }, runs: 1, material: 'copper' as const }
    expect(ampacity(wire, { insulation: 105, ambient: 30 })).toBe(130)
    expect((ampacity(wire, { insulation: 70, ambient: 30 }) ?? 0) / 130).toBeCloseTo(0.73, 2)
    expect(ampacity(wire, { insulation: 70, ambient: 80 })).toBe(0)
    expect(ampacity({ ...wire, runs: 2 }, { insulation: 105, ambient: 30, bundling: 0.8 })).toBe(208)
    expect(ampacity({ ...wire, material: 'aluminium' }, { insulation: 105, ambient: 30 })).toBeCloseTo(
      101.6,
      1,
    )
  })

  it('takes the next smaller size between those of the table, and none below it', () => {
    expect(tableAmpacity({ unit: 'mm²', area: 20 })).toBe(130)
    expect(tableAmpacity({ unit: 'mm²', area: 4 })).toBeUndefined()
    expect(tableAmpacity({ unit: 'AWG', number: -3 })).toBe(445)
    expect(tableAmpacity({ unit: 'AWG', number: 3 })).toBe(160)
    expect(tableAmpacity({ unit: 'AWG', number: 12 })).toBeUndefined()
  })

  it('lets a rating be exceeded the shorter the more, and for ever inside it', () => {
    expect(allowedTime(100, 100, 60)).toBe(Infinity)
    expect(allowedTime(200, 100, 60)).toBeCloseTo(60 * Math.log(4 / 3), 9)
    // From one point of its curve a device's whole curve follows.
    const tau = tauFromRating(100, 200, 30)
    expect(allowedTime(200, 100, tau)).toBeCloseTo(30, 9)
    expect(allowedTime(1e6, 100, tau)).toBeCloseTo(0, 3)
    const wire = { gauge: { unit: 'mm²' as const, area: 16 }, material: 'copper' as const }
    // C/G of 16 mm² copper at 130 A and 75 K: some minutes.
    expect(heatingTime(wire, 1.7241e-8 * 1.334, 130, 75)).toBeCloseTo(
      (3.45e6 * 16e-6 * 75) / ((130 ** 2 * 2.3e-8) / 16e-6),
      -1,
    )
  })

  it('shares unlike parallel runs by their conductance', () => {
    const runs = [lead({ length: 1 }), lead({ length: 2 })]
    expect(parallelShares(runs, 90)).toEqual([expect.closeTo(60, 9), expect.closeTo(30, 9)])
    expect(inParallel([0.002, 0.002])).toBeCloseTo(0.001, 12)
    // A bad end on one run throws the current on the other.
    const [, spoiled] = parallelShares([lead(), lead({ ends: 0.01 })], 100)
    expect(spoiled).toBeLessThan(15)
    expect(withEnds(lead({ ends: 0.001 }))).toBeCloseTo(conductorResistance(lead()) + 0.001, 12)
  })
})
