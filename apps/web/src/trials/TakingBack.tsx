import { Asking } from '../ui/Asking'
import { useTakingBack } from './useTakingBack'

interface Props {
  /** Id of the entry to take back; undefined: nothing is asked. */
  readonly entry: string | undefined
  readonly what: string
  readonly onDone: () => void
}

/** Asks why, and takes an entry back: it stays in the record, struck through. */
export function TakingBack({ entry, what, onDone }: Props) {
  const { takeBack } = useTakingBack()
  return (
    <Asking
      open={entry !== undefined}
      title={`Take ${what} back`}
      label="Why? It stays in the record, struck through."
      action="Take it back"
      onAnswer={(why) => {
        if (entry !== undefined) takeBack(entry, why, what)
        onDone()
      }}
      onClose={onDone}
    />
  )
}
