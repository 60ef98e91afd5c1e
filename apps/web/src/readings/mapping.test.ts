import { randomUUID } from 'node:crypto'
import type { Quantity } from '@even-watt/contract'
import { writtenDemo } from '@even-watt/bench/written'
import { usualWriting, writeIn } from '@even-watt/core'
import { mapRows } from './mapping'
import { guessMapping, type Mapping } from './targets'

const revision = writtenDemo().trials[0]?.trial.revisions[0]
if (!revision) throw new Error('no demo')
const context = {
  revision,
  position: 100,
  at: '2026-03-12T09:00:00.000Z',
  newId: () => randomUUID(),
  thdInPercent: true,
  day: '2026-03-12',
  ranges: new Map<Quantity, string>(),
  header: [] as string[],
}
const take = (header: string[], rows: string[][], patch: Partial<typeof context> = {}) =>
  mapRows(rows, guessMapping(header), { ...context, header, ...patch })

const local = (text: string) => new Date(text).toISOString()

describe('times in a foreign table', () => {
  it('are times of day of the day given, on past midnight, or whole moments', () => {
    const rows = [
      ['23:58', 'rod', '25.6'],
      ['0:01:30', 'rod', '25.5'],
      ['2026-03-14 08:15', 'rod', '25.4'],
      ['', 'rod', '25.3'],
    ]
    const { entries, faults } = take(['Time', 'load', 'VB'], rows)
    expect(faults).toEqual([])
    expect(entries.map(({ at }) => at)).toEqual([
      local('2026-03-12T23:58:00'),
      local('2026-03-13T00:01:30'),
      local('2026-03-14T08:15:00'),
      context.at,
    ])
    expect(entries[0]?.reading.values[0]?.at).toBe(entries[0]?.at)
  })

  it('are refused in a sentence at their row when they are none', () => {
    const { faults } = take(
      ['Time', 'load', 'VB'],
      [
        ['25:10', 'rod', '25.6'],
        ['soon', 'rod', '25.5'],
        ['9:60', 'rod', '25.5'],
      ],
    )
    expect(faults.map(({ row }) => row)).toEqual([2, 3, 4])
    expect(faults[1]?.sentence).toBe(
      'time: "soon" is no time. Accepted: 9:12, 09:12:30, 2026-03-12 09:12:30.',
    )
  })
})

describe('a foreign table', () => {
  it('says with its row what the contract would refuse, and keeps the others', () => {
    const { entries, faults } = take(
      ['load', 'VB', 'held', 'note'],
      [
        ['rod', '25.6', '60', ''],
        ['rod', '25.6', '1e8', ''],
        ['ro\0d', '25.6', '60', ''],
        ['rod', '25.6', '60', 'x'.repeat(2500)],
        ['plate', '25.4', '60', 'fine'],
      ],
    )
    expect(entries.map(({ reading }) => reading.load)).toEqual(['rod', 'plate'])
    expect(faults.map(({ row }) => row)).toEqual([3, 4, 5])
    expect(faults.map(({ sentence }) => sentence)).toEqual([
      expect.stringMatching(/^Held/),
      expect.stringMatching(/^Load/),
      expect.stringMatching(/^Note: \d+ characters at most\.$/),
    ])
  })

  it('carries the range that a meter stood on', () => {
    const range = randomUUID()
    const { entries } = take(['load', 'VB'], [['rod', '25.6']], { ranges: new Map([['V_B', range]]) })
    expect(entries[0]?.reading.values[0]?.range).toBe(range)
  })

  it('has its columns guessed, each target once', () => {
    const guessed = guessMapping([
      'Load',
      'V_A [V] Bench DMM 1',
      'Vdc',
      'VB',
      'Idc',
      'Watts',
      'Remark',
      'mood',
    ])
    expect([...guessed]).toEqual([
      [0, 'load'],
      [1, 'V_A'],
      [2, 'V_B'],
      [4, 'I'],
      [5, 'P_C'],
      [6, 'note'],
    ])
  })

  it('becomes readings on the meters of the rig, neighbours of one load being one step', () => {
    const { entries, faults } = take(
      ['load', 'V_B', 'THD'],
      [
        ['mat', '26,3', '1,2'],
        ['mat', '26.2', '1.2'],
        ['rod', '25', '1.5'],
        ['mat', '26', ''],
      ],
    )
    expect(faults).toEqual([])
    const steps = entries.map((entry) => entry.reading.step)
    expect(steps[0]).toBe(steps[1])
    expect(new Set(steps).size).toBe(3)
    expect(entries.map((entry) => entry.reading.position)).toEqual([110, 110, 120, 130])
    expect(entries[0]?.reading.values).toEqual([
      {
        quantity: 'V_B',
        value: 26.3,
        grade: 'measured',
        meter: revision.rig.assignments.find(({ quantity }) => quantity === 'V_B')?.meter,
      },
      {
        quantity: 'THD',
        value: 0.012,
        grade: 'measured',
        meter: revision.rig.assignments.find(({ quantity }) => quantity === 'THD')?.meter,
      },
    ])
  })

  it('names every broken row and takes none of it', () => {
    const rows = [
      ['mat', '26'],
      ['', '26'],
      ['rod', '12.8.4'],
      ['oven', ''],
      ['plate', '9999999'],
    ]
    const { entries, faults } = take(['load', 'V_B'], rows)
    expect(entries.map((entry) => entry.reading.load)).toEqual(['mat'])
    expect(faults.map((fault) => fault.row)).toEqual([3, 4, 5, 6])
    expect(faults[1]?.sentence).toContain('"12.8.4" is not a number')
  })

  it('reads kinds and states by their words, and says which there are', () => {
    const header = ['load', 'V_B', 'kind', 'alarm', 'held']
    const { entries, faults } = take(header, [
      ['lamps', '26', 'Filament', 'none', '600'],
      ['x', '26', 'wobbly', '', ''],
      ['y', '26', '', '', 'long'],
    ])
    expect(entries[0]?.reading).toMatchObject({ kind: 'filament', alarm: 'none', held: 600 })
    expect(faults[0]?.sentence).toContain('is not one of element, filament')
    expect(faults[1]?.sentence).toContain('seconds above 0')
  })

  it('leaves empty rows and columns that are left out alone', () => {
    const mapping: Mapping = new Map([
      [0, 'load'],
      [2, 'V_B'],
    ])
    const { entries, faults } = mapRows(
      [
        ['mat', 'rubbish', '26'],
        ['', '', ''],
      ],
      mapping,
      context,
    )
    expect(faults).toEqual([])
    expect(entries[0]?.reading.values).toHaveLength(1)
  })
})

