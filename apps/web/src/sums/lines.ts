import {
  giveWay,
  quantityIds,
  readQuantity,
  type GivenLine,
  type QuantityId,
  type TypedQuantity,
} from '@even-watt/core'
import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { drafts, resembles } from '../ui/browserStore'

/** One line of the sheet as it stands in its field; what is not understood stays, with its fault. */
export interface Line extends GivenLine {
  /** By a trial: it gives way to what is typed. */
  readonly given?: boolean
}

/** What a sheet begins with that is reached from a trial. */
export interface Given {
  readonly given: readonly GivenLine[]
}

const key = 'sums'
const isId = (id: string): id is QuantityId => (quantityIds as readonly string[]).includes(id)

function kept(): readonly Line[] {
  const draft = drafts.read(key)
  return resembles([{ id: '', text: '' }], draft)
    ? draft.flatMap((line) => (isId(line.id) ? [{ ...(line as Line), id: line.id }] : []))
    : []
}

/** What is typed on the sheet, kept for its tab at every key. */
export function useLines(given?: readonly GivenLine[]) {
  const [lines, setLines] = useState<readonly Line[]>(
    () => given?.map((line) => ({ ...line, given: true })) ?? kept(),
  )
  const navigate = useNavigate()
  useEffect(() => {
    if (!given) return
    // It is reached from far down a ladder.
    scrollTo(0, 0)
    drafts.keep(
      key,
      given.map((line) => ({ ...line, given: true })),
    )
    // What is typed from now on stands after a reload, not what it began with.
    void navigate('.', { replace: true, state: null })
  }, [given, navigate])
  const put = (next: readonly Line[]) => {
    setLines(next)
    drafts.keep(key, next)
  }
  return {
    lines,
    put,
    /** Lines for these quantities, those that stand already as they are. */
    begin: (ids: readonly QuantityId[]) =>
      put([
        ...lines.filter(({ id, text }) => ids.includes(id) || text.trim()),
        ...ids.filter((id) => !lines.some((line) => line.id === id)).map((id) => ({ id, text: '' })),
      ]),
    change: (id: QuantityId, text: string) =>
      put(lines.map((line) => (line.id === id ? { id, text } : line))),
    /** One more line; what a trial gave and it contradicts gives way, and comes back by name. */
    add: (line: Line): readonly QuantityId[] => {
      const next = [...lines.filter(({ id }) => id !== line.id), line]
      const givenIds = new Set(next.flatMap((one) => (one.given ? [one.id] : [])))
      const gone = giveWay(readLines(next).typed, givenIds, line.id)
      put(next.filter(({ id }) => !gone.includes(id)))
      return gone
    },
    remove: (id: QuantityId) => put(lines.filter((line) => line.id !== id)),
  }
}

/** What of the lines is understood, and the fault of each that is not; an empty one is neither. */
export function readLines(lines: readonly Line[]): {
  readonly typed: readonly TypedQuantity[]
  readonly faults: ReadonlyMap<QuantityId, string>
} {
  const typed: TypedQuantity[] = []
  const faults = new Map<QuantityId, string>()
  for (const { id, text } of lines) {
    if (!text.trim()) continue
    const read = readQuantity(text, new Set(), id)
    if (read.ok) typed.push(read.typed)
    else faults.set(id, read.why)
  }
  return { typed, faults }
}

/** What people come with, and what they then know. */
export const beginnings: readonly (readonly [question: string, known: readonly QuantityId[]])[] = [
  ['What will a load draw?', ['watts', 'efficiency', 'rest', 'bankOhm', 'leadsOhm']],
  ['What does the cable lose?', ['wattsIn', 'rest', 'bankOhm', 'area', 'length']],
  ['How long will it run?', ['watts', 'efficiency', 'rest', 'ah', 'usable']],
  ['What does idling cost?', ['idleAmps', 'rest', 'ah']],
  ['How hard does a motor start?', ['horsepower', 'code', 'acVolts']],
  ['What does a heater take here?', ['labelWatts', 'labelVolts', 'acVolts']],
]
