import { v7 } from 'uuid'
import { capture } from '../outbox/outbox'
import { Asking } from '../ui/Asking'
import { useTrial } from './useTrial'

interface Props {
  /** Id of the entry to take back; undefined: nothing is asked. */
  readonly entry: string | undefined
  readonly what: string
  readonly onDone: () => void
}

/** Asks why, and takes an entry back: it stays in the record, struck through. */
export function TakingBack({ entry, what, onDone }: Props) {
  const { trial, entries } = useTrial()
  const takeBack = (why: string) => {
    const taken = entries.find((candidate) => candidate.id === entry)
    if (taken) {
      const at = new Date().toISOString()
      void capture(trial.id, [
        { id: v7(), revision: taken.revision, at, kind: 'take back', entry: taken.id, why },
      ])
    }
    onDone()
  }
  return (
    <Asking
      open={entry !== undefined}
      title={`Take ${what} back`}
      label="Why? It stays in the record, struck through."
      action="Take it back"
      onAnswer={takeBack}
      onClose={onDone}
    />
  )
}
