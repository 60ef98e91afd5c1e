import {
  checkIn,
  doubtEntry,
  ladderEntry,
  logEntry,
  noLoadEntry,
  revisionOf,
  trialOf,
  unitOf,
  uuid,
} from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import type { Entry, EntryOf, LimitReading } from '@even-watt/contract'
import type { Figure } from '../figures'
import { uncertain } from '../meters'
import { viewTrial } from '../view'
import { deviceIn, lowInput, lowOnSlowMeter, roomOf, roomSays, saggingOf, stoodOver, thresholdOf } from '.'

const limit = (reading: LimitReading, n: number, revision = 1): EntryOf<'limit'> => ({
  id: uuid(n),
  revision,
  at: `2026-03-12T${String(10 + (n % 10)).padStart(2, '0')}:00:00.000Z`,
  kind: 'limit',
  reading,
})
const seen = (which: 'alarm' | 'cutoff' | 'reconnect', V_B: number, n: number, revision = 1) =>
  limit({ test: 'threshold', which, V_B, watched: 'by eye' } as unknown as LimitReading, n, revision)
const label = (quantity: 'alarm voltage' | 'cutoff voltage', value: number) =>
  claimOf({ id: uuid(quantity === 'alarm voltage' ? 31 : 32), quantity, value, unit: 'V' })
const analysesOf = (entries: readonly Entry[], claims: ReturnType<typeof claimOf>[] = [], revisions = 1) =>
  viewTrial(
    trialOf(
      Array.from({ length: revisions }, (_, i) => revisionOf({ number: i + 1, unit: unitOf({ claims }) })),
    ),
    entries,
  ).analyses
const recordOf = (...given: Parameters<typeof analysesOf>) => {
  const record = analysesOf(...given).at(-1)?.record
  if (!record) throw new Error('no record')
  return record
}
const figure = (value: number, U: number, more: Partial<Figure> = {}): Figure => ({
  symbol: 'V_B',
  unit: 'V',
  x: uncertain(value, 'spec|m|r', U / 2),
  grade: 'measured',
  working: { formula: '', inputs: [], notes: [], entries: [] },
  ...more,
})

describe('where a unit warns or stops', () => {
  it('is as it was seen, the highest of several; a reconnection is neither', () => {
    const entries = [seen('alarm', 20.5, 801), seen('cutoff', 19.8, 802), seen('reconnect', 25, 803)]
    expect(thresholdOf(recordOf(entries, [label('alarm voltage', 21.6)]))).toEqual({
      volts: 20.5,
      which: 'alarm',
      by: 'seen',
    })
    expect(thresholdOf(recordOf([...entries].reverse()))?.volts).toBe(20.5)
    expect(thresholdOf(recordOf([seen('reconnect', 25, 803)]))?.by).toBe('assumed')
  })
  it('was seen on an earlier rig too, unless that reading is doubted', () => {
    expect(thresholdOf(recordOf([seen('cutoff', 19.8, 802)], [], 2))).toMatchObject({
      volts: 19.8,
      by: 'seen',
    })
    const doubt = doubtEntry({ what: 'reading', entry: uuid(802) })
    expect(thresholdOf(recordOf([seen('cutoff', 19.8, 802), doubt]))?.by).toBe('assumed')
  })
  it('is else what the label says, the highest, and else 0.95 of its input', () => {
    const both = [label('cutoff voltage', 20), label('alarm voltage', 21.6)]
    expect(thresholdOf(recordOf([], both))).toEqual({ volts: 21.6, which: 'alarm', by: 'label' })
    expect(thresholdOf(recordOf([], [...both].reverse()))?.volts).toBe(21.6)
    expect(thresholdOf(recordOf([]))).toEqual({
      volts: expect.closeTo(22.8, 9),
      which: 'alarm',
      by: 'assumed',
    })
  })

  const record = recordOf([], [label('alarm voltage', 21.6)])
  it.each([
    [21.7, 0.1, 0, true],
    [21.71, 0.1, 0, false],
    [22, 0.1, 0.3, true],
    [22, 0.1, 0.29, false],
  ])('an input of %f ± %f V, with a swing of %f V, is low: %s', (volts, U, swing, low) => {
    expect(lowInput(figure(volts, U), record, swing) !== undefined).toBe(low)
    expect(stoodOver(figure(volts, U), record, swing)).toBe(!low)
  })
  it('is not known of what was refused, estimated or not read', () => {
    const refused = figure(20, 0.1, { refused: { why: 'so', todo: 'again' } })
    for (const one of [refused, figure(20, 0.1, { grade: 'estimated' }), { missing: 'not read' }]) {
      expect(lowInput(one, record)).toBeUndefined()
      expect(stoodOver(one, record)).toBe(false)
    }
  })
  it('a slow meter shows at least what there was', () => {
    expect(lowOnSlowMeter(figure(21.7, 0.1), record)).toBeDefined()
    expect(lowOnSlowMeter(figure(21.75, 0.1), record)).toBeUndefined()
    expect(lowOnSlowMeter({ missing: 'not read' }, record)).toBeUndefined()
  })
  it('only what opens by itself is a device', () => {
    expect([deviceIn('fuse'), deviceIn('lug'), deviceIn(undefined)]).toEqual(['fuse', undefined, undefined])
  })
})

