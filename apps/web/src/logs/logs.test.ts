import type { Revision } from '@even-watt/contract'
import { stationRigs, stationUnits, stationMeters } from '@even-watt/bench'
import { storedBy, type Log, type LoggedSeries } from '@even-watt/core'
import { guessTable, LogTaking, readHead, type TableHead } from '@even-watt/core/logs/read/index'
import type { ChartTheme } from '../ui/chart/theme'
import { groupsIn, linesOf, logChart, logLegend, timeUnit } from './chart'
import { choicesOf, factorsOf, mappingFor, usualOf, type Mapping } from './columns'
import { beginsAt } from './beginsAt'
import { isRunning, nameOfLog, sayMinutes } from './words'

const station: Revision = {
  number: 1,
  why: 'first',
  madeAt: '2026-04-14T08:00:00.000Z',
  unit: stationUnits.corrick,
  rig: stationRigs.corrick,
  meters: Object.values(stationMeters),
}
const inverter: Revision = { ...station, unit: stationUnits.ottrel, rig: stationRigs.l24 }

function takenFrom(bytes: Uint8Array, head: TableHead, { time, columns }: Mapping) {
  const taking = new LogTaking(head, time, choicesOf({ time, columns }))
  taking.feed(bytes)
  return taking.done()
}

describe('the columns of a table', () => {
  const bytes = new TextEncoder().encode(
    'clock;load W;kWh out;case °C;SoC %\n21:40;300;0,1;30;99\n21:41;300;0,2;31;98\n',
  )
  const head = readHead(bytes, bytes.length)
  const mapping = mappingFor(head, guessTable(head), station)
  it('are guessed with their units, meters and places', () => {
    expect(mapping?.time).toEqual({ column: 0, kind: 'time of day', monthFirst: false })
    expect(mapping?.columns.map(({ quantity, factor, of }) => [quantity, factor, of])).toEqual([
      ['P_C', 1, stationMeters.plug120.id],
      ['E_C', 1000, stationMeters.plug120.id],
      ['T', 1, 'case'],
      ['charge', 0.01, ''],
    ])
  })
  it('go on as what core takes: a place is a place, a gauge a display', () => {
    const [watts, , heat, gauge] = choicesOf(
      mapping ?? { time: { column: 0, kind: 'seconds', monthFirst: false }, columns: [] },
    )
    expect(watts).toMatchObject({ meter: stationMeters.plug120.id, grade: 'measured' })
    expect(heat).toMatchObject({ place: 'case' })
    expect(heat).not.toHaveProperty('meter')
    expect(gauge).toMatchObject({ grade: 'display' })
    expect(usualOf('I_battery', inverter)).toBe(stationRigs.l24.bank.strings[0]?.[0]?.id)
    expect(factorsOf('Q_B').map(([factor]) => factor)).toEqual([1, 0.001])
  })
  it('may be in °F: they are kept as they came, and count in °C', () => {
    const warm = new TextEncoder().encode(
      'clock;load W;case °F;room (F)\n21:40;300;104;68\n21:41;300;113;68\n',
    )
    const told = readHead(warm, warm.length)
    const kept = mappingFor(told, guessTable(told), station)
    if (!kept) throw new Error('no time')
    const { reading } = takenFrom(warm, told, kept)
    const [, heat, room] = reading.columns
    expect([heat?.quantity, heat?.max, heat && storedBy(heat)(heat.max)]).toEqual([
      'T',
      113,
      expect.closeTo(45, 9),
    ])
    expect(room && storedBy(room)(room.min)).toBeCloseTo(20, 9)
    expect(factorsOf('T').map(([, words]) => words)).toEqual(['°C', '°F'])
  })
  it('begin when their times say, or with the log', () => {
    expect(beginsAt('seconds since 1970', 1_767_225_600, '', '')).toBe('2026-01-01T00:00:00.000Z')
    expect(beginsAt('minutes', 0, '', '2026-04-14T08:00:00.000Z')).toBe('2026-04-14T08:00:00.000Z')
    expect(beginsAt('time of day', 3600, '2026-04-14', '')).toBe(
      new Date('2026-04-14T01:00:00').toISOString(),
    )
    // 08:00 in a zone of +05:30 is 02:30 by UTC, wherever this is read.
    expect(beginsAt('date and time', Date.UTC(2026, 3, 14, 8) / 1000, '', '', 330)).toBe(
      '2026-04-14T02:30:00.000Z',
    )
    expect(beginsAt('date and time', Date.UTC(2026, 3, 14, 9) / 1000, '', '')).toBe(
      new Date('2026-04-14T09:00:00').toISOString(),
    )
  })
})

