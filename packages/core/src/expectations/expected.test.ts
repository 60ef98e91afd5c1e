import type { EntryOf } from '@even-watt/contract'
import { ladderEntry, revisionOf, trialOf, uuid } from '../../test/makers'
import { viewTrial } from '../view'
import { expectationsOf } from '.'

const base = (n: number, at: string) => ({ id: uuid(8000 + n), revision: 1, at }) as const
const expected = (n: number, at: string): EntryOf<'expectation'> => ({
  ...base(n, at),
  kind: 'expectation',
  reading: { words: `the breaker goes at 1${n}00 W` },
})
const mark = (n: number, of: number, outcome: 'confirmed' | 'refuted', at: string): EntryOf<'came out'> => ({
  ...base(n, at),
  kind: 'came out',
  reading: { expectation: uuid(8000 + of), outcome },
})
const reading = { ...ladderEntry({ V_B: 25 }), at: '2026-03-12T10:00:00.000Z' }
const found = (...entries: Parameters<typeof viewTrial>[1]) =>
  expectationsOf(viewTrial(trialOf([revisionOf()]), entries).record).map(
    ({ entry, cameOut, afterReading }) => [entry.id, cameOut?.reading.outcome, afterReading],
  )

describe('what was expected', () => {
  it('stands with how it came out, by the newest mark, and says what was written only after reading', () => {
    expect(
      found(
        reading,
        expected(1, '2026-03-12T09:00:00.000Z'),
        expected(2, '2026-03-12T11:00:00.000Z'),
        mark(3, 1, 'refuted', '2026-03-12T12:00:00.000Z'),
        mark(4, 1, 'confirmed', '2026-03-12T13:00:00.000Z'),
      ),
    ).toEqual([
      [uuid(8001), 'confirmed', false],
      [uuid(8002), undefined, true],
    ])
  })

  it('is what was written before anything was read, where nothing was', () => {
    expect(found(expected(1, '2026-03-12T09:00:00.000Z'))).toEqual([[uuid(8001), undefined, false]])
  })
})
