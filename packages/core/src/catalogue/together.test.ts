import type { Entry, EntryOf, PortReading, TrialFigures } from '@even-watt/contract'
import { checkIn, logEntry, motorEntry, noLoadEntry, revisionOf, trialOf, uuid } from '../../test/makers'
import { furthestOf } from '../figured'
import { isFigure, stated, type Derived } from '../figures'
import { subjects } from '../subjects'
import { viewTrial } from '../view'
import { catalogue, catalogueOf, figuresOfPage, placedAmong, sayPlace, togetherOnPage } from '.'

const analysisOf = (entries: readonly Entry[]) => {
  const [analysis] = viewTrial(trialOf([revisionOf()]), entries).analyses
  if (!analysis) throw new Error('No rig.')
  return analysis
}
const value = (figure: Derived | undefined) => (figure && isFigure(figure) ? figure.x.value : NaN)
/** Number, lowest, highest, mean. */
const told = (page: string, entries: readonly Entry[], from = catalogue) =>
  togetherOnPage(page, analysisOf(entries), from).map(({ of, series }) => [
    of,
    ...series.map(([head, { number, lowest, highest, mean, goes }]) => [
      head,
      number,
      Math.round(1000 * lowest.x.value) / 1000,
      Math.round(1000 * highest.x.value) / 1000,
      Math.round(10 * value(mean)) / 10,
      goes,
    ]),
  ])

describe('figures of a page taken together', () => {
  it('are those of each machine, of what at least two attempts have', () => {
    const starts = [
      motorEntry({ number: 1, lowestOutput: 212 }),
      motorEntry({ number: 2, lowestOutput: 171, outcome: 'stalled' }),
      motorEntry({ number: 3, lowestOutput: 207 }),
      motorEntry({ number: 4, outcome: 'stalled' }),
      motorEntry({ number: 5, load: 'winch', lowestOutput: 220 }),
    ]
    expect(told('motors', starts)).toEqual([['pump', ['lowest volts', 3, 171, 212, 196.7, 'down']]])
  })

  it('are looks with nothing connected, which rise where they rise by more than they are unsure', () => {
    const looks = [0.5, 0.7, 0.9].map((I) => noLoadEntry({ V_B: 26, I }))
    const [[, watts] = []] = told('no-load', looks)
    // Three looks that scatter so much may rise by chance; five that rise one after another do not.
    expect(watts).toEqual(['idle watts', 3, 13, 23.4, 18.2, 'nowhere'])
    const five = [0.5, 0.6, 0.7, 0.8, 0.9].map((I) => noLoadEntry({ V_B: 26, I }))
    expect(told('no-load', five)[0]?.[1]?.at(-1)).toBe('up')
    expect(told('no-load', looks.slice(0, 1))).toEqual([])
  })

  it('are all ports where none was loaded twice', () => {
    const loaded = (n: number, port: string, volts: number): EntryOf<'port'> => ({
      id: uuid(900 + n),
      revision: 1,
      at: '2026-04-14T08:00:00.000Z',
      kind: 'port',
      reading: { test: 'load', port, lead: 0, points: [{ amps: 2, volts }] } satisfies PortReading,
    })
    const [all] = told('ports', [loaded(1, 'USB-A', 5), loaded(2, 'USB-C', 4.9)])
    expect(all).toEqual([
      'all 2 together',
      ['watts within tolerance', 2, 9.8, 10, 9.9, expect.anything()],
      ['amps within tolerance', 2, 2, 2, 2, 'nowhere'],
      ['volts at that', 2, 4.9, 5, 5, expect.anything()],
    ])
    expect(told('ports', [loaded(1, 'USB-A', 5), loaded(2, 'USB-A', 4.9)])[0]?.[0]).toBe('USB-A')
  })

  it('are runs of one kind: mean watts by energy over time, not by the number of looks', () => {
    const run = (n: number, watts: number) => {
      const log = logEntry({ what: 'soak', watts }, n)
      // Looked at often at first: the mean of the looks would be far off the mean by time.
      const looks = [0, 1, 2, 60].map((minutes, i) =>
        checkIn(log, minutes, { P_C: i === 3 ? watts : watts + 100 }),
      )
      return [log, ...looks]
    }
    const [soaks] = told('endurance', [...run(1, 400), ...run(2, 440)])
    expect(soaks?.[0]).toBe('soak')
    const mean = (watts: number) => (2 * (watts + 100) + 58 * (watts + 50)) / 60
    const [, [head, number, lowest, highest] = []] = (soaks ?? []) as [
      string,
      [string, number, number, number],
    ]
    expect([head, number]).toEqual(['mean watts', 2])
    expect(lowest).toBeCloseTo(mean(400), 2)
    expect(highest).toBeCloseTo(mean(440), 2)
  })

  it('are of a made-up figure too, on its page, with no further code', () => {
    const drips = furthestOf(
      'highest',
      () => [3, 1, 2].map((n) => ({ of: stated('n', 'V', n, ''), what: 'tap' })),
      'It is dry.',
      {
        id: 'drips',
        words: 'drips of the bench',
        head: 'drips',
        unit: 'V',
        looked: [],
        dependsOn: ['room'],
        page: 'kitchen',
        method: 'ladder',
      },
    )
    const from = catalogueOf([...subjects, { figures: [drips] }])
    expect(told('kitchen', [], from)).toEqual([['tap', ['drips', 3, 1, 3, 2, 'down']]])
    expect(value(from.rig('drips')?.of(analysisOf([])))).toBe(3)
    expect(told('kitchen', [])).toEqual([])
  })
})

describe('a figure among those of other trials', () => {
  const analysis = analysisOf([noLoadEntry({ V_B: 26, I: 0.5 })])
  const other = (trial: string, watts: number, rated: number | null = 1400) => ({
    trial,
    title: trial,
    unit: trial,
    rated,
    figures: { 'idle watts': [watts, 0.1] as const },
  })
  const idle = figuresOfPage('no-load', analysis).filter(({ id }) => id === 'idle watts')
  const at = (others: readonly TrialFigures[], ofItsSize = false) =>
    placedAmong(idle, analysis, others, ofItsSize)[0]

  it('has a place, with lowest, middle and highest of the others', () => {
    const placed = at([other('a', 20), other('b', 6), other('c', 11), other('d', 9)])
    expect(placed).toMatchObject({ lower: 3, others: 4, lowest: { trial: 'b' }, highest: { trial: 'a' } })
    expect(placed?.middle.x.value).toBe(10)
    expect(placed && sayPlace(placed)).toBe('2nd highest of 5')
  })

  it('leaves out itself, what has it not, and units of another size where that is wanted', () => {
    expect(at([other(analysis.record.trial, 1)])).toBeUndefined()
    const nothing: TrialFigures = { ...other('a', 1), figures: {} }
    expect(at([nothing])).toBeUndefined()
    const sized = [other('small', 3, 300), other('unsaid', 4, null)]
    expect(at(sized)?.others).toBe(2)
    expect(at(sized, true)).toBeUndefined()
  })

  it.each([
    [0, 5, 'lowest of 6'],
    [1, 5, '2nd lowest of 6'],
    [2, 5, '3rd lowest of 6'],
    [3, 5, '3rd highest of 6'],
    [4, 5, '2nd highest of 6'],
    [5, 5, 'highest of 6'],
    [3, 20, '4th lowest of 21'],
  ])('with %d of %d others lower is the %s', (lower, others, said) => {
    expect(sayPlace({ lower, others })).toBe(said)
  })
})
