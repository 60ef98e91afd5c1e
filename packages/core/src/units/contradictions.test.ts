import type { Claim } from '@even-watt/contract'
import fc from 'fast-check'
import { meterOf, revisionOf, trialOf, unitOf, uuid } from '../../test/makers'
import { viewTrial } from '../view'

let count = 0
const claim = (
  quantity: Claim['quantity'],
  value: number,
  unit: Claim['unit'],
  more: Partial<Claim> = {},
): Claim => ({
  id: uuid(++count),
  quantity,
  comparator: 'at least',
  value,
  unit,
  readWhere: 'label',
  ...more,
})
const said = (...claims: Claim[]) =>
  viewTrial(trialOf([revisionOf({ unit: unitOf({ inputVoltage: 24, claims }), meters: [meterOf()] })]), [])
    .oddities.flat()
    .filter(({ number }) => number === 41)
    .map(({ odd }) => odd)

describe('41: promises that contradict each other', () => {
  it('are the same promise with another figure, wherever each was read', () => {
    expect(
      said(
        claim('continuous power', 1400, 'W'),
        claim('continuous power', 1.5, 'kW', { readWhere: 'sales page' }),
      ),
    ).toEqual(['continuous power is 1400 W by the label, and 1.5 kW by the sales page.'])
    expect(said(claim('continuous power', 1400, 'W'), claim('continuous power', 1.4, 'kW'))).toEqual([])
  })

  it('are not two promises for other loads, times or ports', () => {
    const surge = (value: number, duration?: number) =>
      claim('surge power', value, 'W', duration === undefined ? {} : { duration })
    expect(said(surge(2700, 2), surge(2100, 10))).toEqual([])
    expect(
      said(claim('efficiency', 92, '%', { load: 400 }), claim('efficiency', 88, '%', { load: 1400 })),
    ).toEqual([])
    expect(said(claim('port', 18, 'W', { port: 'A' }), claim('port', 60, 'W', { port: 'C' }))).toEqual([])
    expect(said(surge(2700, 2), surge(2900, 2))).toHaveLength(1)
  })

  it('are an alarm that comes with the cutoff or after it', () => {
    const at = (alarm: number, cutoff: number) =>
      said(claim('alarm voltage', alarm, 'V'), claim('cutoff voltage', cutoff, 'V'))
    expect(at(21.6, 20.8)).toEqual([])
    expect(at(20.8, 21.6)).toEqual([
      'It warns at 20.8 V and stops at 21.6 V: the warning would come too late.',
    ])
    expect(at(21, 21)).toHaveLength(1)
  })

  it('are idle watts and amps that are not the same at the nominal volts, beyond a fifth', () => {
    const idle = (watts: number, amps: number) =>
      said(
        claim('idle draw', watts, 'W', { comparator: 'at most' }),
        claim('idle draw', amps, 'A', { comparator: 'at most' }),
      )
    // 0.45 A at 24 V are 10.8 W.
    expect(idle(11, 0.45)).toEqual([])
    expect(idle(11, 0.9)).toEqual(['Idle draw is ≤ 11 W and ≤ 0.9 A, which are not the same at 24 V.'])
    expect(idle(11, 0.3)).toHaveLength(1)
  })

  it('are found in whatever order the promises stand, and never in one promise alone', () => {
    const some = [
      claim('continuous power', 1400, 'W'),
      claim('continuous power', 1500, 'W', { readWhere: 'sales page' }),
      claim('alarm voltage', 20, 'V'),
      claim('cutoff voltage', 20.8, 'V'),
      claim('idle draw', 11, 'W', { comparator: 'at most' }),
      claim('idle draw', 0.9, 'A', { comparator: 'at most' }),
      claim('THD', 3, '%', { comparator: 'at most' }),
    ]
    fc.assert(
      fc.property(fc.shuffledSubarray(some, { minLength: some.length }), (shuffled) => {
        expect(said(...shuffled)).toHaveLength(3)
      }),
      { numRuns: 30 },
    )
    for (const one of some) expect(said(one)).toEqual([])
  })
})
