import type { Problem } from '@even-watt/contract'
import { useEffect, useRef, type ReactNode } from 'react'
import { isConflict } from '../api/api'
import { focusFirst } from './enterRule'
import { KeptNotice } from './KeptNotice'
import { ProblemNotice } from './Notice'
import { Page } from './Page'

interface Props {
  readonly title: string
  readonly problem: Problem | undefined
  readonly restored: boolean
  readonly onDiscardDraft: () => void
  readonly onSubmit: () => void
  readonly onCancel: () => void
  /** A new document begins in its first field. */
  readonly beginning: boolean
  /** Saves what is typed on top of the other version, after a conflict. */
  readonly onSaveAnyway?: (() => void) | undefined
  readonly onDuplicate?: (() => void) | undefined
  readonly onDelete?: (() => void) | undefined
  readonly children: ReactNode
}

/** Around every document form: save and cancel where the hand is, duplicate, delete, a restored draft, a conflict with another tab. */
export function DocumentFrame(props: Props) {
  const {
    title,
    problem,
    restored,
    onDiscardDraft,
    onSubmit,
    onCancel,
    beginning,
    onSaveAnyway,
    onDuplicate,
    onDelete,
    children,
  } = props
  const form = useRef<HTMLFormElement>(null)
  useEffect(() => {
    if (beginning) focusFirst(form.current)
  }, [beginning])
  return (
    <form
      ref={form}
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        onSubmit()
      }}
    >
      <Page
        title={title}
        actions={
          <>
            {onDelete && (
              <button type="button" className="action" onClick={onDelete}>
                Delete
              </button>
            )}
            {onDuplicate && (
              <button type="button" className="action" onClick={onDuplicate}>
                Duplicate
              </button>
            )}
          </>
        }
      >
        {restored && <KeptNotice onDiscard={onDiscardDraft} />}
        {problem && (
          <ProblemNotice problem={problem}>
            {isConflict(problem) && onSaveAnyway && (
              <div className="mt-2 flex gap-2">
                <button type="button" className="action" onClick={onSaveAnyway}>
                  Save mine over it
                </button>
                <button type="button" className="action" onClick={onDiscardDraft}>
                  Take theirs
                </button>
              </div>
            )}
          </ProblemNotice>
        )}
        {children}
        <div className="no-print sticky bottom-0 mt-5 flex gap-3 border-t border-ink bg-ground py-2">
          <button type="submit" className="action action-main">
            Save
          </button>
          <button type="button" className="action" onClick={onCancel}>
            Cancel
          </button>
        </div>
      </Page>
    </form>
  )
}
