import type { EntryOf, LimitOf } from '@even-watt/contract'
import { cleanLadder, revisionOf, trialOf, unitOf, uuid } from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { viewTrial } from '../view'
import { sayTest } from '.'

const said = (watts: number, beside: Parameters<typeof viewTrial>[1] = []) => {
  const reading: LimitOf<'overload'> = {
    test: 'overload',
    load: 'heaters',
    watts,
    ended: 'overload',
    how: 'raised',
  }
  const entry: EntryOf<'limit'> = {
    id: uuid(401),
    revision: 1,
    at: '2026-04-14T08:00:00.000Z',
    kind: 'limit',
    reading,
  }
  const unit = unitOf({ claims: [claimOf({ quantity: 'continuous power', value: 1400, unit: 'W' })] })
  const [analysis] = viewTrial(trialOf([revisionOf({ unit })]), [...beside, entry]).analyses
  if (!analysis) throw new Error('no analysis')
  return sayTest(entry, analysis)
}

it('an overload says how far over the rating it stood, and that this is at the outlet', () => {
  expect(said(1750)).toContain('At the outlet that is 350 W (25 %) over its rating.')
  expect(said(1200)).not.toContain('over its rating')
})
it('what it asks of the bank needs a curve that reaches so far', () => {
  expect(said(1750)).not.toContain('By its losses')
  expect(said(900, cleanLadder())).toMatch(/By its losses that asks 9\d\d W/)
})
