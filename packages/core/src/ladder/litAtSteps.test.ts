import { ladderEntry, revisionOf, trialOf, unitOf } from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { viewTrial } from '../view'
import { litAtSteps } from '.'

const lit = (display: { loadBars: number; loadBarsOf?: number }, rated = 1400) => {
  const claims = [claimOf({ quantity: 'continuous power', comparator: 'at least', value: rated, unit: 'W' })]
  const [analysis] = viewTrial(trialOf([revisionOf({ unit: unitOf({ claims }) })]), [
    ladderEntry({ V_B: 24.8, I: 41, V_C: 226, P_C: 994 }, { display }),
  ]).analyses
  if (!analysis) throw new Error('No rig.')
  return litAtSteps(analysis)
}

describe('bars of load at a step', () => {
  it('should be as many as its share of the rating asks for: 994 W of 1400 W are 71 %, 4 of 5', () => {
    const [one] = lit({ loadBars: 2, loadBarsOf: 5 })
    expect(one).toMatchObject({ lit: 2, inAll: 5, off: true, should: { bars: 4, from: 0.6, to: 0.8 } })
    expect(one?.share).toBeCloseTo(0.71, 9)
  })

  it('are off by more than one bar only, and nothing is said of a display of unknown length', () => {
    expect(lit({ loadBars: 3, loadBarsOf: 5 })[0]?.off).toBe(false)
    expect(lit({ loadBars: 3 })).toEqual([])
  })
})
