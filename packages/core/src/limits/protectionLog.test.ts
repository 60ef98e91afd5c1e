import type { EntryOf } from '@even-watt/contract'
import { protectionLog } from '.'
import { ladderEntry, revisionOf, rigOf, trialOf, uuid } from '../../test/makers'
import { viewTrial } from '../view'

const assignments = (['V_C', 'V_B', 'P_C'] as const).map((quantity) => ({ quantity, meter: uuid(1) }))
const step = (P_C: number, more: Parameters<typeof ladderEntry>[1] = {}) =>
  ladderEntry({ V_B: 25.5, I: P_C / 23, P_C, V_C: 230 }, { load: `${P_C} W`, held: 60, ...more })
const overload = (watts: number, more: object): EntryOf<'limit'> => ({
  id: uuid(70_000 + watts),
  revision: 1,
  at: '2026-03-12T15:00:00.000Z',
  kind: 'limit',
  reading: { test: 'overload', how: 'raised', load: 'all', watts, lasted: 2, ended: 'overload', ...more },
})
const logOf = (entries: Parameters<typeof viewTrial>[1]) => {
  const [analysis] = viewTrial(trialOf([revisionOf({ rig: rigOf({ assignments }) })]), entries).analyses
  return analysis ? protectionLog(analysis).map(({ sentence }) => sentence) : []
}

describe('what the unit did by itself along a trial', () => {
  it('lies between the least at which it was there and the most at which it was not yet', () => {
    expect(logOf([step(120, { fan: 'off' }), step(350, { fan: 'on' }), step(700, { fan: 'on' })])).toEqual([
      'The fan runs at 350 W, not yet at 120 W.',
    ])
  })

  it('takes an overload’s warning where it came, and its trip where it ended', () => {
    expect(logOf([step(1000), overload(1900, { alarmAt: 1500 })])).toEqual([
      'The overload alarm sounds at 1500 W, not yet at 1000 W.',
      'It trips at 1900 W, not yet at 1500 W.',
    ])
  })

  it('says how warm it was, where that was felt', () => {
    const hot = step(900, {
      alarm: 'heat',
      end: 'alarmed',
      temperatures: [
        { place: 'heat sink', celsius: 82 },
        { place: 'case', celsius: 51 },
      ],
    })
    expect(logOf([step(400), hot])).toEqual(['The heat alarm sounds at 900 W and 82 °C, not yet at 400 W.'])
  })

  it('says nothing of what was never seen, nor of a fan that nobody noted', () => {
    expect(logOf([step(120), step(350)])).toEqual([])
    expect(logOf([])).toEqual([])
  })
})
