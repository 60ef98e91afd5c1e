import { useEffect, useRef } from 'react'
import { Link } from 'react-router'
import { NoLoadForm } from '../noLoad/NoLoadForm'
import { useTrial } from '../trials/useTrial'
import { focusFirst } from '../ui/enterRule'

/** What is read with nothing connected, typed where its row stands. */
export function IdleEntry({ onDone }: { onDone: () => void }) {
  const { trial } = useTrial()
  const place = useRef<HTMLElement>(null)
  useEffect(() => {
    if (place.current) focusFirst(place.current)
  }, [])
  return (
    <section
      ref={place}
      aria-label="Nothing connected"
      className="no-print mb-3 max-w-2xl border-b border-rule pb-3"
    >
      <p className="text-quiet mt-2">
        Every load unplugged, power strips too; clamp zeroed; start-up finished.{' '}
        <Link className="plain-link" to={`/trials/${trial.id}/no-load`}>
          All of no load
        </Link>{' '}
        <button type="button" className="plain-link" onClick={onDone}>
          Close
        </button>
      </p>
      <NoLoadForm onTaken={onDone} />
    </section>
  )
}
