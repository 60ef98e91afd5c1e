import fc from 'fast-check'
import { parseGauge } from '../conductors'
import { parseNumber, parseTemperature } from '../entry'
import { uncertain } from '../meters'
import { remembering } from '../remember'
import {
  formatNumber,
  inUnits,
  plain,
  say,
  sayCableSize,
  sayFigure,
  sayLength,
  sayMass,
  sayRise,
  saySize,
  sayTemperature,
  sayTorque,
  typedNumber,
  usualWriting,
  withPoint,
  writeIn,
  type Writing,
} from '.'

const american: Writing = {
  decimal: '.',
  length: 'ft',
  temperature: '°F',
  mass: 'lb',
  gauge: 'AWG',
  torque: 'lb·in',
  motors: 'hp',
}
const comma: Writing = { ...usualWriting, decimal: ',' }
const gauge = (typed: string) => {
  const read = parseGauge(typed)
  if (!read.ok) throw new Error(read.why)
  return read.gauge
}

describe('how figures are written', () => {
  afterEach(() => writeIn(usualWriting))

  it('is metric with a point until something else is chosen', () => {
    expect([sayLength(1.2), saySize([0.34, 0.21, 0.095]), sayMass(4.1), sayTorque(8)]).toEqual([
      '1.2 m',
      '340 × 210 × 95 mm',
      '4.1 kg',
      '8 N·m',
    ])
    expect([sayTemperature(41.4), sayTemperature(41.4, 1), sayRise(26)]).toEqual(['41 °C', '41.4 °C', '26 K'])
  })

  it('is American where the bench reads that', () => {
    writeIn(american)
    expect([sayLength(1.2), saySize([0.34, 0.21, 0.095]), sayMass(4.1), sayTorque(8)]).toEqual([
      '3.94 ft',
      '13.4 × 8.3 × 3.7 in',
      '9.04 lb',
      '70.8 lb·in',
    ])
    expect([sayTemperature(40), sayRise(10), say(100, '°C')]).toEqual(['104 °F', '18 °F', '212 °F'])
    // An uncertainty is a difference: 1 °C of it is 1.8 °F, without the 32.
    expect(inUnits({ unit: '°C', x: uncertain(91.5, 'thermometer', 1) }).x).toEqual({
      value: expect.closeTo(196.7, 6) as number,
      sources: new Map([['thermometer', 1.8]]),
    })
    expect(say(12.84, 'V')).toBe('12.8 V')
  })

  it('says a cable as it was bought, and what that is in the other sizes', () => {
    expect([sayCableSize(gauge('16 mm²')), sayCableSize(gauge('4 AWG'))]).toEqual([
      '16 mm²',
      '4 AWG (21.2 mm²)',
    ])
    writeIn(american)
    expect(['16 mm²', '120 mm²', '185 mm²', '4/0'].map((typed) => sayCableSize(gauge(typed)))).toEqual([
      '16 mm² (about 5 AWG)',
      '120 mm² (about 4/0 AWG)',
      '185 mm² (more than 4/0 AWG)',
      '4/0 AWG',
    ])
  })

  it('has a decimal comma everywhere where it is chosen, and never another value', () => {
    writeIn(comma)
    expect([plain(2.5), formatNumber(-0.25, 2), typedNumber(1.23456789), say(12.84, 'V')]).toEqual([
      '2,5',
      '−0,25',
      '1,23456789',
      '12,8 V',
    ])
    expect(sayFigure({ unit: 'W', x: uncertain(93.14, 'meter', 0.7) })).toBe('93,1 ± 1,4 W')
    fc.assert(
      fc.property(
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        fc.constantFrom(usualWriting, comma, american),
        (x, chosen) => {
          writeIn(chosen)
          const back = parseNumber(typedNumber(Number(x.toFixed(6))))
          expect(back).toEqual({ ok: true, value: expect.closeTo(x, 5) as number })
          const degrees = parseTemperature(sayTemperature(x, 1))
          expect(degrees).toMatchObject({ ok: true })
        },
      ),
    )
  })

  it('is no other sentence for its decimal mark', () => {
    expect(withPoint('It draws 8,50 ± 0,04 W, then 9 W.')).toBe('It draws 8.50 ± 0.04 W, then 9 W.')
    expect(withPoint(undefined)).toBeUndefined()
  })

  it('is minded by what was remembered: a sentence is made anew when it would read otherwise', () => {
    const key = {}
    const kept = remembering<object, string>()
    const sentence = () => kept(key, [], () => say(12.84, 'V'))
    expect(sentence()).toBe('12.8 V')
    writeIn(comma)
    expect(sentence()).toBe('12,8 V')
  })
})
