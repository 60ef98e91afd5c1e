import { combine, type Uncertain } from '../meters'

/** Against no load: (V_nl − V_x)/V_nl; positive where the voltage falls (docs/method/ladder.md). */
export const regulationAgainstNoLoad = (noLoad: Uncertain, loaded: Uncertain): Uncertain =>
  combine((noLoad.value - loaded.value) / noLoad.value, [
    [noLoad, loaded.value / noLoad.value ** 2],
    [loaded, -1 / noLoad.value],
  ])

/** Against nominal: (V_x − V_nom)/V_nom; a claim of ±x % means this one. nominal > 0, V. */
export const regulationAgainstNominal = (loaded: Uncertain, nominal: number): Uncertain =>
  combine((loaded.value - nominal) / nominal, [[loaded, 1 / nominal]])
