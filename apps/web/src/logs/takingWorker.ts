import {
  LogTaking,
  UnreadableLog,
  type ColumnChoice,
  type RowsAsked,
  type TableHead,
  type TakenLog,
} from '@even-watt/core/logs/read/index'
import { expose } from 'comlink'

/** Reads a table as it streams, beside the page: what it holds at once is one part of the file and the packed rows. */
const taking = {
  async take(
    file: File,
    head: Pick<TableHead, 'manner' | 'skip'>,
    time: RowsAsked['time'],
    columns: readonly ColumnChoice[],
    progress: (share: number) => void,
  ): Promise<TakenLog | { readonly why: string }> {
    try {
      const log = new LogTaking(head, time, columns)
      const reader = file.stream().getReader()
      let [read, told] = [0, 0]
      for (;;) {
        const { done, value } = await reader.read()
        if (done) break
        log.feed(value)
        read += value.length
        if (read - told > file.size / 50) {
          told = read
          progress(read / file.size)
        }
      }
      return log.done()
    } catch (error) {
      if (error instanceof UnreadableLog) return { why: error.message }
      throw error
    }
  },
}
export type Taking = typeof taking

expose(taking)
