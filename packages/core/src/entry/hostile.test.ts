import { parseGauge } from '../conductors'
import { quickLoad } from '../loads'
import { isNumeric } from '../logs/read/manner'
import { parseTargets } from '../plan'
import { readTable } from '../waveform/read/table'
import { numeralOf } from './numeral'
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

  it.each<[string, (text: string) => unknown]>([
    ['a cell of a logger', (text) => isNumeric(text, false)],
    ['a cell of an instrument', (text) => numeralOf(text, true)],
    ['a load in one line', (text) => quickLoad(`plate ${text.slice(0, 2000)} 350 / 700 W`, 230)],
    ['a table', (text) => readTable(`a,b\n${text},1\n1,2\n3,4\n5,6\n`).columns.length],
  ])('is read as %s to its end', (_, read) => {
    for (const text of [...hostile, `${'1'.repeat(40_000)}x`, `1 ${'w / 1 '.repeat(5000)}`])
      expect(() => read(text)).not.toThrow(RangeError)
  })

  it('is refused in a short sentence', () => {
    for (const text of hostile) {
      const read = parseNumber(text)
      if (!read.ok) expect(read.why.length).toBeLessThan(120)
    }
  })
})
