import type { Entry, SuitRule } from '@even-watt/contract'
import { cleanLadder, noLoadEntry, revisionOf, takeBack, trialOf, unitOf, uuid } from '../test/makers'
import { claimOf, stepOf } from '../test/verdicts'
import { draftAnswer, driftOf, tellingRig } from './draft'
import { viewTrial } from './view'

const idleClaim = claimOf({
  id: uuid(31),
  quantity: 'idle draw',
  comparator: 'at most',
  value: 11,
  unit: 'W',
})
const surge = claimOf({ id: uuid(33), quantity: 'surge power', value: 2700, duration: 2 })
const trial = trialOf([revisionOf({ unit: unitOf({ claims: [claimOf(), idleClaim, surge] }) })], {
  duty: [
    { hours: 18, load: 0 },
    { hours: 6, load: 352 },
  ],
})
const idle = noLoadEntry({ V_B: 26, I: 0.4, V_C: 230 })
const entries: readonly Entry[] = [idle, ...cleanLadder(), stepOf(1432)]
const rules: readonly SuitRule[] = [
  { name: 'standby overnight', needs: [{ figure: 'efficiency over the hours', is: 'at least', value: 50 }] },
  { name: 'a cold cellar', needs: [{ figure: 'idle draw', is: 'at most', value: 0.1 }] },
  { name: 'a bedroom', needs: [{ figure: 'noise', is: 'at most', value: 30 }] },
]
const draft = (of = entries, from = trial) => draftAnswer(viewTrial(from, of), from, rules)

describe('the drafted answer', () => {
  it('is how the promises stand, what it means for the owner, and whom it suits', () => {
    const { sentences } = draft()
    expect(sentences).toHaveLength(3)
    expect(sentences[0]).toMatch(/^Of 3 claims /)
    expect(sentences[1]).toMatch(
      /^Over a usual day 8\d.* % of what it takes reaches the outlet\. \d+ ± \d+ Wh are lost\.$/,
    )
    // A bedroom is not known, and so not named.
    expect(sentences[2]).toBe('It suits: standby overnight; it does not suit: a cold cellar.')
  })
  it('says what is open, and what it would take', () => {
    const { open } = draft()
    expect(open.some((sentence) => sentence.startsWith('surge power (2700 W for 2 s)'))).toBe(true)
    for (const sentence of open) expect(sentence).toMatch(/\.$/)
  })
  it('is short where little was read, and empty where nothing was', () => {
    const noHours = { ...trial, duty: [] }
    expect(draft([idle], noHours).sentences[1]).toMatch(/^With nothing connected it draws 10\.\d* ± .* W\.$/)
    expect(draft([], trialOf([revisionOf()])).sentences).toEqual([])
  })
  it('follows the tester’s own word on a use', () => {
    const overruled = [{ rule: 'standby overnight', says: 'does not suit' as const, why: 'It hums.' }]
    expect(draft(entries, { ...trial, overruled }).sentences[2]).toBe(
      'It does not suit: standby overnight, a cold cellar.',
    )
  })
  it('tells of the newest rig on which anything was read', () => {
    const two = trialOf([revisionOf(), revisionOf({ number: 2, why: 'remade' })])
    expect(tellingRig(viewTrial(two, cleanLadder()).analyses)?.record.revision.number).toBe(1)
    expect(tellingRig(viewTrial(two, []).analyses)?.record.revision.number).toBe(2)
    expect(tellingRig([])).toBeUndefined()
  })
})

describe('drift', () => {
  const own = { said: ['It keeps its word.'], drafted: [...draft().sentences] }
  it('is nothing while the evidence says the same', () => expect(driftOf(own, draft())).toEqual([]))
  it('names what was drafted then, and what is now', () => {
    const later = draft([...entries, takeBack(idle.id)])
    const [first] = driftOf(own, later)
    expect(first?.then).toBe(own.drafted[0])
    expect(first?.now).toBe(later.sentences[0])
    // A sentence that is gone is drift too.
    expect(driftOf(own, { sentences: own.drafted.slice(0, 2) })).toEqual([
      { then: own.drafted[2], now: undefined },
    ])
  })
})
