import fc from 'fast-check'
import {
  changesBetween,
  choosePlan,
  itemsOf,
  powerOf,
  settledPower,
  tolerance,
  type Question,
  type Settings,
} from '.'

const stiff = { noLoad: 230, fall: 0 }
const voltage = { noLoad: 231, fall: 0.002 }

/** Every ladder there is, by trying all sets at every step: the slow way that cannot be wrong. */
function exhaustive(question: Question): { changes: number; items: number; deviation: number } {
  const all = question.loads.reduce<Settings[]>(
    (sets, { settings }) =>
      sets.flatMap((set) => [0, ...settings.map((_, k) => k + 1)].map((k) => [...set, k])),
    [[]],
  )
  // A set that takes just the most there may be is let in, however it rounds.
  const most = question.mostPower * (1 + 1e-9)
  const possible = all
    .map((set) => ({ set, power: powerOf(question, set), items: itemsOf(set) }))
    .filter(({ power, items }) => power <= most && items <= question.outlets)
  let ladders = [{ set: question.loads.map(() => 0) as Settings, changes: 0, items: 0, deviation: 0 }]
  for (const [step, target] of question.targets.entries()) {
    const fixed = question.locked?.[step]
    const inside = possible.filter(({ power }) => Math.abs(power - target) <= tolerance * target * (1 + 1e-9))
    const nearest = Math.min(...possible.map(({ power }) => Math.abs(power - target)))
    const here = fixed
      ? [{ set: fixed, power: powerOf(question, fixed), items: itemsOf(fixed) }]
      : inside.length
        ? inside
        : possible.filter(({ power }) => Math.abs(power - target) <= nearest + 1e-9 * target)
    ladders = here.map(({ set, power, items }) =>
      ladders
        .map((ladder) => ({
          set,
          changes: ladder.changes + changesBetween(ladder.set, set),
          items: ladder.items + items,
          deviation: ladder.deviation + Math.abs(power - target) / target,
        }))
        .reduce((a, b) =>
          (a.changes - b.changes || a.items - b.items || a.deviation - b.deviation) <= 0 ? a : b,
        ),
    )
  }
  return ladders.reduce((a, b) =>
    (a.changes - b.changes || a.items - b.items || a.deviation - b.deviation) <= 0 ? a : b,
  )
}

const kind = fc.constantFrom(
  'element' as const,
  'filament' as const,
  'electronic' as const,
  'microwave' as const,
)
const load = fc.record({
  id: fc.uuid(),
  kind,
  volts: fc.integer({ min: 210, max: 240 }),
  settings: fc.array(fc.integer({ min: 20, max: 1500 }), { minLength: 1, maxLength: 3 }),
})
const question = fc.record({
  loads: fc.array(load, { minLength: 1, maxLength: 5 }),
  targets: fc.array(fc.integer({ min: 50, max: 2500 }), { minLength: 1, maxLength: 5 }),
  voltage: fc.record({
    noLoad: fc.integer({ min: 215, max: 240 }),
    fall: fc.constantFrom(0, 0.002, 0.01),
  }),
  outlets: fc.integer({ min: 1, max: 5 }),
  mostPower: fc.integer({ min: 500, max: 4000 }),
})

/** The same question with some steps fixed to any set at all. */
const partlyLocked = question.chain((asked) =>
  fc
    .array(
      fc.option(
        fc.tuple(...asked.loads.map(({ settings }) => fc.integer({ min: 0, max: settings.length }))),
        { nil: undefined },
      ),
      { minLength: asked.targets.length, maxLength: asked.targets.length },
    )
    .map((locked) => ({ ...asked, locked })),
)

