import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import { useForm } from 'react-hook-form'
import { TextField } from './form'

interface Props {
  readonly open: boolean
  readonly title: string
  readonly label: string
  readonly action: string
  /** Letters at most. */
  readonly most?: number
  readonly onAnswer: (why: string) => void
  readonly onClose: () => void
}

/** Asks for a reason in words; nothing is taken back, kept or changed without one. */
export function Asking({ open, title, label, action, most = 300, onAnswer, onClose }: Props) {
  const { register, handleSubmit, reset, formState } = useForm({ defaultValues: { why: '' } })
  const submit = handleSubmit((answer) => {
    onAnswer(answer.why.trim())
    reset()
  })
  return (
    <Dialog open={open} onClose={onClose} className="relative z-40">
      <div className="fixed inset-0 bg-ground/70" aria-hidden="true" />
      <div className="fixed inset-0 flex items-start justify-center p-4 pt-[18vh]">
        <DialogPanel className="w-full max-w-md border border-ink bg-raised p-4">
          <form onSubmit={(event) => void submit(event)}>
            <DialogTitle className="text-lg font-bold">{title}</DialogTitle>
            <TextField
              label={label}
              {...register('why', {
                validate: (why) => why.trim() !== '' || 'Say it in a few words first: others will read it.',
              })}
              error={formState.errors.why?.message}
              maxLength={most}
              autoFocus
              className="mt-2"
            />
            <div className="mt-3 flex gap-2">
              <button type="submit" className="action action-main">
                {action}
              </button>
              <button type="button" className="action" onClick={onClose}>
                Cancel
              </button>
            </div>
          </form>
        </DialogPanel>
      </div>
    </Dialog>
  )
}