describe('output that does not stand', () => {
  const regulated = {
    record: recordOf(
      [],
      [claimOf({ id: uuid(33), quantity: 'regulation', comparator: 'within ±', value: 4, unit: '%' })],
    ),
  }
  const free = { record: recordOf([]) }
  const off = (regulation: number, noLoad?: number) => ({
    regulation: figure(regulation, 0.01, { unit: '%' }),
    regulationNoLoad: noLoad === undefined ? { missing: 'not read' } : figure(noLoad, 0.01, { unit: '%' }),
  })
  it('is outside what it promises, either way, beyond its uncertainty', () => {
    expect(saggingOf(off(-0.06), regulated)?.against).toBe('promise')
    expect(saggingOf(off(0.06), regulated)?.against).toBe('promise')
    expect(saggingOf(off(-0.049), regulated)).toBeUndefined()
    // For a moment only 90 % counts.
    expect(saggingOf(off(-0.06), regulated, '90 %')).toBeUndefined()
    expect(saggingOf(off(-0.12), regulated, '90 %')?.against).toBe('nominal')
  })
  it('is under 90 % of its own volts, or of nominal where those were not read', () => {
    expect(saggingOf(off(-0.02, 0.12), free)?.against).toBe('own')
    expect(saggingOf(off(-0.12, 0.02), free)).toBeUndefined()
    expect(saggingOf(off(-0.02, 0.109), free)).toBeUndefined()
    expect(saggingOf(off(-0.12), free)?.against).toBe('nominal')
    expect(saggingOf(off(-0.109), free)).toBeUndefined()
    expect(saggingOf(off(0.2), free)).toBeUndefined()
  })
})

describe('the room', () => {
  const room = (celsius: number) => ({ temperatures: [{ place: 'room' as const, celsius }] })
  it('is as it was read in the entries behind a figure, from the coolest to the warmest', () => {
    const steps = [
      ladderEntry({ P_C: 1 }, room(19)),
      ladderEntry({ P_C: 2 }, room(27)),
      ladderEntry({ P_C: 3 }),
    ]
    const idle = noLoadEntry({ I: 1 }, room(12))
    const [analysis] = analysesOf([...steps, idle])
    if (!analysis) throw new Error('no analysis')
    const ids = steps.map(({ id }) => id)
    expect(roomOf(ids, analysis)).toEqual({ coolest: 19, warmest: 27 })
    expect(roomOf([idle.id], analysis)).toEqual({ coolest: 12, warmest: 12 })
    expect(roomOf(ids.slice(2), analysis)).toBeUndefined()
    expect(roomOf(['nobody'], analysis)).toBeUndefined()
  })
  it('of a log is that along it, for the log and for each look', () => {
    const log = logEntry({ what: 'rated hold', kind: 'element' })
    const looks = [0, 30, 60].map((m) =>
      checkIn(log, m, { P_C: 900 }, { temperatures: [{ place: 'room', celsius: 20 + m / 10 }] }),
    )
    const [analysis] = analysesOf([log, ...looks])
    if (!analysis) throw new Error('no analysis')
    expect(roomOf([log.id], analysis)).toEqual({ coolest: 20, warmest: 26 })
    expect(roomOf([looks[0]?.id ?? ''], analysis)).toMatchObject({ coolest: 20 })
  })
  it('of a test that holds none is what was read within an hour of it', () => {
    const beside = ladderEntry({ P_C: 1 }, room(31))
    const at = (hours: number): EntryOf<'limit'> => ({
      ...seen('alarm', 21, 801),
      at: new Date(Date.parse(beside.at) + hours * 3_600_000).toISOString(),
    })
    const roomAt = (hours: number) => {
      const [analysis] = analysesOf([beside, at(hours)])
      return analysis && roomOf([uuid(801)], analysis)
    }
    expect([roomAt(0.5), roomAt(-0.9), roomAt(1)].map((one) => one?.warmest)).toEqual([31, 31, 31])
    expect(roomAt(1.1)).toBeUndefined()
    expect(roomAt(-1.1)).toBeUndefined()
  })
  it.each([
    [undefined, undefined, 'as meant'],
    [undefined, 25, 'not recorded'],
    [{ coolest: 5, warmest: 40 }, undefined, 'as meant'],
    [{ coolest: 4.9, warmest: 20 }, undefined, 'cold'],
    [{ coolest: 20, warmest: 40.1 }, undefined, 'hot'],
    [{ coolest: 4, warmest: 41 }, undefined, 'cold and hot'],
    [{ coolest: 23, warmest: 27 }, 25, 'as meant'],
    [{ coolest: 22.9, warmest: 25 }, 25, 'cold'],
    [{ coolest: 25, warmest: 27.1 }, 25, 'hot'],
  ] as const)('%j stated for %s is %s', (found, stated, says) => expect(roomSays(found, stated)).toBe(says))
})