describe('choosing loads for a ladder', () => {
  it('finds what exhaustive search finds', () => {
    fc.assert(
      fc.property(question, (asked) => {
        const plan = choosePlan(asked)
        const slow = exhaustive(asked)
        expect(plan.proved).toBe(true)
        expect([plan.changes, plan.items]).toEqual([slow.changes, slow.items])
        expect(plan.deviation).toBeCloseTo(slow.deviation, 8)
      }),
      { numRuns: 400 },
    )
  })

  it('finds it around steps that are locked, whatever they are locked to', () => {
    fc.assert(
      fc.property(partlyLocked, (asked) => {
        const plan = choosePlan(asked)
        const slow = exhaustive(asked)
        expect([plan.changes, plan.items]).toEqual([slow.changes, slow.items])
        expect(plan.deviation).toBeCloseTo(slow.deviation, 8)
      }),
      { numRuns: 400 },
    )
  })

  it('does not stay on a locked set that holds more loads than there are outlets', () => {
    const loads = [1242, 1195].map((watts, i) => ({
      id: String(i),
      kind: 'element' as const,
      volts: 230,
      settings: [watts],
    }))
    const plan = choosePlan({
      loads,
      targets: [2437, 2400],
      voltage: { noLoad: 230, fall: 0 },
      outlets: 1,
      mostPower: 4000,
      locked: [[1, 1], undefined],
    })
    expect(plan.steps.map(({ set }) => set)).toEqual([
      [1, 1],
      [1, 0],
    ])
  })

  it('solves what a load takes at the voltage that it causes', () => {
    const kettle = { id: 'k', kind: 'element' as const, volts: 230, settings: [1750] }
    expect(powerOf({ loads: [kettle], voltage: { noLoad: 221, fall: 0 } }, [1])).toBeCloseTo(1616, 0)
    const P = powerOf({ loads: [kettle], voltage }, [1])
    expect(P).toBeCloseTo(1750 * ((231 - 0.002 * P) / 230) ** 2, 6)
    expect(settledPower(() => 0, voltage)).toBe(0)
  })

  it('climbs by plugging in, when that fits', () => {
    const plate = (id: string, watts: number) => ({
      id,
      kind: 'element' as const,
      volts: 230,
      settings: [watts],
    })
    const loads = [plate('a', 100), plate('b', 200), plate('c', 400), plate('d', 700)]
    const plan = choosePlan({
      loads,
      targets: [100, 300, 700, 1400],
      voltage: stiff,
      outlets: 4,
      mostPower: 2000,
    })
    expect(plan.steps.map(({ changes }) => changes)).toEqual([1, 1, 1, 1])
    expect(plan.steps.every(({ inside }) => inside)).toBe(true)
    expect(plan.deviation).toBeCloseTo(0, 7)
  })

  it('keeps what the tester locked, and plans around it', () => {
    const loads = [
      { id: 'a', kind: 'element' as const, volts: 230, settings: [500, 1000] },
      { id: 'b', kind: 'element' as const, volts: 230, settings: [500] },
    ]
    const plan = choosePlan({
      loads,
      targets: [500, 1000],
      voltage: stiff,
      outlets: 2,
      mostPower: 2000,
      locked: [[0, 1], undefined],
    })
    expect(plan.steps.map(({ set }) => set)).toEqual([
      [0, 1],
      [1, 1],
    ])
  })

  it('comes as near as it can to a target out of reach, within outlets and watts', () => {
    const loads = [300, 400, 500].map((watts) => ({
      id: `${watts}`,
      kind: 'element' as const,
      volts: 230,
      settings: [watts],
    }))
    const far = { loads, targets: [5000], voltage: stiff, mostPower: 5000 }
    expect(choosePlan({ ...far, outlets: 3 }).steps[0]).toMatchObject({ inside: false, set: [1, 1, 1] })
    expect(choosePlan({ ...far, outlets: 2 }).steps[0]?.set).toEqual([0, 1, 1])
    expect(choosePlan({ ...far, outlets: 3, mostPower: 850 }).steps[0]?.set).toEqual([1, 0, 1])
    expect(choosePlan({ ...far, outlets: 3, loads: [] }).steps[0]?.power).toBe(0)
    // At 222 V, where 500 W bring the voltage, the plate takes just the 500 W that there may be.
    const plate = { id: 'plate', kind: 'element' as const, volts: 222, settings: [500] }
    const just = { loads: [plate], targets: [262], voltage: { noLoad: 223, fall: 0.002 }, outlets: 1 }
    expect(choosePlan({ ...just, mostPower: 500 }).steps[0]?.set).toEqual([1])
    expect(choosePlan({ ...just, mostPower: 499.99 }).steps[0]?.set).toEqual([0])
  })

  it('says when it was cut short, with a ladder and a bound', () => {
    const loads = Array.from({ length: 12 }, (_, i) => ({
      id: `${i}`,
      kind: 'element' as const,
      volts: 230,
      settings: [97 + 31 * i, 300 + 17 * i],
    }))
    const asked = { loads, targets: [140, 350, 700, 1050, 1400], voltage, outlets: 12, mostPower: 5000 }
    const whole = choosePlan(asked)
    const cut = choosePlan(asked, { most: 1 })
    expect(cut.proved).toBe(false)
    expect(cut.bound).toBeLessThanOrEqual(whole.changes)
    expect(cut.changes).toBeGreaterThanOrEqual(whole.changes)
    expect(cut.steps).toHaveLength(5)
    expect(choosePlan(asked, { progress: () => false }).steps).toHaveLength(5)
  })
})

