import {
  checkIn,
  ladderEntry,
  logEntry,
  meterOf,
  rangeOf,
  noLoadEntry,
  revisionOf,
  trialOf,
  uuid,
  valuesOf,
} from '../../test/makers'
import { viewTrial } from '../view'
import { comparedMeters, shareAbove, summedMeters } from '.'

const second = meterOf({
  id: uuid(11),
  name: 'Second',
  ranges: meterOf().ranges.map((range) => ({ ...range, percent: 3 * range.percent })),
})
const compared = (entries: Parameters<typeof viewTrial>[1]) => {
  const [analysis] = viewTrial(trialOf([revisionOf({ meters: [meterOf(), second] })]), entries).analyses
  return analysis ? comparedMeters(analysis) : []
}
const onBoth = (a: number, b: number) => [...valuesOf({ V_B: a }), ...valuesOf({ V_B: b }, uuid(11))]

describe('two meters on one quantity', () => {
  it('are compared by E_n, the one of smaller uncertainty used', () => {
    const [line] = compared([ladderEntry({}, { values: onBoth(25.6, 25.7) })])
    expect(line).toMatchObject({ quantity: 'V_B', why: 'the smaller uncertainty', load: 'plate' })
    expect([line?.used.name, line?.other.name]).toEqual(['All-reader', 'Second'])
    expect(line?.E_n).toBeGreaterThan(0)
    expect(line?.E_n).toBeLessThan(1)
  })

  it('are compared at every look at a run too, with how far they are apart', () => {
    const log = logEntry({ what: 'run-down' })
    const look = (minutes: number, a: number, b: number) =>
      checkIn(log, minutes, {}, { values: onBoth(a, b) })
    const lines = compared([log, look(10, 25.6, 25.7), look(20, 25, 30)])
    expect(lines.map(({ load }) => load)).toEqual(['run-down, after 10 min', 'run-down, after 20 min'])
    expect(lines.map((line) => shareAbove(line))[1]).toBeCloseTo(0.2, 9)
    expect(summedMeters(lines)).toMatchObject([{ times: 2, apart: 1 }])
    expect(summedMeters(lines)[0]?.above).toBeCloseTo((0.1 / 25.6 + 0.2) / 2, 9)
  })

  it('disagree over 1', () => {
    const [line] = compared([ladderEntry({}, { values: onBoth(25.6, 28.6) })])
    // U: 2(0.5 % · 25.6 + 0.02)/√3 and thrice the percents of 28.6.
    const U1 = (2 * (0.005 * 25.6 + 0.02)) / Math.sqrt(3)
    const U2 = (2 * (0.015 * 28.6 + 0.02)) / Math.sqrt(3)
    expect(line?.E_n).toBeCloseTo(3 / Math.hypot(U1, U2), 1)
  })

  it('are not compared where one of them may not be believed, and that is why', () => {
    const above = valuesOf({ V_B: 70 }, uuid(11))
    const [line] = compared([ladderEntry({}, { values: [...valuesOf({ V_B: 25.6 }), ...above] })])
    expect(line?.E_n).toBeUndefined()
    expect(line?.why).toContain('the other is not used: it is over the range of 60')
  })

  it('both are right on a stepped wave, whose plateau they tell', () => {
    const V = (response: 'average' | 'true RMS', percent = 1) => [
      rangeOf('AC voltage', 600, percent, 5, 0.1, { response, bandwidth: 1000 }),
    ]
    const rms = meterOf({ ranges: V('true RMS') })
    const pocket = meterOf({ id: uuid(11), name: 'Pocket', ranges: V('average') })
    const wide = meterOf({ id: uuid(11), name: 'Pocket', ranges: V('average', 3) })
    const plateau = (average: number, trueRms: number, other = pocket) => {
      const entry = ladderEntry(
        {},
        { values: [...valuesOf({ V_C: trueRms }), ...valuesOf({ V_C: average }, uuid(11))] },
      )
      const [analysis] = viewTrial(trialOf([revisionOf({ meters: [rms, other] })]), [entry]).analyses
      return analysis && comparedMeters(analysis)[0]?.plateau
    }
    expect(plateau(213, 226)?.value).toBeCloseTo(0.72, 3)
    // On two meters that agree within what they may be wrong by it would tell nothing.
    expect(plateau(222, 228)).toBeDefined()
    expect(plateau(222, 228, wide)).toBeUndefined()
    // On a sine both say the same, and above it no stepped wave explains them.
    expect(plateau(230, 230.5)).toBeUndefined()
    expect(plateau(262, 230)).toBeUndefined()
  })

  it('are found without load as well, and one meter read twice is not two', () => {
    expect(compared([noLoadEntry({}, { values: onBoth(26.4, 26.4) })])[0]?.load).toBe('nothing connected')
    expect(
      compared([ladderEntry({}, { values: [...valuesOf({ V_B: 25.6 }), ...valuesOf({ V_B: 25.7 })] })]),
    ).toEqual([])
  })

  it('are summed by pair and quantity, the worst first, without what may not be compared', () => {
    const lines = compared([
      ladderEntry({}, { values: onBoth(25.6, 25.7), step: uuid(31) }),
      ladderEntry({}, { values: onBoth(25.6, 28.6), step: uuid(32) }),
      ladderEntry(
        {},
        { values: [...valuesOf({ I: 20 }), ...valuesOf({ I: 20.1 }, uuid(11))], step: uuid(33) },
      ),
      ladderEntry({}, { values: onBoth(25.6, 70), step: uuid(34) }),
    ])
    const sums = summedMeters(lines)
    expect(sums.map(({ quantity, times, apart }) => [quantity, times, apart])).toEqual([
      ['V_B', 2, 1],
      ['I', 1, 0],
    ])
    expect(sums[0]?.worst).toBe(Math.max(...lines.map(({ E_n }) => E_n ?? 0)))
    expect(summedMeters([])).toEqual([])
  })
})
