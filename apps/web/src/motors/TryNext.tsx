import { plain, shortened } from '@even-watt/core'
import type { Untried } from './tryNext'

const words = {
  yes: 'it should start',
  close: 'it may start late, or not',
  no: 'it will not',
  'not shown': '',
} as const

/** What to try next, from light to heavy; a tap takes it into the form. */
export function TryNext({
  untried,
  onTake,
}: {
  untried: readonly Untried[]
  onTake: (motor: string) => void
}) {
  if (!untried.length) return null
  return (
    <p className="no-print mt-3 flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <span className="text-quiet">Not tried yet, from light to heavy:</span>
      {untried.map(({ load, asks, isUsual, expected }) => (
        <span key={load.id}>
          <button type="button" className="plain-link" title={expected.why} onClick={() => onTake(load.name)}>
            {load.name}
          </button>
          <span className="text-quiet">
            {' '}
            {plain(shortened(asks, 2))} VA{isUsual && ' as is usual for its kind'}
            {words[expected.answer] && `, ${words[expected.answer]}`}
          </span>
        </span>
      ))}
    </p>
  )
}