describe('tables as benches write them', () => {
  const guessed = (header: string) => [...guessMapping(header.split(/[,;]/)).values()]

  it('have their headings of several words understood', () => {
    expect(guessed('load,V at posts,A clamp,V out,W out,remark')).toEqual([
      'load',
      'V_A',
      'I',
      'V_C',
      'P_C',
      'note',
    ])
    expect(guessed('step;V batt;V unit;V out;W out')).toEqual(['load', 'V_A', 'V_B', 'V_C', 'P_C'])
    expect(guessed('load W shown,battery V shown,V out shown,meter V out,meter W out')).toEqual([
      'display, output W',
      'display, input V',
      'display, output V',
      'V_C',
      'P_C',
    ])
  })

  it('with nothing but a display become steps of their own, the display as such', () => {
    const header = ['load W shown', 'battery V shown', 'V out shown', 'meter V out', 'meter W out']
    const { entries, faults } = take(header, [
      ['308', '26.2', '228', '228.6', '300'],
      ['626', '26.0', '227', '', ''],
    ])
    expect(faults).toEqual([])
    expect(entries.map(({ reading }) => reading.load)).toEqual(['step 1', 'step 2'])
    expect(entries[1]?.reading).toMatchObject({
      values: [],
      display: { outputPower: 626, inputVoltage: 26, outputVoltage: 227 },
    })
    expect(take(header, [['-3', '', '', '', '']]).faults[0]?.sentence).toContain(
      'display, output W: a number from 0 up',
    )
  })
})

describe('temperatures in a foreign table', () => {
  afterEach(() => writeIn(usualWriting))
  const celsius = (heading: string, cell = '104') =>
    take(['load', heading], [['rod', cell]]).entries[0]?.reading.values.find(
      ({ quantity }) => quantity === 'T',
    )?.value

  it('are read in what their heading names, whatever the bench reads in', () => {
    for (const temperature of ['°C', '°F'] as const) {
      writeIn({ ...usualWriting, temperature })
      expect(celsius('T [°C]')).toBe(104)
      expect(celsius('temp (F)')).toBeCloseTo(40, 9)
      expect(celsius('temperature °F')).toBeCloseTo(40, 9)
      expect(celsius('temp (F)', '40 °C')).toBe(40)
    }
  })

  it('are read in the degrees of the bench where it names none', () => {
    expect(celsius('temp')).toBe(104)
    writeIn({ ...usualWriting, temperature: '°F' })
    expect(celsius('temp')).toBeCloseTo(40, 9)
  })
})
