import type { ReactNode } from 'react'
import { RevisionPicker } from './RevisionPicker'
import { useStage } from './stageContext'
import { StageTabs } from './StageTabs'

/** Title of a stage, the rig revision it shows, what can be done, and the way between its pages. */
export function StageHead({
  title,
  children,
  revisions = true,
}: {
  /** Where the page is not called as its stage. */
  title?: string
  children?: ReactNode
  revisions?: boolean
}) {
  const stage = useStage()
  return (
    <>
      <div className="mb-2 flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1>{title ?? stage?.words}</h1>
        {revisions && <RevisionPicker />}
        <div className="no-print ml-auto flex flex-wrap items-baseline gap-3">{children}</div>
      </div>
      {stage && <StageTabs stage={stage} />}
    </>
  )
}
