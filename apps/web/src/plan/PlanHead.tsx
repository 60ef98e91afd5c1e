import type { ReactNode } from 'react'
import { StageHead } from '../trials/StageHead'
import { StageTabs } from '../trials/StageTabs'

const tabs = [
  ['plan', 'Loads'],
  ['plan/schedule', 'Schedule'],
  ['plan/run', 'Run it'],
  ['plan/sheet', 'Run sheet'],
  ['plan/paper', 'From paper'],
] as const

/** The head of every page of the plan stage, with the way between them. */
export function PlanHead({ children }: { children?: ReactNode }) {
  return (
    <>
      <StageHead title="Plan">{children}</StageHead>
      <StageTabs label="Parts of the plan stage" tabs={tabs} />
    </>
  )
}
