import type { ChargingOf, EntryOf } from '@even-watt/contract'
import fc from 'fast-check'
import { meterOf, rangeOf, revisionOf, stationOf, trialOf, uuid, valuesOf } from '../../test/makers'
import { viewTrial } from '../view'
import { inputSentences, panelExpected, startsAt } from '.'
import { inputPoints } from './input'

const meter = meterOf({ ranges: [...meterOf().ranges, rangeOf('DC power', 1500, 1, 2, 0.1)] })
let made = 0
const entry = (reading: EntryOf<'charging'>['reading']): EntryOf<'charging'> => ({
  id: uuid(650 + made++),
  revision: 1,
  at: new Date(Date.UTC(2026, 3, 14, 8, made)).toISOString(),
  kind: 'charging',
  reading,
})
const input = (volts: number, watts: number, more: Partial<ChargingOf<'input'>> = {}) =>
  entry({
    test: 'input',
    source: 'solar',
    values: valuesOf({ V_in: volts, I_in: watts / volts, P_in: watts }),
    ...more,
  })
const panels = entry({
  test: 'panel',
  name: 'folding',
  owned: 2,
  openVolts: 22.4,
  shortAmps: 6.2,
  watts: 110,
  perKelvin: -0.29,
  coldest: -5,
})
const analysisOf = (...entries: EntryOf<'charging'>[]) => {
  const [analysis] = viewTrial(
    trialOf([revisionOf({ unit: stationOf(), meters: [meter] })]),
    entries,
  ).analyses
  if (!analysis) throw new Error('no analysis')
  return analysis
}
const said = (...entries: EntryOf<'charging'>[]) =>
  [...inputSentences(analysisOf(...entries)).values()].flat().join(' ')

it('panels are held against what is printed, and against what light and heat leave of it', () => {
  // 220 W · 800/1000 · (1 − 0.004·25) = 158.4 W
  expect(panelExpected(220, { irradiance: 800, panelHeat: 50 })).toBeCloseTo(158.4, 9)
  expect(said(panels, input(18, 150, { irradiance: 800, panelHeat: 50 }))).toContain(
    'That is 68.2 % of the 220 W printed on the panels. In that light at 50.0 °C they should give 158 W: 94.7 % of it came.',
  )
  expect(said(panels, input(18, 150))).toContain('How much light there was was not read')
  expect(said(input(18, 150))).not.toContain('printed')
})
it('more light never makes less expected', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 1900 }),
      fc.integer({ min: -40, max: 120 }),
      (irradiance, panelHeat) => {
        const less = panelExpected(100, { irradiance, panelHeat }) ?? -1
        expect(panelExpected(100, { irradiance: irradiance + 50, panelHeat }) ?? -1).toBeGreaterThanOrEqual(
          less,
        )
      },
    ),
  )
})
it('says what more volts would gain where amps limit', () => {
  const course = [input(12, 96), input(18, 144), input(30, 200), input(36, 200)]
  // 8 A up to 25 V, 200 W above: at 12 V 104 W more.
  expect(said(...course)).toContain(
    'From 25.0 V on, by panels in series or a converter, it would take 104 W more.',
  )
})
it('begins to take between the highest volts that gave nothing and the lowest that gave something', () => {
  const at = (...list: EntryOf<'charging'>[]) => startsAt(inputPoints(analysisOf(...list).record))
  expect(at(input(10, 0.5), input(11, 1), input(12, 40))).toEqual({ from: 11, to: 12 })
  expect(at(input(12, 40))).toBeUndefined()
})
