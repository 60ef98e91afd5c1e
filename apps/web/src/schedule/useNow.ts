import { useEffect, useState } from 'react'

/**
 * The time, ms since 1970, to the step given, also while the tab is hidden. Steps of seconds, not fractions: each one
 * draws anew, and on a slow machine a page that is still opening beside it must begin again every time.
 */
export function useNow(step = 10_000): number {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    const ticker = new Worker(new URL('./ticker.ts', import.meta.url), { type: 'module' })
    let last = Date.now()
    ticker.onmessage = ({ data }: MessageEvent<number>) => {
      if (data - last < step) return
      last = data
      setNow(data)
    }
    return () => ticker.terminate()
  }, [step])
  return now
}
