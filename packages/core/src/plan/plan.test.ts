import type { LadderPlanned, StoredLoad } from '@even-watt/contract'
import fc from 'fast-check'
import {
  bankOf,
  ladderEntry,
  meterOf,
  noLoadEntry,
  rangeOf,
  revisionOf,
  rigOf,
  trialOf,
  uuid,
} from '../../test/makers'
import { viewTrial } from '../view'
import {
  alternativesFor,
  choosePlan,
  expectedVoltage,
  kindOfUses,
  parseTargets,
  powerCap,
  powerOf,
  questionFor,
  repredicted,
  sayUses,
  setOf,
  settledPower,
  shelfFor,
  stillPlanned,
  suitsOutlet,
  usesOf,
  voltageAt,
} from '.'

const load = (
  n: number,
  name: string,
  watts: readonly number[],
  more: Partial<StoredLoad> = {},
): StoredLoad => ({
  id: uuid(n),
  version: 1,
  savedAt: '2026-03-01T00:00:00.000Z',
  name,
  kind: 'element',
  volts: 230,
  loud: false,
  settings: watts.map((w, i) => ({
    id: uuid(n * 100 + i),
    name: watts.length > 1 ? `s${i + 1}` : '',
    watts: w,
  })),
  ...more,
})
const shelf = [load(201, 'mat', [60]), load(202, 'plate', [350, 700]), load(203, 'rod', [1000])]

const analysisOf = (entries: Parameters<typeof viewTrial>[1], patch = {}) => {
  const analysis = viewTrial(trialOf([revisionOf(patch)]), entries).analyses[0]
  if (!analysis) throw new Error('no analysis')
  return analysis
}

describe('targets as typed', () => {
  it('are per cent of rated, or watts', () => {
    expect(parseTargets('5 %; 25; 350 W', 1400)).toEqual({ ok: true, targets: [70, 350, 350] })
    expect(parseTargets('12,5 %, 50 %', 1400)).toEqual({ ok: true, targets: [175, 700] })
    expect(parseTargets('350 W', undefined)).toEqual({ ok: true, targets: [350] })
  })
  it.each([
    ['', 'at least one'],
    ['abc', '"abc"'],
    ['-5 %', 'above 0'],
    ['0', 'above 0'],
    [Array.from({ length: 50 }, () => '5 %').join('; '), '40 at most'],
  ])('%p is refused in a sentence', (text, why) =>
    expect(parseTargets(text, 1400)).toMatchObject({
      ok: false,
      why: expect.stringContaining(why) as string,
    }),
  )
  it('ask for watts where the unit claims none', () => {
    expect(parseTargets('5 %', undefined)).toMatchObject({ ok: false })
  })
})

describe('what a plan is made from', () => {
  it('expects the output as its own steps showed it, else as read without load, else as labelled', () => {
    const steps = [200, 700, 1400].map((P) => ladderEntry({ V_C: 231 - 0.002 * P, P_C: P }))
    const seen = expectedVoltage(analysisOf([noLoadEntry({ V_C: 231 }), ...steps]))
    expect(seen.noLoad).toBeCloseTo(231, 6)
    expect(seen.fall).toBeCloseTo(0.002, 9)
    expect(expectedVoltage(analysisOf([noLoadEntry({ V_C: 232 })]))).toEqual({ noLoad: 232, fall: 0 })
    expect(expectedVoltage(analysisOf([]))).toEqual({ noLoad: 230, fall: 0 })
    const rising = [200, 1400].map((P) => ladderEntry({ V_C: 229 + 0.001 * P, P_C: P }))
    expect(expectedVoltage(analysisOf(rising)).fall).toBe(0)
  })

  it('caps the watts by the weakest link or the range of a meter', () => {
    const question = { alarm: 21, cutoff: 20, loss: (P: number) => 10 + 0.05 * P }
    const byFuse = powerCap(analysisOf([]), question)
    expect(byFuse.because).toBe('fuse, 100 A')
    expect(byFuse.power).toBeGreaterThan(2200)
    // The fuse and the bank's protection count though no resistance of the bank is known; without any, nothing caps it.
    const bank = (limit: { limit?: number }) => {
      const strings = bankOf().strings.map((string) =>
        string.map(({ id, name, chemistry, nominal, capacity, open }) => ({
          id,
          name,
          chemistry,
          nominal,
          capacity,
          open,
          ...limit,
        })),
      )
      return bankOf({ strings })
    }
    const protectedBy = (limit: { limit?: number }) =>
      powerCap(analysisOf([], { rig: rigOf({ positive: [], negative: [], bank: bank(limit) }) }), question)
    expect(protectedBy({ limit: 90 }).because).toMatch(/^BMS of battery 1, 90 A/)
    expect(protectedBy({ limit: 90 }).power).toBeCloseTo((25.6 * 90 - 10) / 1.05, 6)
    expect(protectedBy({}).power).toBe(Infinity)
    const small = meterOf({ ranges: [rangeOf('active power', 1500, 1, 1, 1)] })
    const rig = rigOf({ assignments: [{ quantity: 'P_C', meter: uuid(1) }] })
    expect(powerCap(analysisOf([], { rig, meters: [small] }), question)).toEqual({
      power: 1500,
      because: 'the range of All-reader',
    })
  })

  it('takes what a setting really took, leaves out what is excluded and what its cord does not carry', () => {
    const long = load(204, 'kettle', [1750], { cord: 6 })
    const taken = [{ setting: uuid(20_200), watts: 340, spread: 1, times: 3 }]
    const made = shelfFor([...shelf, long], taken, [uuid(203)], 230)
    expect(made.loads.map(({ name }) => name)).toEqual(['mat', 'plate'])
    expect(made.question[1]?.settings).toEqual([340, 700])
  })

  it('goes between sets and the shelf and back', () => {
    const made = shelfFor(shelf, [], [], 230)
    const set = [1, 2, 0]
    const uses = usesOf(made, set)
    expect(setOf(made, uses)).toEqual(set)
    expect(sayUses(shelf, uses)).toBe('mat + plate s2')
    expect(sayUses([], uses)).toContain('no longer on the shelf')
    expect(kindOfUses(shelf, uses)).toBe('element')
    const beside = (kind: StoredLoad['kind']) =>
      kindOfUses([load(201, 'x', [60], { kind }), shelf[1] as StoredLoad], uses)
    // Both resistive: watts may be volts times amps.
    expect([beside('filament'), beside('electronic')]).toEqual(['element', 'mixed'])
    expect(kindOfUses([], [])).toBe('mixed')
  })
})

