import { besideNoLoad, type Analysis } from '@even-watt/core'
import { Section } from '../ui/Section'

/** What each load did to the wave, against the one with nothing connected. */
export function BesideNoLoad({ analysis }: { readonly analysis: Analysis }) {
  const beside = besideNoLoad(analysis.captures.seen)
  if (!beside.length) return null
  return (
    <Section title="What the loads do to it">
      <ul className="max-w-4xl">
        {beside.map(({ sentence }, i) => (
          <li key={i}>{sentence}</li>
        ))}
      </ul>
    </Section>
  )
}
