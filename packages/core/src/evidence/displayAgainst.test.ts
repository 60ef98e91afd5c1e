import { ladderEntry, noLoadEntry, revisionOf, trialOf } from '../../test/makers'
import { expanded } from '../meters'
import { viewTrial } from '../view'
import type { Analysis } from '../trials'
import { displayAgainst, displayOffsets } from '.'

const against = ({ record, evidence: { gate, spreads } }: Analysis) => displayAgainst(record, gate, spreads)

const analysisOf = (entries: Parameters<typeof viewTrial>[1]) => {
  const view = viewTrial(trialOf([revisionOf()]), entries)
  const [analysis] = view.analyses
  if (!analysis) throw new Error('no analysis')
  return { analysis, odd: (view.oddities[0] ?? []).filter(({ number }) => number === 40) }
}

describe('the unit’s display against the meters', () => {
  const values = { V_B: 25.6, I: 60, V_C: 230, P_C: 1400 }

  it('agrees within the meter’s uncertainty and half a digit of its own', () => {
    const { analysis, odd } = analysisOf([
      ladderEntry(values, { display: { inputVoltage: 25.6, outputPower: 1405 } }),
    ])
    const [volts, watts] = against(analysis)
    expect([volts?.apart, watts?.apart, odd]).toEqual([false, false, []])
    expect(volts?.deviation).toBeCloseTo(0, 9)
    // Half of 0.1 V, rectangular, at k = 2.
    expect(volts?.U).toBeCloseTo(
      Math.hypot(expanded(volts?.meter.x ?? { value: 0, sources: new Map() }), 0.1 / Math.sqrt(3)),
      9,
    )
  })

  it('is said to be off beyond both, once for a quantity, at the farthest', () => {
    const { analysis, odd } = analysisOf([
      noLoadEntry({ V_C: 231 }, { display: { outputVoltage: 238 } }),
      ladderEntry(values, { display: { outputVoltage: 245 } }),
    ])
    expect(against(analysis).map(({ apart }) => apart)).toEqual([true, true])
    expect(odd.map((one) => one.odd)).toEqual([
      expect.stringContaining('display says 245 V of volts at the outlet'),
    ])
  })

  it('is off by so much on the mean, where it is off at all', () => {
    const { analysis } = analysisOf([
      noLoadEntry({ V_C: 231 }, { display: { outputVoltage: 239 } }),
      ladderEntry(values, { display: { outputVoltage: 240, inputVoltage: 25.6 } }),
    ])
    const offsets = displayOffsets(against(analysis))
    expect(offsets.map(({ quantity, checks }) => [quantity, checks])).toEqual([['V_C', 2]])
    expect(offsets[0]?.off).toBeCloseTo(9, 9)
    expect(displayOffsets([])).toEqual([])
  })

  it('is held against nothing that was not read on a meter', () => {
    const entry = ladderEntry(
      {},
      { display: { outputVoltage: 245 }, values: [{ quantity: 'V_C', value: 230, grade: 'display' }] },
    )
    expect(against(analysisOf([entry, ladderEntry(values)]).analysis)).toEqual([])
  })
})
