import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import { useState, type FormEvent } from 'react'
import { TextField } from './form'

interface Props {
  readonly open: boolean
  readonly title: string
  readonly label: string
  readonly action: string
  readonly onAnswer: (why: string) => void
  readonly onClose: () => void
}

/** Asks for a reason in words; nothing is taken back, kept or changed without one. */
export function Asking({ open, title, label, action, onAnswer, onClose }: Props) {
  const [why, setWhy] = useState('')
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (!why.trim()) return
    onAnswer(why.trim())
    setWhy('')
  }
  return (
    <Dialog open={open} onClose={onClose} className="relative z-40">
      <div className="fixed inset-0 bg-ground/70" aria-hidden="true" />
      <div className="fixed inset-0 flex items-start justify-center p-4 pt-[18vh]">
        <DialogPanel className="w-full max-w-md border border-ink bg-raised p-4">
          <form onSubmit={submit}>
            <DialogTitle className="text-lg font-bold">{title}</DialogTitle>
            <TextField
              label={label}
              value={why}
              maxLength={300}
              onChange={(event) => setWhy(event.target.value)}
              autoFocus
              className="mt-2"
            />
            <div className="mt-3 flex gap-2">
              <button type="submit" className="action action-main" disabled={!why.trim()}>
                {action}
              </button>
              <button type="button" className="action" onClick={onClose}>
                Leave it
              </button>
            </div>
          </form>
        </DialogPanel>
      </div>
    </Dialog>
  )
}
