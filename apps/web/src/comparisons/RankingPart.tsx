import { commonErrors, criteria, plain, rank, type Comparison, type Weights } from '@even-watt/core'
import { useMemo, useState } from 'react'
import { readNumber, TextField, typed } from '../ui/form'

const weighable = criteria.filter(({ better }) => better)

interface Props extends Pick<Comparison, 'list' | 'hours'> {
  readonly weights: Weights
  /** Absent: it is read here, not weighed. */
  readonly onChange: ((weights: Weights) => void) | undefined
}

/** What counts for the tester, and the order that follows, ties where nobody can tell. */
export function RankingPart({ list, hours, weights, onChange }: Props) {
  const ranking = useMemo(() => rank(list, hours, weights, commonErrors(list)), [list, hours, weights])
  if (!onChange && 'missing' in ranking) return null
  return (
    <section className="mt-5">
      <h2>In your order</h2>
      {onChange && (
        <>
          <p className="text-quiet no-print">What counts for you: 0 for nothing, 10 for most.</p>
          <div className="no-print mt-1 grid max-w-4xl grid-cols-2 gap-3 md:grid-cols-3">
            {weighable.map(({ key, words }) => (
              <Weight
                key={key}
                words={words}
                value={weights[key]}
                onChange={(value) => onChange({ ...weights, [key]: value })}
              />
            ))}
          </div>
        </>
      )}
      {'missing' in ranking ? (
        <p className="mt-2">{ranking.missing}</p>
      ) : (
        <>
          <ol className="mt-2">
            {ranking.places.map(({ one, place }) => {
              const tied = ranking.places.filter((other) => other.place === place).length > 1
              return (
                <li key={one.name}>
                  <span className="figures font-bold">{place}.</span> {one.name}
                  {tied && <span className="text-quiet"> (a tie: no difference is shown)</span>}
                </li>
              )
            })}
          </ol>
          <p className="text-quiet text-[0.9rem]">
            Counted: {ranking.counted.map(({ words, weight }) => `${words} (${plain(weight)})`).join(', ')}.
            {ranking.left.length > 0 && ` Not known of all, so not counted: ${ranking.left.join(', ')}.`}
          </p>
        </>
      )}
    </section>
  )
}

const most = 10

interface WeightProps {
  readonly words: string
  readonly value: number | undefined
  readonly onChange: (value: number) => void
}

/** What one criterion counts; what is typed stays as typed. */
function Weight({ words, value, onChange }: WeightProps) {
  const [text, setText] = useState(typed(value))
  const { value: read = 0, why } = readNumber(text)
  const out = read < 0 || read > most
  return (
    <TextField
      label={words}
      inputMode="decimal"
      placeholder="0"
      value={text}
      error={why ?? (out ? `From 0 to ${most}.` : undefined)}
      onChange={(event) => {
        setText(event.target.value)
        const next = readNumber(event.target.value)
        if (next.why === undefined && (next.value ?? 0) >= 0 && (next.value ?? 0) <= most)
          onChange(next.value ?? 0)
      }}
    />
  )
}
