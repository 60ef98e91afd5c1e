import { writtenDemo } from '@even-watt/bench/written'
import { viewTrial } from '@even-watt/core'
import Papa from 'papaparse'
import { formatVersion, type Entry, type EntryOf, type TrialDocument } from '@even-watt/contract'
import { isLoopback } from '../src/http/guard'
import { ProblemError } from '../src/http/problem'
import { faultsIn } from '../src/trials/faults'
import { readingsCsv } from '../src/trials/csv'
import { figuresCsv } from '../src/trials/figuresCsv'
import { settingsOf } from '../src/trials/exchange'
import { readDocument } from '../src/trials/taken'

const [ottrel, pellam] = writtenDemo().trials
if (!ottrel || !pellam) throw new Error('no demo')

describe('readings as CSV', () => {
  const rows = (document: TrialDocument) => readingsCsv(document).split('\r\n')

  it('have a row for every reading and a column for every meter of a quantity', () => {
    const [header = '', ...body] = rows(pellam)
    const counted = new Set(['ladder', 'no load', 'motors', 'limit', 'log', 'check-in'])
    expect(body).toHaveLength(pellam.entries.filter(({ kind }) => counted.has(kind)).length)
    expect(header).toContain('lowest V_B [V]')
    expect(header).toContain('load [W]')
    expect(header).toContain('V_C [V] Bench DMM 2')
    expect(header).toContain('V_C [V] Pocket meter')
    expect(header).not.toMatch(/(^|,)P_C/)
  })

  it('keep what was taken back, with why', () => {
    expect(rows(ottrel).filter((row) => row.includes('Two digits of V_B exchanged'))).toHaveLength(1)
  })

  it('keep two meters of one name apart on one quantity', () => {
    const [revision] = pellam.trial.revisions
    if (!revision) throw new Error('no revision')
    const meters = revision.meters.map((meter) => ({ ...meter, name: 'DMM' }))
    const trial = { ...pellam.trial, revisions: pellam.trial.revisions.map((one) => ({ ...one, meters })) }
    const columns =
      rows({ ...pellam, trial })[0]
        ?.split(',')
        .filter((head) => head.startsWith('V_C [V]')) ?? []
    expect(columns.length).toBeGreaterThan(1)
    expect(new Set(columns).size).toBe(columns.length)
  })

  it('of an empty trial are nothing but empty', () => {
    expect(readingsCsv({ ...ottrel, entries: [] })).toBe('')
  })

  it('quote what people write', () => {
    const ladder = ottrel.entries.find((entry): entry is EntryOf<'ladder'> => entry.kind === 'ladder')
    if (!ladder) throw new Error('no ladder')
    const with_ = (note: string) =>
      readingsCsv({ ...ottrel, entries: [{ ...ladder, reading: { ...ladder.reading, note } }] })
    expect(with_('a "quoted", note')).toContain('"a ""quoted"", note"')
    for (const formula of ['=1+1', '+1', '-1+2', '@SUM(A1)', '=1\n+2', ' =1', '\n@SUM(A1)'])
      expect(with_(formula)).toContain(`'${formula}`)
  })
})

