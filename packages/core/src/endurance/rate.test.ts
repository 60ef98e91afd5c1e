import { checkIn, logEntry, revisionOf, rigOf, stationOf, trialOf } from '../../test/makers'
import { claimOf, counting } from '../../test/verdicts'
import { viewTrial } from '../view'
import { runDownsOf } from '.'
import { sayCircumstances } from './rate'

const log = logEntry({ what: 'run-down', full: 'charger said full', kind: 'element' })
const said = (
  values: object,
  revision: Parameters<typeof revisionOf>[0] = {},
  celsius?: readonly number[],
) => {
  const looks = [0, 30, 60, 90, 120].map((m, i) =>
    checkIn(log, m, values, celsius ? { temperatures: [{ place: 'store', celsius: celsius[i] ?? 0 }] } : {}),
  )
  const [analysis] = viewTrial(trialOf([revisionOf({ meters: [counting], ...revision })]), [
    log,
    ...looks,
    checkIn(log, 121, {}, { ended: 'BMS' }),
  ]).analyses
  return analysis ? (runDownsOf(analysis)[0]?.sentence ?? '') : ''
}

describe('what a capacity was found at', () => {
  it('is the rate in C: 45 A of 150 Ah are 0.3 C', () => {
    expect(said({ V_B: 25.6, I: 45, P_C: 1050 }, { rig: rigOf() })).toContain('At 0.3 C.')
  })
  it('of a station is its watts over its label: 312 W of 1040 Wh', () => {
    const unit = stationOf([claimOf({ quantity: 'energy', value: 1040, unit: 'Wh' })])
    expect(said({ P_C: 312 }, { unit })).toContain('At 0.3 C.')
    expect(said({ P_C: 312 }, { unit: stationOf() })).not.toContain(' C.')
  })
  it('is how warm its store was', () => {
    const unit = stationOf([claimOf({ quantity: 'energy', value: 1040, unit: 'Wh' })])
    expect(said({ P_C: 312 }, { unit }, [21, 22, 24, 26, 25])).toContain(
      'At 0.3 C, its store from 21 °C to 26 °C.',
    )
    expect(sayCircumstances(undefined, { from: 21, to: 21 })).toBe('Its store at 21 °C.')
    expect(sayCircumstances(undefined, undefined)).toBe('')
  })
})
