import type { EntryOf } from '@even-watt/contract'
import {
  lookAt,
  openSeries,
  type BytesAt,
  type Look,
  type SeriesIndex,
} from '@even-watt/core/logs/kept/index'
import { useEffect, useState } from 'react'
import { rangeOf } from '../outbox/bytes'

/** Points that a chart draws of each line, at most. */
const most = 900

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
  useEffect(() => {
    if (sha256 === undefined || whole) return undefined
    let left = false
    const bytesAt: BytesAt = (at, length) => rangeOf(sha256, at, length)
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
  }, [sha256, size, from, to, whole])
  return whole ? { look: undefined, fault: undefined } : { ...found, fault }
}

function keep(sha256: string, index: Promise<SeriesIndex>): Promise<SeriesIndex> {
  indexes.set(sha256, index)
  index.catch(() => indexes.delete(sha256))
  return index
}
