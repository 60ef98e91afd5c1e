import { answersOf, tellingRig } from '@even-watt/core'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { AnswerLine } from './AnswerLine'

/** What was asked of the unit, each with its answer; what was not read is left to the findings. */
export function QuestionsPart({ state: { trial, view }, analysis }: ReportProps) {
  const telling = tellingRig(view.analyses) ?? analysis
  const answered = answersOf({ on: { analysis: telling }, view, trial }).filter(({ said }) => said.length > 0)
  if (!answered.length) return null
  return (
    <Section title="What was asked">
      <ol>
        {answered.map((answer) => (
          <AnswerLine key={answer.id} answer={answer} trial={trial.id} heading="h3" />
        ))}
      </ol>
    </Section>
  )
}
