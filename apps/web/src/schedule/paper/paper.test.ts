import { stationMeters, stationRigs, stationUnits } from '@even-watt/bench'
import { writtenDemo } from '@even-watt/bench/written'
import type { Block, EntryOf, Revision, StoredRig } from '@even-watt/contract'
import { scheduleOf, type ScheduleQuestion } from '@even-watt/core'
import fc from 'fast-check'
import type { SheetRow, SheetTable } from './boxes'
import { hoursRows } from './hours'
import { readRow } from './readRow'
import { sheetOf } from './sheet'

const id = (n: number) => `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`
const hour = 3_600_000
const rig = writtenDemo().rigs[0] as StoredRig
const station: Revision = {
  number: 1,
  why: 'first',
  madeAt: '2026-04-14T08:00:00.000Z',
  unit: stationUnits.corrick,
  rig: stationRigs.corrick,
  meters: Object.values(stationMeters),
}
const revision: Revision = { ...station, unit: stationUnits.ottrel, rig }
const blocks = (...kinds: Block['kind'][]): Block[] =>
  kinds.map((kind, i) => ({ id: id(i), kind, fixed: false }))

const question: Omit<ScheduleQuestion, 'blocks'> = {
  start: 0,
  days: [{ opens: 0, closes: 24 * hour }],
  steps: [{ what: 'about 500 W', watts: 500, settle: 0 }],
  motors: [{ what: 'pump', watts: 180, settle: 0 }],
  settle: 60,
  dwell: 60,
  reading: 60,
  hold: 600,
  rated: 1400,
  loss: (P) => 10 + 0.05 * P,
  bank: rig.bank,
  supply: undefined,
  charger: 0,
  charge: 1,
  loaded: [],
  sayTime: String,
}

describe('the run sheet', () => {
  const made = scheduleOf({
    ...question,
    blocks: blocks('no load', 'ladder', 'motors', 'rated hold', 'findings'),
  })
  const tables = sheetOf({ made, plan: undefined, loads: [], revision, every: 10 })
  const table = (kind: SheetTable['kind']) => tables.find((one) => one.kind === kind) as SheetTable
  const context = {
    newId: () => id(91),
    revision: 1,
    at: '2026-03-12T10:42:00.000Z',
    position: 30,
    attempt: 4,
    loads: [],
    log: undefined,
  }
  const read = (of: SheetTable, written: Record<string, string>) =>
    readRow(of, of.rows[0] as SheetRow, written, context)
  const key = (of: SheetTable, head: string) => of.columns.find((one) => one.head === head)?.key ?? ''

  it('has a table for each stage that is read, in the order of time, its boxes in reading order', () => {
    expect(tables.map(({ kind }) => kind)).toEqual(['no load', 'ladder', 'motors', 'rated hold'])
    expect(table('ladder').columns.map(({ head }) => head)).toEqual([
      'time',
      'V_A',
      'V_B',
      'I',
      'V_C',
      'I_C',
      'P_C',
      'PF',
      'f',
      'THD',
      'T',
      'note',
    ])
    expect(table('no load').columns.map(({ head }) => head)).toContain('idle I')
    expect(table('ladder').rows).toEqual([{ id: `${id(1)} 0`, label: 'about 500 W', expected: 500 }])
  })

  it('is read back as what the bench would have captured, at the time written', () => {
    const ladder = table('ladder')
    const [entry] = read(ladder, {
      time: '10:42',
      [key(ladder, 'V_B')]: '25,61',
      [key(ladder, 'P_C')]: '498',
    }).entries
    expect(entry).toMatchObject({
      kind: 'ladder',
      at: context.at,
      reading: {
        step: id(91),
        position: 30,
        load: 'about 500 W',
        expected: 500,
        values: [
          { quantity: 'V_B', value: 25.61 },
          { quantity: 'P_C', value: 498 },
        ],
      },
    })
    const idle = table('no load')
    expect(read(idle, { [key(idle, 'idle I')]: '0.405' }).entries[0]).toMatchObject({
      kind: 'no load',
      reading: { mode: 'on', values: [{ quantity: 'I', value: 0.405, grade: 'measured' }] },
    })
    expect(
      read(table('motors'), { outcome: 'started', bankBefore: '26.2', peakCurrent: '5.1' }).entries[0],
    ).toMatchObject({
      kind: 'motors',
      reading: { number: 4, load: 'pump', bankBefore: 26.2, outcome: 'started' },
    })
    const hold = table('rated hold')
    expect(read(hold, { held: '600', [key(hold, 'P_C')]: '1404' }).entries[0]).toMatchObject({
      reading: { held: 600 },
    })
  })

  it('says what is wrong at its box, and takes nothing over', () => {
    const ladder = table('ladder')
    const bad = read(ladder, { time: '25:00', [key(ladder, 'V_B')]: 'twelve' })
    expect(bad.entries).toEqual([])
    expect(bad.faults['time']).toBe('Time: a time of day like 10:42, not "25:00".')
    expect(bad.faults[key(ladder, 'V_B')]).toMatch(/^V_B:/)
    expect(read(table('no load'), {}).faults).toEqual({ values: 'Nothing is written here yet.' })
    expect(read(table('motors'), {}).faults['outcome']).toMatch(/^Outcome: one of/)
    expect(read(table('motors'), { outcome: 'started', peakCurrent: 'much' }).faults).toHaveProperty(
      'peakCurrent',
    )
  })
})

