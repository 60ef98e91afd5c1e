import { cleanLadder, ladderEntry, noLoadEntry, revisionOf, trialOf } from '../../test/makers'
import { expanded, uncertain } from '../meters'
import { hasFit } from '../ladder'
import type { Analysis } from '../trials'
import { viewTrial } from '../view'
import { compareRevisions, differenceOf, efficiencyDifference } from '.'

const differenceOfCurves = (first: Analysis, second: Analysis, P: number) => {
  const [a, b] = [first.ladder.unitFit, second.ladder.unitFit]
  return hasFit(a) && hasFit(b) ? efficiencyDifference(a, b, P) : undefined
}

describe('differences', () => {
  it('lose what both have in common', () => {
    const read = (value: number) => ({
      value,
      sources: new Map([
        ['spec|m|r', 0.01 * value],
        [`own|x|${value}`, 0.001],
      ]),
    })
    const { x, significant } = differenceOf(read(0.942), read(0.93))
    expect(x.value).toBeCloseTo(0.012, 12)
    expect(expanded(x)).toBeCloseTo(2 * Math.hypot(0.01 * 0.012, 0.001, 0.001), 9)
    expect(significant).toBe(true)
    expect(differenceOf(uncertain(1, 'a', 1), uncertain(2, 'b', 1)).significant).toBe(false)
  })

  it('of two units on the same meters are known far better than either curve', () => {
    const trial = trialOf([revisionOf(), revisionOf({ number: 2, why: 'again' })])
    const better = cleanLadder().map((entry) => ({
      ...entry,
      revision: 2,
      reading: {
        ...entry.reading,
        values: entry.reading.values.map((value) =>
          value.quantity === 'I' ? { ...value, value: value.value * 0.99 } : value,
        ),
      },
    }))
    const idle = [noLoadEntry({ V_B: 26.4, I: 0.4 }), noLoadEntry({ V_B: 26.4, I: 0.4 }, { revision: 2 })]
    const [one, two] = viewTrial(trial, [...idle, ...cleanLadder(), ...better]).analyses
    if (!one || !two) throw new Error('no analysis')
    const difference = differenceOfCurves(two, one, 700)
    expect(difference?.significant).toBe(true)
    expect(100 * (difference?.x.value ?? 0)).toBeGreaterThan(0.5)
    expect(expanded(difference?.x ?? uncertain(0, '', 9))).toBeLessThan(0.01)
  })
})

describe('a changed rig', () => {
  const trial = trialOf([revisionOf(), revisionOf({ number: 2, why: 'lug remade' })])
  const at = (V_B: number, I: number, revision: number) =>
    ladderEntry({ V_A: 25.7, V_B, I, P_C: 1400 }, { revision, load: 'oven' })

  it('brings B and the system up but not the unit, and says so with its uncertainty', () => {
    const [before, after] = viewTrial(trial, [at(24.92, 60.3, 1), at(25.53, 58.86, 2)]).analyses
    const change = before && after && compareRevisions(before, after)
    expect(change?.changes.map((item) => [item.words, item.difference.significant])).toEqual([
      ['voltage at B', true],
      ['efficiency of the system, A to C', true],
      ['efficiency of the unit, B to C', false],
    ])
  })

  it('is not compared at loads that differ', () => {
    const [before, after] = viewTrial(trial, [
      at(24.92, 60.3, 1),
      ladderEntry({ V_B: 25, P_C: 700 }, { revision: 2, load: 'plate' }),
    ]).analyses
    expect(before && after && compareRevisions(before, after)).toBeUndefined()
  })
})
