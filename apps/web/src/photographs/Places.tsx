import type { Photographed } from '@even-watt/contract'
import { Strip } from './Strip'

/** Photographs by what they show, each with the way to take one. */
export function Places({ shows }: { shows: readonly Photographed[] }) {
  return (
    <dl className="no-print mt-2 flex flex-wrap gap-x-8 gap-y-2">
      {shows.map((one) => (
        <div key={one} className="flex items-center gap-2">
          <dt className="text-quiet">{one}</dt>
          <dd>
            <Strip subject={{ shows: one }} of={`the ${one}`} />
          </dd>
        </div>
      ))}
    </dl>
  )
}
