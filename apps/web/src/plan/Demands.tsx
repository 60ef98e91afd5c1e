import type { StoredLoad } from '@even-watt/contract'
import { demandsOf, formatNumber, say } from '@even-watt/core'
import { useMemo } from 'react'
import { FitTable } from '../ui/FitTable'

interface Props {
  readonly loads: readonly StoredLoad[]
  /** Volts of the unit’s outlet. */
  readonly volts: number
  readonly rated: number | undefined
}

const marks = {
  below: { words: '● below', hue: 'text-moss' },
  near: { words: '▲ near', hue: 'text-ochre' },
  beyond: { words: '■ beyond', hue: 'text-madder' },
} as const

/** The tester’s own loads by what they demand, each held against the rating, with what speaks against it. */
export function Demands({ loads, volts, rated }: Props) {
  const demands = useMemo(() => demandsOf(loads, volts, rated), [loads, volts, rated])
  if (!demands.length) return null
  return (
    <details className="my-2">
      <summary className="plain-link w-fit cursor-pointer">Your loads by what they demand</summary>
      <FitTable aria-label="Your loads by what they demand">
        <thead>
          <tr>
            <th>load</th>
            <th className="right">takes</th>
            <th className="right">of the rating</th>
            <th>the rating</th>
            <th>for efficiency</th>
          </tr>
        </thead>
        <tbody>
          {demands.map(({ load, setting, watts, rating, spoils }) => (
            <tr key={`${load} ${setting}`}>
              <th scope="row">{[load, setting].filter(Boolean).join(', ')}</th>
              <td className="figures right whitespace-nowrap">{say(watts, 'W')}</td>
              <td className="figures right">{rating ? `${formatNumber(100 * rating.share, 0)} %` : '–'}</td>
              <td className={`whitespace-nowrap ${rating ? marks[rating.stands].hue : 'text-quiet'}`}>
                {rating ? marks[rating.stands].words : 'none promised'}
              </td>
              <td>{spoils ? <span className="text-ochre">▲ {spoils}</span> : 'good'}</td>
            </tr>
          ))}
        </tbody>
      </FitTable>
    </details>
  )
}
