import fc from 'fast-check'
import { ladderEntry, takeBack } from '../../test/makers'
import { correctedTwice, struckBy } from '.'
import type { Entry } from '@even-watt/contract'

const first = ladderEntry({ V_B: 25 }, { load: 'plate' })
const correcting = (entry: Entry, V_B: number) =>
  ladderEntry({ V_B }, { load: 'plate', replaces: { entry: entry.id, why: 'read again' } })
const of = (entries: readonly Entry[]) =>
  correctedTwice(entries, struckBy(entries)).map((list) => list.map(({ id }) => id))

describe('a reading that two people corrected', () => {
  it('is said with both corrections, and not of one', () => {
    const [a, b] = [correcting(first, 25.2), correcting(first, 25.3)]
    expect(of([first, a])).toEqual([])
    expect(of([first, a, b])).toEqual([[a.id, b.id]])
  })

  it('is said of the one that stands at the end of a chain', () => {
    const a = correcting(first, 25.2)
    const again = correcting(a, 25.25)
    const b = correcting(first, 25.3)
    expect(of([first, a, again])).toEqual([])
    expect(of([first, a, b, again])).toEqual([[b.id, again.id]])
  })

  it('is over when one of them is taken back', () => {
    const [a, b] = [correcting(first, 25.2), correcting(first, 25.3)]
    expect(of([first, a, b, takeBack(b.id)])).toEqual([])
  })

  it('ends on a circle of corrections, and does not care in which order they came', () => {
    const [a, b] = [correcting(first, 25.2), correcting(first, 25.3)]
    const circle = { ...first, replaces: { entry: a.id, why: 'round' } }
    expect(of([circle, a])).toEqual([])
    fc.assert(
      fc.property(fc.shuffledSubarray([first, a, b], { minLength: 3 }), (shuffled) => {
        expect(of(shuffled).map((list) => [...list].sort())).toEqual([[a.id, b.id].sort()])
      }),
    )
  })
})
