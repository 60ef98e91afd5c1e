import type { Subject } from '../subject'
import { outletFigures } from './catalogued'

/** Behind the outlets: cords, breakers, ground-fault devices, and what a load takes from the mains. */
export const outlets = {
  kinds: { outlet: 'as declared' },
  figures: outletFigures,
} satisfies Subject
