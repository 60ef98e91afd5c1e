import type { Log } from '@even-watt/core'
import { guessTable, readHead, UnreadableLog } from '@even-watt/core/logs/read/index'
import { useState } from 'react'
import { useTrial } from '../trials/useTrial'
import { ChooseFile } from '../ui/ChooseFile'
import { Notice } from '../ui/Notice'
import { mappingFor } from './columns'
import { MapLog, type OpenedTable } from './MapLog'

const headBytes = 65_536

/** The table of a logger into a log: choose or drop it, say what its columns are, take it in. */
export function ImportLog({ log }: { readonly log: Log }) {
  const { analysis } = useTrial()
  const [opened, setOpened] = useState<OpenedTable>()
  const [fault, setFault] = useState<string>()
  const open = async (file: File | undefined) => {
    if (!file) return
    setFault(undefined)
    setOpened(undefined)
    try {
      const bytes = new Uint8Array(await file.slice(0, headBytes).arrayBuffer())
      const head = readHead(bytes, file.size)
      setOpened({ file, head, mapping: mappingFor(head, guessTable(head), analysis.record.revision) })
    } catch (error) {
      setFault(error instanceof UnreadableLog ? error.message : `${file.name} cannot be read.`)
    }
  }
  return (
    <section
      className="no-print mt-5"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault()
        void open(event.dataTransfer.files[0])
      }}
    >
      <h2>The table of a logger</h2>
      <p className="text-quiet max-w-prose">
        A row for each moment: a time, and what was read. Commas, semicolons or tabs, decimal points or
        commas; times of day that pass midnight, dates, or minutes from a beginning. Up to a million rows.
      </p>
      <ChooseFile
        accept=".csv,.tsv,.txt,.log,text/csv"
        className="action mt-2 inline-block"
        onChoose={([file]) => void open(file)}
      >
        Choose a table
      </ChooseFile>
      {fault && <Notice kind="problem">{fault} Nothing was taken in.</Notice>}
      {opened && (
        <MapLog
          key={`${opened.file.name} ${opened.file.size}`}
          log={log}
          opened={opened}
          onDone={() => setOpened(undefined)}
        />
      )}
    </section>
  )
}
