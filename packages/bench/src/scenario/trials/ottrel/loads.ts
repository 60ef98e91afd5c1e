import { shelf } from '../../loads'

/** The ladder of the Ottrel: each step as it is plugged in. */
export const ladderLoads = [
  [shelf.mat],
  [shelf.lamps(2)],
  [shelf.plateLow],
  [shelf.plateHigh],
  [shelf.ovenLow, shelf.waxBath],
  [shelf.rod, shelf.plateLow, shelf.mat],
]
