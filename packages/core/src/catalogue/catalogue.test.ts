import type { Chosen, Entry, OwnLimit } from '@even-watt/contract'
import fc from 'fast-check'
import { ladderEntry, noLoadEntry, revisionOf, trialOf, unitOf } from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import type { StepFigured } from '../figured'
import { isFigure, type Derived } from '../figures'
import { tellable, type HeldFigure } from '../held'
import { expanded } from '../meters'
import { subjects } from '../subjects'
import { viewTrial } from '../view'
import {
  allOfStep,
  allOnPage,
  catalogue,
  catalogueOf,
  chosenAtStep,
  chosenOnRig,
  columnCells,
  findFigures,
  headOf,
  judgeLimit,
  quietOfStep,
  quietOnPage,
  rowsOf,
  sayChosen,
  stepCells,
  stepHeads,
  unitOfChosen,
} from '.'

const value = (figure: Derived | undefined) => (figure && isFigure(figure) ? figure.x.value : NaN)

describe('beside a step, without being asked', () => {
  const unit = unitOf({ claims: [claimOf({ quantity: 'continuous power', value: 1400, unit: 'W' })] })
  const view = (entries: Entry[]) => {
    const analysis = viewTrial(trialOf([revisionOf({ unit })]), entries).analyses[0]
    if (!analysis) throw new Error('No rig.')
    return analysis
  }
  const analysis = view([
    noLoadEntry({ V_C: 231, f: 50, V_B: 26.4, I: 0.5 }),
    ladderEntry({ V_A: 26, V_B: 25.8, I: 20, V_C: 229, f: 49.9, P_C: 470 }),
    ladderEntry({ V_A: 25.6, V_B: 25.1, I: 66, V_C: 224, f: 49.8, P_C: 1500 }),
  ])
  const [, second] = analysis.ladder.steps
  const cell = (figures: readonly HeldFigure[], words: string, against: string) =>
    figures.find((one) => one.words === words)?.held.find((one) => one.against === against)

  it('stands against nothing connected, nominal, the rating and the step before', () => {
    if (!second) throw new Error('No step.')
    const held = quietOfStep(second, { analysis })
    expect(value(cell(held, 'volts at the outlet', 'nothing connected')?.difference)).toBeCloseTo(-7, 9)
    expect(value(cell(held, 'volts at the outlet', 'the step before')?.difference)).toBeCloseTo(-5, 9)
    expect(value(cell(held, 'volts at the outlet', 'nominal or rated')?.percent)).toBeCloseTo(-6 / 230, 9)
    expect(value(cell(held, 'volts at the terminals', 'nothing connected')?.difference)).toBeCloseTo(-1.3, 9)
    expect(value(cell(held, 'frequency', 'nothing connected')?.difference)).toBeCloseTo(-0.2, 9)
    expect(value(cell(held, 'watts at the outlet', 'nominal or rated')?.difference)).toBeCloseTo(100, 9)
    expect(value(cell(held, 'watts at the outlet', 'nominal or rated')?.share)).toBeCloseTo(1500 / 1400, 9)
  })

  it('leaves out what nobody read', () => {
    if (!second) throw new Error('No step.')
    expect(tellable(quietOfStep(second, { analysis })).map(({ words }) => words)).not.toContain('distortion')
    expect(tellable(quietOnPage('no-load', { analysis: view([]) }))).toEqual([])
  })

  it('stands with all else behind one tap: each figure of a page, against all that it can be held against', () => {
    const all = allOnPage('no-load', { analysis })
    expect(all.map(({ id }) => id)).toEqual(
      catalogue.rigs.flatMap(({ page, id }) => (page === 'no-load' ? [id] : [])),
    )
    expect(all.find(({ id }) => id === 'idle watts')?.held.map(({ against }) => against)).toEqual([
      'nominal or rated',
      'the promise',
      'the rig before',
    ])
  })

  it('has its like with nothing connected', () => {
    const idle = quietOnPage('no-load', { analysis })
    expect(
      value(cell(idle, 'output volts with nothing connected', 'nominal or rated')?.difference),
    ).toBeCloseTo(1, 9)
    expect(value(cell(idle, 'idle watts', 'nominal or rated')?.share)).toBeCloseTo(13.2 / 1400, 9)
  })
})

const analysisOf = (entries: Entry[], claims: Parameters<typeof claimOf>[0][] = []) => {
  const unit = unitOf({ claims: claims.map(claimOf) })
  const [analysis] = viewTrial(trialOf([revisionOf({ unit })]), entries).analyses
  if (!analysis) throw new Error('No rig.')
  return analysis
}

