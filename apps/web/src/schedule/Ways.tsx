import { useState } from 'react'
import { Notice } from '../ui/Notice'
import { want, wants, ways, type Way } from './ring'

/** How what is due is rung for: each is off until it is wanted. */
export function Ways() {
  const [on, setOn] = useState(() => ({ sound: wants('sound'), notification: wants('notification') }))
  const [why, setWhy] = useState<string>()
  const change = async (way: Way, wanted: boolean) => {
    const show = (is: boolean) => setOn((before) => ({ ...before, [way]: is }))
    show(wanted)
    const refused = await want(way, wanted)
    setWhy(refused)
    if (refused !== undefined) show(false)
  }
  return (
    <>
      <div className="no-print flex flex-wrap gap-5">
        {ways.map((way) => (
          <label key={way} className="flex items-center gap-2">
            <input
              type="checkbox"
              checked={on[way]}
              onChange={(event) => void change(way, event.target.checked)}
            />
            ring by {way}
          </label>
        ))}
      </div>
      {why !== undefined && <Notice kind="odd">{why}</Notice>}
    </>
  )
}
