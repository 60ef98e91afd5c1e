import { useEffect, useEffectEvent, useState, type ReactNode } from 'react'
import { useTrial } from '../trials/useTrial'
import { ChooseFile } from '../ui/ChooseFile'
import { Notice } from '../ui/Notice'
import { takePhotographs, type Subject } from './take'

interface Props {
  readonly subject?: Subject
  readonly children: ReactNode
  /** The one of a page that also takes what is pasted. */
  readonly pasted?: boolean
  readonly className?: string
}

/** Types that are offered; a phone turns its own kind into the first. */
const accepted = 'image/jpeg,image/png,image/webp'

/** Takes photographs in: chosen, taken with a phone's camera, dropped here or pasted. */
export function TakePhotograph({ subject, children, pasted = false, className = 'action' }: Props) {
  const { trial, analysis } = useTrial()
  const [busy, setBusy] = useState(false)
  const [over, setOver] = useState(false)
  const [faults, setFaults] = useState<readonly string[]>([])
  const take = async (files: readonly File[]) => {
    if (!files.length) return
    setBusy(true)
    setFaults([])
    const why = await takePhotographs(trial.id, analysis.record.revision.number, files, subject)
    setFaults(why)
    setBusy(false)
  }
  const paste = useEffectEvent((event: ClipboardEvent) => {
    const files = [...(event.clipboardData?.files ?? [])]
    if (!files.length) return
    event.preventDefault()
    void take(files)
  })
  useEffect(() => {
    if (!pasted) return undefined
    document.addEventListener('paste', paste)
    return () => document.removeEventListener('paste', paste)
  }, [pasted])
  return (
    <span
      className={`no-print inline-block ${over ? 'outline-2 outline-petrol outline-dashed' : ''}`}
      onDragOver={(event) => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault()
        setOver(false)
        void take([...event.dataTransfer.files])
      }}
    >
      <ChooseFile
        multiple
        accept={accepted}
        disabled={busy}
        className={`${className} inline-block cursor-pointer`}
        onChoose={(files) => void take(files)}
      >
        {busy ? 'Reading …' : children}
      </ChooseFile>
      {faults.map((fault) => (
        <Notice key={fault} kind="problem">
          {fault}
        </Notice>
      ))}
    </span>
  )
}
