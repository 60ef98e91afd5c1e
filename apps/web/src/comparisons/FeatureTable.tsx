import { featureOf, featuresNoted, sayMass, saySize, type Compared } from '@even-watt/core'
import { BesideTable } from './BesideTable'

type Row = readonly [what: string, says: readonly (string | undefined)[]]

/** What each has besides its promises: what is equal, and what is not. */
export function FeatureTable({ list }: { readonly list: readonly Compared[] }) {
  const units = list.map(({ analysis }) => analysis.record.revision.unit)
  const rows: readonly Row[] = [
    ['revision', units.map(({ revision }) => revision)],
    ['date code', units.map(({ dateCode }) => dateCode)],
    ['mass', units.map(({ mass }) => mass && sayMass(mass))],
    ['size', units.map(({ size }) => size && saySize(size))],
    ['outlets and ports', units.map(({ outlets }) => outlets?.map(({ what }) => what).join(', '))],
    ...featuresNoted(units).map((what): Row => [what, units.map((unit) => featureOf(unit, what))]),
  ].filter((row): row is Row => (row[1] as Row[1]).some(Boolean))
  if (!rows.length) return null
  return (
    <section className="mt-5">
      <h2>What each has</h2>
      <BesideTable list={list}>
        {rows.map(([what, says]) => {
          const isSame = says.every((one) => one !== undefined && one === says[0])
          return (
            <tr key={what}>
              <th scope="row">
                {what}
                <span className="text-quiet block font-normal">{isSame ? '○ the same' : '◆ different'}</span>
              </th>
              {says.map((one, i) => (
                <td key={i} className="break-words">
                  {one || <span className="text-quiet">– not noted</span>}
                </td>
              ))}
            </tr>
          )
        })}
      </BesideTable>
    </section>
  )
}
