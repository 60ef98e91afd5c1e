import { useTrial } from './useTrial'

/** Which rig revision is on screen; keys 1 to 9 do the same. */
export function RevisionPicker() {
  const { trial, analysis, chooseRevision } = useTrial()
  const chosen = analysis.record.revision.number
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-1" role="group" aria-label="Rig revision">
      {trial.revisions.map((revision) => (
        <button
          key={revision.number}
          type="button"
          aria-pressed={revision.number === chosen}
          className={`max-w-72 truncate border-b-2 ${revision.number === chosen ? 'border-ink font-semibold' : 'text-quiet border-transparent hover:border-rule'}`}
          onClick={() => chooseRevision(revision.number)}
          title={revision.why}
        >
          Rig {revision.number}: {revision.why}
        </button>
      ))}
    </div>
  )
}