/** 231 V with nothing connected, then 229, 226 and 219 V under 300, 900 and 1500 W. */
const sagging = analysisOf(
  [
    noLoadEntry({ V_C: 231, V_A: 26.4, V_B: 26.4, I: 0.5 }),
    ladderEntry({ V_A: 26, V_B: 25.8, I: 13, V_C: 229, P_C: 300 }),
    ladderEntry({ V_A: 25.6, V_B: 25.1, I: 40, V_C: 226, P_C: 900 }),
    ladderEntry({ V_A: 25.1, V_B: 24.2, I: 70, V_C: 219, P_C: 1500 }),
  ],
  [{ quantity: 'continuous power', value: 1500, unit: 'W' }],
)
const stepAt = (i: number) => {
  const step = sagging.ladder.steps[i]
  if (!step) throw new Error('No step.')
  return step
}
const sag: Chosen = { figure: 'V_C', held: { against: 'nothing connected', as: 'per cent' } }
const limitOf = (of: Chosen, is: OwnLimit['is'], limit: number): OwnLimit => ({
  id: '018f0000-0000-7000-8000-000000000001',
  of,
  is,
  value: limit,
})

describe('the catalogue', () => {
  it('names every figure once, by words that say what it is', () => {
    const ids = catalogue.all.map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
    const words = catalogue.all.map(({ words }) => words)
    expect(new Set(words).size).toBe(words.length)
    for (const { words, head } of catalogue.all)
      expect([words.length > 1, head.length > 0]).toEqual([true, true])
  })

  it('is told without harm of a rig on which nothing was read', () => {
    const empty = analysisOf([])
    for (const one of catalogue.rigs) expect(isFigure(one.of(empty)) ? one.id : '').toMatch(/^$|^E$|R_/)
  })

  it('gives the worked figures of a constant power behind a resistance', () => {
    const [step] = analysisOf([
      noLoadEntry({ V_A: 12.8, V_B: 12.8, I: 0.4 }),
      ladderEntry({ V_A: 12.219, V_B: 11.735, I: 96.8, V_C: 230, P_C: 1000 }),
    ]).ladder.steps
    if (!step) throw new Error('No step.')
    const of = (id: string) => value(catalogue.step(id)?.of(step, sagging))
    expect(of('drop')).toBeCloseTo(0.484, 6)
    expect(of('drop share')).toBeCloseTo(0.484 / 12.219, 6)
    expect(of('P_path')).toBeCloseTo(46.85, 1)
    expect(of('R_path')).toBeCloseTo(0.005, 5)
  })
})

describe('a figure that was chosen', () => {
  it('is told as it is, or as its difference, per cent or share', () => {
    const at = (chosen: Chosen) => value(chosenAtStep(chosen, stepAt(2), { analysis: sagging }))
    expect(at({ figure: 'V_C' })).toBe(219)
    expect(at({ figure: 'V_C', held: { against: 'nothing connected', as: 'difference' } })).toBeCloseTo(
      -12,
      9,
    )
    expect(at(sag)).toBeCloseTo(-12 / 231, 9)
    expect(at({ figure: 'P_C', held: { against: 'nominal or rated', as: 'share' } })).toBeCloseTo(1, 9)
    expect(at({ figure: 'V_C', held: { against: 'the step before', as: 'difference' } })).toBeCloseTo(-7, 9)
    expect(at({ figure: 'P_C', held: { against: 'the promise', as: 'difference' } })).toBeCloseTo(0, 9)
    expect(at({ figure: 'no such' })).toBeNaN()
  })

  it('is said in words, heads a column and has a unit', () => {
    expect(sayChosen(sag)).toBe('volts at the outlet from nothing connected in per cent')
    expect(headOf(sag)).toEqual(['V out', 'from no load'])
    expect(unitOfChosen(sag)).toBe('%')
    expect(unitOfChosen({ figure: 'V_C' })).toBe('V')
  })

  it('is the furthest over the loads where a rig is asked', () => {
    const on = { analysis: sagging }
    expect(value(chosenOnRig({ figure: 'V_C' }, on, 'lowest'))).toBe(219)
    expect(value(chosenOnRig({ figure: 'V_C' }, on, 'highest'))).toBe(229)
    expect(value(chosenOnRig({ figure: 'idle watts' }, on))).toBeCloseTo(13.2, 9)
  })

  it('is held against the step of the same load on the rig before', () => {
    const unit = unitOf()
    const trial = trialOf([revisionOf({ unit }), revisionOf({ unit, number: 2 })])
    const { analyses } = viewTrial(trial, [
      ladderEntry({ V_B: 11.6, I: 80, P_C: 800, V_C: 228 }),
      { ...ladderEntry({ V_B: 12.1, I: 77, P_C: 810, V_C: 230 }), revision: 2 },
    ])
    const [before, analysis] = analyses
    const step = analysis?.ladder.steps[0]
    if (!before || !analysis || !step) throw new Error('Two rigs.')
    const chosen: Chosen = { figure: 'V_B', held: { against: 'the rig before', as: 'difference' } }
    expect(value(chosenAtStep(chosen, step, { analysis, before }))).toBeCloseTo(0.5, 9)
    expect(chosenAtStep(chosen, step, { analysis })).toEqual({ missing: 'There is no rig before it.' })
  })
})

