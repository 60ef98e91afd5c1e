import { motorEntry, revisionOf, trialOf, unitOf } from '../../test/makers'
import { claimOf, type Entries } from '../../test/verdicts'
import { viewTrial } from '../view'
import { named, ratingMisled, startsAcross } from '.'

const one = (name: string, watts: number, entries: Entries) => {
  const trial = trialOf([revisionOf({ unit: unitOf({ name, claims: [claimOf({ value: watts })] }) })])
  const view = viewTrial(trial, entries)
  const [analysis] = view.analyses
  if (!analysis) throw new Error('no rig')
  return { trial, analysis, findings: view.findings }
}

describe('the same starts on several units', () => {
  const strong = one('Strong', 1400, [
    motorEntry({ number: 1, load: 'Saw' }),
    motorEntry({ number: 2, load: 'saw' }),
    motorEntry({ number: 3, load: 'pump' }),
  ])
  const weak = one('Weak', 1500, [
    motorEntry({ number: 1, load: 'saw', outcome: 'stalled' }),
    motorEntry({ number: 2, load: 'hoist' }),
  ])
  const list = named([strong, weak])

  it('stand beside each other by the name of the machine, what only one was tried with does not', () => {
    const rows = startsAcross(list)
    expect(rows.map(({ load }) => load)).toEqual(['Saw'])
    expect(rows[0]?.cells.map((cell) => [cell?.started, cell?.tried])).toEqual([
      [2, 2],
      [0, 1],
    ])
  })

  it('tell where the rating alone misled, and are silent where it did not', () => {
    expect(ratingMisled(list, startsAcross(list))).toEqual([
      'Strong, rated 1400 W, started Saw; Weak, rated 1500 W, did not. The rating alone did not tell.',
    ])
    const fair = named([
      strong,
      one('Small', 600, [motorEntry({ number: 1, load: 'saw', outcome: 'stalled' })]),
    ])
    expect(ratingMisled(fair, startsAcross(fair))).toEqual([])
  })
})
