import type { ReactNode } from 'react'
import { RevisionPicker } from './RevisionPicker'

/** Title of a stage, the rig revision it shows, and what can be done. */
export function StageHead({
  title,
  children,
  revisions = true,
}: {
  title: string
  children?: ReactNode
  revisions?: boolean
}) {
  return (
    <div className="mb-2 flex flex-wrap items-baseline gap-x-5 gap-y-1">
      <h1>{title}</h1>
      {revisions && <RevisionPicker />}
      <div className="no-print ml-auto flex flex-wrap items-baseline gap-3">{children}</div>
    </div>
  )
}