describe('what a figure is held against', () => {
  const at = (chosen: Chosen, on: Parameters<typeof chosenOnRig>[1]) => value(chosenOnRig(chosen, on))

  it('may be the mains of the place: hertz too, and of one leg where one leg was read', () => {
    const mains = { volts: 240, hertz: 60 }
    const off: Chosen = { figure: 'V_C at no load', held: { against: 'the mains here', as: 'difference' } }
    expect(at(off, { analysis: sagging, mains })).toBeCloseTo(231 - 240, 9)
    expect(chosenOnRig(off, { analysis: sagging })).toEqual({
      missing: 'The bench does not say what mains its place has.',
    })
    const split = unitOf({ outputVoltage: 240, outputFrequency: 60, phase: 'split' })
    const [leg] = viewTrial(trialOf([revisionOf({ unit: split })]), [
      noLoadEntry({ V_C: 119, f: 59 }),
    ]).analyses
    if (!leg) throw new Error('No rig.')
    expect(at(off, { analysis: leg, mains })).toBeCloseTo(-1, 9)
    const hertz: Chosen = { figure: 'f at no load', held: { against: 'the mains here', as: 'difference' } }
    expect(at(hertz, { analysis: leg, mains })).toBeCloseTo(-1, 9)
  })

  it('is a promise in watts where the label prints idle amps, at its nominal input', () => {
    const analysis = analysisOf(
      [noLoadEntry({ V_B: 24, I: 0.5 })],
      [{ quantity: 'idle draw', comparator: 'at most', value: 0.4, unit: 'A' }],
    )
    const { inputVoltage = NaN } = analysis.record.revision.unit
    const over: Chosen = { figure: 'idle watts', held: { against: 'the promise', as: 'difference' } }
    expect(at(over, { analysis })).toBeCloseTo(12 - 0.4 * inputVoltage, 9)
  })
})

describe('why a step is as efficient as it is', () => {
  const steps = [100, 300, 500, 700, 900, 1100, 1300].map((P_C) => {
    const fan = P_C > 600
    const loss = 12 + 0.03 * P_C + 2e-5 * P_C ** 2 + (fan ? 20 : 0)
    return ladderEntry({ V_B: 25, I: (P_C + loss) / 25, V_C: 230, P_C }, { fan: fan ? 'on' : 'off' })
  })
  const analysis = analysisOf([noLoadEntry({ V_B: 25, I: 12 / 25 }), ...steps])
  const of = (id: string, i: number) => {
    const step = analysis.ladder.steps[i]
    if (!step) throw new Error('No step.')
    return value(catalogue.step(id)?.of(step, analysis))
  }

  it('says what should come out for what goes in: by the curve, else by the label', () => {
    expect(of('implied out', 3)).toBeCloseTo(700, -1)
    const few = analysisOf(
      [ladderEntry({ V_B: 25, I: 20 })],
      [{ quantity: 'efficiency', comparator: 'at least', value: 90, unit: '%' }],
    )
    const [only] = few.ladder.steps
    const implied = only && catalogue.step('implied out')?.of(only, few)
    expect(implied).toMatchObject({ grade: 'estimated', x: { value: 450 } })
  })

  it('says how much of a small load’s loss is idle', () => {
    expect(of('idle of loss', 0)).toBeCloseTo(12 / 15.2, 3)
    expect(of('idle of loss', 6)).toBeLessThan(0.15)
  })

  it('says what it would be without the fan', () => {
    expect(of('eta without fan', 0)).toBe(of('eta_unit', 0))
    const loss = 12 + 0.03 * 1300 + 2e-5 * 1300 ** 2
    expect(of('eta without fan', 6)).toBeCloseTo(1300 / (1300 + loss), 3)
    expect(of('eta without fan', 6)).toBeGreaterThan(of('eta_unit', 6))
  })
})

