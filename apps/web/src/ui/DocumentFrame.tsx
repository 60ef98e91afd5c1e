import type { Problem } from '@even-watt/contract'
import type { ReactNode } from 'react'
import { isConflict } from '../api/api'
import { Notice, ProblemNotice } from './Notice'
import { Page } from './Page'

interface Props {
  readonly title: string
  readonly problem: Problem | undefined
  readonly restored: boolean
  readonly onDiscardDraft: () => void
  readonly onSubmit: () => void
  /** Saves what is typed on top of the other version, after a conflict. */
  readonly onSaveAnyway?: (() => void) | undefined
  readonly onDuplicate?: (() => void) | undefined
  readonly onDelete?: (() => void) | undefined
  readonly children: ReactNode
}

/** Around every document form: save, duplicate, delete, a restored draft, a conflict with another tab. */
export function DocumentFrame(props: Props) {
  const {
    title,
    problem,
    restored,
    onDiscardDraft,
    onSubmit,
    onSaveAnyway,
    onDuplicate,
    onDelete,
    children,
  } = props
  return (
    <form
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
            <button type="submit" className="action action-main">
              Save
            </button>
          </>
        }
      >
        {restored && (
          <Notice kind="odd" word="Draft">
            What you typed here before was kept.{' '}
            <button type="button" className="plain-link" onClick={onDiscardDraft}>
              Discard it
            </button>
          </Notice>
        )}
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
      </Page>
    </form>
  )
}
