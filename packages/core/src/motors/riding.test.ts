import type { Course } from '@even-watt/contract'
import fc from 'fast-check'
import { longestUnder, lowBounds, otherEquipment, wrongFactor } from '.'

const step = 0.01
const course = (V_C: readonly number[], more: Partial<Course> = {}): Course => ({
  from: step,
  step,
  cycle: 0.02,
  windows: [],
  V_C: [...V_C],
  ...more,
})
/** Volts at a share of 230 V, each for so many half cycles. */
const held = (...parts: readonly (readonly [share: number, halfCycles: number])[]) =>
  course(parts.flatMap(([share, count]) => Array.from({ length: count }, () => 230 * share)))
const rides = (share: number, halfCycles: number) =>
  otherEquipment(held([1, 10], [share, halfCycles], [1, 10]), 230).beyond.every((one) => one.rides)

describe('equipment beside a start, at the corners of the ITI curve', () => {
  it.each([
    [0.95, 5000, true],
    [0.85, 999, true],
    [0.85, 1001, false],
    [0.75, 50, true],
    [0.75, 51, false],
    [0.6, 2, true],
    [0.6, 3, false],
    [1.15, 50, true],
    [1.15, 51, false],
    [1.25, 1, false],
    [1.08, 5000, true],
  ])('at %s of nominal for %s half cycles: rides %s', (share, halfCycles, expected) => {
    expect(rides(share, halfCycles)).toBe(expected)
  })

  it('counts the longest stretch, not all of them together', () => {
    expect(longestUnder(held([1, 5], [0.75, 30], [1, 5], [0.75, 40], [1, 5]), 230, 0.8)).toBeCloseTo(0.4, 9)
  })

  it('knows no sag in an output that was switched off, but says that it was gone', () => {
    const cut = held([1, 50], [0.99, 3], [0, 200])
    expect(longestUnder(cut, 230, 0.7)).toBe(0)
    expect(otherEquipment(cut, 230)).toMatchObject({ gone: true, beyond: [] })
    expect(otherEquipment(course([]), 230)).toMatchObject({ gone: false, beyond: [], turns: 0 })
  })

  it('never rides through a longer sag where it did not through a shorter, nor through a deeper', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 0.1, noNaN: true }),
        fc.integer({ min: 1, max: 1200 }),
        fc.integer({ min: 0, max: 400 }),
        (share, deeper, length, longer) => {
          if (!rides(share, length)) {
            expect(rides(share, length + longer)).toBe(false)
            expect(rides(Math.max(0.15, share - deeper), length)).toBe(false)
          }
        },
      ),
      { numRuns: 60 },
    )
  })

  it('is under each bound at least as long as under the one below it', () => {
    const volts = fc.array(fc.double({ min: 30, max: 240, noNaN: true }), { maxLength: 300 })
    fc.assert(
      fc.property(volts, (V_C) => {
        const longest = lowBounds.map(({ share }) => longestUnder(course(V_C), 230, share))
        expect([...longest].sort((a, b) => a - b)).toEqual(longest)
      }),
    )
  })

  it('sees lamps flicker from four turns of half a per cent on', () => {
    const swing = (share: number, turns: number) =>
      otherEquipment(
        course(Array.from({ length: turns + 2 }, (_, i) => 230 * (1 + (i % 2 ? share : 0)))),
        230,
      )
    expect(swing(0.006, 6).flickers).toBe(true)
    expect(swing(0.006, 2).flickers).toBe(false)
    expect(swing(0.004, 60)).toMatchObject({ flickers: false, turns: 0 })
  })
})

describe('amplitudes that cannot be right', () => {
  const flat = (value: number) => Array.from({ length: 20 }, () => value)

  it('are volts far from nominal before the load', () => {
    expect(wrongFactor(course(flat(2.3)), 230)?.fault).toContain(
      'It begins with 2.30 V at the outlet, for 230 V',
    )
    expect(wrongFactor(course(flat(200)), 230)).toBeUndefined()
    expect(wrongFactor(course([]), 230)).toBeUndefined()
  })

  it('are more watts out than in, whichever clamp is wrong', () => {
    const seen = (P: number, I: number) =>
      wrongFactor(course(flat(230), { P: flat(P), V_B: flat(25), I: flat(I) }), 230)
    // 25 V · 20 A = 500 W in.
    expect(seen(450, 20)).toBeUndefined()
    expect(seen(540, 20)).toBeUndefined()
    expect(seen(4500, 20)?.fault).toContain('More comes out (4500 W on the average) than goes in (500 W)')
    // A clamp hung the wrong way round.
    expect(seen(450, -20)?.fault).toContain('than goes in')
    expect(seen(0, -20)).toBeUndefined()
  })

  it('are not looked for where one side was not captured', () => {
    expect(wrongFactor(course(flat(230), { P: flat(4500), V_B: flat(25) }), 230)).toBeUndefined()
  })
})
