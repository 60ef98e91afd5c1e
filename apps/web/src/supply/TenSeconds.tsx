import { useEffect, useState } from 'react'

const seconds = 10
/** How long “read now” stands, s. */
const stands = 5

/** Counts the ten seconds of a load test, started as the load goes on. */
export function TenSeconds() {
  const [from, setFrom] = useState<number>()
  const [passed, setPassed] = useState(0)
  useEffect(() => {
    if (from === undefined) return
    const timer = setInterval(() => {
      const now = (performance.now() - from) / 1000
      setPassed(now)
      if (now > seconds + stands) setFrom(undefined)
    }, 100)
    return () => clearInterval(timer)
  }, [from])
  const left = Math.ceil(seconds - passed)
  return (
    <p className="mb-2 flex items-center gap-3">
      <button
        type="button"
        className="action"
        onClick={() => {
          setPassed(0)
          setFrom(performance.now())
        }}
      >
        {from === undefined ? 'Load on: count 10 s' : 'Count again'}
      </button>
      {from !== undefined && (
        <span className="figures text-2xl" role="timer">
          {left > 0 ? `${left} s` : 'Read now'}
        </span>
      )}
    </p>
  )
}
