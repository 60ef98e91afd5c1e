import type { Entry } from '@even-watt/contract'
import { takeBack, trialOf } from '../../test/makers'
import { replay } from '../trials'
import { sameFiles } from '.'

const added = (id: number, sha256: string, revision = 1): Entry =>
  ({
    id: `00000000-0000-7000-8000-00000000090${id}`,
    revision,
    at: `2026-03-12T08:0${id}:00.000Z`,
    kind: 'log file',
    reading: { sha256, size: 10, name: 'day.csv', type: 'text/csv' },
  }) as unknown as Entry
const of = (...entries: Entry[]) => sameFiles(replay(trialOf(), entries))

describe('a file that was added twice', () => {
  it('is said with both moments, and not of another file', () => {
    expect(of(added(1, 'a'), added(2, 'b'), added(3, 'a'))).toEqual([
      { name: 'day.csv', at: ['2026-03-12T08:01:00.000Z', '2026-03-12T08:03:00.000Z'] },
    ])
  })

  it('is not said once one of them was taken back, nor of two rigs', () => {
    const [first, second] = [added(1, 'a'), added(2, 'a')]
    expect(of(first, second, takeBack(second.id))).toEqual([])
    expect(of(first, added(2, 'a', 2))).toEqual([])
  })
})
