import { useState } from 'react'
import { drafts, resembles } from '../../ui/browserStore'
import type { Written } from './boxes'

interface Paper {
  readonly rows: Readonly<Record<string, Written>>
  /** Rows that were taken over into the record. */
  readonly taken: readonly string[]
}
const blank: Paper = { rows: {}, taken: [] }

/** What was typed back so far, kept in the browser at every key. */
export function usePaper(trial: string) {
  const key = `paper ${trial}`
  const [paper, setPaper] = useState<Paper>(() => {
    const kept = drafts.read(key)
    return resembles(blank, kept) ? kept : blank
  })
  const put = (next: Paper) => {
    setPaper(next)
    drafts.keep(key, next)
  }
  return {
    written: (row: string): Written => paper.rows[row] ?? {},
    isTaken: (row: string): boolean => paper.taken.includes(row),
    write: (row: string, column: string, text: string) =>
      put({ ...paper, rows: { ...paper.rows, [row]: { ...paper.rows[row], [column]: text } } }),
    take: (row: string) => put({ ...paper, taken: [...paper.taken, row] }),
    again: (row: string) => put({ ...paper, taken: paper.taken.filter((one) => one !== row) }),
  }
}
export type PaperState = ReturnType<typeof usePaper>
