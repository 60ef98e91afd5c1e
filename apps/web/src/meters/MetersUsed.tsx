import type { Revision } from '@even-watt/contract'
import { Section } from '../ui/Section'
import { MeterRanges } from './MeterRanges'

/** Every meter of some rig revisions with the accuracy that its figures were worked with, as it stood last. */
export function MetersUsed({ revisions }: { readonly revisions: readonly Revision[] }) {
  const meters = new Map(
    revisions.flatMap(({ meters: hung }) => hung.map((meter) => [meter.id, meter] as const)),
  )
  if (!meters.size) return null
  return (
    <Section title="Meters">
      <ul>
        {[...meters.values()].map((meter) => (
          <li key={meter.id} className="break-inside-avoid py-1">
            <span className="font-semibold">{meter.name}</span>
            {meter.typical && <span className="text-ochre">, typical of its kind, not from its manual</span>}
            <MeterRanges ranges={meter.ranges} />
          </li>
        ))}
      </ul>
    </Section>
  )
}
