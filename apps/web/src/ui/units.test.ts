import type { Figure } from '@even-watt/core'
import { uncertain } from '@even-watt/core'
import fc from 'fast-check'
import { chooseUnits, inUnits, readLength, readTemperature, typedLength, typedTemperature } from './units'

const value = (parsed: ReturnType<typeof readLength>) => (parsed.ok ? parsed.value : NaN)

describe('units of the bench', () => {
  afterEach(() => chooseUnits({}))

  it('count for plain numbers only; a unit that is typed always counts', () => {
    chooseUnits({ length: 'ft', temperature: '°F' })
    expect(value(readTemperature('104'))).toBeCloseTo(40, 9)
    expect(value(readTemperature('40 °C'))).toBe(40)
    expect(value(readLength('4'))).toBeCloseTo(1.2192, 9)
    expect(value(readLength('1.2 m'))).toBe(1.2)
    chooseUnits({})
    expect(value(readTemperature('104'))).toBe(104)
    expect(value(readTemperature('104 F'))).toBeCloseTo(40, 9)
    expect(value(readLength('4 ft'))).toBeCloseTo(1.2192, 9)
  })

  it('bring back what was typed, whichever they are', () => {
    const choices = fc.record({
      length: fc.constantFrom('m', 'ft'),
      temperature: fc.constantFrom('°C', '°F'),
    })
    fc.assert(
      fc.property(choices, fc.integer({ min: -400, max: 4000 }), (chosen, tenths) => {
        const x = tenths / 10
        chooseUnits(chosen as Parameters<typeof chooseUnits>[0])
        expect(value(readTemperature(typedTemperature(x)))).toBeCloseTo(x, 6)
        expect(value(readLength(typedLength(Math.abs(x) + 0.01)))).toBeCloseTo(Math.abs(x) + 0.01, 6)
      }),
    )
  })

  it('show a temperature with its uncertainty, and leave other figures as they are', () => {
    const figure = { unit: '°C', x: uncertain(91.5, 'thermometer', 1) } as unknown as Figure
    expect(inUnits(figure)).toBe(figure)
    chooseUnits({ temperature: '°F' })
    const shown = inUnits(figure)
    expect([shown.unit, shown.x.value, shown.x.sources.get('thermometer')]).toEqual([
      '°F',
      expect.closeTo(196.7, 6),
      1.8,
    ])
    const volts = { ...figure, unit: 'V' } as Figure
    expect(inUnits(volts)).toBe(volts)
  })
})
