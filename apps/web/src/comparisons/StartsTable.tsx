import { ratedPower, ratingMisled, say, startsAcross, type Compared } from '@even-watt/core'
import { useMemo } from 'react'
import { Fig } from '../ui/Fig'
import { BesideTable } from './BesideTable'

/** The same machines on several units: how often they started, how low the volts went, and what the rating told of it. */
export function StartsTable({ list }: { readonly list: readonly Compared[] }) {
  const rows = useMemo(() => startsAcross(list), [list])
  if (!rows.length) return null
  return (
    <section className="mt-5">
      <h2>What each started</h2>
      {ratingMisled(list, rows).map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
      <BesideTable list={list}>
        <tr>
          <th scope="row">rated</th>
          {list.map(({ name, analysis }) => {
            const rated = ratedPower(analysis.record.revision.unit)
            return (
              <td key={name} className="figures">
                {rated === undefined ? '–' : say(rated, 'W')}
              </td>
            )
          })}
        </tr>
        {rows.map(({ load, cells }) => (
          <tr key={load}>
            <th scope="row">{load}</th>
            {cells.map((cell, i) => (
              <td key={i}>
                {cell ? (
                  <>
                    <span className={cell.started === cell.tried ? 'text-moss' : 'text-madder'}>
                      {cell.started === cell.tried ? '● started' : cell.started ? '▲ sometimes' : '■ did not'}
                    </span>{' '}
                    {cell.started} of {cell.tried}
                    <span className="text-quiet block text-[0.9rem]">
                      lowest <Fig of={cell.lowest} withUnit />
                    </span>
                  </>
                ) : (
                  <span className="text-quiet">not tried</span>
                )}
              </td>
            ))}
          </tr>
        ))}
      </BesideTable>
    </section>
  )
}
