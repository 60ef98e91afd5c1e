import {
  inUnit,
  sayFigure,
  scale,
  worthOf,
  writing,
  type Compared,
  type FigureUnit,
  type Uncertain,
  type Worth,
} from '@even-watt/core'
import { BesideTable } from './BesideTable'

const bare: FigureUnit = ''
const told = (x: Uncertain | undefined, unit: string) => x && `${sayFigure({ unit: bare, x })} ${unit}`

const rows: readonly (readonly [words: string, of: (worth: Worth) => string | undefined])[] = [
  ['shown to carry', ({ proven }) => sayFigure(proven)],
  ['price', ({ price }) => price && told(price.x, `${price.currency}/W`)],
  [
    'mass',
    ({ mass }) =>
      writing().mass === 'lb'
        ? told(mass && scale(mass, inUnit(0.001, 'mass', 'oz')), 'oz/W')
        : told(mass, 'g/W'),
  ],
  [
    'room it takes',
    ({ volume }) =>
      writing().length === 'ft'
        ? told(volume && scale(volume, inUnit(0.01, 'length', 'in') ** 3), 'in³/W')
        : told(volume, 'cm³/W'),
  ],
]

/** Price, mass and room for each watt that was shown to be carried. */
export function PerWatt({ list }: { readonly list: readonly Compared[] }) {
  const worths = list.map(worthOf)
  if (!worths.some((worth) => worth?.price ?? worth?.mass ?? worth?.volume)) return null
  return (
    <section className="mt-5">
      <h2>For each proven watt</h2>
      <BesideTable list={list}>
        {rows.map(([words, of]) => (
          <tr key={words}>
            <th scope="row">{words}</th>
            {worths.map((worth, i) => (
              <td key={i} className="figures">
                {worth ? (of(worth) ?? <span className="text-quiet">– not noted</span>) : '–'}
              </td>
            ))}
          </tr>
        ))}
      </BesideTable>
      <p className="text-quiet text-[0.9rem]">
        Watts that were connected and carried, not the most it could do: a unit tested with less looks dearer.
      </p>
    </section>
  )
}
