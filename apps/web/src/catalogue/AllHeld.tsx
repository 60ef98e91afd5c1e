import { tellable, type HeldById } from '@even-watt/core'
import { useState } from 'react'
import { HeldAgainst } from './HeldAgainst'
import type { ColumnsState } from './useColumns'

interface Props {
  readonly words: string
  /** Worked out when it is opened. */
  readonly of: () => readonly HeldById[]
  readonly columns?: ColumnsState
}

/** Every figure of a step or a page against all that it can be held against, when it is asked for. */
export function AllHeld({ words, of, columns }: Props) {
  const [open, setOpen] = useState(false)
  return (
    <details className="no-print mt-2" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer">{words}</summary>
      {open && <Opened of={of()} columns={columns} />}
    </details>
  )
}

function Opened({ of, columns }: { readonly of: readonly HeldById[]; readonly columns: Props['columns'] }) {
  return tellable(of).length ? (
    <HeldAgainst of={of} {...(columns ? { columns } : {})} />
  ) : (
    <p className="text-quiet">Nothing of it is known yet, or there is nothing to hold it against.</p>
  )
}
