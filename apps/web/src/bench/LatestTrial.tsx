import type { Trial, TrialLine } from '@even-watt/contract'
import { answerOf, answersOf, readingOrder, tellingRig } from '@even-watt/core'
import { Link } from 'react-router'
import { api } from '../api/api'
import { CurveThumbnail } from '../ladder/CurveThumbnail'
import { useTrialView } from '../trials/useTrial'
import { Loaded } from '../ui/Loaded'

/** The trial on the bench, and what to read next of it. */
export function LatestTrial({ line }: { line: TrialLine }) {
  const query = api.useTrialQuery(line.id)
  return (
    <Loaded query={query} what="the trial on the bench">
      {(trial) => <Inside trial={trial} />}
    </Loaded>
  )
}

function Inside({ trial }: { trial: Trial }) {
  const { query, view } = useTrialView(trial)
  const analysis = view.analyses.at(-1)
  if (!query.data || !analysis) return <p className="text-quiet py-2">Reading its entries …</p>
  const telling = tellingRig(view.analyses) ?? analysis
  const answers = answersOf({ on: { analysis: telling }, view, trial })
  const [next] = readingOrder(answers).order
  const { claims } = answerOf(view.findings, view.analyses)
  return (
    <section className="mb-6 flex flex-wrap items-start gap-x-8 gap-y-2" aria-label="On the bench">
      <div className="min-w-0 flex-[1_1_24rem]">
        <p>
          On the bench:{' '}
          <Link className="plain-link font-semibold" to={`/trials/${trial.id}/answers`}>
            {trial.title}
          </Link>
          , on rig {analysis.record.revision.number} ({analysis.record.revision.why}).
        </p>
        <p>{claims}</p>
        {next && (
          <p>
            Read next: {next.open.todo}{' '}
            <Link className="plain-link font-semibold" to={`/trials/${trial.id}/${next.open.page}`}>
              {next.open.button}
            </Link>
          </p>
        )}
      </div>
      <CurveThumbnail analysis={telling} />
    </section>
  )
}
