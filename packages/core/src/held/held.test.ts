import type { Entry } from '@even-watt/contract'
import fc from 'fast-check'
import { ladderEntry, noLoadEntry, revisionOf, trialOf, unitOf } from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { derive, isFigure, type Derived } from '../figures'
import { standard, uncertain } from '../meters'
import { viewTrial } from '../view'
import { heldNoLoad, heldStep, tellable, type HeldFigure } from '.'
import { heldAgainst, stated } from './against'

const read = (symbol: string, value: number, source: string, u: number): Derived =>
  derive(symbol, 'V', 'read', [], uncertain(value, source, u))
const value = (figure: Derived | undefined) => (figure && isFigure(figure) ? figure.x.value : NaN)

describe('a figure held against another', () => {
  it('gives difference, per cent and share', () => {
    const { held } = heldAgainst('watts', read('P', 1200, 'a', 6), [
      { against: 'the rating', reference: stated('P_rated', 'W', 1400, ''), asShare: 'with what is left' },
    ])
    expect(value(held[0]?.difference)).toBe(-200)
    expect(value(held[0]?.percent)).toBeCloseTo(-1 / 7, 12)
    expect(value(held[0]?.share)).toBeCloseTo(6 / 7, 12)
    expect(held[0]?.share && isFigure(held[0].share) && standard(held[0].share.x)).toBeCloseTo(6 / 1400, 12)
  })

  it('takes out what both share: the calibration of the one meter', () => {
    const [same] = heldAgainst('volts', read('V', 228, 'calibration', 1.14), [
      { against: 'nothing connected', reference: read('V', 231, 'calibration', 1.155) },
    ]).held
    expect(same && isFigure(same.difference) && standard(same.difference.x)).toBeCloseTo(0.015, 9)
    const [others] = heldAgainst('volts', read('V', 228, 'one', 1.14), [
      { against: 'nothing connected', reference: read('V', 231, 'another', 1.155) },
    ]).held
    expect(others && isFigure(others.difference) && standard(others.difference.x)).toBeCloseTo(
      Math.hypot(1.14, 1.155),
      9,
    )
  })

  it('gives no per cent of nothing, and nothing of what was not read', () => {
    const [zero] = heldAgainst('volts', read('V', 5, 'a', 0), [
      { against: 'nominal', reference: stated('V_0', 'V', 0, '') },
    ]).held
    expect(zero?.percent && isFigure(zero.percent)).toBe(false)
    const [none] = heldAgainst('volts', { missing: 'No volts.' }, [
      { against: 'nominal', reference: stated('V_0', 'V', 230, '') },
    ]).held
    expect(none?.difference).toEqual({ missing: 'No volts.' })
  })

  it('is against what it is held, turned about, the same with the other sign', () => {
    const volts = fc.double({ min: 1, max: 1000, noNaN: true })
    fc.assert(
      fc.property(volts, volts, (a, b) => {
        const [x, y] = [read('x', a, 's', 1), read('y', b, 't', 1)]
        const way = (one: Derived, other: Derived) =>
          value(heldAgainst('', one, [{ against: '', reference: other }]).held[0]?.difference)
        expect(way(x, y)).toBeCloseTo(-way(y, x), 9)
      }),
    )
  })
})

describe('a step', () => {
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
    const held = heldStep(second, analysis)
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
    expect(tellable(heldStep(second, analysis)).map(({ words }) => words)).not.toContain('distortion')
    expect(tellable(heldNoLoad(view([])))).toEqual([])
  })

  it('has its like with nothing connected', () => {
    const idle = heldNoLoad(analysis)
    expect(value(cell(idle, 'volts at the outlet', 'nominal or rated')?.difference)).toBeCloseTo(1, 9)
    expect(value(cell(idle, 'idle watts', 'nominal or rated')?.share)).toBeCloseTo(13.2 / 1400, 9)
  })
})
