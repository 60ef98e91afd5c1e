import { claimQuantities } from '@even-watt/contract'
import { cleanLadder, ladderEntry, noLoadEntry, revisionOf, takeBack, trialOf, uuid } from '../test/makers'
import { isFigure } from './figures'
import { covariance, isOwn, standard, subtract } from './meters'
import type { Subject } from './subject'
import { allOf, subjects } from './subjects'
import { viewTrial } from './view'

const keysOf = (field: 'kinds' | 'parts' | 'promises') =>
  subjects.flatMap((subject: Subject) => Object.keys(subject[field] ?? {}))

describe('the list of subjects', () => {
  it.each(['kinds', 'parts', 'promises'] as const)('has one owner for each of its %s', (field) => {
    const keys = keysOf(field)
    expect(new Set(keys).size).toBe(keys.length)
    expect(Object.keys(allOf(field)).sort()).toEqual([...keys].sort())
  })

  it('has a judge for every promise', () => {
    expect(keysOf('promises').sort()).toEqual([...claimQuantities].sort())
  })
})

describe('two trials at the same revision', () => {
  const idle = () => noLoadEntry({ V_B: 26.4, I: 0.394 })
  const analysisOf = (trial: number) => {
    const [analysis] = viewTrial(trialOf([revisionOf()], { id: uuid(trial) }), [
      idle(),
      ...cleanLadder(),
    ]).analyses
    if (!analysis) throw new Error('no analysis')
    return analysis
  }
  const [one, two] = [analysisOf(501), analysisOf(502)]

  it('share the errors of their meters and none of their own', () => {
    const figures = [one, two].map(({ noLoad }) => noLoad.on.P_idle)
    const [first, second] = figures
    if (!first || !second || !isFigure(first) || !isFigure(second)) throw new Error('no idle')
    const names = (x: typeof first.x) => [...x.sources.keys()]
    const shared = names(first.x).filter((name) => second.x.sources.has(name))
    expect(shared.length).toBeGreaterThan(0)
    expect(shared.filter(isOwn)).toEqual([])
    // What is common cancels in the difference; what is not is there twice.
    const own = Math.hypot(...[...first.x.sources].filter(([name]) => isOwn(name)).map(([, s]) => s))
    expect(standard(subtract(first.x, second.x))).toBeCloseTo(Math.SQRT2 * own, 9)
  })

  it('have curves whose independent parts are told apart', () => {
    const [a, b] = [one.ladder.unitFit, two.ladder.unitFit]
    if (!('p0' in a) || !('p0' in b)) throw new Error('no curve')
    const own = (fit: typeof a) => new Map([...fit.p0.sources].filter(([name]) => isOwn(name)))
    expect(covariance({ value: 0, sources: own(a) }, { value: 0, sources: own(b) })).toBe(0)
  })
})

describe('a capture', () => {
  const trial = trialOf([revisionOf(), revisionOf({ number: 2, why: 'lug remade' })])
  const first = [noLoadEntry({ V_B: 26.4, I: 0.394 }), ...cleanLadder()]
  const later = cleanLadder([500]).map((entry) => ({ ...entry, revision: 2 }))
  const before = viewTrial(trial, [...first, ...later])

  it('leaves other revisions and other steps as they were', () => {
    const after = viewTrial(trial, [
      ...first,
      ...later,
      ladderEntry({ V_B: 25.6, I: 20, P_C: 480 }, { revision: 2 }),
    ])
    expect(after.analyses[0]).toBe(before.analyses[0])
    expect(after.analyses[1]).not.toBe(before.analyses[1])
    expect(after.analyses[1]?.ladder.steps[0]).toBe(before.analyses[1]?.ladder.steps[0])
    expect(after.analyses[1]?.noLoad).toBe(before.analyses[1]?.noLoad)
  })

  it('of a repeat works every step of its revision anew, for it changes their scatter', () => {
    const [entry] = later
    if (!entry) throw new Error('no step')
    const again = {
      ...ladderEntry({ V_B: 25.7, I: 20.1, P_C: 481 }, { revision: 2, step: entry.reading.step }),
    }
    const after = viewTrial(trial, [...first, ...later, again])
    expect(after.analyses[0]).toBe(before.analyses[0])
    expect(after.analyses[1]?.ladder.steps[0]?.step.readings).toHaveLength(2)
    expect(after.analyses[1]?.evidence.spreads).not.toBe(before.analyses[1]?.evidence.spreads)
  })

  it('taken back gives again what there was', () => {
    const more = ladderEntry({ V_B: 25.6, I: 20, P_C: 480 })
    const after = viewTrial(trial, [...first, ...later, more, takeBack(more.id)])
    expect(JSON.stringify(after.analyses[0]?.ladder.steps)).toBe(
      JSON.stringify(before.analyses[0]?.ladder.steps),
    )
    expect(after.analyses[0]?.ladder.recorded).toHaveLength(first.length)
  })

  it('shows the same figures as a page that is opened afresh', () => {
    const entries = [...first, ...later, ladderEntry({ V_B: 25.6, I: 20, P_C: 480 })]
    const grown = viewTrial(trial, entries)
    const fresh = viewTrial(structuredClone(trial), structuredClone(entries))
    expect(JSON.stringify(grown)).toBe(JSON.stringify(fresh))
  })
})
