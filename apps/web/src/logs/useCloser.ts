import type { EntryOf } from '@even-watt/contract'
import {
  lookAt,
  openSeries,
  type BytesAt,
  type Look,
  type SeriesIndex,
} from '@even-watt/core/logs/kept/index'
import { useEffect, useMemo, useState } from 'react'

/** Points that a chart draws of each line, at most. */
const most = 900

/** The bytes of a stored log, as many as are looked at. */
const bytesOf =
  (sha256: string): BytesAt =>
  async (from, length) => {
    if (length <= 0) return new Uint8Array(0)
    const response = await fetch(`/api/blobs/${sha256}`, {
      headers: { Range: `bytes=${from}-${from + length - 1}` },
    })
    if (!response.ok) throw new Error('The rows of this log could not be fetched.')
    const bytes = new Uint8Array(await response.arrayBuffer())
    // A file that is handed over whole: its range is cut out here.
    return response.status === 200 ? bytes.subarray(from, from + length) : bytes
  }

interface Closer {
  readonly look: Look | undefined
  /** Why it cannot be looked at closely. */
  readonly fault: string | undefined
}

const indexes = new Map<string, Promise<SeriesIndex>>()

/** The rows of a long log between two times of it, in as many points as a chart can show: read by range and resolution. */
export function useCloser(
  file: EntryOf<'log file'> | undefined,
  from: number,
  to: number,
  whole: boolean,
): Closer {
  const [found, setFound] = useState<Pick<Closer, 'look'>>({ look: undefined })
  const [fault, setFault] = useState<string>()
  const sha256 = file?.reading.sha256
  const size = file?.reading.size ?? 0
  const bytesAt = useMemo(() => (sha256 === undefined ? undefined : bytesOf(sha256)), [sha256])
  useEffect(() => {
    if (!bytesAt || sha256 === undefined || whole) return undefined
    let left = false
    const read = async () => {
      const index = await (indexes.get(sha256) ?? keep(sha256, openSeries(size, bytesAt)))
      const look = await lookAt(index, bytesAt, from, to, most)
      if (!left) {
        setFound({ look })
        setFault(undefined)
      }
    }
    // The hand that still turns the wheel asks for what comes next.
    const timer = setTimeout(() => {
      read().catch(() => {
        if (!left) setFault('The rows of this log could not be fetched; what stands here is its course.')
      })
    }, 60)
    return () => {
      left = true
      clearTimeout(timer)
    }
  }, [bytesAt, sha256, size, from, to, whole])
  return whole ? { look: undefined, fault: undefined } : { ...found, fault }
}

function keep(sha256: string, index: Promise<SeriesIndex>): Promise<SeriesIndex> {
  indexes.set(sha256, index)
  index.catch(() => indexes.delete(sha256))
  return index
}
