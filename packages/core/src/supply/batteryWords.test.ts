import type { Battery, EntryOf, LoadTest } from '@even-watt/contract'
import fc from 'fast-check'
import { bankOf, meterOf, revisionOf, rigOf, uuid } from '../../test/makers'
import { deriveLoadTest } from './loadTest'
import { bankChanges, bankEnergy, healthOf, loadTestWords, rankBatteries, sayBankEnergy } from '.'

const battery = (n: number, patch: Partial<Battery> = {}): Battery => ({
  id: uuid(40 + n),
  name: `battery ${n}`,
  chemistry: 'AGM',
  nominal: 12,
  capacity: 100,
  open: false,
  ...patch,
})
const series = (...strings: Battery[][]) =>
  bankOf({ strings, join: { kind: 'busbars', leads: strings.map(() => 0.001) } })

it('a bank holds volts times Ah: in series volts add, in parallel Ah, and a part of it is usable', () => {
  expect(bankEnergy(series([battery(1), battery(2)]))).toMatchObject({
    volts: 24,
    Ah: 100,
    Wh: 2400,
    usable: 2160,
  })
  expect(bankEnergy(series([battery(1)], [battery(2)]))).toMatchObject({ volts: 12, Ah: 200, Wh: 2400 })
  expect(sayBankEnergy({ ...series([battery(1)]), usableShare: 0.8 })).toBe(
    '12 V · 100 Ah = 1200 Wh nominal, 960.0 Wh usable (80 %)',
  )
  const { name, strings, join } = series([battery(1)])
  expect(bankEnergy({ name, strings, join })).toMatchObject({ usable: 600, assumed: true })
  const unknown: Battery = { id: uuid(49), name: 'old', chemistry: 'AGM', nominal: 12, open: false }
  expect(bankEnergy(series([unknown]))).toBeUndefined()
})
it('series and parallel of the same batteries hold the same energy', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 20, max: 300 }), (count, capacity) => {
      const all = Array.from({ length: count }, (_, i) => battery(i, { capacity }))
      expect(bankEnergy(series(all))?.Wh).toBeCloseTo(
        bankEnergy(series(...all.map((one) => [one])))?.Wh ?? NaN,
        6,
      )
    }),
  )
})

let made = 0
const test_ = (n: number | undefined, patch: Partial<LoadTest> = {}) => {
  const entry: EntryOf<'load test'> = {
    id: uuid(980 + made++),
    revision: 1,
    at: '2026-04-14T08:00:00.000Z',
    kind: 'load test',
    reading: {
      ...(n === undefined ? {} : { battery: uuid(40 + n) }),
      restVoltage: 12.6,
      restCurrent: 0,
      loadedVoltage: 12.1,
      loadedCurrent: 100,
      ...patch,
    },
  }
  return deriveLoadTest(
    entry,
    revisionOf({ rig: rigOf({ bank: series([battery(1)], [battery(2)]) }), meters: [meterOf()] }),
  )
}
it('charge at rest, sag, recovery and health are told; AGM of 100 Ah usually has 5 mΩ', () => {
  // 0.5 V at 100 A: 5 mΩ, as usual.
  const words = loadTestWords(test_(1, { recoveredVoltage: 12.5 })).join(' ')
  expect(words).toContain('12.60 V at rest is about 75 % charged')
  expect(words).toContain('sags by 0.50 V (4.0 %) and comes back to 12.50 V, 0.100 V lower')
  expect(words).toContain('1.0 times what is usual for its kind and size: it is sound')
  expect(loadTestWords(test_(1, { loadedVoltage: 11.2 })).join(' ')).toContain('it is worn')
  expect(loadTestWords(test_(1, { restVoltage: 12, loadedVoltage: 11.5 })).join(' ')).toContain(
    'charge it first',
  )
  expect(loadTestWords(test_(1, { restVoltage: 13.2, loadedVoltage: 12.6 })).join(' ')).toContain(
    'surface charge',
  )
})
it('what was stated of a battery comes before what is usual', () => {
  expect(healthOf(battery(1, { resistance: 0.002 }), 0.005)).toMatchObject({
    health: 'worn',
    against: 'its own',
  })
  expect(healthOf(battery(1), 0.009)).toMatchObject({ health: 'aged' })
  expect(healthOf(battery(1, { chemistry: 'not known' }), 0.009)).toBeUndefined()
})
it('batteries are ranked by the newest test of each, whatever its sag', () => {
  const weak = test_(2, { loadedVoltage: 11.85 })
  expect(rankBatteries([weak, test_(1)])).toEqual([
    'Strongest first: battery 1 5.00 mΩ, battery 2 7.50 mΩ (1.5 times).',
    'Take battery 1. A newer or fuller one seems stronger: test all at like charge and warmth.',
  ])
  expect(rankBatteries([test_(1)])).toEqual([])
  expect(rankBatteries([test_(undefined), test_(1)])).toEqual([])
})
it('a bank that another battery was joined to sags less by as much', () => {
  expect(bankChanges([test_(undefined), test_(undefined, { loadedVoltage: 12.35 })])).toEqual([
    'L24: 5.00 mΩ became 2.50 mΩ, so at like amps it sags 50 % less.',
  ])
  expect(bankChanges([test_(undefined), test_(undefined)])).toEqual([])
})
