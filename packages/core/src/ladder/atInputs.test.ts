import { ladderEntry, revisionOf, trialOf } from '../../test/makers'
import { viewTrial } from '../view'
import { efficiencyAtInputs } from '.'

const step = (V_B: number, P_C: number, eta = 0.93) =>
  ladderEntry({ V_B, I: P_C / eta / V_B, P_C, V_C: 230 }, { load: `${P_C} W` })
const at = (...entries: ReturnType<typeof step>[]) => {
  const [analysis] = viewTrial(trialOf([revisionOf()]), entries).analyses
  return analysis
    ? efficiencyAtInputs(analysis).map(({ which, volts, eta }) => [
        which,
        volts,
        Number(eta.x.value.toFixed(3)),
      ])
    : []
}

describe('efficiency at several inputs', () => {
  it('is that of the lowest, the nominal and the highest at one load', () => {
    const all = [step(21.5, 1000, 0.9), step(24.1, 1005, 0.93), step(28, 998, 0.91), step(26, 400)]
    const expected = [
      ['lowest', 21.5, 0.9],
      ['nominal', 24.1, 0.93],
      ['highest', 28, 0.91],
    ]
    expect(at(...all)).toEqual(expected)
    expect(at(...[...all].reverse())).toEqual(expected)
  })
  it('has no nominal one where none was read, or where that is the lowest or highest', () => {
    expect(at(step(22, 1000), step(28, 1000)).map(([which]) => which)).toEqual(['lowest', 'highest'])
    expect(at(step(24, 1000), step(28, 1000)).map(([which]) => which)).toEqual(['lowest', 'highest'])
  })
  it('is none on one input, which sags with its load, and none of unlike loads', () => {
    expect(at(step(25.9, 200), step(25.4, 900), step(24.9, 1400))).toEqual([])
    expect(at(step(22, 1000), step(28, 500))).toEqual([])
    expect(at()).toEqual([])
  })
  it('takes the load that saw the widest inputs, and of alike ones the heaviest', () => {
    expect(at(step(22, 500), step(28, 500), step(23, 1000), step(27, 1000))[0]?.[1]).toBe(22)
    expect(at(step(22, 500, 0.9), step(28, 500), step(22, 1000, 0.88), step(28, 1000))[0]?.[2]).toBe(0.88)
  })
  it('counts nothing that was not carried, or whose readings may not decide', () => {
    const tripped = ladderEntry({ V_B: 20, I: 55, P_C: 1000, V_C: 230 }, { end: 'tripped' })
    expect(at(tripped, step(28, 1000))).toEqual([])
  })
})
