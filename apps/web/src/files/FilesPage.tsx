import { mostFile, type EntryOf } from '@even-watt/contract'
import { recordedOf } from '@even-watt/core'
import { useState } from 'react'
import { Struck } from '../trials/Struck'
import { useThings } from '../photographs/about'
import { StageHead } from '../trials/StageHead'
import { TakingBack } from '../trials/TakingBack'
import { useTrial } from '../trials/useTrial'
import { ChooseFile } from '../ui/ChooseFile'
import { shortDate, shortTime } from '../ui/dates'
import { SelectField, TextField } from '../ui/form'
import { Notice } from '../ui/Notice'
import { attach } from './attach'
import { sayBytes } from '../ui/sayBytes'

/** Photographs and files of the trial: put here, looked at, taken back. */
export function FilesPage() {
  const { trial, analysis } = useTrial()
  const [faults, setFaults] = useState<readonly string[]>([])
  const [busy, setBusy] = useState(false)
  const [about, setAbout] = useState('')
  const [note, setNote] = useState('')
  const things = useThings()
  const [takingBack, setTakingBack] = useState<string>()
  const { number: revision } = analysis.record.revision
  const files = recordedOf(analysis.record, 'file')

  const take = async (chosen: readonly File[]) => {
    setBusy(true)
    setFaults([])
    for (const file of chosen) {
      const why = await attach(trial.id, revision, file, {
        about: about || undefined,
        note: note.trim() || undefined,
      })
      if (why !== undefined) setFaults((before) => [...before, why])
    }
    setBusy(false)
    setNote('')
  }
  return (
    <>
      <StageHead />
      <p className="text-quiet mb-2 max-w-prose">
        Data sheets, captures, films: up to {sayBytes(mostFile)} each, 1 GB in all. They leave with the trial
        as one archive. A photograph that is chosen here is kept among the photographs.
      </p>
      <div className="no-print mb-3 grid max-w-2xl gap-3 sm:grid-cols-2">
        <SelectField
          label="Of"
          value={about}
          onChange={({ target }) => setAbout(target.value)}
          options={[['', 'the trial'], ...things]}
        />
        <TextField
          label="Note"
          value={note}
          maxLength={1000}
          placeholder="data sheet, page 3"
          onChange={({ target }) => setNote(target.value)}
        />
      </div>
      <ChooseFile
        multiple
        disabled={busy}
        className="action action-main no-print inline-block"
        onChoose={(files) => void take(files)}
      >
        {busy ? 'Reading …' : 'Attach files'}
      </ChooseFile>{' '}
      <a className="plain-link" href={`/api/trials/${trial.id}/export.zip`} download>
        The trial with its files, as one ZIP
      </a>
      {faults.map((fault) => (
        <Notice key={fault} kind="problem">
          {fault}
        </Notice>
      ))}
      {files.length === 0 ? (
        <p className="mt-4">No file on this rig yet.</p>
      ) : (
        <ul className="mt-4">
          {files.map((entry) => (
            <FileLine
              key={entry.id}
              entry={entry}
              of={entry.reading.about && (things.get(entry.reading.about) ?? 'a photograph')}
              onTakeBack={() => setTakingBack(entry.id)}
            />
          ))}
        </ul>
      )}
      <TakingBack entry={takingBack} what="this file" onDone={() => setTakingBack(undefined)} />
    </>
  )
}

interface LineProps {
  readonly entry: EntryOf<'file'>
  /** What the file is of, in words. */
  readonly of: string | undefined
  readonly onTakeBack: () => void
}

function FileLine({ entry, of, onTakeBack }: LineProps) {
  const { view, unsent } = useTrial()
  const { name, size, type, sha256, note } = entry.reading
  const why = view.record.struckWhy.get(entry.id)
  const waits = unsent.has(entry.id)
  const address = `/api/blobs/${sha256}?${new URLSearchParams({ type, name }).toString()}`
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule py-1.5">
      {type.startsWith('image/') && !waits && why === undefined && (
        <img src={address} alt="" loading="lazy" className="h-14 w-20 border border-rule object-cover" />
      )}
      <span className={`min-w-0 break-words ${why === undefined ? '' : 'line-through opacity-70'}`}>
        {waits ? (
          name
        ) : (
          <a className="plain-link font-semibold" href={address} target="_blank" rel="noreferrer">
            {name}
          </a>
        )}
      </span>
      <span className="text-quiet figures">{sayBytes(size)}</span>
      <span className="text-quiet">
        {shortDate(entry.at)} {shortTime(entry.at)}
      </span>
      {(of ?? note) && (
        <span className="min-w-0 break-words">{[of && `of ${of}`, note].filter(Boolean).join(': ')}</span>
      )}
      {waits && <span className="text-ochre">▲ unsent</span>}
      <span className="ml-auto">
        {why === undefined ? (
          <button type="button" className="plain-link no-print" onClick={onTakeBack}>
            Take back
          </button>
        ) : (
          <Struck entry={entry.id} why={why} what={name} />
        )}
      </span>
    </li>
  )
}
