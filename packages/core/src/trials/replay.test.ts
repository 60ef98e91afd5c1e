import fc from 'fast-check'
import { viewTrial } from '../report'
import { cleanLadder, ladderEntry, noLoadEntry, revisionOf, takeBack, trialOf, uuid } from '../../test/makers'
import { replay } from '.'

const step = uuid(70)

describe('the record of a trial', () => {
  it('keeps what was taken back, struck, with its reason', () => {
    const [first, second] = [ladderEntry({ V_B: 25 }, { step }), ladderEntry({ V_B: 26 }, { step })]
    const record = replay(trialOf(), [first, second, takeBack(second.id)])
    const only = record.revisions[0]?.steps[0]
    expect(only?.readings.map((entry) => entry.id)).toEqual([first.id])
    expect(only?.struck.map((entry) => entry.id)).toEqual([second.id])
    expect(record.struckWhy.get(second.id)).toBe('slip')
  })

  it('lets a correction stand in place of what it corrects, and the first again when the correction is taken back', () => {
    const first = ladderEntry({ V_B: 52 }, { step })
    const better = ladderEntry({ V_B: 25 }, { step, replaces: { entry: first.id, why: 'digits' } })
    const standing = (entries: Parameters<typeof replay>[1]) =>
      replay(trialOf(), entries).revisions[0]?.steps[0]?.readings.map((entry) => entry.id)
    expect(standing([first, better])).toEqual([better.id])
    expect(standing([first, better, takeBack(better.id)])).toEqual([first.id])
  })

  it('survives corrections that go in a circle', () => {
    const first = ladderEntry({ V_B: 25 }, { step })
    const second = ladderEntry({ V_B: 26 }, { step, replaces: { entry: first.id, why: 'a' } })
    const circle = { ...first, replaces: { entry: second.id, why: 'b' } }
    expect(() => replay(trialOf(), [circle, second])).not.toThrow()
  })

  it('keeps readings on the revision they were taken on', () => {
    const trial = trialOf([revisionOf(), revisionOf({ number: 2, why: 'lug remade' })])
    const record = replay(trial, [ladderEntry({ V_B: 24.9 }), ladderEntry({ V_B: 25.5 }, { revision: 2 })])
    expect(record.revisions.map((revision) => revision.steps.length)).toEqual([1, 1])
  })

  it('comes out the same in whatever order entries arrive', () => {
    const ladder = cleanLadder()
    const entries = [noLoadEntry({ V_B: 26.4, I: 0.394 }), ...ladder, takeBack(ladder[2]?.id ?? '')]
    const expected = JSON.stringify(viewTrial(trialOf(), entries).findings)
    const shown = (order: typeof entries) => {
      const { analyses, record } = viewTrial(trialOf(), order)
      return JSON.stringify([analyses[0]?.steps.map((figures) => figures.eta_unit), [...record.struckWhy]])
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
