import type {
  StoredChecklist,
  StoredComparison,
  StoredDiary,
  StoredLoad,
  StoredMeter,
  StoredRig,
  StoredUnit,
  TrialDocument,
} from '@even-watt/contract'
import { comparisonsOf } from './comparisons'
import { stationDiaries, stationLists } from './lists'
import { stationLoads } from './loads'
import { stationMeters } from './meters'
import { stationRigs } from './rigs'
import { corrickTrial } from './trials/corrick/trial'
import { ottrelTrial } from './trials/ottrel/trial'
import { ottrelCTrial } from './trials/ottrelC'
import { pellamTrial } from './trials/pellam'
import { pellamAfternoon } from './trials/pellamAfternoon'
import { varnockTrial } from './trials/varnock'
import { varnockLegs } from './trials/varnockLegs'
import { stationUnits } from './units'
import type { Files } from './waves'

export interface Demo {
  readonly units: StoredUnit[]
  readonly meters: StoredMeter[]
  readonly rigs: StoredRig[]
  readonly loads: StoredLoad[]
  readonly trials: TrialDocument[]
  readonly comparisons: StoredComparison[]
  readonly checklists: StoredChecklist[]
  readonly diaries: StoredDiary[]
  /** The bytes that its captures name. */
  readonly files: ReadonlyMap<string, Uint8Array>
}

/** The whole demo of the Withy Reach field station, the same at every call. */
export function demo(): Demo {
  made ??= make()
  return made
}

let made: Demo | undefined

function make(): Demo {
  const files: Files = new Map()
  const trials = [
    ottrelTrial(files),
    pellamTrial(files),
    varnockTrial(),
    pellamAfternoon(files),
    varnockLegs(files),
    corrickTrial(files),
    ottrelCTrial(files),
  ]
  return {
    units: Object.values(stationUnits),
    meters: Object.values(stationMeters),
    rigs: Object.values(stationRigs),
    loads: Object.values(stationLoads),
    trials,
    comparisons: comparisonsOf(trials),
    checklists: Object.values(stationLists),
    diaries: stationDiaries,
    files,
  }
}

export { BenchHand } from './capture'

export { shelf } from './loads'
export { machines } from './machines'
export { stationMeters } from './meters'
export { bankTruth, pathTruth, stationBanks, stationRigs } from './rigs'
export { stationUnits, unitModels } from './units'
