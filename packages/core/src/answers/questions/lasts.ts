import { catalogue } from '../../catalogue'
import { isFigure } from '../../figures'
import { isStation } from '../../units'
import { notRead, type Asking, type Said } from '../answer'
import { heaviestWatts } from '../cost'

const told: readonly (readonly [id: string, before: string])[] = [
  ['delivered', 'It gave '],
  ['hottest', 'Hottest '],
  ['loudest', 'Loudest '],
]

/** Hours that a run asks for where it goes to its end, and minutes of a hold that shows how hot it gets. */
const holdMinutes = 30

/** How long, how hot, how loud? */
export const lasts: Asking = {
  id: 'lasts',
  place: 'heat',
  page: 'endurance',
  dependsOn: ['unit', 'bank'],
  asks: 'How long, how hot, how loud?',
  judgedBy: ['energy', 'run time', 'noise', 'case temperature'],
  know: ({ on: { analysis } }) => {
    const said = told.flatMap(([id, before]): Said => {
      const figure = catalogue.rig(id)?.of(analysis)
      return figure && isFigure(figure) ? [before, figure, '. '] : []
    })
    const watts = heaviestWatts(analysis) ?? 0
    const open = {
      todo: isStation(analysis.record.revision.unit)
        ? 'Run it down under a steady load, and look at it now and then.'
        : 'Hold its rated load for half an hour, and feel its case.',
      button: 'Begin a run',
      page: 'endurance',
      readings: 4,
      minutes: holdMinutes,
      wattHours: (watts * holdMinutes) / 60,
    }
    if (!said.length) return notRead(open)
    const isWhole = said.length === told.length * 3
    return { said, why: [], mark: isWhole ? 'yes' : 'roughly' }
  },
}
