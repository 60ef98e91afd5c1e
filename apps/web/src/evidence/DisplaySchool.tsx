import { useSaveSettings } from '../trials/useSaveSettings'
import { useTrial } from '../trials/useTrial'
import { Notice } from '../ui/Notice'

/** Whether a display that was checked may stand in for a meter: testers differ, so each trial says it. */
export function DisplaySchool() {
  const { trial } = useTrial()
  const { save, problem } = useSaveSettings()
  return (
    <div className="no-print mt-2 max-w-3xl">
      <label className="flex items-baseline gap-2">
        <input
          type="checkbox"
          checked={trial.displayStandsIn ?? false}
          onChange={(event) => void save({ displayStandsIn: event.target.checked })}
        />
        <span>
          Between these checks the display may stand in for a meter
          <span className="text-quiet">
            , with the error it was found to have. Off, it is only shown and decides nothing.
          </span>
        </span>
      </label>
      {trial.displayStandsIn && (
        <label className="mt-1 flex items-baseline gap-2">
          <input
            type="checkbox"
            checked={trial.displayCorrected ?? false}
            onChange={(event) => void save({ displayCorrected: event.target.checked })}
          />
          <span>
            Correct it by what it was off on the mean
            <span className="text-quiet">
              , by an amount or a share, whichever fits the checks better; what is left is its error.
            </span>
          </span>
        </label>
      )}
      {problem && <Notice kind="problem">{problem.detail ?? problem.title}</Notice>}
    </div>
  )
}
