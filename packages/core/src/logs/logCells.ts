import { isFigure, shortened } from '../figures'
import { expanded } from '../meters'
import { energyNames, energyUnit } from './energy'
import { ranFor, type Log } from './log'

const headsOf = (name: (typeof energyNames)[number]) => {
  const head = `${name} [${energyUnit(name)}]`
  return [head, `U of ${head}`, `${name} decides nothing`] as const
}

/** Headings of what a log comes to, in the CSV of derived figures. */
export const logHeads: readonly string[] = ['ran [s]', 'ended', ...energyNames.flatMap(headsOf)]

/** What a log comes to, by heading: how long it ran, why it ended, its energies with their expanded uncertainty. */
export const logCells = (log: Log): Readonly<Record<string, string | number | undefined>> => ({
  'ran [s]': Math.round(ranFor(log)),
  ended: log.ended?.why,
  ...Object.fromEntries(
    energyNames.flatMap((name) => {
      const { figure } = log.energies[name]
      if (!isFigure(figure)) return []
      const [head, U, why] = headsOf(name)
      return [
        [head, shortened(figure.x.value, 6)],
        [U, shortened(expanded(figure.x), 2)],
        [
          why,
          figure.refused?.why ?? (figure.grade === 'measured' ? undefined : `it is only ${figure.grade}.`),
        ],
      ]
    }),
  ),
})
