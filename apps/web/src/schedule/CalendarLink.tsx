import { useState } from 'react'
import { Notice } from '../ui/Notice'
import { saveFile } from '../ui/saveFile'
import type { ScheduleState } from './useSchedule'

/** Blocks and check-ins for the calendar of a phone. */
export function CalendarLink({ state, title }: { state: ScheduleState; title: string }) {
  const [failed, setFailed] = useState(false)
  const give = async () => {
    try {
      const { calendarOf } = await import('./calendar')
      const name = `${title.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60)}.ics`
      saveFile(
        new Blob([calendarOf(state, title, Date.now())], { type: 'text/calendar;charset=utf-8' }),
        name,
      )
      setFailed(false)
    } catch {
      setFailed(true)
    }
  }
  return (
    <>
      <button type="button" className="action" onClick={() => void give()}>
        Calendar (.ics)
      </button>
      {failed && <Notice kind="problem">The calendar could not be made. Nothing else is affected.</Notice>}
    </>
  )
}
