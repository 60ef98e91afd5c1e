import { AskWave } from '../answers/AskWave'
import { ExpectationList } from '../expectations/ExpectationList'
import { SuitsPart } from '../suits/SuitsPart'
import { OwnLimits } from '../catalogue/OwnLimits'
import { StageHead } from '../trials/StageHead'
import { useSaveSettings } from '../trials/useSaveSettings'
import { useTrial } from '../trials/useTrial'
import { ProblemNotice } from '../ui/Notice'
import { FindingList } from './FindingList'
import { SetAsideList } from './SetAsideList'
import { TrialAnswer } from './TrialAnswer'

/** Each claim against the evidence, as sentences. */
export function FindingsPage() {
  const state = useTrial()
  const { trial } = state
  const { save, problem } = useSaveSettings()
  const minutes = [3, 10, 60]
  return (
    <>
      <StageHead revisions={false}>
        <label className="flex items-center gap-2">
          <span className="text-quiet">“continuous” without a time means</span>
          <select
            className="input w-auto"
            value={trial.hold}
            onChange={(event) => void save({ hold: Number(event.target.value) })}
          >
            {[...new Set([...minutes.map((minute) => minute * 60), trial.hold])].map((seconds) => (
              <option key={seconds} value={seconds}>
                {seconds / 60} min
              </option>
            ))}
          </select>
        </label>
      </StageHead>
      <AskWave />
      {problem && <ProblemNotice problem={problem} />}
      <TrialAnswer state={state} editable />
      <FindingList state={state} editable />
      <OwnLimits state={state} editable />
      <SuitsPart state={state} editable />
      <ExpectationList state={state} editable />
      <SetAsideList analyses={state.view.analyses} />
    </>
  )
}
