import { parseGauge } from '../conductors'
import { parseTargets } from '../plan'
import { parseMeasure, parseNumber, parseTemperature } from '.'

/** Texts on which a pattern that goes over them again and again is lost: on a cubic one 1,500 spaces took seconds. */
const hostile = [' ', '°', '1', '-', 'f', ' f', 'c ', '1 ', 'awg ', '%', '\t', '.'].flatMap((piece) => {
  const long = piece.repeat(20_000)
  return [long, `1${long}x`, `${long}f`, `${long}°f`, `1${long}`]
})

describe('text from a hostile hand', () => {
  // Read to its end within the time that any test has; a pattern that goes back over it would take hours.
  it.each<[string, (text: string) => { ok: boolean }]>([
    ['a number', parseNumber],
    ['a temperature', parseTemperature],
    ['a length', (text) => parseMeasure(text, 'length')],
    ['a gauge', parseGauge],
    ['targets', (text) => parseTargets(text, 1400)],
  ])('is read as %s to its end', (_, read) => {
    for (const text of hostile) expect(typeof read(text).ok).toBe('boolean')
  })

  it('is refused in a short sentence', () => {
    for (const text of hostile) {
      const read = parseNumber(text)
      if (!read.ok) expect(read.why.length).toBeLessThan(120)
    }
  })
})
