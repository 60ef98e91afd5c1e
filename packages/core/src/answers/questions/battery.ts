import { thresholdOf } from '../../facts'
import { decides, derive, isFigure, say, type Derived } from '../../figures'
import { divide, exact, expanded, subtract } from '../../meters'
import { isStation } from '../../units'
import { notRead, type Asking, type Mark } from '../answer'
import { aStep, heaviestWatts } from '../cost'
import { atLoad, heaviestWith } from '../heaviest'

/** Share of the alarm by which the terminals must stand over it, for a battery to have room left. */
const room = 0.03

const said = { seen: 'where it was seen to', label: 'where its label says', assumed: 'assumed' } as const

/** Is the battery good enough? */
export const battery: Asking = {
  id: 'battery',
  place: 'DC',
  page: 'rig/supply',
  dependsOn: ['bank', 'path'],
  asks: 'Is the battery good enough?',
  suits: ({ on: { analysis } }) => !isStation(analysis.record.revision.unit),
  know: ({ on: { analysis } }) => {
    const threshold = thresholdOf(analysis.record)
    const read =
      heaviestWith(analysis, ({ read: { V_B } }) => V_B) ?? heaviestWith(analysis, ({ read: { V_A } }) => V_A)
    const open = {
      todo: 'Read the volts at the battery and at the unit, at your heaviest load.',
      button: 'Read them',
      page: 'ladder',
      ...aStep(heaviestWatts(analysis)),
    }
    if (!read || !threshold) return notRead(open)
    const { step, figure, P } = read
    const over = figure.x.value - threshold.volts
    const atPosts = figure.symbol === 'V_A'
    const known = threshold.by !== 'assumed' && !atPosts
    const told = markFor(over, expanded(figure.x), threshold.volts)
    // What is assumed, or read before the leads, decides nothing.
    const mark = known ? told : unsure(told)
    const sag = sagOf(analysis.supply.known.E, figure)
    const R = analysis.supply.known.R_bank
    return {
      said: [
        figure,
        ...atLoad(P, step.load),
        `, ${say(Math.abs(over), 'V', 2)} ${over < 0 ? 'below' : 'above'} its ${threshold.which}.`,
        ...(isFigure(sag) ? [' It sags ', sag, '.'] : []),
      ],
      why: [
        ...(atPosts ? ['Read at the posts: the unit gets less, by what the leads take.'] : []),
        `It ${threshold.which === 'alarm' ? 'warns' : 'stops'} at ${say(threshold.volts, 'V', 3)}, ${said[threshold.by]}.`,
        ...(decides(R) ? [`Battery alone: ${say(1000 * R.x.value, 'mΩ', 2)}.`] : []),
      ],
      mark,
      ...(atPosts ? { open } : {}),
    }
  },
}

const unsure = (mark: Mark): Mark => (mark === 'yes' ? 'roughly' : mark === 'no' ? 'hardly' : mark)

function markFor(over: number, U: number, alarm: number): Mark {
  if (over - U > room * alarm) return 'yes'
  if (over + U < 0) return 'no'
  return over > room * alarm ? 'roughly' : 'hardly'
}

const sagOf = (rest: Derived, loaded: Derived): Derived =>
  isFigure(rest) && isFigure(loaded)
    ? derive(
        'sag',
        '%',
        '(E − V) / E',
        [rest, loaded],
        divide(subtract(rest.x, loaded.x), exact(rest.x.value)),
      )
    : { missing: 'Its rest volts are not known.' }
