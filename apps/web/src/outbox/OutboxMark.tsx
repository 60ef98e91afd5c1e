import { useState } from 'react'
import { useAppSelector } from '../store'
import { dropRefused, flush } from './outbox'

/** What the server has not acknowledged, in words; nothing when all is sent. */
export function OutboxMark() {
  const { unsent, away, refused } = useAppSelector((state) => state.outbox)
  const [copied, setCopied] = useState(false)
  if (copied) return <span className="text-ochre">Refused entries were copied to the clipboard.</span>
  if (refused) {
    return (
      <span className="text-madder flex items-center gap-2" role="alert">
        ■ Not taken: {refused.sentence}
        <button type="button" className="action" onClick={() => void flush()}>
          Send again
        </button>
        <button
          type="button"
          className="action"
          onClick={() => {
            void dropRefused(refused.trial).then(async (text) => {
              await navigator.clipboard?.writeText(text)
              setCopied(true)
            })
          }}
        >
          Copy and drop
        </button>
      </span>
    )
  }
  if (!unsent.length) return null
  return (
    <span className="text-ochre font-semibold" role="status" data-testid="unsent">
      ▲ {unsent.length} unsent{away ? ', the server is away; kept here and sent again' : ' …'}
    </span>
  )
}
