import type { ReactNode } from 'react'
import { StageHead } from '../trials/StageHead'
import { StageTabs } from '../trials/StageTabs'

const tabs = [
  ['rig', 'Drawing'],
  ['rig/supply', 'Supply'],
  ['rig/load-test', 'Load test'],
  ['rig/survey', 'Drop survey'],
  ['rig/what-if', 'What if'],
] as const

/** The head of every page of the rig stage, with the way between them. */
export function RigHead({ children }: { children?: ReactNode }) {
  return (
    <>
      <StageHead title="Rig">{children}</StageHead>
      <StageTabs label="Parts of the rig stage" tabs={tabs} />
    </>
  )
}
