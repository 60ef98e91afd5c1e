import fc from 'fast-check'
import { cleanLadder, ladderEntry, noLoadEntry, revisionOf, takeBack, trialOf, uuid } from '../../test/makers'
import { viewTrial } from '../view'
import { readingsOf, replay, rerunOf, struckBy } from '.'

const step = uuid(70)

describe('the record of a trial', () => {
  it('keeps what was taken back, struck, with its reason', () => {
    const [first, second] = [ladderEntry({ V_B: 25 }, { step }), ladderEntry({ V_B: 26 }, { step })]
    const record = replay(trialOf(), [first, second, takeBack(second.id)])
    const [only] = record.revisions
    expect(only && readingsOf(only, 'ladder').map((entry) => entry.id)).toEqual([first.id])
    expect(only?.struck.map((entry) => entry.id)).toEqual([second.id])
    expect(record.struckWhy.get(second.id)).toBe('slip')
  })

  it('lets a correction stand in place of what it corrects, and the first again when the correction is taken back', () => {
    const first = ladderEntry({ V_B: 52 }, { step })
    const better = ladderEntry({ V_B: 25 }, { step, replaces: { entry: first.id, why: 'digits' } })
    const standing = (entries: Parameters<typeof replay>[1]) =>
      readingsOf(replay(trialOf(), entries), 'ladder').map((entry) => entry.id)
    expect(standing([first, better])).toEqual([better.id])
    expect(standing([first, better, takeBack(better.id)])).toEqual([first.id])
  })

  it('restores what was taken back when the taking back is taken back, and so on', () => {
    const first = ladderEntry({ V_B: 25 }, { step })
    const taken = takeBack(first.id)
    const restored = takeBack(taken.id)
    const standing = (entries: Parameters<typeof replay>[1]) =>
      readingsOf(replay(trialOf(), entries), 'ladder').length
    expect(standing([first, taken, restored])).toBe(1)
    expect(standing([restored, taken, first])).toBe(1)
    expect(standing([first, taken, restored, takeBack(restored.id)])).toBe(0)
    // Taken back once more, by another: it is away again.
    expect(standing([first, taken, restored, takeBack(first.id)])).toBe(0)
    const circle = [{ ...taken, entry: restored.id }, restored]
    expect(() => standing([first, ...circle])).not.toThrow()
  })

  it('follows chains of taking back of any length, and many of one, in linear time', () => {
    const chain = [takeBack(uuid(1))]
    for (let i = 0; i < 20_001; i++) chain.push(takeBack(chain.at(-1)?.id ?? ''))
    // An even number of them stands over the first: it counts as never taken back.
    expect(struckBy(chain).has(uuid(1))).toBe(false)
    const many = Array.from({ length: 20_000 }, () => takeBack(uuid(1)))
    expect(struckBy([ladderEntry({ V_B: 25 }, { step }), ...many]).size).toBe(0)
  })

  it('survives corrections that go in a circle', () => {
    const first = ladderEntry({ V_B: 25 }, { step })
    const second = ladderEntry({ V_B: 26 }, { step, replaces: { entry: first.id, why: 'a' } })
    const circle = { ...first, replaces: { entry: second.id, why: 'b' } }
    expect(() => replay(trialOf(), [circle, second])).not.toThrow()
  })

  it('strikes along chains of corrections of any length, in linear time', () => {
    const first = ladderEntry({ V_B: 25 }, { step })
    const chain = [first]
    for (let i = 0; i < 20_000; i++)
      chain.push(
        ladderEntry({ V_B: 25 }, { step, replaces: { entry: chain.at(-1)?.id ?? '', why: 'again' } }),
      )
    const record = replay(trialOf(), chain)
    expect(readingsOf(record, 'ladder').map(({ id }) => id)).toEqual([chain.at(-1)?.id])
    const many = Array.from({ length: 20_000 }, () =>
      ladderEntry({ V_B: 25 }, { step, replaces: { entry: first.id, why: 'all of one' } }),
    )
    expect(struckBy([first, ...many]).size).toBe(1)
  })

  it('goes by the clock of the page where the wall clock was set back', () => {
    const page = uuid(99)
    const at = (time: string, seconds: number, V_B: number) => ({
      ...ladderEntry({ V_B }, { step }),
      at: `2026-03-12T${time}Z`,
      clock: { page, seconds },
    })
    const [first, second, third] = [
      at('10:00:00', 10, 25),
      at('09:30:00', 1810, 26),
      at('09:40:00', 2410, 27),
    ]
    const [only] = replay(trialOf(), [third, first, second]).revisions
    expect(only && readingsOf(only, 'ladder').map((entry) => [entry.id, entry.at])).toEqual([
      [first.id, '2026-03-12T10:00:00.000Z'],
      [second.id, '2026-03-12T10:30:00.000Z'],
      [third.id, '2026-03-12T10:40:00.000Z'],
    ])
  })

  it('leaves a jump forward, for a computer that slept makes one, and orders times of unlike precision', () => {
    const page = uuid(98)
    const slept = [
      { ...ladderEntry({ V_B: 25 }, { step }), at: '2026-03-12T10:00:00Z', clock: { page, seconds: 10 } },
      { ...ladderEntry({ V_B: 26 }, { step }), at: '2026-03-13T08:00:00Z', clock: { page, seconds: 20 } },
    ]
    const precise = [
      { ...ladderEntry({ V_B: 27 }, { step }), at: '2026-03-14T10:00:00.500Z' },
      { ...ladderEntry({ V_B: 28 }, { step }), at: '2026-03-14T10:00:00Z' },
    ]
    const [only] = replay(trialOf(), [...slept, ...precise]).revisions
    expect(only && readingsOf(only, 'ladder').map(({ at }) => at)).toEqual([
      '2026-03-12T10:00:00.000Z',
      '2026-03-13T08:00:00.000Z',
      '2026-03-14T10:00:00.000Z',
      '2026-03-14T10:00:00.500Z',
    ])
  })

  it('is the very same while nothing of a revision changed, and another when something did', () => {
    const trial = trialOf([revisionOf(), revisionOf({ number: 2, why: 'lug remade' })])
    const [one, two] = [ladderEntry({ V_B: 24.9 }), ladderEntry({ V_B: 25.5 }, { revision: 2 })]
    const before = replay(trial, [one, two])
    const after = replay(trial, [one, two, ladderEntry({ V_B: 25.6 }, { revision: 2 })])
    expect(after.revisions[0]).toBe(before.revisions[0])
    expect(after.revisions[1]).not.toBe(before.revisions[1])
    expect(replay({ ...trial, id: uuid(8) }, [one, two]).revisions[0]).not.toBe(before.revisions[0])
  })

  it('keeps readings on the revision they were taken on', () => {
    const trial = trialOf([revisionOf(), revisionOf({ number: 2, why: 'lug remade' })])
    const record = replay(trial, [ladderEntry({ V_B: 24.9 }), ladderEntry({ V_B: 25.5 }, { revision: 2 })])
    expect(record.revisions.map((revision) => readingsOf(revision, 'ladder').length)).toEqual([1, 1])
  })

  it('comes out the same in whatever order entries arrive', () => {
    const ladder = cleanLadder()
    const entries = [noLoadEntry({ V_B: 26.4, I: 0.394 }), ...ladder, takeBack(ladder[2]?.id ?? '')]
    const expected = JSON.stringify(viewTrial(trialOf(), entries).findings)
    const shown = (order: typeof entries) => {
      const { analyses, record } = viewTrial(trialOf(), order)
      return JSON.stringify([
        analyses[0]?.ladder.steps.map((figures) => figures.eta_unit),
        [...record.struckWhy],
      ])
    }
    const reference = shown(entries)
    fc.assert(
      fc.property(fc.shuffledSubarray(entries, { minLength: entries.length }), (order) => {
        expect(shown(order)).toBe(reference)
        expect(JSON.stringify(viewTrial(trialOf(), order).findings)).toBe(expected)
      }),
      { numRuns: 20 },
    )
  })
})

