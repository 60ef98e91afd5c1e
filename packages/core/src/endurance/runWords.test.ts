import type { EntryOf } from '@even-watt/contract'
import {
  checkIn,
  ladderEntry,
  logEntry,
  meterOf,
  rangeOf,
  revisionOf,
  rigOf,
  trialOf,
  unitOf,
  uuid,
} from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { viewTrial } from '../view'
import { hotSpots, runWords, sayHotSpots, withoutOverheating } from '.'

const meter = meterOf({
  ranges: [...meterOf().ranges, rangeOf('energy', 1e6, 1, 1, 1), rangeOf('temperature', 300, 0, 10, 0.1)],
})
const rated = unitOf({ claims: [claimOf({ quantity: 'continuous power', value: 1400, unit: 'W' })] })
const analysisOf = (entries: readonly (EntryOf<'log'> | EntryOf<'check-in'> | EntryOf<'ladder'>)[]) => {
  const [analysis] = viewTrial(
    trialOf([revisionOf({ unit: rated, rig: rigOf(), meters: [meter] })]),
    entries,
  ).analyses
  if (!analysis) throw new Error('no analysis')
  return analysis
}
const hold = (what: 'rated hold' | 'run-down' = 'rated hold', n = 1) => logEntry({ what }, n)
/** A look at the first log, so many minutes after it began. */
const look = (
  minutes: number,
  values: Parameters<typeof checkIn>[2] = {},
  more: Parameters<typeof checkIn>[3] = {},
  n = 1,
) => checkIn(hold('rated hold', n), minutes, values, more)
const said = (looks: readonly EntryOf<'check-in'>[], what: 'rated hold' | 'run-down' = 'rated hold') => {
  const analysis = analysisOf([hold(what), ...looks])
  const [log] = analysis.logs
  if (!log) throw new Error('no log')
  return runWords(log, analysis).join(' ')
}

it('a hold says its share of the rating, its first, settled and least watts, and whether it held them', () => {
  const words = said([
    look(1, { P_C: 1020, V_C: 230, V_B: 25.2 }),
    look(10, { P_C: 1000, V_C: 229.6, V_B: 24.8 }),
    look(20, { P_C: 990, V_C: 229.2, V_B: 24.5 }),
    look(30, { P_C: 988, V_C: 228.8, V_B: 24.1 }, { ended: 'time was up' }),
  ])
  expect(words).toContain('1020 W at first, 988 W settled')
  expect(words).toContain('71 % of its rated 1400 W; it says nothing of the full rating')
  expect(words).toContain('It held them to the end.')
  expect(words).toContain('Its output went from 230.0 V to 228.8 V: 0.52 % down')
  expect(words).toContain('Lowest at the terminals: 24.10 V, after 30 min')
})
it('a load over the rating is warned of, and one that gave way is told', () => {
  expect(said([look(1, { P_C: 1610 }), look(5, { P_C: 1600 }), look(9, { P_C: 1590 })])).toContain(
    'over its rating: stay with it',
  )
  expect(
    said(
      [1, 5, 9, 13, 17].map((at, i) => look(at, { P_C: i < 4 ? 1400 : 900 }, i < 4 ? {} : { ended: 'heat' })),
    ),
  ).toContain('It did not hold them to the end: 900 W at last.')
})
it('a gauge that was watched tells what all of the store would give', () => {
  const words = said(
    [
      look(0, { P_C: 600 }, { charge: 0.9 }),
      look(30, { P_C: 600 }, { charge: 0.6 }),
      look(60, { P_C: 600 }, { charge: 0.3 }),
    ],
    'run-down',
  )
  // 600 Wh for 60 points: 1000 Wh.
  expect(words).toContain('600 Wh for 60 points of its gauge: by that 1000 Wh from full to empty')
})
it('a fan has its duty, what likely starts it, and its running on; one never seen is said', () => {
  const words = said([
    look(0, { P_C: 900 }, { fan: 'off' }),
    look(10, { P_C: 900 }, { event: 'fan on' }),
    look(15, { P_C: 900 }, { event: 'fan off' }),
    look(25, { P_C: 900 }, { event: 'fan on' }),
    look(30, { P_C: 900 }, { ended: 'by hand' }),
    look(33, {}, { event: 'fan off' }),
  ])
  expect(words).toContain('It started after 10 min of one load')
  expect(words).toContain('of the time it was watched')
  expect(words).toContain('It ran on for 3 min after the end')
  expect(said([look(1, { P_C: 640 }, { fan: 'off' }), look(9, { P_C: 640 }, { fan: 'off' })])).toContain(
    'Its fan never ran: none reached up to 640 W',
  )
})
it('cooling is told by the time in which half of the rise is lost', () => {
  const at = (minute: number, celsius: number, more = {}) =>
    look(minute, minute <= 30 ? { P_C: 900 } : {}, {
      temperatures: [
        { place: 'case', celsius },
        { place: 'room', celsius: 20 },
      ],
      ...more,
    })
  expect(said([at(1, 30), at(15, 50), at(30, 60, { ended: 'by hand' }), at(38, 48), at(45, 39)])).toContain(
    'The case lost half of its rise in 15 min',
  )
})
it('the highest load without overheating stands below the lowest that overheated', () => {
  const run = (n: number, watts: number, ended: 'heat' | 'by hand') => [
    hold('rated hold', n),
    ...[1, 15, 30].map((at) => look(at, { P_C: watts }, at === 30 ? { ended } : {}, n)),
  ]
  const two = [...run(1, 900, 'by hand'), ...run(2, 1400, 'heat')]
  const words = withoutOverheating(analysisOf(two)).join(' ')
  expect(words).toContain('At 1400 W heat ended it')
  expect(words).toContain('completed without overheating: 900 W')
  expect(withoutOverheating(analysisOf(run(1, 900, 'by hand')))).toEqual([])
})
it('hot spots stand by what is left to their limit; a hot joint says what to do', () => {
  const warm = ladderEntry(
    { P_C: 1000 },
    {
      temperatures: [
        { place: 'part of the rig', part: uuid(53), celsius: 81 },
        { place: 'case', celsius: 45 },
        { place: 'room', celsius: 22 },
      ],
    },
  )
  const spots = hotSpots(analysisOf([warm]))
  expect(spots.map(({ where, left }) => [where, left])).toEqual([
    ['negative lug', -6],
    ['case', 15],
  ])
  expect(sayHotSpots(spots)[0]).toContain('Negative lug: 81 °C of 75 °C for a terminal: too hot. Switch off')
})
it('what a run took is held against its bank, and its efficiency against the promise', () => {
  const words = said(
    [
      look(0, { P_C: 450, V_B: 25, I: 20 }),
      look(60, { P_C: 450, V_B: 25, I: 20 }),
      look(120, { P_C: 450, V_B: 25, I: 20 }, { ended: 'low voltage' }),
    ],
    'run-down',
  )
  // 500 W for 2 h: 1000 Wh.
  expect(words).toMatch(/It took \d+ % of the \d+ Wh nominal of its bank/)
})
