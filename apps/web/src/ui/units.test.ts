import { writing } from '@even-watt/core'
import fc from 'fast-check'
import {
  chooseUnits,
  readLength,
  readMass,
  readShaftPower,
  readSide,
  readTemperature,
  typedLength,
  typedMass,
  typedSide,
  typedTemperature,
} from './units'

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
      mass: fc.constantFrom('kg', 'lb'),
      decimal: fc.constantFrom('.', ','),
    })
    fc.assert(
      fc.property(choices, fc.integer({ min: -400, max: 4000 }), (chosen, tenths) => {
        const x = tenths / 10
        chooseUnits(chosen as Parameters<typeof chooseUnits>[0])
        expect(value(readTemperature(typedTemperature(x)))).toBeCloseTo(x, 6)
        expect(value(readMass(typedMass(Math.abs(x) + 0.01)))).toBeCloseTo(Math.abs(x) + 0.01, 6)
        expect(value(readLength(typedLength(Math.abs(x) + 0.01)))).toBeCloseTo(Math.abs(x) + 0.01, 6)
      }),
    )
  })

  it('keep what was chosen, and forget what no bench can choose', () => {
    chooseUnits({ decimal: ',', mass: 'lb' })
    expect([writing().decimal, writing().mass, writing().length]).toEqual([',', 'lb', 'm'])
    expect(typedMass(4.5359237)).toBe('10')
    expect(typedLength(1.25)).toBe('1,25')
    chooseUnits({ decimal: 'x' } as unknown as Parameters<typeof chooseUnits>[0])
    expect(writing().decimal).toBe('.')
  })

  it('take the sides of a thing in millimetres or inches', () => {
    expect(value(readSide('340'))).toBe(0.34)
    expect(value(readSide('0.34 m'))).toBe(0.34)
    expect(readSide('0.34')).toEqual({ ok: false, why: 'Is "0.34" in mm? Add the unit.' })
    chooseUnits({ length: 'ft' })
    expect(value(readSide('13'))).toBeCloseTo(0.3302, 9)
    expect(typedSide(0.3302)).toBe('13')
  })

  it('ask whether a shaft power is in watts or horsepower, where it could be neither', () => {
    expect(value(readShaftPower('370'))).toBe(370)
    expect(value(readShaftPower('0.5 hp'))).toBeCloseTo(372.85, 2)
    expect(readShaftPower('0.5')).toEqual({ ok: false, why: 'Is "0.5" in W or hp? Add the unit.' })
    chooseUnits({ motors: 'hp' })
    expect(value(readShaftPower('0.5'))).toBeCloseTo(372.85, 2)
    expect(readShaftPower('370').ok).toBe(false)
  })
})
