import { repeatedIn } from '../meters'
import { quantities as named } from '@even-watt/contract'
import {
  cleanLadder,
  ladderEntry,
  meterOf,
  noLoadEntry,
  rangeOf,
  revisionOf,
  trialOf,
  unitOf,
  uuid,
  valuesOf,
} from '../../test/makers'
import { quantities, quantityData } from '../evidence'
import { isFigure } from '../figures'
import { viewTrial } from '../view'
import { hasFit, withStep } from '.'

const analysisOf = (entries: Parameters<typeof viewTrial>[1], revision = revisionOf()) => {
  const analysis = viewTrial(trialOf([revision]), entries).analyses[0]
  if (!analysis) throw new Error('no analysis')
  return analysis
}

describe('the analysis of one revision', () => {
  it('of an empty trial says what is missing, everywhere', () => {
    const analysis = analysisOf([])
    expect(analysis.ladder.steps).toEqual([])
    expect(analysis.noLoad.on.P_idle).toEqual({ missing: 'The volts at the terminals were not read.' })
    expect(analysis.ladder.unitFit).toEqual({
      missing: 'No curve yet: 3 more loaded steps with input and output power needed.',
    })
  })

  it('fits the unit and, with its leads, the system', () => {
    const analysis = analysisOf([noLoadEntry({ V_A: 26.4, V_B: 26.4, I: 0.394 }), ...cleanLadder()])
    if (!hasFit(analysis.ladder.unitFit) || !hasFit(analysis.ladder.systemFit)) throw new Error('no fit')
    expect(analysis.ladder.unitFit.p1.value).toBeCloseTo(0.021, 2)
    expect(analysis.ladder.systemFit.p1.value).toBeGreaterThan(analysis.ladder.unitFit.p1.value)
  })

  it('draws no curve from displays or estimates', () => {
    const displays = cleanLadder().map((entry) => ({
      ...entry,
      reading: {
        ...entry.reading,
        values: entry.reading.values.map(({ quantity, value }) => ({
          quantity,
          value,
          grade: 'display' as const,
        })),
      },
    }))
    const analysis = analysisOf(displays)
    expect(hasFit(analysis.ladder.unitFit)).toBe(false)
    expect(
      analysis.ladder.steps.every((step) => isFigure(step.eta_unit) && step.eta_unit.grade === 'display'),
    ).toBe(true)
  })

  it('keeps search mode apart from idle', () => {
    const analysis = analysisOf([
      noLoadEntry({ V_B: 52, I: 0.5 }),
      noLoadEntry({ V_B: 52, I: 0.1 }, { mode: 'search' }),
    ])
    expect(isFigure(analysis.noLoad.on.P_idle) && analysis.noLoad.on.P_idle.x.value).toBeCloseTo(26, 9)
    expect(isFigure(analysis.noLoad.search.P_idle) && analysis.noLoad.search.P_idle.x.value).toBeCloseTo(
      5.2,
      9,
    )
  })

  it('says what an idle draw costs a bank', () => {
    const known = analysisOf([noLoadEntry({ V_B: 25.6, I: 0.4 })])
    expect(isFigure(known.noLoad.on.perNight) && 100 * known.noLoad.on.perNight.x.value).toBeCloseTo(
      (100 * 10.24 * 12) / 3456,
      6,
    )
  })

  it('pools the scatter of repeats over the ladder', () => {
    const step = uuid(60)
    const scattered = [100, 104, 96].map((P_C) => ladderEntry({ P_C }, { step }))
    const single = ladderEntry({ P_C: 100 })
    const alone = analysisOf([single]).ladder.steps[0]?.P_C
    const beside = analysisOf([...scattered, single]).ladder.steps.find(
      (figures) => figures.step.id === single.reading.step,
    )?.P_C
    const of = (figure: typeof alone, kind: string) =>
      figure && isFigure(figure)
        ? [...figure.x.sources].find(([source]) => source.startsWith(kind))
        : undefined
    const own = (figure: typeof alone) => of(figure, 'own|')?.[1]
    // Once: rounding, and a last digit that may have flickered.
    expect(own(alone)).toBeCloseTo(Math.hypot(1 / Math.sqrt(12), 0.5), 9)
    // Pooled: 4 W of two degrees of freedom, beside rounding.
    expect(own(beside)).toBeCloseTo(1 / Math.sqrt(12), 9)
    const [name = '', spread] = of(beside, 'rep|') ?? []
    expect(spread).toBeCloseTo(4, 9)
    expect(repeatedIn(name)).toMatchObject({ freedom: 2 })
  })
})

describe('a step still being typed', () => {
  it('is derived beside the others without touching the curve', () => {
    const analysis = analysisOf(cleanLadder())
    const entry = ladderEntry({ V_B: 25.6, I: 20, P_C: 470 })
    const typed = { id: entry.reading.step, position: 1e6, readings: [entry], struck: [], captures: [] }
    const preview = withStep(analysis, typed)
    expect(isFigure(preview.figures.eta_unit) && preview.figures.eta_unit.x.value).toBeCloseTo(470 / 512, 9)
    expect(preview.analysis.ladder.steps).toHaveLength(analysis.ladder.steps.length + 1)
    expect(preview.analysis.ladder.unitFit).toBe(analysis.ladder.unitFit)
    expect(withStep(preview.analysis, typed).analysis.ladder.steps).toHaveLength(
      analysis.ladder.steps.length + 1,
    )
  })
})

describe('what is read at the taps', () => {
  it('is known for every quantity', () => {
    expect([...quantities].sort()).toEqual([...named].sort())
    const at = (tap: string) => quantities.filter((quantity) => quantityData[quantity].tap === tap)
    expect(at('A')).toEqual(['V_A', 'I_bank'])
    expect(at('B')).toEqual(['V_B', 'I', 'P_B', 'Q_B', 'E_B'])
    expect(at('any')).toEqual(['T'])
    expect(new Set(quantities.map((quantity) => quantityData[quantity].words)).size).toBe(named.length)
  })

  it('is set aside when its meter is not for this wave and another is there', () => {
    const pocket = meterOf({
      id: uuid(5),
      name: 'Pocket',
      ranges: [rangeOf('AC voltage', 600, 0.01, 0, 1, { response: 'average' })],
    })
    const revision = revisionOf({ unit: unitOf({ wave: 'stepped' }), meters: [meterOf(), pocket] })
    const entry = ladderEntry({}, { values: [...valuesOf({ V_C: 213 }, uuid(5)), ...valuesOf({ V_C: 226 })] })
    const figure = analysisOf([entry], revision).ladder.steps[0]?.read.V_C
    expect(figure && isFigure(figure) && figure.x.value).toBe(226)
    expect(figure && isFigure(figure) && figure.working.notes.join()).toContain(
      'Pocket is not used: it responds to the average',
    )
  })

  it('without a named meter has no uncertainty, and says so', () => {
    const figure = analysisOf([
      ladderEntry({}, { values: [{ quantity: 'V_B', value: 25, grade: 'measured' }] }),
    ]).ladder.steps[0]?.read.V_B
    expect(figure && isFigure(figure) && figure.x.sources.size).toBe(0)
    expect(figure && isFigure(figure) && figure.working.notes).toEqual([
      'Decides nothing: no meter is named. Say which meter it was read on.',
    ])
  })
})
