import fc from 'fast-check'
import {
  fahrenheit,
  inUnit,
  kelvinsInFahrenheit,
  parseMeasure,
  parseShaftPower,
  parseTemperature,
  saysCelsius,
  saysFahrenheit,
  wattsInHorsepower,
  type Dimension,
} from '.'

const value = (read: ReturnType<typeof parseMeasure>) => (read.ok ? read.value : NaN)

describe('units beside SI', () => {
  it('are worth what their definitions say', () => {
    // The inch and the pound are exact; a foot is 12 of the first, an ounce a sixteenth of the second.
    expect(value(parseMeasure('12 in', 'length'))).toBeCloseTo(value(parseMeasure('1 ft', 'length')), 12)
    expect(value(parseMeasure('16 oz', 'mass'))).toBeCloseTo(value(parseMeasure('1 lb', 'mass')), 9)
    expect(value(parseMeasure('12 lb·in', 'torque'))).toBeCloseTo(value(parseMeasure('1 lb·ft', 'torque')), 9)
    // 550 ft·lbf a second, with 9.80665 m/s².
    expect(wattsInHorsepower).toBeCloseTo(550 * 0.3048 * 0.45359237 * 9.80665, 9)
    expect(9 * kelvinsInFahrenheit).toBeCloseTo(5, 12)
  })

  it('come back as they were typed, whichever they were typed in', () => {
    const typed = fc.constantFrom<readonly [Dimension, string]>(
      ['length', 'ft'],
      ['length', 'in'],
      ['length', 'mm'],
      ['mass', 'lb'],
      ['mass', 'oz'],
      ['torque', 'lb·in'],
      ['torque', 'N·m'],
      ['power', 'hp'],
      ['power', 'kW'],
    )
    fc.assert(
      fc.property(typed, fc.integer({ min: 1, max: 99_999 }), ([dimension, unit], hundredths) => {
        const x = hundredths / 100
        const SI = value(parseMeasure(`${x} ${unit}`, dimension))
        expect(inUnit(SI, dimension, unit)).toBeCloseTo(x, 6)
        expect(value(parseMeasure(String(x), dimension, unit))).toBe(SI)
      }),
    )
  })

  it('of a temperature meet at −40, and turn back', () => {
    expect(fahrenheit(-40)).toBe(-40)
    expect(fahrenheit(100)).toBe(212)
    fc.assert(
      fc.property(fc.integer({ min: -400, max: 5000 }), (tenths) => {
        const read = parseTemperature(`${fahrenheit(tenths / 10).toFixed(2)} °F`)
        expect(read).toEqual({ ok: true, value: expect.closeTo(tenths / 10, 6) as number })
      }),
    )
  })
})

describe('the heading of a column of temperatures', () => {
  it.each([
    'case °F',
    'Temp (F)',
    'T [F]',
    'temp_case deg F',
    'Fahrenheit',
    'temperature F',
    'temp, F',
    '°f',
  ])('%s is in °F', (heading) =>
    expect([saysFahrenheit(heading), saysCelsius(heading)]).toEqual([true, false]),
  )
  it.each(['case °C', 'Temp (C)', 'T [°C]', 'deg C', 'Celsius', 'temperature, C'])('%s is in °C', (heading) =>
    expect([saysFahrenheit(heading), saysCelsius(heading)]).toEqual([false, true]),
  )
  it.each(['T', 'temp', 'case', 'fan', 'f', 'first', 'I_C', '', 'conf', 'x'.repeat(5000)])(
    '%s does not say',
    (heading) => expect([saysFahrenheit(heading), saysCelsius(heading)]).toEqual([false, false]),
  )
})

describe('the shaft power on a motor’s plate', () => {
  it('is in W or hp by its unit, else by the bench', () => {
    expect(value(parseShaftPower('0.5 hp', 'W'))).toBeCloseTo(372.85, 2)
    expect(value(parseShaftPower('0,37 kW', 'hp'))).toBeCloseTo(370, 9)
    expect(value(parseShaftPower('750', 'W'))).toBe(750)
    expect(value(parseShaftPower('1.5', 'hp'))).toBeCloseTo(1118.55, 2)
  })

  it('is asked about where a plain number would be no motor at all', () => {
    for (const [typed, usual] of [
      ['0.5', 'W'],
      ['3', 'W'],
      ['370', 'hp'],
      ['0.005', 'hp'],
    ] as const)
      expect(parseShaftPower(typed, usual)).toEqual({
        ok: false,
        why: `Is "${typed}" in W or hp? Add the unit.`,
      })
    // With its unit it stands, however odd.
    expect(value(parseShaftPower('5 W', 'hp'))).toBe(5)
    expect(parseShaftPower('much', 'W').ok).toBe(false)
  })
})
