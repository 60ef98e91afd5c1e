import fc from 'fast-check'
import { parseMeasure, parseNumber, parseTemperature } from '.'

const read = (text: string) => {
  const parsed = parseNumber(text)
  return parsed.ok ? parsed.value : parsed.why
}

describe('numbers as typed', () => {
  it.each([
    ['12.84', 12.84],
    ['12,84', 12.84],
    [' 1.2k ', 1200],
    ['850m', 0.85],
    ['850 m', 0.85],
    ['−3', -3],
    ['1e-3', 0.001],
    ['.5', 0.5],
    ['5.', 5],
    ['40µ', 0.00004],
  ])('%s', (text, value) => expect(read(text)).toBe(value))

  it.each(['12.8.4', 'abc', '1,234,567', '--3', '.', '1e999', 'NaN', 'Infinity', '0x10', '3 V'])(
    '%s is refused in a sentence',
    (text) => {
      expect(read(text)).toContain('is not a number')
    },
  )

  it('refuses a 40-digit number, and an empty field', () => {
    expect(read('1234567890123456789012345678901234567890')).toBe('Too many digits: 15 at most.')
    expect(read('')).toBe('A number is needed here.')
  })

  it('never yields NaN or an infinity, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const parsed = parseNumber(text)
        expect(!parsed.ok || Number.isFinite(parsed.value)).toBe(true)
      }),
    )
  })

  it('reads back any number with either decimal mark', () => {
    fc.assert(
      fc.property(fc.integer({ min: -999999, max: 999999 }), (n) => {
        const text = (n / 100).toFixed(2)
        expect(read(text)).toBeCloseTo(n / 100, 9)
        expect(read(text.replace('.', ','))).toBe(read(text))
      }),
    )
  })
})

describe('units beside SI', () => {
  it.each([
    ['4 ft', 'length', 1.2192],
    ['340 mm', 'length', 0.34],
    ['6in', 'length', 0.1524],
    ['1.2', 'length', 1.2],
    ['9 lb', 'mass', 4.08233133],
    ['1,5 hp', 'power', 1118.5498073734],
    ['1.4 kW', 'power', 1400],
    ['10 lb·ft', 'torque', 13.558179483],
  ] as const)('%s as %s', (text, dimension, value) => {
    const parsed = parseMeasure(text, dimension)
    expect(parsed.ok && parsed.value).toBeCloseTo(value, 6)
  })

  it('says which units are accepted', () => {
    expect(parseMeasure('4 yd', 'length')).toMatchObject({
      ok: false,
      why: expect.stringContaining('m, cm, mm, ft') as string,
    })
  })

  it('takes temperatures in °C and °F', () => {
    expect(parseTemperature('104 °F')).toEqual({ ok: true, value: 40 })
    expect(parseTemperature('40 °C')).toEqual({ ok: true, value: 40 })
    expect(parseTemperature('-4F')).toEqual({ ok: true, value: -20 })
    expect(parseTemperature('hot').ok).toBe(false)
  })
})
