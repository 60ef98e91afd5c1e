import { overdue, placedKey } from '@even-watt/core'
import { useMemo } from 'react'
import { useTrial } from '../trials/useTrial'
import { CheckInNotice } from './CheckInNotice'
import { useNow } from './useNow'
import { useRinging } from './useRinging'
import { useSchedule } from './useSchedule'
import { sayStretch } from './words'

/** Over every page of a trial whose schedule runs: check-ins ring and are made from wherever one is. */
export function RunStrip() {
  const now = useNow()
  const state = useSchedule(useTrial(), now)
  const due = useMemo(() => overdue(state?.checkIns ?? [], now), [state?.checkIns, now])
  const ringing = useMemo(
    () =>
      due.map(({ placed, number }) => ({
        name: `${placedKey(placed)} ${number}`,
        title: `Check-in ${number} is due`,
        body: sayStretch(placed),
      })),
    [due],
  )
  useRinging(ringing, now)
  if (!state || !due.length) return null
  return (
    <div className="no-print mb-2 border-b border-rule" data-testid="run-strip">
      {due.map((check) => (
        <CheckInNotice
          key={`${check.placed.block} ${check.placed.part ?? ''} ${check.number}`}
          check={check}
          now={now}
          clock={state.clock}
        />
      ))}
    </div>
  )
}
