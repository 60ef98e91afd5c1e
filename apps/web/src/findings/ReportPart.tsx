import { ExpectationList } from '../expectations/ExpectationList'
import type { ReportProps } from '../stage'
import { SuitsPart } from '../suits/SuitsPart'
import { OwnLimits } from '../catalogue/OwnLimits'
import { Section } from '../ui/Section'
import { FindingList } from './FindingList'
import { SetAsideList } from './SetAsideList'
import { TrialAnswer } from './TrialAnswer'

export function FindingsPart({ state }: ReportProps) {
  return (
    <Section title="Findings">
      <TrialAnswer state={state} />
      <FindingList state={state} />
      <OwnLimits state={state} />
      <SuitsPart state={state} />
      <ExpectationList state={state} />
      <SetAsideList analyses={state.view.analyses} />
    </Section>
  )
}
