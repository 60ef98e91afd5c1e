import { isFigure, sayFigure, warming } from '@even-watt/core'
import { useState } from 'react'
import { StageHead } from '../../trials/StageHead'
import { TakingBack } from '../../trials/TakingBack'
import { useTrial } from '../../trials/useTrial'
import { shortTime } from '../../ui/dates'
import { Notice } from '../../ui/Notice'
import { SurveyForm } from './SurveyForm'
import { SurveyTable } from './SurveyTable'
import { WhatToFix } from './WhatToFix'

/** Drops across the path at a steady current: which joint to fix first, and what that gives back. */
export function SurveyPage() {
  const { analysis } = useTrial()
  const [takingBack, setTakingBack] = useState<string>()
  const { surveys } = analysis.supply
  return (
    <>
      <StageHead />
      <p className="text-quiet mb-2 max-w-3xl">
        Hold one steady current. Put the probes on the metal itself: across each part, or from one point to
        the next. The current stays on meanwhile; never touch a lug under load with a tool.
      </p>
      {surveys.length === 0 && <p>No drop survey on this rig yet.</p>}
      {[...surveys].reverse().map((survey, i) => (
        <section key={survey.entry.id} className="mb-5">
          <h2 className="flex flex-wrap items-baseline gap-4">
            {i === 0 ? 'The newest survey' : 'An earlier survey'}, {shortTime(survey.entry.at)}, at{' '}
            {isFigure(survey.current) ? sayFigure(survey.current) : 'an unknown current'}
            <button
              type="button"
              className="plain-link no-print font-normal"
              onClick={() => setTakingBack(survey.entry.id)}
            >
              Take back
            </button>
          </h2>
          <SurveyTable survey={survey} />
          {i === 0 && <WhatToFix survey={survey} analysis={analysis} />}
        </section>
      ))}
      {warming(surveys).map(({ element, from, to }) => (
        <Notice key={element.id} kind="odd" word="Warming">
          {element.name}: the drop rose from {sayFigure(from)} to {sayFigure(to)} at steady current. A joint
          that warms up gets worse: stop, let it cool, remake it.
        </Notice>
      ))}
      <SurveyForm key={analysis.record.revision.number} />
      <TakingBack entry={takingBack} what="this survey" onDone={() => setTakingBack(undefined)} />
    </>
  )
}
