import type { CheckIn } from '@even-watt/core'
import { useState } from 'react'
import { useTrial } from '../trials/useTrial'
import { Notice } from '../ui/Notice'
import type { Clock } from './days'
import { checkInEvent, recordRun } from './run'
import { sayLength, sayStretch } from './words'

/** A check-in that is due: what to do, and the button that records it with its real time. */
export function CheckInNotice({ check, now, clock }: { check: CheckIn; now: number; clock: Clock }) {
  const { trial, analysis } = useTrial()
  const [note, setNote] = useState('')
  const late = now - check.due
  return (
    <Notice kind="odd" word="Check-in due">
      <form
        className="flex flex-wrap items-center gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          recordRun(trial.id, analysis.record.revision.number, checkInEvent(check, note))
        }}
      >
        <span>
          {sayStretch(check.placed)}, check-in {check.number}, due {clock.time(check.due)}
          {late >= 60_000 && `, ${sayLength(late)} late`}.
        </span>
        <input
          className="input w-[16rem]"
          aria-label={`Note for check-in ${check.number}`}
          placeholder="what you saw, if anything"
          value={note}
          maxLength={1000}
          onChange={(event) => setNote(event.target.value)}
        />
        <button type="submit" className="action">
          Looked at it
        </button>
      </form>
    </Notice>
  )
}
