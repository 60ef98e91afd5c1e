import fc from 'fast-check'
import { exact, expanded, uncertain } from '../meters'
import {
  decimals,
  derive,
  formatNumber,
  isFigure,
  say,
  sayFigure,
  showFigure,
  shownFactor,
  worstGrade,
  type Figure,
} from '.'

const figure = (patch: Partial<Figure> = {}): Figure => ({
  symbol: 'V_B',
  unit: 'V',
  x: exact(25),
  grade: 'measured',
  working: { formula: 'V_B read', inputs: [], notes: [], entries: ['a'] },
  ...patch,
})

describe('derived figures', () => {
  it('are only as good as the worst value in them', () => {
    expect(worstGrade(['measured', 'measured'])).toBe('measured')
    expect(worstGrade(['measured', 'display'])).toBe('display')
    expect(worstGrade(['estimated', 'display'])).toBe('estimated')
    expect(worstGrade(['observed', 'measured', 'estimated'])).toBe('observed')
    expect(worstGrade([])).toBe('measured')
  })

  it('name every reading behind them once', () => {
    const other = figure({ working: { formula: 'I read', inputs: [], notes: [], entries: ['a', 'b'] } })
    const product = derive('P_B', 'W', 'V_B·I', [figure(), other], exact(100), ['a note'])
    expect(isFigure(product) && product.working).toEqual({
      formula: 'V_B·I',
      inputs: [figure(), other],
      notes: ['a note'],
      entries: ['a', 'b'],
    })
  })

  it('are missing with a reason when they are not finite', () => {
    for (const value of [NaN, Infinity, -Infinity]) {
      expect(derive('η', '%', 'x', [], exact(value))).toEqual({
        missing: 'η cannot be computed: division by zero.',
      })
    }
  })
})

describe('numbers in words', () => {
  it.each([
    [1234.5, 3, 0],
    [12.345, 3, 1],
    [1.2345, 3, 2],
    [0.012345, 3, 4],
    [0, 3, 0],
    [NaN, 3, 0],
    [1e-30, 3, 0],
    [0.00001234, 3, 6],
  ])('%p to %p figures has %p decimals', (x, significant, places) =>
    expect(decimals(x, significant)).toBe(places),
  )

  it('carry a true minus sign, but never on a zero', () => {
    expect(formatNumber(-1.25, 1)).toBe('−1.3')
    expect(formatNumber(-0.001, 1)).toBe('0.0')
    expect(say(-12.34, 'V')).toBe('−12.3 V')
    expect(say(0.5, '')).toBe('0.500')
  })

  it('are shown in the unit people use', () => {
    expect(shownFactor('%')).toBe(100)
    expect(shownFactor('mΩ')).toBe(1000)
    expect(shownFactor('W')).toBe(1)
    expect(sayFigure({ x: uncertain(0.0075, 's', 0.0001), unit: 'mΩ' })).toBe('7.50 ± 0.20 mΩ')
    expect(sayFigure({ x: exact(7.25), unit: '' })).toBe('7.25')
  })

  it('keep the value inside its own uncertainty after rounding', () => {
    const value = fc.double({ min: -1e4, max: 1e4, noNaN: true })
    const u = fc.double({ min: 1e-4, max: 1e3, noNaN: true })
    fc.assert(
      fc.property(value, u, (x, standard) => {
        const shown = showFigure({ x: uncertain(x, 's', standard), unit: 'W' })
        const read = Number(shown.value.replace('−', '-'))
        expect(Math.abs(read - x)).toBeLessThanOrEqual(0.5 * Math.max(1, 2 * standard) * 1.0001)
        expect(Number(shown.uncertainty)).toBeGreaterThanOrEqual(0)
      }),
    )
  })

  it('tell an exact value from one whose uncertainty is tiny', () => {
    expect(showFigure({ x: exact(230), unit: 'V' }).uncertainty).toBeUndefined()
    const tiny = uncertain(230, 's', 1e-6)
    expect(expanded(tiny)).toBeGreaterThan(0)
    expect(showFigure({ x: tiny, unit: 'V' }).uncertainty).toBe('0.000002')
  })
})
