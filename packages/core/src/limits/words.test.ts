import type { EntryOf, LimitReading } from '@even-watt/contract'
import { limitReadings } from '../../test/limitReadings'
import { cleanLadder, meterOf, noLoadEntry, revisionOf, rigOf, trialOf, uuid } from '../../test/makers'
import { viewTrial } from '../view'
import { sayTest } from '.'

const rig = rigOf({
  assignments: (['V_A', 'V_B', 'V_C', 'I', 'P_C'] as const).map((quantity) => ({
    quantity,
    meter: meterOf().id,
  })),
})
const entryOf = (reading: LimitReading): EntryOf<'limit'> => ({
  id: uuid(4000),
  revision: 1,
  at: '2026-03-12T12:00:00.000Z',
  kind: 'limit',
  reading,
})

/** A test in words, on a bench of which a ladder was climbed or nothing is known. */
function said(reading: LimitReading, climbed = false): string {
  const entries = climbed ? [noLoadEntry({ V_A: 26.4, V_B: 26.4, I: 0.394 }), ...cleanLadder()] : []
  const [analysis] = viewTrial(trialOf([revisionOf({ rig })]), entries).analyses
  if (!analysis) throw new Error('no analysis')
  return sayTest(entryOf(reading), analysis)
}

const overload = {
  test: 'overload',
  how: 'raised',
  load: 'heaters',
  watts: 1850,
  ended: 'overload',
} as const

describe('a test of limits in words', () => {
  it('is one or more whole sentences, whatever was noted of it', () => {
    for (const reading of limitReadings) {
      for (const sentence of [said(reading), said(reading, true)]) {
        expect(sentence).toMatch(/^[A-Z0-9].*[.]$/)
        expect(sentence).not.toMatch(/undefined|NaN|\[object|\.\.| {2}| [.,;]/)
        // Figures as a tester reads them: no binary tails.
        expect(sentence).not.toMatch(/\d\.\d{6,}/)
      }
    }
  })

  it('says how an overload was loaded, what ended it and how it came back', () => {
    expect(said(overload)).toBe('Raised to 1850 W (heaters), then it gave up by overload.')
    expect(
      said({ ...overload, lasted: 12, alarmAt: 1700, comeback: 'by itself', comebackAfter: 30, leg: 'L2' }),
    ).toBe(
      'Raised to 1850 W for 12 s on L2 (heaters), then it gave up by overload. It warned at 1700 W. It came back by itself after 30 s.',
    )
    expect(said({ ...overload, how: 'ramp', ended: 'fuse', comeback: 'not tried' })).toBe(
      'A ramp to 1850 W (heaters), then the fuse blew.',
    )
    expect(said({ ...overload, how: 'timed tier', ended: 'stopped by hand' })).toContain('A tier of 1850 W')
  })

  it('says whether the base step came back, by a meter that was hung; without one only what it read', () => {
    expect(said({ ...overload, baseBefore: 230.9, baseAfter: 230.8 })).toContain('as before')
    expect(said({ ...overload, baseBefore: 230.9, baseAfter: 221 })).toContain(
      '-9.9 V from before: it is not as it was'.replace('-', '−'),
    )
    const [bare] = viewTrial(trialOf([revisionOf({ rig: rigOf() })]), []).analyses
    const entry = entryOf({ ...overload, baseBefore: 230.9, baseAfter: 221 })
    expect(bare && sayTest(entry, bare)).toContain(
      'The base step read 230.9 V before and 221.0 V afterwards.',
    )
  })

  it('carries a threshold to the posts only where the losses and the path are known', () => {
    const alarm = { test: 'threshold', which: 'alarm', V_B: 21.6, watts: 704 } as const
    expect(said(alarm)).toBe('It warns with 21.60 V at the terminals, carrying 704 W.')
    // 704 W of output take 704 + 40.5 W of input: 34.5 A at 21.6 V, over (25.92 − 25.61) V / I of the path.
    expect(said(alarm, true)).toMatch(/On this rig that is 2[12]\.\d+ V at the posts\.$/)
    const posts = Number(/that is ([\d.]+) V/.exec(said(alarm, true))?.[1])
    expect(posts).toBeGreaterThan(21.6)
    expect(said({ test: 'threshold', which: 'reconnect', V_B: 24.2 }, true)).toBe(
      'It comes back with 24.20 V at the terminals.',
    )
  })

  it('says how it started, and what the clock was', () => {
    expect(said({ test: 'start-up', outcome: 'started', seen: 'by eye' })).toBe(
      'It started with nothing connected.',
    )
    expect(
      said({
        test: 'start-up',
        outcome: 'started after tries',
        seen: 'watch',
        load: 'pump',
        watts: 370,
        startUp: 2.1,
        softStart: 0.8,
      }),
    ).toBe(
      'It started after several tries into pump (370 W). 90 % of its volts after 2.1 s, by a watch. Soft start 0.8 s.',
    )
  })

  it('says what a changing load does to lamps and computers', () => {
    const dynamic = { test: 'dynamic', from: 60, to: 1060, lamps: 'not looked at' } as const
    // 70 % for half a second is ridden through; a tenth of a volt less, or longer, may not be.
    expect(said({ ...dynamic, lowest: 161, back: 0.5 })).toContain('Tools and computers bear it.')
    expect(said({ ...dynamic, lowest: 160.9, back: 0.5 })).toContain('Computers may drop out')
    expect(said({ ...dynamic, lowest: 161, back: 0.6 })).toContain('Computers may drop out')
    expect(said({ ...dynamic, lowest: 161 })).toContain('Computers may drop out')
    expect(said({ ...dynamic, lowest: 207 })).toContain('Tools and computers bear it.')
    // 3 % is seen as a blink, unless somebody looked.
    expect(said({ ...dynamic, lowest: 223 })).toContain('A lamp shows it as a blink.')
    expect(said({ ...dynamic, lowest: 224 })).not.toContain('blink')
    expect(said({ ...dynamic, lowest: 223, lamps: 'steady' })).toContain('Lamps stay steady, as seen.')
    expect(said({ ...dynamic, lowest: 224, lamps: 'flickers' })).toContain('Lamps flicker, as seen.')
    expect(said({ ...dynamic, hunts: true, blanks: true, lowest: 200 })).toBe(
      'From 60 to 1060 W: down to 200.0 V. It hunts: the volts swing at a steady load. Its output blanks when the load is released: computers drop out. A lamp shows it as a blink.',
    )
  })
})
