import { answers } from './answers/stage'
import { charging } from './charging/stage'
import { endurance } from './endurance/stage'
import { findings } from './findings/stage'
import { ladder } from './ladder/stage'
import { limits } from './limits/stage'
import { modes } from './modes/stage'
import { motors } from './motors/stage'
import { noLoad } from './noLoad/stage'
import { outlets } from './outlets/stage'
import { plan } from './plan/stage'
import { ports } from './ports/stage'
import { report } from './report/stage'
import { rig } from './rigs/stage'
import { makeSafe } from './safety/stage'
import type { Stage, StageGroup } from './stage'
import { lookOver } from './units/stage'
import { waveform } from './captures/stage'

/** The work order: what is asked, then parts in the order they are worked, each of a few stages. A new stage is one line here. */
export const groups: readonly StageGroup[] = [
  { words: 'Answers', stages: [answers] },
  { words: 'Unit', stages: [lookOver] },
  { words: 'Rig', stages: [rig, makeSafe] },
  { words: 'Measure', stages: [plan, noLoad, ladder, waveform], opens: ladder },
  { words: 'Limits and starts', stages: [limits, motors, outlets] },
  { words: 'Endurance', stages: [endurance] },
  { words: 'Station', stages: [ports, charging, modes] },
  { words: 'Result', stages: [findings, report] },
]

export const stages: readonly Stage[] = groups.flatMap((group) => group.stages)
