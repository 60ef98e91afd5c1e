import { Rig, type Rig as RigContent, type StoredRig } from '@even-watt/contract'
import { isStation, touchedIn } from '@even-watt/core'
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import { useState } from 'react'
import { api } from '../api/api'
import { useTrial } from '../trials/useTrial'
import { TextField } from '../ui/form'
import { Notice, ProblemNotice } from '../ui/Notice'
import { useDocumentForm } from '../ui/useDocumentForm'
import { formToRig, rigToForm, type RigForm } from './editor/form'
import { MeterHanging } from './editor/MeterHanging'
import { RigFields } from './editor/RigFields'

interface Props {
  readonly rig: StoredRig
  readonly after: number
  /** Why, where a prediction already says it. */
  readonly because?: string
  readonly onDone: () => void
}

/** The next revision of a trial's rig, with why. */
export function ChangeRig({ rig, after, because = '', onDone }: Props) {
  const { trial, chooseRevision } = useTrial()
  const [why, setWhy] = useState(because)
  const [asked, setAsked] = useState(false)
  const [described, setDescribed] = useState(false)
  const [add] = api.useAddRevisionMutation()
  const editor = useDocumentForm<RigForm, RigContent>({
    draftKey: `revision ${trial.id} ${after}`,
    start: rigToForm(rig),
    schema: Rig,
    fromForm: formToRig,
    save: async (content) => {
      const before = trial.revisions.at(-1)
      const touched = described
        ? []
        : before && touchedIn(before, { ...before, rig: { ...before.rig, ...content } })
      await add({
        trial: trial.id,
        after,
        why: why.trim(),
        ...(touched ? { touched } : {}),
        rig: { ...content, id: rig.id, version: rig.version, savedAt: rig.savedAt },
      }).unwrap()
      onDone()
      chooseRevision(after + 1)
    },
  })
  return (
    <Dialog open onClose={onDone} className="relative z-30">
      <div className="fixed inset-0 bg-ground/70" aria-hidden="true" />
      <div className="fixed inset-0 overflow-y-auto p-2 md:p-6">
        <DialogPanel className="mx-auto w-full max-w-6xl border border-ink bg-ground p-3 md:p-5">
          <form
            noValidate
            onSubmit={(event) => {
              event.preventDefault()
              setAsked(true)
              if (why.trim()) void editor.submit()
            }}
          >
            <div className="flex flex-wrap items-baseline justify-between gap-3">
              <DialogTitle className="text-lg font-bold">Change the rig: revision {after + 1}</DialogTitle>
            </div>
            <p className="text-quiet">
              What was read stays. Of what the change does not touch, it stands on the new rig too.
            </p>
            {editor.restored && (
              <Notice kind="odd" word="Draft">
                A change that you began before was kept, and stands here again.{' '}
                <button type="button" className="plain-link" onClick={editor.discardDraft}>
                  Begin from the rig as it is
                </button>
              </Notice>
            )}
            {editor.problem && <ProblemNotice problem={editor.problem} />}
            <TextField
              label="What changed, and why"
              value={why}
              onChange={(event) => setWhy(event.target.value)}
              placeholder="negative lug remade"
              maxLength={300}
              autoFocus
              className="my-3"
              error={asked && !why.trim() ? 'Say in a few words what changed.' : undefined}
            />
            <label className="mb-3 flex items-center gap-2">
              <input
                type="checkbox"
                checked={described}
                onChange={(event) => setDescribed(event.target.checked)}
              />
              Nothing on the bench itself changed: its description was put right, or a meter was added.
            </label>
            {isStation(trial.revisions.at(-1)?.unit ?? { kind: 'inverter' }) ? (
              <MeterHanging form={editor.form} errorAt={editor.errorAt} />
            ) : (
              <RigFields form={editor.form} errorAt={editor.errorAt} />
            )}
            <div className="sticky -bottom-2 mt-4 flex gap-3 border-t border-ink bg-ground py-2 md:-bottom-6">
              <button type="submit" className="action action-main">
                Make the revision
              </button>
              <button type="button" className="action" onClick={onDone}>
                Cancel
              </button>
            </div>
          </form>
        </DialogPanel>
      </div>
    </Dialog>
  )
}
