import type { StoredChecklist, StoredDiary } from '@even-watt/contract'
import { readLines } from '@even-watt/core'
import { seeded } from '../random'
import { stationUnits } from './units'

const made = '2026-03-04T07:30:00.000Z'
const random = seeded(61)
const id = () => random.id(Date.parse(made))

const list = (name: string, lines: string, beforeTest: boolean): StoredChecklist => ({
  id: id(),
  version: 1,
  savedAt: made,
  name,
  beforeTest,
  lines: readLines(lines, [], id),
})

/** What the station does before every test, and how it narrows down a unit that is dead. */
export const stationLists = {
  terminals: list(
    'Terminals and power-on',
    `battery posts, 9 N·m
unit, positive terminal, 8 N·m
unit, negative terminal, 8 N·m
ferrules on every strand
fuse seated, its rating read
unit switched off, pre-charge by the resistor
breaker closed
display reads the bank`,
    true,
  ),
  dead: list(
    'A unit that is dead',
    `volts at the battery posts
volts behind the fuse
volts at the unit’s terminals
polarity as marked
remote switch and its plug
display lit
hum or fan at switching on
volts at the outlet without a load`,
    false,
  ),
}

const line = (on: string, what: StoredDiary['lines'][number]['what'], words: string, value?: number) => ({
  id: id(),
  on,
  what,
  words,
  ...(value === undefined ? {} : { value }),
})

/** The Ottrel on launch 2, after its trial. */
export const stationDiaries: StoredDiary[] = [
  {
    id: stationUnits.ottrel.id,
    version: 1,
    savedAt: made,
    name: stationUnits.ottrel.name,
    lines: [
      line('2026-03-20', 'note', 'Built into launch 2.'),
      line('2026-04-03', 'energy', 'read at the meter of the launch', 11_200),
      line('2026-04-19', 'fault', 'Tripped once at the centrifuge; the bank was low.'),
      line('2026-05-04', 'energy', 'read at the meter of the launch', 41_900),
      line('2026-05-30', 'energy', 'read at the meter of the launch', 66_300),
    ],
  },
]