describe('many loads that are alike, or small', () => {
  const shelf = (watts: readonly number[]): Question => ({
    loads: watts.map((one, i) => ({ id: `load ${i}`, kind: 'element', volts: 230, settings: [one] })),
    targets: [70, 140, 350, 700, 1050, 1400],
    voltage,
    outlets: 30,
    mostPower: 3000,
  })
  const of = (count: number, watts: number) => Array.from({ length: count }, () => watts)

  it('are proved where they are the very same: which of them is taken makes no difference', () => {
    for (const watts of [
      of(30, 60),
      [...of(15, 60), ...of(15, 100)],
      [...of(10, 40), ...of(10, 60), ...of(10, 100)],
    ]) {
      const plan = choosePlan(shelf(watts), { most: 5000 })
      expect(plan.proved).toBe(true)
    }
    // 1, 2 (at 230 V 2 × 60 W is out of 140 ± 2.8), … : 24 loads make 1440, 23 make 1380.
    expect(choosePlan(shelf(of(30, 60))).changes).toBe(24)
  })

  it('are proved where no two are alike, and get fewest changes even where the search is cut short', () => {
    const small = Array.from({ length: 30 }, (_, i) => Math.round(15 + (105 * i) / 29))
    const plan = choosePlan(shelf(small), { most: 1000 })
    expect([plan.proved, plan.changes, plan.items]).toEqual([true, 16, 45])
    expect(plan.steps.every(({ inside }) => inside)).toBe(true)
    const cut = choosePlan(shelf(small), { most: 50 })
    expect([cut.proved, cut.changes, cut.bound]).toEqual([false, 16, 16])
  })

  it('are as good as the slow way finds, with one setting each and whole watts', () => {
    const single = fc
      .record({
        watts: fc.array(fc.integer({ min: 10, max: 400 }), { minLength: 2, maxLength: 8 }),
        targets: fc.array(fc.integer({ min: 20, max: 1200 }), { minLength: 1, maxLength: 4 }),
        grain: fc.constantFrom(1, 5, 20),
      })
      .map(({ watts, targets, grain }) => ({
        ...shelf(watts.map((one) => one * grain)),
        targets: targets.map((one) => one * grain),
        outlets: 6,
        mostPower: 2500 * grain,
      }))
    fc.assert(
      fc.property(single, (asked) => {
        const plan = choosePlan(asked)
        const best = exhaustive(asked)
        expect([plan.changes, plan.items, plan.proved]).toEqual([best.changes, best.items, true])
        expect(plan.deviation).toBeCloseTo(best.deviation, 9)
      }),
      { numRuns: 300 },
    )
  })

  it('are as good as the slow way finds, with twins among them', () => {
    const twins = question.map((asked) => ({
      ...asked,
      loads: [...asked.loads.slice(0, 2), ...asked.loads.slice(0, 2), ...asked.loads.slice(0, 1)],
    }))
    fc.assert(
      fc.property(twins, (asked) => {
        const plan = choosePlan(asked)
        const best = exhaustive(asked)
        expect([plan.changes, plan.items]).toEqual([best.changes, best.items])
        expect(plan.deviation).toBeCloseTo(best.deviation, 9)
      }),
      { numRuns: 60 },
    )
  })
})