describe('alternatives and what is still to come', () => {
  const made = shelfFor([...shelf, load(205, 'bath', [345]), load(206, 'fan heater', [705])], [], [], 230)
  const plan: LadderPlanned = {
    outlets: 4,
    excluded: [],
    steps: [350, 700].map((target) => ({ target, uses: [], expected: 0, locked: false })),
  }
  const question = questionFor(analysisOf([]), made, plan, 3000)
  const sets = choosePlan(question).steps.map(({ set }) => set)

  it('are inside the window, differ from what was chosen, and put fewest changes first', () => {
    const others = alternativesFor(question, sets, 1)
    expect(others.length).toBeGreaterThan(0)
    for (const { set, power } of others) {
      expect(set).not.toEqual(sets[1])
      expect(Math.abs(power - 700)).toBeLessThanOrEqual(14.001)
      expect(power).toBeCloseTo(powerOf(question, set), 9)
    }
    const changes = others.map((other) => other.changes)
    expect(changes).toEqual([...changes].sort((a, b) => a - b))
  })

  it('are looked for at a locked step as well', () => {
    const locked = { ...question, locked: [sets[0], sets[1]] }
    expect(alternativesFor(locked, sets, 0).length).toBeGreaterThan(0)
  })

  it('the plan goes on with what no step has shown yet', () => {
    const filled: LadderPlanned = {
      ...plan,
      steps: plan.steps.map((step, i) => ({ ...step, uses: usesOf(made, sets[i] ?? []) })),
    }
    const [first] = filled.steps
    const indices = (entries: Parameters<typeof viewTrial>[1]) =>
      stillPlanned(filled, analysisOf(entries).ladder.steps).map(({ index }) => index)
    expect(indices([])).toEqual([0, 1])
    expect(indices([ladderEntry({ P_C: 352 })])).toEqual([1])
    expect(indices([ladderEntry({ V_A: 26 }, { uses: [...(first?.uses ?? [])] })])).toEqual([1])
    expect(indices([ladderEntry({ P_C: 500 })])).toEqual([0, 1])
    expect(stillPlanned(plan, [])).toEqual([])
  })
})

describe('a load at the voltage that it causes', () => {
  it('is where its own draw and the falling voltage meet, stiff or soft', () => {
    const soft = fc.record({
      noLoad: fc.double({ min: 100, max: 250, noNaN: true }),
      fall: fc.double({ min: 0, max: 0.2, noNaN: true }),
    })
    fc.assert(
      fc.property(soft, fc.double({ min: 1, max: 3000, noNaN: true }), (voltage, watts) => {
        const draw = (V: number) => watts * (V / 230) ** 2
        const P = settledPower(draw, voltage)
        expect(draw(Math.max(0, voltageAt(voltage, P)))).toBeCloseTo(P, 4)
      }),
    )
  })
})

describe('a plan predicted anew', () => {
  const made = shelfFor(shelf, [], [], 230)
  const uses = usesOf(made, [0, 2, 0])
  const planOf = (more: Partial<LadderPlanned['steps'][number]> = {}): LadderPlanned => ({
    outlets: 4,
    excluded: [],
    steps: [{ target: 700, uses, expected: 1, locked: false, ...more }],
  })
  const expected = (plan: LadderPlanned, entries: Parameters<typeof analysisOf>[0] = []) =>
    repredicted(plan, analysisOf(entries), made).steps[0]?.expected

  it('follows the output voltage that the unit has shown: 700 W of 230 V at 221 V', () => {
    expect(expected(planOf())).toBeCloseTo(700, 6)
    const low = [100, 400, 900].map((P) => ladderEntry({ V_C: 221, P_C: P }))
    expect(expected(planOf(), low)).toBeCloseTo(700 * (221 / 230) ** 2, 6)
  })

  it('keeps what was planned where loads are gone, or none are chosen', () => {
    expect(expected(planOf({ uses: [{ load: uuid(1), setting: uuid(2) }] }))).toBe(1)
    expect(expected(planOf({ uses: [] }))).toBe(1)
  })

  it('never takes loads that are made for another voltage', () => {
    expect(shelfFor(shelf, [], [], 120).loads).toEqual([])
    expect([190, 230, 240, 270].map((outlet) => suitsOutlet({ volts: 230 }, outlet))).toEqual([
      false,
      true,
      true,
      true,
    ])
  })
})
