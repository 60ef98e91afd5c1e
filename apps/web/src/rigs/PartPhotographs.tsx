import type { Rig } from '@even-watt/contract'
import { placed } from '@even-watt/core'
import { Strip } from '../photographs/Strip'

/** Photographs of the batteries and the elements of a rig, each where it stands in the path. */
export function PartPhotographs({ rig }: { rig: Rig }) {
  const parts = [
    ...rig.bank.strings.flat().map(({ id, name }) => ({ id, name, shows: 'bank' as const })),
    ...placed(rig).map(({ element: { id, name, kind } }) => ({
      id,
      name,
      shows: kind === 'lug' || kind === 'terminal' ? ('joints' as const) : ('rig' as const),
    })),
  ]
  return (
    <section className="no-print mt-4">
      <h2>Photographs of it</h2>
      <dl className="flex flex-wrap gap-x-8 gap-y-2">
        {parts.map(({ id, name, shows }) => (
          <div key={id} className="flex items-center gap-2">
            <dt className="text-quiet">{name}</dt>
            <dd>
              <Strip subject={{ about: id, shows }} of={name} />
            </dd>
          </div>
        ))}
      </dl>
    </section>
  )
}
