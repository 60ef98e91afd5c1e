import { useState } from 'react'
import { type TrialState } from '../trials/useTrial'
import { checkInEvent } from './run'
import { useSchedule } from './useSchedule'
import { sayLength, sayStretch } from './words'

/** How the day really went, for the report: what was worked when, what was skipped, every check-in with its real time. */
export function RunRecord({ state: trial }: { state: TrialState }) {
  const [openedAt] = useState(() => Date.now())
  const state = useSchedule(trial, openedAt)
  if (!state?.log.length) return <p>No schedule was run.</p>
  const { stands, clock, checkIns, log } = state
  const noteOf = (check: (typeof checkIns)[number]) => {
    const { block, part, check: number } = checkInEvent(check, '')
    return log.find(({ event }) => event.block === block && event.part === part && event.check === number)
      ?.event.note
  }
  const worked = stands.placed.filter((stretch) => stretch.state !== 'planned')
  return (
    <>
      <ul className="md:columns-2 print:columns-2">
        {worked.map((stretch, i) => (
          <li key={i}>
            <span className="figures">
              {clock.both(stretch.from)}–{stretch.state === 'done' ? clock.time(stretch.to) : '…'}
            </span>{' '}
            {sayStretch(stretch)}
          </li>
        ))}
      </ul>
      {stands.skipped.length > 0 && <p>Skipped: {stands.skipped.map(({ kind }) => kind).join(', ')}.</p>}
      {checkIns.some(({ made }) => made !== undefined) && (
        <ul>
          {checkIns.map((check) =>
            check.made === undefined ? null : (
              <li key={`${check.placed.block} ${check.placed.part ?? ''} ${check.number}`}>
                Check-in {check.number} of {sayStretch(check.placed)}, due {clock.time(check.due)}, made{' '}
                {clock.time(check.made)}
                {check.made - check.due >= 60_000 && ` (${sayLength(check.made - check.due)} late)`}
                {noteOf(check) !== undefined && `: ${noteOf(check) ?? ''}`}
              </li>
            ),
          )}
        </ul>
      )}
    </>
  )
}
