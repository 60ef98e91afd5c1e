import { lazy, Suspense, useState, type DragEvent } from 'react'
import type { BelongsTo } from './Belonging'
import { ChooseFile } from '../ui/ChooseFile'

const Bring = lazy(async () => ({ default: (await import('./Bring')).Bring }))
const FromPicture = lazy(async () => ({ default: (await import('./picture/FromPicture')).FromPicture }))

interface Props {
  readonly belongsTo: BelongsTo
  /** What it is said to be for: "this step". */
  readonly words?: string
}

/** Takes captures of a wave: chosen, dropped or pasted; a table, a sound, a picture of a screen. */
export function AddWave({ belongsTo, words = 'a wave' }: Props) {
  const [file, setFile] = useState<File>()
  const [over, setOver] = useState(false)
  const take = (files: Iterable<File> | undefined) => {
    setOver(false)
    const [first] = files ?? []
    if (first) setFile(first)
  }
  const drop = (event: DragEvent) => {
    event.preventDefault()
    take(event.dataTransfer.files)
  }
  const paste = (data: DataTransfer) => {
    const text = data.getData('text/plain')
    if (data.files.length) take(data.files)
    else if (text.trim()) setFile(new File([text], 'pasted.csv', { type: 'text/csv' }))
  }
  if (file) {
    const done = () => setFile(undefined)
    const Part = file.type.startsWith('image/') ? FromPicture : Bring
    return (
      <Suspense fallback={<p className="text-quiet">Opening …</p>}>
        <Part file={file} belongsTo={belongsTo} onDone={done} />
      </Suspense>
    )
  }
  return (
    <div
      className={`no-print flex flex-wrap items-baseline gap-x-4 gap-y-1 border border-dashed px-2 py-1.5 ${over ? 'border-petrol bg-chosen' : 'border-rule'}`}
      onDragOver={(event) => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <ChooseFile
        accept=".csv,.txt,.tsv,.json,.wav,.bin,.raw,text/*,audio/*,image/*"
        className="plain-link cursor-pointer focus-within:outline-2 focus-within:outline-petrol"
        onChoose={(files) => take(files)}
      >
        Add {words}
      </ChooseFile>
      <span className="text-quiet max-md:hidden">
        or drop it here: a scope’s or logger’s table, a sound (WAV), JSON, a photograph of a screen; or paste:
      </span>
      <input
        className="input max-w-32 max-md:hidden"
        aria-label="Paste a capture here"
        placeholder="paste here"
        value=""
        onChange={() => undefined}
        onPaste={(event) => {
          event.preventDefault()
          paste(event.clipboardData)
        }}
      />
    </div>
  )
}
