import type { EntryOf, PortReading } from '@even-watt/contract'
import { revisionOf, stationOf, trialOf, uuid } from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { viewTrial } from '../view'
import { portSentences } from '.'

const said = (...readings: readonly PortReading[]): string => {
  const entries = readings.map((reading, i): EntryOf<'port'> => ({
    id: uuid(900 + i),
    revision: 1,
    at: new Date(Date.UTC(2026, 3, 14, 8, i)).toISOString(),
    kind: 'port',
    reading,
  }))
  const unit = stationOf([claimOf({ quantity: 'port', port: 'socket', value: 10, unit: 'A' })])
  const [analysis] = viewTrial(trialOf([revisionOf({ unit })]), entries).analyses
  if (!analysis) throw new Error('no analysis')
  return [...portSentences(analysis).values()].flat().join(' ')
}
type Load = Extract<PortReading, { test: 'load' }>
const load = (more: Partial<Load>): Load => ({
  test: 'load',
  port: 'socket',
  points: [
    { amps: 1, volts: 12.4 },
    { amps: 8, volts: 11.9 },
  ],
  ...more,
})

it('passes or fails against the volts that the tester asks for', () => {
  expect(said(load({ floor: 11.5 }))).toContain('up to 8.0 A. It passes.')
  expect(said(load({ floor: 12 }))).toContain(
    'At 8.0 A socket gives 11.9 V: under the 12.0 V that you ask for. It fails.',
  )
})
it('says by how much it cuts off short of what is promised, or past it', () => {
  expect(said(load({ cutoff: 8.8 }))).toContain('cuts off 12 % under the 10 A')
  expect(said(load({ cutoff: 11.5 }))).toContain('15 % above the 10 A that are promised: that is its margin')
  expect(said(load({}))).not.toContain('promised')
})
it('holds its display against what was read', () => {
  expect(said(load({ shown: 100 }))).toContain('said 100 W for 95.2 W: 5.0 % too much')
})
it('adds the drop of a lead by its size and length', () => {
  // 2 m of 1 mm², both ways: 2 · 1.12 · 1.7241e-8 · 2 / 1e-6 = 77.2 mΩ; 8 A take 0.618 V.
  expect(said(load({ leadSize: '1 mm²', leadLength: 2 }))).toContain('8.0 A at 12.5 V')
})
it('is regulated where its volts stand from full to nearly empty', () => {
  const low = (volts: number) => load({ charge: 0.1, points: [{ amps: 8, volts }] })
  expect(said(load({ charge: 1 }), low(11.8))).toContain('it is regulated')
  expect(said(load({ charge: 1 }), low(10.9))).toContain('fall by 1.0 V (8.4 %): it is not regulated')
  expect(said(load({ charge: 0.3 }), low(10.9))).not.toContain('regulated')
})
it('what a port costs is what goes in more than comes out', () => {
  const cost = (taken: number) =>
    said({ test: 'cost', port: 'USB-C', volts: 20, amps: 3, before: 8, with: taken })
  expect(cost(76)).toContain('gives 60.0 W for 68.0 W more into the unit: 88.2 % of it. 8.0 W are lost')
  expect(cost(60)).toContain('that cannot be')
  expect(cost(8)).toContain('exchanged')
})
it('every offer has its watts, and the most of them is named', () => {
  expect(
    said({
      test: 'offered',
      port: 'USB-C',
      offers: [
        { volts: 5, amps: 3 },
        { volts: 20, amps: 2.25 },
      ],
    }),
  ).toContain('5 V 3 A (15.0 W), 20 V 2.25 A (45.0 W). 45.0 W is the most of them.')
})
it('several together are held against what they share, and each has its volts', () => {
  const text = said({
    test: 'together',
    loaded: [
      { port: 'USB-C', volts: 20, amps: 2 },
      { port: 'USB-A', volts: 4.4, amps: 2 },
    ],
    held: true,
    limit: 60,
  })
  expect(text).toContain(
    '48.8 W together held. It is 81.3 % of the 60.0 W that they share. But USB-A fell to 4.40 V',
  )
})