describe('the rerun of a doubted reading', () => {
  const doubt = (entry: string, n: number, revision = 1) => ({
    id: uuid(9500 + n),
    revision,
    at: '2026-03-13T10:00:00.000Z',
    kind: 'doubt' as const,
    of: { what: 'reading' as const, entry },
    why: 'lug loose',
  })
  const trial = trialOf([revisionOf(), revisionOf({ number: 2, why: 'lug remade' })])

  it('is the next trusted reading of the same step or load, on whatever rig', () => {
    const loose = ladderEntry({ V_B: 24.9 }, { load: 'plate high' })
    const other = ladderEntry({ V_B: 25.9 }, { load: 'lamp', revision: 2 })
    const again = ladderEntry({ V_B: 25.5 }, { load: 'plate high', revision: 2 })
    const record = replay(trial, [loose, other, again, doubt(loose.id, 1)])
    expect(rerunOf(loose, record)?.id).toBe(again.id)
    expect(rerunOf(again, record)).toBeUndefined()
  })

  it('is not one that is doubted itself, nor another mode', () => {
    const first = ladderEntry({ V_B: 24.9 }, { load: 'plate high' })
    const second = ladderEntry({ V_B: 24.8 }, { load: 'plate high' })
    const record = replay(trial, [first, second, doubt(first.id, 2), doubt(second.id, 3)])
    expect(rerunOf(first, record)).toBeUndefined()
    const idle = noLoadEntry({ V_B: 26 })
    const search = noLoadEntry({ V_B: 26 }, { mode: 'search' })
    const on = noLoadEntry({ V_B: 26.1 })
    expect(rerunOf(idle, replay(trial, [idle, search, on]))?.id).toBe(on.id)
  })
})
