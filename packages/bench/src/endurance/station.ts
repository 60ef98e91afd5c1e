import { ampsFor, fullStore, stepStore, type StoreModel, type StoreState } from './store'
import { turns, warmed, type FanModel, type Mass } from './warmth'

/** A unit with its store inside: what its converter loses, how it warms, where it stops and comes back. */
export interface StationModel {
  readonly store: StoreModel
  /** W lost in the converter: p0 + p1·P + p2·P². */
  readonly p0: number
  readonly p1: number
  readonly p2: number
  readonly volts: number
  readonly fan: FanModel
  readonly mass: Mass
  /** °C inside at which it stops, and comes back. */
  readonly stops: number
  readonly resumes: number
  /** °C from which it gives less, and the share it then gives. */
  readonly derates?: { readonly from: number; readonly share: number } | undefined
  /** What its gauge shows of a share that is left. */
  readonly gauge: (left: number) => number
}

/** One moment of a run. */
export interface Moment {
  readonly at: number
  /** W and V at the outlet. */
  readonly watts: number
  readonly volts: number
  readonly storeVolts: number
  readonly amps: number
  readonly celsius: number
  readonly room: number
  readonly fan: boolean
  /** Of its charge: truly, and as its gauge has it. */
  readonly left: number
  readonly shown: number
  readonly state: 'on' | 'hot' | 'empty'
}

export interface RunDownTruth {
  readonly moments: readonly Moment[]
  /** Wh: out of the cells, out of the outlet, lost in converter and store. */
  readonly cells: number
  readonly out: number
  readonly lost: number
}

export interface RunOf {
  /** W of the load at the labelled volts; an element follows V². */
  readonly load: number
  /** s between steps, and s after which it is given up. */
  readonly step?: number
  readonly most?: number
  readonly room?: (at: number) => number
}

/** s that it is watched after it went empty. */
const afterwards = 60

/** Runs a station down at a load, through heat stops, to its end. Energy is balanced step by step. */
export function runStation(
  model: StationModel,
  { load, step = 1, most = 40 * 3600, room = () => 22 }: RunOf,
): RunDownTruth {
  let store: StoreState = fullStore
  let [over, fan, hot] = [0, false, false]
  const moments: Moment[] = []
  const sum = { cells: 0, out: 0, lost: 0 }
  let ended: number | undefined
  for (let at = 0; at <= most && (ended === undefined || at <= ended + afterwards); at += step) {
    const here = room(at)
    const celsius = here + over
    hot = hot ? celsius > model.resumes : celsius >= model.stops
    fan = turns(model.fan, fan, celsius)
    const share = model.derates && celsius > model.derates.from ? model.derates.share : 1
    const watts = store.cut || hot ? 0 : load * share
    const loss = store.cut
      ? 0
      : (hot ? 0.3 : 1) * model.p0 + model.p1 * watts + model.p2 * watts ** 2 + (fan ? model.fan.watts : 0)
    const amps = ampsFor(model.store, store, watts + loss)
    const stepped = stepStore(
      model.store,
      amps === undefined ? { ...store, cut: true } : store,
      amps ?? 0,
      step,
    )
    const given = amps ?? 0
    const carried = given > 0 ? stepped.volts * given : 0
    // What the terminals of the store gave in this step is what went out and was lost; the rounding of the step is the converter's.
    const out = Math.min(watts, Math.max(0, carried - loss))
    sum.cells += (stepped.given * step) / 3600
    sum.out += (out * step) / 3600
    sum.lost += ((stepped.heat + carried - out) * step) / 3600
    over = warmed(
      { ...model.mass, perWatt: model.mass.perWatt * (fan ? model.fan.leaves : 1) },
      over,
      carried - out + stepped.heat,
      step,
    )
    const left = 1 - store.drawn / (model.store.capacity * model.store.weak)
    moments.push({
      at,
      watts: out,
      volts: out > 0 ? model.volts * Math.sqrt(share) : hot || store.cut ? 0 : model.volts,
      storeVolts: stepped.volts,
      amps: given,
      celsius,
      room: here,
      fan,
      left,
      shown: Math.min(1, Math.max(0, model.gauge(left))),
      state: store.cut ? 'empty' : hot ? 'hot' : 'on',
    })
    store = stepped.state
    if (store.cut) ended ??= at
  }
  return { moments, ...sum }
}
