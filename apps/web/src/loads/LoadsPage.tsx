import { sentences, ShelfDocument, shelfFormat, type StoredLoad, type Taken } from '@even-watt/contract'
import { quickLoad, say, plain } from '@even-watt/core'
import { useMemo, useState, type FormEvent } from 'react'
import { v7 } from 'uuid'
import { safeParse } from 'zod/mini'
import { api, problemOf } from '../api/api'
import { ChooseFile } from '../ui/ChooseFile'
import { DocumentList } from '../ui/DocumentList'
import { TextField } from '../ui/form'
import { Notice } from '../ui/Notice'
import { saveFile } from '../ui/saveFile'
import type { ListColumn } from '../ui/table'

/** The load shelf: label watts, what was really taken, and a line to add one quickly. */
export function LoadsPage() {
  const query = api.useLoadsQuery()
  const { data: taken } = api.useTakenQuery()
  const columns = useMemo(() => columnsFor(taken ?? []), [taken])
  return (
    <DocumentList<StoredLoad>
      title="Loads"
      what="load"
      path="/loads"
      query={query}
      empty="No load yet. Type a line such as “kettle 1750 W 230 V”: plans are made from what stands here."
      before={<Shelf loads={query.data ?? []} />}
      columns={columns}
    />
  )
}

const columnsFor = (taken: readonly Taken[]): readonly ListColumn<StoredLoad>[] => [
  { id: 'kind', head: 'kind', value: ({ kind }) => kind },
  {
    id: 'settings',
    head: 'settings',
    value: ({ settings }) => Math.max(...settings.map(({ watts }) => watts)),
    cell: ({ settings }) => (
      <ul>
        {settings.map((setting) => {
          const took = taken.find((one) => one.setting === setting.id)
          return (
            <li key={setting.id}>
              {setting.name} <span className="figures">{say(setting.watts, 'W')}</span>
              {took && (
                <span className="text-quiet">
                  {' '}
                  took {say(took.watts, 'W')}
                  {took.times > 1 && ` ± ${say(took.spread, '', 2)}`}, {took.times} ×
                </span>
              )}
            </li>
          )
        })}
      </ul>
    ),
  },
  { id: 'volts', head: 'at', value: ({ volts }) => volts, cell: ({ volts }) => `${plain(volts)} V` },
  {
    id: 'besides',
    head: 'besides',
    value: (load) =>
      [
        load.powerFactor !== undefined && `PF ${plain(load.powerFactor)}`,
        load.inrush !== undefined && `inrush ${plain(load.inrush)} ×`,
        load.cord !== undefined && `cord ${plain(load.cord)} A`,
        load.loud && 'loud',
        load.note,
      ]
        .filter(Boolean)
        .join(', ') || '–',
  },
]

const usualVolts = 230

/** Quick add, and the shelf in and out as one file. */
function Shelf({ loads }: { loads: readonly StoredLoad[] }) {
  const [line, setLine] = useState('')
  const [said, setSaid] = useState<{ kind: 'good' | 'problem'; words: string }>()
  const [save] = api.useSaveLoadMutation()
  const [shelf] = api.useLazyLoadsQuery()

  const add = async (event: FormEvent) => {
    event.preventDefault()
    const read = quickLoad(line, loads.at(-1)?.volts ?? usualVolts)
    if (!read.ok) return setSaid({ kind: 'problem', words: read.why })
    const { load } = read
    // A quick hand is faster than the list: its twin may stand on the shelf before the page shows it.
    const standing = await shelf(undefined, true)
      .unwrap()
      .catch(() => loads)
    const twin = standing.find(({ name }) => name.toLowerCase() === load.name.toLowerCase())
    if (twin)
      return setSaid({
        kind: 'problem',
        words: `"${twin.name}" stands on the shelf already; give this one another name.`,
      })
    const settings = load.settings.map((setting) => ({ id: v7(), ...setting }))
    try {
      await save({ id: v7(), editedFrom: 0, content: { ...load, settings, loud: false } }).unwrap()
      setSaid({ kind: 'good', words: `${load.name} is on the shelf, as ${load.kind}.` })
      setLine((now) => (now === line ? '' : now))
    } catch (error) {
      setSaid({ kind: 'problem', words: problemOf(error).title })
    }
  }
  const take = async (file: File | undefined) => {
    if (!file) return
    const document = await readShelf(file)
    if (typeof document === 'string') return setSaid({ kind: 'problem', words: document })
    const here = new Set(loads.map(({ id }) => id))
    const fresh = document.loads.filter(({ id }) => !here.has(id))
    const failures: string[] = []
    for (const load of fresh) {
      await save({ id: load.id, editedFrom: 0, content: load })
        .unwrap()
        .catch((error: unknown) => failures.push(problemOf(error).title))
    }
    const kept = document.loads.length - fresh.length
    setSaid(
      failures.length
        ? { kind: 'problem', words: `${failures.length} loads were not taken in: ${failures[0] ?? ''}` }
        : { kind: 'good', words: `${fresh.length} loads taken in; ${kept} stood here already.` },
    )
  }
  return (
    <section className="mb-4">
      <form className="flex flex-wrap items-end gap-3" onSubmit={(event) => void add(event)}>
        <TextField
          label="Quick add"
          value={line}
          onChange={(event) => setLine(event.target.value)}
          placeholder="kettle 1750 W 230 V"
          maxLength={200}
          className="min-w-64 flex-1"
        />
        <button type="submit" className="action">
          Put on the shelf
        </button>
        <button type="button" className="plain-link" onClick={() => download(loads)} disabled={!loads.length}>
          Export
        </button>
        <ChooseFile
          accept="application/json,.json"
          className="plain-link cursor-pointer"
          onChoose={([file]) => void take(file)}
        >
          Import
        </ChooseFile>
      </form>
      {said && <Notice kind={said.kind}>{said.words}</Notice>}
    </section>
  )
}

const mostBytes = 1_000_000

/** The loads of a file from anyone, or the sentence that says what is wrong with it. */
async function readShelf(file: File): Promise<ShelfDocument | string> {
  if (file.size > mostBytes) return 'This file is over 1 MB: no load shelf is that large.'
  let content: unknown
  try {
    content = JSON.parse(await file.text())
  } catch {
    return 'This file is not whole JSON.'
  }
  const read = safeParse(ShelfDocument, content)
  return read.success ? read.data : (sentences(read.error)[0]?.message ?? 'This is no load shelf.')
}

function download(loads: readonly StoredLoad[]): void {
  const document: ShelfDocument = { format: shelfFormat, formatVersion: 1, loads: [...loads] }
  saveFile(new Blob([JSON.stringify(document, null, 1)], { type: 'application/json' }), 'load-shelf.json')
}