describe('a limit of one’s own', () => {
  it('is broken first by the lightest load that breaks it, and says so', () => {
    const { outcome, broken, sentence } = judgeLimit(limitOf(sag, 'within ±', 2), { analysis: sagging })
    expect(outcome).toMatch(/^not met/)
    expect(broken.map((step) => value(step.P_C))).toEqual([900, 1500])
    expect(sentence).toMatch(/It breaks first at .*900/)
  })

  it('is kept, undecided or untested as a promise would be', () => {
    const at = (of: Chosen, is: OwnLimit['is'], limit: number) =>
      judgeLimit(limitOf(of, is, limit), { analysis: sagging }).outcome
    expect(at({ figure: 'V_C' }, 'at least', 150)).toBe('met')
    expect(at({ figure: 'V_C' }, 'at least', 219.01)).toBe('not met, within uncertainty')
    expect(at({ figure: 'THD' }, 'at most', 5)).toBe('not tested')
    expect(at({ figure: 'idle watts' }, 'at most', 10)).toMatch(/^not met/)
  })

  it('is broken by a value just past it and kept by one just short of it, whatever the figure', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 1.5, noNaN: true }), (share) => {
        const figure = stepAt(2).read.V_C
        if (!isFigure(figure)) throw new Error('Read.')
        const { broken } = judgeLimit(limitOf({ figure: 'V_C' }, 'at least', 219 * share), {
          analysis: sagging,
        })
        expect(broken.some((step) => step === stepAt(2))).toBe(219 * share > 219)
      }),
    )
  })
})

describe('a made-up figure of a subject', () => {
  const wetness: StepFigured = {
    per: 'step',
    id: 'wetness',
    words: 'wetness of the bench',
    head: 'wet',
    unit: 'V',
    looked: ['puddle'],
    dependsOn: ['room'],
    page: 'ladder',
    method: 'ladder',
    quietly: ['nothing connected'],
    atNoLoad: ({ noLoad }) => noLoad.on.read.V_C,
    of: ({ read }) => read.V_A,
  }
  const from = catalogueOf([...subjects, { figures: [wetness] }])
  const on = { analysis: sagging }
  const chosen: Chosen = { figure: 'wetness', held: { against: 'nothing connected', as: 'difference' } }

  it('is found, held, a column, a limit, a row of a comparison and in the CSV with no further code', () => {
    expect(findFigures('puddle', from).map(({ id }) => id)).toEqual(['wetness'])
    expect(quietOfStep(stepAt(2), on, from).find(({ id }) => id === 'wetness')?.held).toHaveLength(1)
    expect(allOfStep(stepAt(2), on, from).find(({ id }) => id === 'wetness')?.held.length).toBeGreaterThan(1)
    expect(columnCells([chosen], stepAt(2), on, from).map(value)).toEqual([25.1 - 231])
    expect(judgeLimit(limitOf({ figure: 'wetness' }, 'at least', 25.5), on, from).broken).toHaveLength(1)
    expect(value(chosenOnRig({ figure: 'wetness' }, on, 'lowest', from))).toBe(25.1)
    const heads = stepHeads([chosen], from)
    const cells = stepCells(stepAt(2), on, [chosen], from)
    for (const head of ['wetness of the bench [V]', 'wetness of the bench from nothing connected [V]']) {
      expect(heads).toContain(head)
      expect(cells[head]).toBeDefined()
    }
  })
})

describe('a row of a comparison', () => {
  it('decides nothing by what was merely tried, says better where that is known, else how far apart', () => {
    const [surge, loss, volts] = rowsOf([
      { of: { figure: 'surge' } },
      { of: { figure: 'P_loss' }, over: 'highest' },
      { of: { figure: 'V_C' }, over: 'lowest' },
    ])
    expect([surge?.better, surge?.neutral]).toEqual([undefined, undefined])
    expect(loss?.better).toBe('less')
    expect(volts?.neutral).toBe(true)
    expect(volts?.words).toBe('volts at the outlet, lowest')
  })
})

describe('looking for a figure', () => {
  it.each([
    ['inrush', 'inrush amps'],
    ['standby', 'idle watts'],
    ['phantom load', 'idle watts'],
    ['per cent rating', 'P_C'],
    ['voltage drop', 'drop'],
    ['milliohm', 'R_path'],
    ['harmonics', 'THD'],
  ])('by “%s” it finds %s', (words, id) => {
    expect(findFigures(words).map((one) => one.id)).toContain(id)
  })

  it('finds nothing by nothing', () => expect(findFigures('  ')).toEqual([]))
})

describe('the cells of a step', () => {
  it('carry every known figure with its uncertainty, and nothing for what is missing', () => {
    const cells = stepCells(stepAt(2), { analysis: sagging }, [])
    expect(cells['V_C volts at the outlet [V]']).toBe(219)
    const { V_C } = stepAt(2).read
    expect(Number(cells['U of V_C volts at the outlet [V]'])).toBeCloseTo(
      isFigure(V_C) ? expanded(V_C.x) : NaN,
      1,
    )
    expect(Object.keys(cells).some((head) => head.includes('distortion'))).toBe(false)
  })
})
