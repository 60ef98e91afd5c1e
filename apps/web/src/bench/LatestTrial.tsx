import type { Trial, TrialLine } from '@even-watt/contract'
import { Link } from 'react-router'
import { api } from '../api/api'
import { pathOf } from '../stage'
import { stages } from '../stages'
import { useTrialView } from '../trials/useTrial'
import { Loaded } from '../ui/Loaded'

/** The trial on the bench: how far each stage is, and what comes next. */
export function LatestTrial({ line }: { line: TrialLine }) {
  const query = api.useTrialQuery(line.id)
  return (
    <Loaded query={query} what="the trial on the bench">
      {(trial) => <Inside trial={trial} />}
    </Loaded>
  )
}

function Inside({ trial }: { trial: Trial }) {
  const { query, entries, view, unsent } = useTrialView(trial)
  const analysis = view.analyses.at(-1)
  if (!query.data || !analysis) return <p className="text-quiet py-2">Reading its entries …</p>
  const state = { trial, entries, view, worked: view, unsent, analysis, chooseRevision: () => undefined }
  const { unit } = analysis.record.revision
  const suited = stages.filter(({ suits }) => !suits || suits(unit))
  const worked = suited.map((stage) => ({ stage, ...stage.state(state) }))
  const next = worked.find(({ done, stage }) => done !== 'whole' && stage !== suited.at(-1)) ?? worked.at(-1)
  return (
    <section className="mb-6">
      <p>
        On the bench:{' '}
        <Link className="plain-link font-semibold" to={`/trials/${trial.id}/ladder`}>
          {trial.title}
        </Link>
        , on rig {analysis.record.revision.number} ({analysis.record.revision.why}).
      </p>
      {next && (
        <p>
          Next:{' '}
          <Link className="plain-link font-semibold" to={`/trials/${trial.id}/${pathOf(next.stage)}`}>
            {next.stage.words}
          </Link>
          , {next.said}.
        </p>
      )}
      <ol className="mt-2 flex flex-wrap gap-x-6 gap-y-1">
        {worked.map(({ stage, said }) => (
          <li key={stage.words}>
            <Link className="font-semibold hover:underline" to={`/trials/${trial.id}/${pathOf(stage)}`}>
              {stage.words}
            </Link>
            <span className="text-quiet block text-[0.85rem]">{said}</span>
          </li>
        ))}
      </ol>
    </section>
  )
}