describe('figures as CSV', () => {
  const parsed = (document: TrialDocument) =>
    Papa.parse<Record<string, string>>(figuresCsv(document), { header: true }).data

  it('have a row for every step of every rig, with U', () => {
    const rows = parsed(ottrel)
    const steps = viewTrial(ottrel.trial, ottrel.entries).analyses.flatMap(({ ladder }) => ladder.steps)
    expect(rows.filter(({ carried }) => carried)).toHaveLength(steps.length)
    // At 1400 W on the remade lug: η_unit about 93.1 %, known to about two points.
    const rated = rows.find(
      (row) => row['rig revision'] === '2' && Number(row['P_C watts at the outlet [W]']) > 1390,
    )
    expect(Number(rated?.['efficiency of the unit [%]'])).toBeCloseTo(93.1, 0)
    expect(Number(rated?.['U of efficiency of the unit [%]'])).toBeGreaterThan(0.5)
    const sum = Number(rated?.['P_B watts into the unit [W]']) + Number(rated?.['watts lost on the way [W]'])
    // Each cell is rounded to its own uncertainty.
    expect(Math.abs(Number(rated?.['P_A watts from the posts [W]']) - sum)).toBeLessThan(1)
  })

  it('say of each why it decides nothing, leave out what no step has, and are numbers with a minus', () => {
    const [first] = parsed(pellam)
    expect(Object.keys(first ?? {})).not.toContain('P_C watts at the outlet decides nothing')
    const steps = parsed(pellam).filter(({ carried }) => carried)
    const regulation = steps.map((row) => row['regulation against nominal [%]'])
    expect(regulation.every((cell) => /^-?\d/.test(cell ?? ''))).toBe(true)
    expect(regulation.some((cell) => Number(cell) < 0)).toBe(true)
    expect(figuresCsv({ ...ottrel, entries: [] })).toBe('')
    const hour = parsed(ottrel).find(({ kind }) => kind === 'rated hold')
    expect(hour).toMatchObject({ 'ran [s]': '3600', ended: 'time was up' })
    expect(Number(hour?.['E_C [Wh]']) / 1400).toBeCloseTo(1, 1)
    expect(Number(hour?.['U of E_C [Wh]'])).toBeGreaterThan(5)
  })
})

describe('entries that do not fit', () => {
  const entry = (patch: object): Entry =>
    ({ id: 'a', revision: 1, at: '', kind: 'take back', entry: 'b', why: 'x', ...patch }) as Entry
  const faults = (entries: Entry[], known: string[] = []) =>
    faultsIn(entries, new Set([1, 2]), new Set(known)).map(({ path }) => path)

  it('name a revision or an entry that the trial does not have', () => {
    expect(faults([entry({ revision: 3 })], ['b'])).toEqual(['0.revision'])
    expect(faults([entry({})])).toEqual(['0.entry'])
    expect(faults([entry({ entry: 'a' })], ['a'])).toEqual(['0.entry'])
  })

  it('may speak of an entry sent along with them, or of one already there', () => {
    expect(faults([entry({ id: 'b', entry: 'c' }), entry({})], ['c'])).toEqual([])
    expect(faults([entry({})], ['b'])).toEqual([])
  })

  it('are found among many, each by its place', () => {
    expect(
      faults([entry({}), entry({ id: 'c', revision: 9 }), entry({ id: 'd', entry: 'zzz' })], ['b']),
    ).toEqual(['1.revision', '2.entry'])
  })
})

describe('documents from strangers', () => {
  it('are told by their version before anything else', () => {
    expect(() => readDocument({ formatVersion: formatVersion + 1 })).toThrow(
      'Open it with a newer Even Watt.',
    )
    expect(() => readDocument({ ...ottrel, formatVersion: 1.5 })).toThrow(ProblemError)
    for (const junk of [null, 7, 'text', [], { format: 'even-watt-trial' }])
      expect(() => readDocument(junk)).toThrow(ProblemError)
    expect(readDocument(ottrel).entries).toHaveLength(ottrel.entries.length)
  })

  it('give their editable part without the rest', () => {
    expect(Object.keys(settingsOf(ottrel.trial)).sort()).toEqual([
      'by',
      'duty',
      'hold',
      'limiters',
      'plan',
      'purpose',
      'schedule',
      'title',
    ])
  })
})

describe('addresses of this machine', () => {
  it.each(['127.0.0.1', 'localhost', '::1', '[::1]'])('%s', (host) => expect(isLoopback(host)).toBe(true))
  it.each(['0.0.0.0', '::', '10.0.0.1', 'example', '127.0.0.1.example'])('not %s', (host) =>
    expect(isLoopback(host)).toBe(false),
  )
})
