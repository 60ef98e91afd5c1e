import type { Claim, Entry, EntryOf } from '@even-watt/contract'
import { checkIn, logEntry, revisionOf, stationOf, trialOf, unitOf } from '../../test/makers'
import { claimOf as claim } from '../../test/verdicts'
import { isFigure } from '../figures'
import { viewTrial } from '../view'
import { holdsOf } from './holds'

const look = (entries: readonly Entry[], patch: Partial<Claim> = {}, station = false) => {
  const unit = station ? stationOf([claim(patch)]) : unitOf({ claims: [claim(patch)] })
  const view = viewTrial(trialOf([revisionOf({ unit })]), entries)
  const [analysis] = view.analyses
  if (!analysis) throw new Error('no analysis')
  return { analysis, finding: view.findings[0]?.standing }
}
const hold = logEntry({ what: 'rated hold', watts: 1400 })
const held = (minutes: number, watts: number, why: EntryOf<'check-in'>['reading']['ended'], log = hold) => [
  log,
  ...[0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9].map((share) =>
    checkIn(log, share * minutes, { V_B: 25.5, I: 60, P_C: watts, V_C: 229 }),
  ),
  checkIn(log, minutes, {}, { ended: why }),
]

describe('a hold as an attempt at a promise of power', () => {
  it('is carried for the time that it ran, at the least that stood for as long as is asked', () => {
    const { analysis, finding } = look(held(20, 1430, 'time was up'))
    const [hold] = holdsOf(analysis, 600)
    expect(hold && isFigure(hold.step.P_C) && hold.step.P_C.x.value).toBeCloseTo(1430, 9)
    expect(finding).toMatchObject({ outcome: 'met' })
    expect(finding?.sentence).toContain('was carried for 20 min')
  })

  it('shorter than the hold is not shown, and by its time', () => {
    expect(look(held(4, 1430, 'by hand')).finding).toMatchObject({ outcome: 'not shown', limiter: 'time' })
  })

  it('is not met where heat or overload ended it before', () => {
    for (const why of ['heat', 'overload'] as const)
      expect(look(held(4, 1370, why)).finding?.outcome).toBe('not met')
  })

  it('is no failure of the unit where the supply went, by whatever', () => {
    for (const why of ['low voltage', 'BMS', 'one battery first', 'not known'] as const)
      expect(look(held(4, 1405, why)).finding?.outcome).toBe('not shown')
  })

  it('of a run-down to the end is carried: a store that is empty is no failure', () => {
    const run = logEntry({ what: 'run-down', watts: 300 })
    const { finding } = look(held(170, 300, 'BMS', run), { value: 850 }, true)
    expect(finding).toMatchObject({ outcome: 'not shown', limiter: 'load' })
    expect(look(held(170, 860, 'BMS', run), { value: 850 }, true).finding?.outcome).toBe(
      'met, within uncertainty',
    )
  })

  it('that heat stopped in the midst ran until then', () => {
    const run = logEntry({ what: 'run-down', watts: 800 })
    const entries = [
      run,
      checkIn(run, 0, { P_C: 800, V_C: 119 }),
      checkIn(run, 50, { P_C: 800, V_C: 119 }),
      checkIn(run, 51, { P_C: 0 }, { event: 'stopped', alarm: 'heat' }),
      checkIn(run, 60, { P_C: 800, V_C: 119 }, { event: 'resumed' }),
      checkIn(run, 70, {}, { ended: 'BMS' }),
    ]
    const { analysis, finding } = look(entries, { value: 850 }, true)
    expect(holdsOf(analysis, 600)[0]).toMatchObject({ held: 51 * 60, became: 'tripped', alarm: 'heat' })
    expect(finding?.sentence).toMatch(/It gave up at 800 ± \d+ W, by heat after 51 min, against 850 W\./)
    // Minutes of heat say nothing of a peak of seconds.
    const peak = look(entries, { quantity: 'surge power', value: 1500, duration: 10 }, true).finding
    expect(peak?.sentence).not.toContain('heat alarm')
  })

  it('of a charge, or without watts, is none', () => {
    const charge = logEntry({ what: 'charge' })
    expect(holdsOf(look([charge, checkIn(charge, 0, { P_wall: 200 })]).analysis, 600)).toEqual([])
    expect(holdsOf(look([hold, checkIn(hold, 0, { V_B: 25 })]).analysis, 600)).toEqual([])
  })
})
