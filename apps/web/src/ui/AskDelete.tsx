import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import { api } from '../api/api'

interface Props {
  /** What kind of document, which is its path in the API too: "meter". */
  readonly what: 'unit' | 'meter' | 'rig' | 'load' | 'checklist'
  readonly id: string
  readonly name: string
  readonly onDelete: () => void
  readonly onClose: () => void
}

const keepOwn = {
  unit: 'Trials keep their own copy, and stay as they are.',
  checklist: 'What was worked of it stays in the trials.',
  rig: 'Trials keep their own copy, and stay as they are.',
  load: 'The plans of trials keep their own copy, and stay as they are.',
  meter: '',
}

/** Asks before a document is deleted, and says where it is used. */
export function AskDelete({ what, id, name, onDelete, onClose }: Props) {
  const { data: uses } = api.useUsesQuery({ what, id }, { refetchOnMountOrArgChange: true })
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <div className="bg-ground/70 fixed inset-0" aria-hidden="true" />
      <div className="fixed inset-0 flex items-start justify-center p-4 pt-[18vh]">
        <DialogPanel className="border-ink bg-raised w-full max-w-md border p-4">
          <DialogTitle className="text-lg font-bold break-words">Delete {name}?</DialogTitle>
          {!uses && <p className="text-quiet">Looking where it is used …</p>}
          {uses?.total === 0 && <p>It is used nowhere.</p>}
          {uses && uses.total > 0 && (
            <>
              <p>{uses.held ? `This ${what} hangs on:` : 'It is used by:'}</p>
              <ul className="list-disc pl-5">
                {uses.by.map((user, i) => (
                  <li key={i} className="break-words">
                    {user}
                  </li>
                ))}
                {uses.total > uses.by.length && <li>and {uses.total - uses.by.length} more</li>}
              </ul>
              <p>
                {uses.held
                  ? 'Take it off there first; a tap without its meter would say nothing.'
                  : keepOwn[what]}
              </p>
            </>
          )}
          <div className="mt-3 flex gap-2">
            <button
              type="button"
              className="action action-main"
              disabled={!uses || uses.held}
              onClick={onDelete}
            >
              Delete it
            </button>
            <button type="button" className="action" onClick={onClose} autoFocus>
              Cancel
            </button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  )
}
