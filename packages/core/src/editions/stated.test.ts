import type { Claim, Stated } from '@even-watt/contract'
import fc from 'fast-check'
import { cleanLadder, noLoadEntry, revisionOf, takeBack, trialOf, unitOf, uuid } from '../../test/makers'
import { compareTrials, named } from '../comparisons'
import { viewTrial } from '../view'
import { changesSince, sayChange, statedOfComparison, statedOfTrial } from '.'

const idleClaim: Claim = {
  id: uuid(600),
  quantity: 'idle draw',
  comparator: 'at most',
  value: 11,
  unit: 'W',
  readWhere: 'label',
}
const trial = trialOf([
  revisionOf({ unit: unitOf({ claims: [idleClaim, { ...idleClaim, id: uuid(601) }] }) }),
])
const idle = noLoadEntry({ V_B: 26, I: 0.6 })
const view = viewTrial(trial, [...cleanLadder(), idle])

describe('what an edition states', () => {
  it('is the answer and each promise, each subject once', () => {
    const stated = statedOfTrial(view)
    expect(stated[0]?.about).toBe('the answer')
    expect(stated.map(({ about }) => about).slice(-2)).toEqual([
      'idle draw (≤ 11 W)',
      'idle draw (≤ 11 W), 2',
    ])
    expect(stated.at(-1)?.says).toMatch(/^not met/)
  })
  it('of a comparison is each figure of each, and what is told of it', () => {
    const [analysis] = view.analyses
    if (!analysis) throw new Error('no analysis')
    const list = named([
      { trial, analysis, findings: view.findings },
      { trial: { ...trial, id: uuid(77) }, analysis, findings: view.findings },
    ])
    const stated = statedOfComparison(compareTrials(list))
    expect(new Set(stated.map(({ about }) => about)).size).toBe(stated.length)
    expect(stated.find(({ about }) => about.startsWith('idle draw, '))?.says).toMatch(/W$/)
    expect(stated.some(({ says }) => says.includes('no difference'))).toBe(true)
  })
})

describe('what changed between editions', () => {
  it('is told where a reading was taken back', () => {
    const later = viewTrial(trial, [...cleanLadder(), idle, takeBack(idle.id)])
    const changed = changesSince(statedOfTrial(view), statedOfTrial(later))
    const [promise] = changed.filter(({ about }) => about.startsWith('idle draw'))
    expect(promise && sayChange(promise)).toMatch(
      /^Idle draw \(≤ 11 W\): “not met, .*” is now “not tested: .*”$/,
    )
  })
  it('is nothing where all is said as before', () => {
    expect(changesSince(statedOfTrial(view), statedOfTrial(view))).toEqual([])
  })
  it('names what is new and what is gone', () => {
    const [a, b]: Stated[] = [
      { about: 'a', says: '1' },
      { about: 'b', says: '2' },
    ]
    if (!a || !b) throw new Error('two are stated')
    expect(changesSince([a], [b]).map(sayChange)).toEqual(['New: b: 2', 'Not stated any more: a: 1'])
  })
  it('has each subject once, and turns round with the order', () => {
    const lists = fc.uniqueArray(fc.record({ about: fc.string({ minLength: 1 }), says: fc.string() }), {
      selector: ({ about }) => about,
      maxLength: 12,
    })
    fc.assert(
      fc.property(lists, lists, (before, after) => {
        const there = changesSince(before, after)
        const back = changesSince(after, before)
        expect(new Set(there.map(({ about }) => about)).size).toBe(there.length)
        const turned = back.map(({ about, before: was, after: is }) => [about, is, was])
        expect(
          new Set(there.map(({ about, before: was, after: is }) => JSON.stringify([about, was, is]))),
        ).toEqual(new Set(turned.map((one) => JSON.stringify(one))))
      }),
    )
  })
})
