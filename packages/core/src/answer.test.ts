import { ladderEntry, noLoadEntry, revisionOf, rigOf, trialOf, unitOf, uuid } from '../test/makers'
import { claimOf, stepOf, type Entries } from '../test/verdicts'
import { answerOf } from './answer'
import { viewTrial } from './view'

const claims = [
  claimOf(),
  claimOf({ id: uuid(31), quantity: 'idle draw', comparator: 'at most', value: 5, unit: 'W' }),
  claimOf({ id: uuid(32), quantity: 'THD', comparator: 'at most', value: 3, unit: '%' }),
]

const answer = (entries: Entries, made = claims, revisions = 1) => {
  const unit = unitOf({ claims: made })
  const all = Array.from({ length: revisions }, (_, i) => revisionOf({ unit, number: i + 1 }))
  const view = viewTrial(trialOf(all), entries)
  return answerOf(view.findings, view.analyses)
}

describe('the answer of a trial', () => {
  it('counts how the claims stand, and names those that are not met', () => {
    expect(answer([stepOf(1432), noLoadEntry({ V_B: 26, I: 0.4 })]).claims).toBe(
      'Of 3 claims 1 is met, 1 is not met, 1 is not tested. Not met: idle draw (≤ 5 W, within uncertainty).',
    )
    expect(answer([])).toEqual({ claims: 'None of the 3 claims is tested.', bench: [] })
    expect(answer([stepOf(1432)], [claimOf()]).claims).toBe('The one claim is met.')
    expect(answer([stepOf(1432)], []).claims).toContain('no claim')
  })

  it('never says more than the verdicts: what is met only within uncertainty, or after a short hold', () => {
    const barely = [claimOf({ value: 1430 })]
    const [finding] = viewTrial(trialOf([revisionOf({ unit: unitOf({ claims: barely }) })]), [
      stepOf(1432),
    ]).findings
    expect(finding?.standing.outcome).toBe('met, within uncertainty')
    expect(answer([stepOf(1432)], barely).claims).toBe(
      'The one claim is met. Met only within uncertainty: continuous power (1430 W).',
    )
    const short = trialOf([revisionOf({ unit: unitOf({ claims: [claimOf()] }) })], { hold: 180 })
    const { findings, analyses } = viewTrial(short, [stepOf(1432)])
    expect(answerOf(findings, analyses).claims).toBe(
      'The one claim is met. Continuous power counts here after 3 min.',
    )
  })

  it('says what was wrong on the bench though every claim is met, and whether it was put right', () => {
    const hot = (revision: number, V_B: number) =>
      ladderEntry({ V_A: 25.9, V_B, I: 60, P_C: 1432, V_C: 229 }, { revision, held: 900 })
    const { claims: said, bench } = answer([hot(1, 24.9), hot(2, 25.7)], [claimOf()], 2)
    expect(said).toBe('The one claim is met.')
    expect(bench).toHaveLength(1)
    expect(bench[0]).toMatch(
      /^On rig 1 the joints took \d.* W more than they should at 1432 W\. On rig 2 they no longer do\.$/,
    )
    expect(answer([hot(1, 24.9), hot(2, 24.9)], [claimOf()], 2).bench[0]).toContain('they still do')
  })

  it('says that it is only estimated where no ammeter was there', () => {
    const rig = rigOf({
      assignments: [
        { quantity: 'V_A', meter: uuid(1) },
        { quantity: 'V_B', meter: uuid(1) },
      ],
    })
    const entry = ladderEntry({ V_A: 12.41, V_B: 11.18, V_C: 226, P_C: 1009 })
    const { analyses, findings } = viewTrial(trialOf([revisionOf({ rig })]), [entry])
    expect(answerOf(findings, analyses).bench[0]).toMatch(
      / took about \d+ W more than they should at 1009 W, estimated without an ammeter\./,
    )
  })
})
