import { useTakingBack } from './useTakingBack'

interface Props {
  readonly entry: string
  readonly why: string
  readonly what: string
}

/** Why an entry no longer counts, and the way to have it back where it was taken back. */
export function Struck({ entry, why, what }: Props) {
  const { canRestore, restore } = useTakingBack()
  if (!canRestore(entry)) return <span className="text-ochre">{why}</span>
  return (
    <span className="text-ochre">
      taken back: {why}{' '}
      <button type="button" className="plain-link no-print" onClick={() => restore(entry, what)}>
        Restore
      </button>
    </span>
  )
}
