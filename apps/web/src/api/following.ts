import type { Entry } from '@even-watt/contract'

interface Heard {
  /** Entries that are new since the cursor, and the cursor to go on from. */
  readonly entries: (entries: readonly Entry[], cursor: string) => void
  /** The version of the trial's settings, and how many rigs it has: at first, and whenever they change. */
  readonly trial: (state: { version: number; revisions: number }) => void
  /** What this page knows is not what the server has: everything is to be read again. */
  readonly reset: () => void
}

const again = 1000

/**
 * Follows a trial's events from a cursor on, for as long as the page is in sight: a browser keeps only six streams open
 * to one server, and pages that nobody sees would use them up. Returns how to stop.
 */
export function followTrial(trial: string, from: string, heard: Heard): () => void {
  let cursor = from
  let stream: EventSource | undefined
  let waiting: ReturnType<typeof setTimeout> | undefined

  const close = () => {
    clearTimeout(waiting)
    stream?.close()
    stream = undefined
  }
  const open = () => {
    close()
    if (document.visibilityState === 'hidden') return
    const made = new EventSource(`/api/trials/${trial}/events?after=${cursor}`)
    stream = made
    made.addEventListener('entries', ({ data, lastEventId }: MessageEvent<string>) => {
      cursor = lastEventId
      heard.entries(JSON.parse(data) as Entry[], cursor)
    })
    made.addEventListener('trial', ({ data }: MessageEvent<string>) =>
      heard.trial(JSON.parse(data) as { version: number; revisions: number }),
    )
    made.addEventListener('reset', () => {
      cursor = '0'
      heard.reset()
      open()
    })
    made.addEventListener('error', () => {
      // A broken connection is taken up again by the browser; an answer that is no stream is asked for again here.
      if (made.readyState === EventSource.CLOSED) waiting = setTimeout(open, again)
    })
  }
  const look = () => (document.visibilityState === 'hidden' ? close() : open())
  document.addEventListener('visibilitychange', look)
  open()
  return () => {
    document.removeEventListener('visibilitychange', look)
    close()
  }
}