describe('the run sheet of hours', () => {
  const made = scheduleOf({
    ...question,
    bank: station.rig.bank,
    blocks: blocks('soak', 'run-down', 'charge').map((one) => ({ ...one, watts: 300 })),
    charger: 10,
  })
  const tables = sheetOf({ made, plan: undefined, loads: [], revision: station, every: 10 })
  const table = (kind: SheetTable['kind']) => tables.find((one) => one.kind === kind) as SheetTable
  const run = table('run-down')
  let given = 40
  const context = {
    newId: () => id(given++),
    revision: 1,
    at: '2026-04-14T10:00:00.000Z',
    position: 0,
    attempt: 1,
    loads: [],
    log: undefined,
  }
  const begun = readRow(run, run.rows[0] as SheetRow, { charge: '100', 'P_C|': '301' }, context)
  const log = begun.entries[0] as EntryOf<'log'>
  const later = (written: Record<string, string>, row = 1) =>
    readRow(run, run.rows[row] as SheetRow, written, { ...context, log })

  it('asks what the meters hang for, the gauge and what happened, from the beginning to the end', () => {
    expect(tables.map(({ kind }) => kind).sort()).toEqual(['charge', 'run-down', 'soak'])
    expect(run.columns.map(({ head }) => head)).toEqual([
      'time',
      'V_C',
      'P_C',
      'E_C',
      'gauge',
      'case',
      'what happened',
      'it ended',
      'note',
    ])
    expect(table('soak').columns.map(({ head }) => head)).not.toContain('gauge')
    expect(run.rows[0]).toMatchObject({ label: 'it begins', expected: 300 })
    expect(run.rows.at(-1)?.label).toBe('its end')
  })

  it('has a look as often as is asked, and no more than fill a page', () => {
    const labels = (minutes: number, every: number) =>
      hoursRows('a', minutes, every, undefined).map(({ label }) => label)
    expect(labels(30, 10)).toEqual(['it begins', 'after 10 min', 'after 20 min', 'its end'])
    expect(labels(5, 10)).toEqual(['it begins', 'its end'])
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 10_000, noNaN: true }),
        fc.integer({ min: 1, max: 240 }),
        (minutes, every) => {
          const rows = hoursRows('a', minutes, every, 300)
          expect(rows.length).toBeGreaterThanOrEqual(2)
          expect(rows.length).toBeLessThanOrEqual(21)
          expect(new Set(rows.map((row) => row.id)).size).toBe(rows.length)
          const looks = rows.slice(1, -1).map(({ label }) => Number(/\d+/.exec(label)?.[0]))
          looks.forEach((at) => {
            expect(at % every).toBe(0)
            expect(at).toBeLessThan(minutes)
          })
        },
      ),
    )
  })

  it('begins the log with its first line, and looks at it with the others', () => {
    expect(begun.faults).toEqual({})
    expect(begun.entries.map(({ kind }) => kind)).toEqual(['log', 'check-in'])
    expect(log.reading).toMatchObject({ what: 'run-down', watts: 300, block: run.block })
    const power = run.columns.find(({ head }) => head === 'P_C')?.key ?? ''
    const [look] = later({ [power]: '299,4', charge: '88', case: '41', event: 'fan on' }).entries
    expect(look).toMatchObject({
      kind: 'check-in',
      at: context.at,
      reading: {
        log: log.id,
        values: [{ quantity: 'P_C', value: 299.4 }],
        charge: 0.88,
        temperatures: [{ place: 'case', celsius: 41 }],
        event: 'fan on',
      },
    })
    expect(later({ ended: 'heat' }, run.rows.length - 1).entries[0]).toMatchObject({
      reading: { ended: 'heat' },
    })
  })

  it('begins without any value, where nothing was read then', () => {
    expect(readRow(run, run.rows[0] as SheetRow, {}, context).entries.map(({ kind }) => kind)).toEqual([
      'log',
    ])
    const charge = table('charge')
    const [entry] = readRow(charge, charge.rows[0] as SheetRow, {}, context).entries
    expect(entry).toMatchObject({ reading: { what: 'charge', source: 'wall' } })
  })

  it('says what is wrong at its box, and takes nothing over', () => {
    const energy = run.columns.find(({ head }) => head === 'E_C')?.key ?? ''
    const bad = later({ [energy]: '-3', charge: 'full', case: 'warm', time: 'noon' })
    expect(bad.entries).toEqual([])
    expect(Object.keys(bad.faults).sort()).toEqual([energy, 'case', 'charge', 'time'].sort())
    expect(later({ charge: '140' }).faults).not.toEqual({})
    expect(later({}).faults).toEqual({ values: 'Nothing is written here yet.' })
    expect(readRow(run, run.rows[1] as SheetRow, { charge: '80' }, context).faults).toEqual({
      log: 'Take over the first line first: it begins this log.',
    })
  })
})
