import { hotSpots, sayHotSpots, withoutOverheating, type Analysis } from '@even-watt/core'
import { Section } from '../ui/Section'

/** Where it gets hot, the place nearest to its limit first; and what it ran without overheating. */
export function HotSpots({ analysis }: { readonly analysis: Analysis }) {
  const spots = hotSpots(analysis)
  const ran = withoutOverheating(analysis)
  if (!spots.length && !ran.length) return null
  return (
    <Section title="Where it gets hot">
      {ran.map((sentence) => (
        <p key={sentence} className="max-w-4xl">
          {sentence}
        </p>
      ))}
      {sayHotSpots(spots).map((sentence, i) => (
        <p key={sentence} className={(spots[i]?.left ?? 0) < 0 ? 'text-madder max-w-4xl' : 'max-w-4xl'}>
          {sentence}
        </p>
      ))}
    </Section>
  )
}
