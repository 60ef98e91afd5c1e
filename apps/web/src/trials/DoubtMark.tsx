import { useState } from 'react'
import { Asking } from '../ui/Asking'
import { useDoubt, type Doubted } from './useDoubt'

interface Props {
  readonly of: Doubted
  /** Why it is doubted already, by this or by something that it belongs to. */
  readonly why: string | undefined
  /** "this reading", "all that was read on this rig". */
  readonly what: string
  /** Where it was read again. */
  readonly again?: string | undefined
  /** Word on the button, where "Doubt" says too little. */
  readonly words?: string
}

/** Marks readings as doubtful, with why; a mark that is there says so, and may be taken back. */
export function DoubtMark({ of, why, what, again, words = 'Doubt' }: Props) {
  const { doubt, trust } = useDoubt()
  const [asking, setAsking] = useState(false)
  const trustAgain = trust(of)
  if (why !== undefined)
    return (
      <span className="text-ochre">
        ▲ doubted: {why}
        {again !== undefined && `; ${again}`}{' '}
        {trustAgain && (
          <button type="button" className="plain-link no-print" onClick={trustAgain}>
            Trust again
          </button>
        )}
      </span>
    )
  return (
    <>
      <button type="button" className="plain-link no-print" onClick={() => setAsking(true)}>
        {words}
      </button>
      <Asking
        open={asking}
        title={`Doubt ${what}`}
        label="Why, and what checked it? It stays in the record and decides nothing."
        action="Doubt it"
        onAnswer={(reason) => {
          doubt(of, reason)
          setAsking(false)
        }}
        onClose={() => setAsking(false)}
      />
    </>
  )
}
