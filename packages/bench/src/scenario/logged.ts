import type { EntryOf, Grade, LogQuantity } from '@even-watt/contract'
import { guessTable, LogTaking, readHead } from '@even-watt/core/logs/read/index'
import { createHash } from 'node:crypto'
import type { BenchHand } from './capture'
import type { Files } from './waves'

/** A logger’s table as the page would take it in: its rows packed and kept, what follows from them in the entry. */
export function keepLog(
  files: Files,
  hand: BenchHand,
  log: EntryOf<'log'>,
  table: { readonly name: string; readonly text: string },
  meters: Partial<Record<LogQuantity, string>>,
  grades: Partial<Record<LogQuantity, Grade>> = {},
): EntryOf<'log file'> {
  const bytes = new TextEncoder().encode(table.text)
  const head = readHead(bytes.subarray(0, 65_536), bytes.length)
  const guess = guessTable(head)
  if (!guess.time) throw new Error(`${table.name} has no times.`)
  const taking = new LogTaking(
    head,
    guess.time,
    guess.columns.map(({ quantity, ...column }) => {
      const meter = quantity && meters[quantity]
      return {
        ...column,
        quantity,
        grade: (quantity && grades[quantity]) ?? 'measured',
        ...(meter ? { meter } : {}),
        ...(quantity === 'T' ? { place: 'case' } : {}),
      }
    }),
  )
  taking.feed(bytes)
  const taken = taking.done()
  const hash = (of: Uint8Array) => createHash('sha256').update(of).digest('hex')
  const sha256 = hash(taken.bytes)
  files.set(sha256, taken.bytes)
  return hand.entry('log file', log.revision, {
    sha256,
    size: taken.bytes.length,
    name: table.name.replace(/\.csv$/, '.log'),
    type: 'application/octet-stream',
    log: log.id,
    source: { name: table.name, size: bytes.length, sha256: hash(bytes) },
    from: log.at,
    ...taken.reading,
  })
}
