import type { LadderReading, StoredLoad } from '@even-watt/contract'
import fc from 'fast-check'
import { uuid, valuesOf } from '../../test/makers'
import { motorShare, quickLoad, takenOf, wattsAt } from '.'

describe('loads against voltage', () => {
  it('follow the law of their kind', () => {
    expect(wattsAt(1750, 230, 'element', 221)).toBeCloseTo(1616, 0)
    expect(wattsAt(60, 230, 'filament', 115)).toBeCloseTo(60 * 0.5 ** 1.55, 9)
    expect(wattsAt(65, 230, 'electronic', 200)).toBe(65)
    fc.assert(
      fc.property(fc.double({ min: 1, max: 3000, noNaN: true }), (watts) => {
        expect(wattsAt(watts, 230, 'element', 230)).toBeCloseTo(watts, 9)
      }),
    )
  })
})

describe('quick add', () => {
  const read = (line: string) => quickLoad(line, 230)
  it.each([
    [
      'kettle 1750 W 230 V',
      { name: 'kettle', kind: 'element', volts: 230, settings: [{ name: '', watts: 1750 }] },
    ],
    [
      'plate 350/700 W',
      {
        name: 'plate',
        settings: [
          { name: '1', watts: 350 },
          { name: '2', watts: 700 },
        ],
      },
    ],
    ['heater 1,5 kW 120 V', { name: 'heater', volts: 120, settings: [{ name: '', watts: 1500 }] }],
    ['desk lamp 60W', { name: 'desk lamp', kind: 'filament' }],
    [
      'transfer pump 0.5 hp',
      { kind: 'induction motor', settings: [{ name: '', watts: expect.closeTo(372.8, 1) as number }] },
    ],
    [
      'fan heater 385 / 725 W',
      {
        name: 'fan heater',
        kind: 'element',
        settings: [
          { name: '1', watts: 385 },
          { name: '2', watts: 725 },
        ],
      },
    ],
    [
      'drying plate 385 W / 0,7 kW',
      {
        kind: 'element',
        settings: [
          { name: '1', watts: 385 },
          { name: '2', watts: 700 },
        ],
      },
    ],
    ['induction plate 500 W', { kind: 'electronic' }],
    ['desk fan 40 W', { kind: 'induction motor' }],
    ['phone charger 20 W', { kind: 'electronic' }],
  ] as const)('%s', (line, load) => {
    const quick = read(line)
    expect(quick).toMatchObject({ ok: true })
    expect(quick.ok && quick.load).toMatchObject(load)
  })

  it.each([
    ['kettle', 'how many watts'],
    ['1750 W', 'needs a name'],
    ['', 'needs a name'],
    ['kettle 100 kW', 'no plug-in load'],
    ['kettle 0 W', 'no plug-in load'],
    ['kettle 1750 W 0 V', 'Volts'],
  ])('%p is refused in a sentence', (line, why) => {
    const quick = read(line)
    expect(!quick.ok && quick.why).toContain(why)
  })

  it('never takes nonsense for a load', () => {
    fc.assert(
      fc.property(fc.string(), (line) => {
        const quick = read(line)
        if (quick.ok) for (const { watts } of quick.load.settings) expect(watts).toBeGreaterThan(0)
      }),
    )
  })
})

describe('what a setting really took', () => {
  const kettle: StoredLoad = {
    id: uuid(301),
    version: 1,
    savedAt: '2026-03-01T00:00:00.000Z',
    name: 'kettle',
    kind: 'element',
    volts: 230,
    loud: false,
    settings: [{ id: uuid(302), name: '', watts: 1750 }],
  }
  const use = { load: uuid(301), setting: uuid(302) }
  const reading = (P_C: number, V_C: number, uses = [use]): LadderReading => ({
    step: uuid(1),
    position: 1,
    load: 'kettle',
    kind: 'element',
    uses,
    values: valuesOf({ P_C, V_C }),
  })

  it('is brought to its label volts, with its spread', () => {
    const [taken] = takenOf([kettle], [reading(1616, 221), reading(1620, 221)])
    expect(taken?.setting).toBe(uuid(302))
    expect(taken?.watts).toBeCloseTo((1618 * 230 ** 2) / 221 ** 2, 6)
    expect(taken?.spread).toBeCloseTo(((4 / Math.SQRT2) * 230 ** 2) / 221 ** 2, 6)
    expect(taken?.times).toBe(2)
  })

  it('is not learnt from several loads at once, unknown ones, or readings without volts', () => {
    expect(takenOf([kettle], [reading(2000, 221, [use, use])])).toEqual([])
    expect(takenOf([], [reading(1616, 221)])).toEqual([])
    expect(takenOf([kettle], [{ ...reading(1616, 221), values: valuesOf({ P_C: 1616 }) }])).toEqual([])
    expect(takenOf([kettle], [reading(1616, 221, [])])).toEqual([])
  })
})

describe('a motor beside other loads', () => {
  const heater = { watts: 1000, volts: 230, kind: 'element' as const }
  it('is what is left once the base is taken at V² of the sagged voltage', () => {
    expect(motorShare(1000 * (207 / 230) ** 2 + 370, 207, [heater])).toBeCloseTo(370, 9)
    expect(motorShare(1370, 207, [heater])).toBeCloseTo(560, 9)
  })
  it('is all of it where nothing else is on, and negative where less was read than the others take', () => {
    expect(motorShare(370, 220, [])).toBe(370)
    expect(motorShare(900, 230, [heater])).toBe(-100)
    expect(motorShare(1100, 150, [{ ...heater, kind: 'electronic' }])).toBe(100)
  })
})
