import { useEffect, useState } from 'react'

/** The time, ms since 1970, every second, also while the tab is hidden. */
export function useNow(): number {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    const ticker = new Worker(new URL('./ticker.ts', import.meta.url), { type: 'module' })
    ticker.onmessage = ({ data }: MessageEvent<number>) => setNow(data)
    return () => ticker.terminate()
  }, [])
  return now
}
