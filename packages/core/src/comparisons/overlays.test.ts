import type { Claim, Entry, EntryOf } from '@even-watt/contract'
import {
  checkIn,
  logEntry,
  motorEntry,
  noLoadEntry,
  revisionOf,
  stationOf,
  trialOf,
  unitOf,
  uuid,
} from '../../test/makers'
import { viewTrial } from '../view'
import { overlaysOf, type Compared } from '.'

let made = 0
const compared = (name: string, entries: readonly Entry[], station = false): Compared => {
  made += 1
  const trial = trialOf([revisionOf({ unit: station ? stationOf() : unitOf({ name }) })], {
    id: uuid(8000 + made),
  })
  const { analyses, findings } = viewTrial(trial, entries)
  const [analysis] = analyses
  if (!analysis) throw new Error('no rig')
  return { trial, analysis, findings, name }
}
const kinds = (list: readonly Compared[]) => overlaysOf(list).map(({ kind }) => kind)

const noise = (
  n: number,
  watts: number,
  level: number,
  more: Partial<EntryOf<'noise'>['reading']> = {},
): EntryOf<'noise'> => ({
  id: uuid(9000 + n),
  revision: 1,
  at: '2026-04-14T09:00:00.000Z',
  kind: 'noise',
  reading: { level, background: 30, distance: 1, silent: true, watts, ...more },
})
const runDown = (n: number, watts: number, Wh: number): Entry[] => {
  const log = logEntry({ what: 'run-down', watts, full: 'charger said full' }, n)
  return [
    log,
    checkIn(log, 0, { P_C: watts, E_C: 0 }),
    checkIn(log, (30 * Wh) / watts, { P_C: watts, E_C: Wh / 2 }),
    checkIn(log, (60 * Wh) / watts, { P_C: watts, E_C: Wh }, { ended: 'low voltage' }),
  ]
}

describe('what is drawn of several units over each other', () => {
  it('is nothing where at most one was tried', () => {
    expect(overlaysOf([])).toEqual([])
    expect(
      kinds([compared('A', [noise(1, 300, 50)]), compared('B', [noLoadEntry({ V_B: 25.6, I: 0.4 })])]),
    ).toEqual([])
  })

  it('is noise by load, in the order of loads, at one metre and told from the room', () => {
    const a = compared('A', [
      noise(2, 900, 55),
      noise(3, 300, 48),
      noise(4, 600, 50, { distance: 2 }),
      noise(5, 700, 60, { silent: false }),
      noise(6, 800, 31),
    ])
    const b = compared('B', [noise(7, 300, 45)])
    const [overlay] = overlaysOf([a, b])
    expect(overlay?.kind).toBe('noise')
    expect(overlay?.lines.map(({ name, place, points }) => [name, place, points.map(({ x }) => x)])).toEqual([
      ['A', 0, [300, 900]],
      ['B', 1, [300]],
    ])
  })

  it('keeps the place of a unit though others were not tried, so that it looks alike in every drawing', () => {
    const list = [compared('A', []), compared('B', [noise(8, 300, 45)]), compared('C', [noise(9, 300, 50)])]
    expect(overlaysOf(list)[0]?.lines.map(({ place }) => place)).toEqual([1, 2])
  })

  it('is energy until empty by load, with the warning that a larger store is no better unit', () => {
    const list = [compared('A', runDown(1, 300, 900), true), compared('B', runDown(2, 300, 1100), true)]
    const overlay = overlaysOf(list).find(({ kind }) => kind === 'run-downs')
    expect(overlay?.lines.map(({ points }) => points.map(({ y }) => Math.round(y)))).toEqual([[900], [1100]])
    expect(overlay?.note).toContain('a larger bank is no better unit')
  })

  it('takes nothing of a start that was only stopped by hand for what was carried', () => {
    const started = compared('A', [motorEntry({ outcome: 'started' })])
    expect(kinds([started, compared('B', [motorEntry({ outcome: 'stalled' })])])).toEqual([])
  })

  it('is never a promise: what nobody tried is not drawn', () => {
    const claim: Claim = {
      id: uuid(9990),
      quantity: 'noise',
      comparator: 'at most',
      value: 45,
      unit: 'dB(A)',
      readWhere: 'label',
    }
    const list = ['A', 'B'].map((name) => compared(name, []))
    for (const { analysis } of list) analysis.record.revision.unit.claims.push(claim)
    expect(overlaysOf(list)).toEqual([])
  })
})
