import fc from 'fast-check'
import { claimOf } from '../../test/verdicts'
import { outletMap, parseRating } from '.'

const rated = [claimOf({ quantity: 'continuous power', value: 2000, unit: 'W' })]
const unit = { outputVoltage: 120, claims: rated }

it('a rating is amps, volts and amps, or watts; a name alone is none', () => {
  expect(parseRating('15 A')).toEqual({ amps: 15 })
  expect(parseRating('12 V 10A')).toEqual({ volts: 12, amps: 10 })
  expect(parseRating('USB block 100 W')).toEqual({ watts: 100 })
  expect(parseRating('2,4 A')).toEqual({ amps: 2.4 })
  expect(parseRating('12 V')).toBeUndefined()
  expect(parseRating('earthed')).toBeUndefined()
})
it('any text ends at once, and gives no figure that is not finite', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 4000 }), (text) => {
      for (const value of Object.values(parseRating(text) ?? {})) expect(Number.isFinite(value)).toBe(true)
    }),
  )
})
it('an outlet without volts has those of the unit; what they carry is held against the rating', () => {
  const { outlets, together } = outletMap({ ...unit, outlets: [{ what: 'socket', count: 2, rated: '15 A' }] })
  expect(outlets[0]).toMatchObject({ watts: 1800, sentence: '15 A: 1800 W each' })
  expect(together).toEqual(['One outlet carries 1800 W of its 2000 W: for more, load several.'])
  expect(outletMap({ ...unit, outlets: [{ what: 'socket', rated: '15 A' }] }).together).toEqual([
    'Its mains outlets carry 1800 W together: less than its 2000 W.',
  ])
})
it('ports that share a limit are told with what they would give by themselves', () => {
  const { together } = outletMap({
    ...unit,
    outlets: [
      { what: 'USB-A', count: 2, rated: '5 V 2.4 A', shares: 'USB block 60 W' },
      { what: 'USB-C', rated: '60 W', shares: 'usb block 60 W' },
    ],
  })
  expect(together).toEqual(['2 × USB-A and USB-C share 60.0 W; by themselves they would give 84.0 W.'])
})
it('nothing printed is nothing said', () => {
  expect(outletMap(unit)).toEqual({ outlets: [], together: [] })
  expect(outletMap({ ...unit, outlets: [{ what: 'socket' }] })).toMatchObject({ together: [] })
})
