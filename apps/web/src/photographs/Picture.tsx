import { useEffect, useState } from 'react'
import { bytesOf } from '../outbox/bytes'
import { useAppSelector } from '../store'
import { Marks } from './Marks'
import type { PhotographEntry } from './usePhotographs'

/** Where the browser finds the picture: at the server, or here while it waits to be sent. */
function useAddress({ id, reading }: PhotographEntry): string | undefined {
  const waits = useAppSelector(({ outbox }) => outbox.unsent.some(({ entry }) => entry.id === id))
  const [held, setHeld] = useState<string>()
  const { sha256, type } = reading
  useEffect(() => {
    if (!waits) return undefined
    let address: string | undefined
    let left = false
    bytesOf(sha256)
      .then((bytes) => {
        if (left) return
        address = URL.createObjectURL(new Blob([bytes], { type }))
        setHeld(address)
      })
      .catch(() => undefined)
    return () => {
      left = true
      if (address !== undefined) URL.revokeObjectURL(address)
    }
  }, [waits, sha256, type])
  return waits ? held : `/api/blobs/${sha256}?type=${encodeURIComponent(type)}`
}

const notHere = 'The picture is not here: its bytes did not come with the trial.'

interface Props {
  readonly entry: PhotographEntry
  /** What a reader who does not see it is told; it has words of its own where they were written. */
  readonly alt: string
  readonly className?: string
  /** Only when it comes on screen; a report is drawn as a whole. */
  readonly lazy?: boolean
  /** Too small for a sentence where it does not come. */
  readonly small?: boolean
}

/** A photograph with what is marked on it, in its own proportions. */
export function Picture({ entry, alt, className = '', lazy = false, small = false }: Props) {
  const address = useAddress(entry)
  const [failed, setFailed] = useState(false)
  const { width, height, marks } = entry.reading
  return (
    <span
      className={`relative block overflow-hidden border border-rule bg-raised ${className}`}
      style={{ aspectRatio: `${width} / ${height}` }}
    >
      {failed ? (
        <span
          className="text-quiet block h-full min-w-12 p-2 text-[0.85rem]"
          {...(small ? { role: 'img', 'aria-label': notHere, title: notHere } : {})}
        >
          {small ? '' : notHere}
        </span>
      ) : (
        address !== undefined && (
          <img
            src={address}
            alt={entry.reading.alt ?? alt}
            width={width}
            height={height}
            loading={lazy ? 'lazy' : 'eager'}
            className="block h-full w-full object-contain"
            onError={() => setFailed(true)}
          />
        )
      )}
      {marks.length > 0 && (
        <svg
          className="pointer-events-none absolute inset-0 h-full w-full"
          viewBox={`0 0 ${width} ${height}`}
          aria-hidden="true"
        >
          <Marks marks={marks} width={width} height={height} />
        </svg>
      )}
    </span>
  )
}
