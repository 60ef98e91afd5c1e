import type { Turning } from './scope'
import { sineWave, type Wave } from './outlet'

/** The grid at the station: slightly flat-topped, THD 2.1 %. */
export const gridWave: Wave = sineWave(229, 0.021)

/** The launch's engine generator: THD 9 %. */
export const generatorWave: Wave = sineWave(226, 0.09)

/** Its speed hunts between 48.6 and 51.2 Hz. */
export const hunting: Turning = (seconds) => {
  const slow = 2 * Math.PI * 0.9
  return 49.9 * seconds + (1.3 / slow) * (1 - Math.cos(slow * seconds))
}
