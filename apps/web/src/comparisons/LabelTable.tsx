import { formatNumber, labelled, say, type Compared } from '@even-watt/core'
import { sayPrice } from '../units/sayPrice'
import { BesideTable } from './BesideTable'

/** What each costs, and for each watt on its label. */
export function LabelTable({ list }: { readonly list: readonly Compared[] }) {
  const says = list.map(({ analysis }) => labelled(analysis.record.revision.unit))
  if (!says.some(({ price }) => price)) return null
  const [first] = says
  const apart = (price: (typeof says)[number]['price']) => {
    if (!price || !first?.price || price === first.price || price.currency !== first.price.currency)
      return undefined
    const more = price.amount - first.price.amount
    return `${more < 0 ? '−' : '+'}${formatNumber(Math.abs(more), 0)} ${price.currency}`
  }
  return (
    <section className="mt-5">
      <h2>Price and rating</h2>
      <BesideTable list={list}>
        <tr>
          <th scope="row">price</th>
          {says.map(({ price }, i) => (
            <td key={i} className="figures">
              {price ? sayPrice(price) : <span className="text-quiet">– not noted</span>}
              {apart(price) && <span className="text-quiet block text-[0.9rem]">{apart(price)}</span>}
            </td>
          ))}
        </tr>
        <tr>
          <th scope="row">rated</th>
          {says.map(({ watts }, i) => (
            <td key={i} className="figures">
              {watts === undefined ? '–' : say(watts, 'W')}
            </td>
          ))}
        </tr>
        <tr>
          <th scope="row">for each rated watt</th>
          {says.map(({ perWatt, price }, i) => (
            <td key={i} className="figures">
              {perWatt === undefined ? '–' : `${formatNumber(perWatt, 3)} ${price?.currency ?? ''}/W`}
            </td>
          ))}
        </tr>
      </BesideTable>
    </section>
  )
}