const series = (
  quantity: LoggedSeries['quantity'],
  values: readonly number[],
  more: Partial<LoggedSeries> = {},
): LoggedSeries => ({
  quantity,
  meters: ['m'],
  grade: 'measured',
  points: values.map((value, i) => ({ at: i * 60, value })),
  largest: 1,
  integral: { value: 0, absolute: 0, open: 0, hours: 0 },
  rise: { value: 0, restarts: 0 },
  from: 'check-ins',
  entries: [],
  ...more,
})
const theme = new Proxy({}, { get: (_, name) => String(name) }) as ChartTheme

describe('the chart of a log', () => {
  const lines = linesOf(
    {
      series: [
        series('P_C', [300, 301]),
        series('E_C', [0, 5]),
        series('T', [20, 30], { place: 'lug-id' }),
        series('charge', [1, 0.9]),
      ],
    },
    (id) => (id === 'lug-id' ? 'negative lug' : undefined),
  )
  const charted = {
    lines,
    seconds: 60,
    from: 0,
    to: 60,
    events: [{ at: 30, what: 'stopped', entry: 'e', note: '<b>' }],
    segments: [
      { from: 0, to: 20 },
      { from: 40, to: 60 },
    ],
  }
  it('has a group for each unit, and no counters', () => {
    expect(groupsIn(lines)).toEqual(['W', '°C', '%'])
    expect(lines.map(({ words }) => words)).toEqual(['watts at the outlet', 'negative lug', 'charge shown'])
    expect(lines[2]?.points.map(({ value }) => value)).toEqual([100, 90])
  })
  it('draws lines, the time it stood still, and what happened, with words of strangers escaped', () => {
    const option = JSON.stringify(logChart({ ...charted, group: 'W' })(theme))
    expect(option).toContain('&#60;b&#62;')
    expect(option).not.toContain('<b>')
    expect(logLegend({ ...charted, group: 'W' })(theme).map(({ words }) => words)).toEqual([
      'watts at the outlet',
      'what happened',
      'it stood still',
    ])
  })
  it('draws how loud it was meanwhile, on an axis of its own', () => {
    const heard = linesOf({ series: [series('P_C', [300, 301])] }, () => undefined, [{ at: 30, value: 51 }])
    expect(groupsIn(heard)).toEqual(['W', 'dB(A)'])
    const option = JSON.stringify(logChart({ ...charted, lines: heard, group: 'dB(A)' })(theme))
    expect(option).toContain('noise, dB(A)')
    expect(option).toContain('51.00 dB(A)')
  })
  it('counts in the unit that suits its length', () => {
    expect([100, 3600, 36_000].map((s) => timeUnit(s).unit)).toEqual(['s', 'min', 'h'])
    expect([sayMinutes(59), sayMinutes(3720)]).toEqual(['59 s', '1 h 2 min'])
  })
})

describe('the name of a log', () => {
  const log = (reading: Partial<Log['entry']['reading']>, at = '2026-04-14T08:00:00.000Z') =>
    ({ entry: { at, reading: { what: 'run-down', ...reading } }, ended: undefined }) as unknown as Log
  it('says what it is of', () => {
    expect(nameOfLog(log({ watts: 300 }))).toBe('Run-down at 300 W')
    expect(nameOfLog(log({ what: 'charge', source: 'solar' }))).toBe('Charge from the sun')
    expect(nameOfLog(log({ what: 'soak', port: 'USB-C' }))).toBe('Soak of USB-C')
    expect(nameOfLog(log({ what: 'idle' }))).toBe('Idle')
  })
  it('runs until it ended, or was forgotten for a week', () => {
    const day = 86_400_000
    const begun = Date.parse('2026-04-14T08:00:00.000Z')
    expect([begun + day, begun + 8 * day, begun - day].map((now) => isRunning(log({}), now))).toEqual([
      true,
      false,
      false,
    ])
  })
})
