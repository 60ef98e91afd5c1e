import { charging } from './charging/stage'
import { endurance } from './endurance/stage'
import { findings } from './findings/stage'
import { ladder } from './ladder/stage'
import { limits } from './limits/stage'
import { modes } from './modes/stage'
import { motors } from './motors/stage'
import { noLoad } from './noLoad/stage'
import { plan } from './plan/stage'
import { ports } from './ports/stage'
import { report } from './report/stage'
import { rig } from './rigs/stage'
import { makeSafe } from './safety/stage'
import type { Stage } from './stage'
import { lookOver } from './units/stage'
import { waveform } from './captures/stage'

/** The work order: stages in the order they are worked. A new one is one line here. */
export const stages: readonly Stage[] = [
  lookOver,
  rig,
  plan,
  makeSafe,
  noLoad,
  ladder,
  waveform,
  limits,
  motors,
  endurance,
  ports,
  charging,
  modes,
  findings,
  report,
]
