import type { Temperature } from '@even-watt/contract'
import fc from 'fast-check'
import { cableOf, noLoadEntry, revisionOf, rigOf, trialOf, unitOf, uuid } from '../../test/makers'
import { claimOf as claim } from '../../test/verdicts'
import { describeElement, sayWarmth, warmthOf } from '../rigs'
import { sayClaim } from '../units'
import { viewTrial } from '../view'
import { say, sayFigure, sayRise, sayTemperature, usualWriting, writeIn, type Writing } from '.'
import { uncertain } from '../meters'

const american: Writing = { ...usualWriting, length: 'ft', temperature: '°F', gauge: 'AWG', mass: 'lb' }
const comma: Writing = { ...usualWriting, decimal: ',' }

describe('sentences of the method, written as the bench reads them', () => {
  afterEach(() => writeIn(usualWriting))

  it('say a promise in the degrees of the bench, and every other unit as it was printed', () => {
    const warm = claim({ room: 40 })
    const hot = claim({ quantity: 'case temperature', comparator: 'at most', value: 60, unit: '°C' })
    expect([sayClaim(warm), sayClaim(hot)]).toEqual(['1400 W up to 40 °C', '≤ 60 °C'])
    writeIn(american)
    expect([sayClaim(warm), sayClaim(hot)]).toEqual(['1400 W up to 104 °F', '≤ 140 °F'])
    writeIn(comma)
    expect(sayClaim(claim({ value: 1.5, unit: 'kW' }))).toBe('1,5 kW')
  })

  it('say how warm a lug was, its rise without the 32', () => {
    const rig = rigOf({ positive: [cableOf('positive lead', 52)] })
    const temperatures: Temperature[] = [
      { place: 'part of the rig', part: uuid(52), celsius: 60 },
      { place: 'room', celsius: 20 },
    ]
    const said = () => warmthOf(temperatures, rig).map(sayWarmth)
    expect(said()[0]).toBe(
      'positive lead 60 °C, 40 K over the room; in a room of 40 °C 80 °C, of the 105 °C that its insulation stands',
    )
    writeIn(american)
    expect(said()).toEqual([
      'positive lead 140 °F, 72 °F over the room; in a room of 104 °F 176 °F, of the 221 °F that its insulation stands',
      'room 68 °F',
    ])
  })

  it('say a lead by its size and length', () => {
    const lead = cableOf('positive lead', 52)
    expect(describeElement(lead)).toBe('16 mm² copper, 1.2 m')
    writeIn(american)
    expect(describeElement(lead)).toBe('16 mm² (about 5 AWG) copper, 3.94 ft')
  })

  it('judge alike, whatever they are written in', () => {
    const claims = [claim({ quantity: 'idle draw', comparator: 'at most', value: 11 })]
    const outcome = () => {
      const { findings } = viewTrial(trialOf([revisionOf({ unit: unitOf({ claims }) })]), [
        noLoadEntry({ V_B: 25.6, I: 4 }),
      ])
      return findings[0]?.standing
    }
    const usual = outcome()
    expect(usual?.outcome).toBe('not met')
    writeIn(comma)
    const other = outcome()
    expect(other?.outcome).toBe('not met')
    expect(other?.sentence).not.toBe(usual?.sentence)
    expect(other?.sentence.replace(/(\d),(\d)/g, '$1.$2')).toBe(usual?.sentence)
  })

  it('differ only in the mark, for any figure', () => {
    const unit = fc.constantFrom('V', 'A', 'W', '%', 'mΩ', '')
    fc.assert(
      fc.property(
        fc.double({ min: -1e5, max: 1e5, noNaN: true }),
        fc.double({ min: 1e-4, max: 10, noNaN: true }),
        unit,
        (x, u, name) => {
          const both = () => [sayFigure({ unit: name, x: uncertain(x, 'meter', u) }), say(x, name)]
          writeIn(usualWriting)
          const points = both()
          writeIn(comma)
          expect(both().map((said) => said.replaceAll(',', '.'))).toEqual(points)
        },
      ),
    )
  })

  it('put degrees in order, and rises in proportion', () => {
    fc.assert(
      fc.property(fc.integer({ min: -40, max: 300 }), fc.integer({ min: 1, max: 100 }), (celsius, more) => {
        writeIn(american)
        const [a, b] = [celsius, celsius + more].map((one) =>
          Number(sayTemperature(one, 1).replace('−', '-').split(' ')[0]),
        )
        expect((b ?? NaN) - (a ?? NaN)).toBeCloseTo(1.8 * more, 6)
        expect(Number(sayRise(more).split(' ')[0])).toBe(Math.round(Number((1.8 * more).toFixed(6))))
      }),
    )
    writeIn(american)
    expect([sayTemperature(-40), sayTemperature(-17.8)]).toEqual(['−40 °F', '0 °F'])
  })
})
