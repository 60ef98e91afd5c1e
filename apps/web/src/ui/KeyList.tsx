import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import { Link } from 'react-router'
import { keyList } from './keys'

/** The list of keys behind `?`. */
export function KeyList({ onClose }: { onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <div className="fixed inset-0 bg-ground/70" aria-hidden="true" />
      <div className="fixed inset-0 flex items-start justify-center p-4 pt-[12vh]">
        <DialogPanel className="w-full max-w-lg border border-ink bg-raised p-4">
          <DialogTitle className="text-lg font-bold">Keys</DialogTitle>
          <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
            {keyList.map(([keys, does]) => (
              <div key={keys} className="contents">
                <dt>
                  <span className="kbd">{keys}</span>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <p className="text-quiet mt-3">Numbers: 12.84, 12,84, 1.2k and 850m are all understood.</p>
          <p className="mt-1">
            <Link className="plain-link" to="/method" onClick={onClose}>
              How every figure is worked
            </Link>
          </p>
          <button type="button" className="action mt-3" onClick={onClose} autoFocus>
            Close
          </button>
        </DialogPanel>
      </div>
    </Dialog>
  )
}
