import { howLong, parseNumber, say, sayPermitted, shelfPlaces } from '@even-watt/core'
import { useMemo, useState } from 'react'
import { api } from '../api/api'
import { useTrial } from '../trials/useTrial'
import { FitTable } from '../ui/FitTable'
import { TextField } from '../ui/form'
import { Section } from '../ui/Section'

const colour = { below: 'text-moss', near: 'text-ochre', beyond: 'text-madder' } as const

/** How long a load may run by the label, and what was seen of it: one that is typed, and every one of the shelf. */
export function HowLong() {
  const { analysis } = useTrial()
  const { data: shelf = [] } = api.useLoadsQuery()
  const [typed, setTyped] = useState('')
  const parsed = typed.trim() ? parseNumber(typed) : undefined
  const fits = parsed?.ok === true && parsed.value > 0 && parsed.value <= 1e6
  const asked = parsed?.ok && fits ? howLong(parsed.value, analysis) : undefined
  const places = useMemo(() => shelfPlaces(shelf, analysis), [shelf, analysis])
  return (
    <Section title="How long may it run?">
      <div className="mb-2 max-w-56">
        <TextField
          label="A load of"
          unit="W"
          inputMode="decimal"
          value={typed}
          error={
            parsed && !fits ? (parsed.ok ? 'A number above 0 and up to 1,000,000.' : parsed.why) : undefined
          }
          onChange={(event) => setTyped(event.target.value)}
        />
      </div>
      {asked?.sentences.map((sentence) => (
        <p key={sentence} className="max-w-4xl">
          {sentence}
        </p>
      ))}
      {places.length > 0 && (
        <details className="mt-2">
          <summary>Your loads, the lightest first</summary>
          <FitTable>
            <thead>
              <tr>
                <th>load</th>
                <th className="right">takes</th>
                <th>its rating</th>
                <th>by its label</th>
                <th className="right">left</th>
              </tr>
            </thead>
            <tbody>
              {places.map((one) => (
                <tr key={`${one.name} ${one.watts}`}>
                  <td>{one.name}</td>
                  <td className="figures right">{say(one.watts, 'W')}</td>
                  <td className={one.place && colour[one.place]}>{one.place ?? 'not promised'}</td>
                  <td>{sayPermitted(one)}</td>
                  <td className="figures right">{one.left === undefined ? '–' : say(one.left, 'W')}</td>
                </tr>
              ))}
            </tbody>
          </FitTable>
        </details>
      )}
    </Section>
  )
}
