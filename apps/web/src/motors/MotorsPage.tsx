import {
  capital,
  machinesOf,
  machineWords,
  nameOfWho,
  readingsOf,
  sayStarted,
  trendsOf,
  type Analysis,
} from '@even-watt/core'
import { lazy, Suspense, useMemo, useState } from 'react'
import { api } from '../api/api'
import { OddityNotices } from '../oddities/OddityNotices'
import { BankForSurge } from '../schedule/BankForSurge'
import { CautionsFirst } from '../safety/CautionsFirst'
import { ArmsLengthButton } from '../trials/ArmsLengthButton'
import { StageHead } from '../trials/StageHead'
import { useOddities } from '../trials/useOddities'
import { usePrompts } from '../trials/usePrompts'
import { useTrial } from '../trials/useTrial'
import { AddWave } from '../captures/AddWave'
import { AttemptForm } from './AttemptForm'
import { AttemptTable } from './AttemptTable'
import { TryNext } from './TryNext'
import { untriedFrom } from './tryNext'

const StartsAtArmsLength = lazy(async () => ({
  default: (await import('./StartsAtArmsLength')).StartsAtArmsLength,
}))

/** The answer: what started, and of each that did not, who stopped it. */
function answerOf(analysis: Analysis): string {
  const failed = analysis.motors.attempts.filter(({ outcome }) => outcome !== 'started')
  const started = machinesOf(analysis).filter((one) => one.started > 0)
  return [
    started.length && `It started ${started.map(sayStarted).join('; ')}.`,
    ...failed.map(
      ({ entry, outcome, ended }) =>
        `${capital(entry.reading.load)} (attempt ${entry.reading.number}) ${outcome}: ${nameOfWho[ended?.who ?? 'meter']}.`,
    ),
  ]
    .filter(Boolean)
    .join(' ')
}

/** Attempts at starting machines: who stopped each that failed, and what a start did in time. */
export function MotorsPage() {
  const { analysis, view } = useTrial()
  const { data: shelf } = api.useLoadsQuery()
  const [chosen, setChosen] = useState<string>()
  const prompts = usePrompts()
  const [large, setLarge] = useState(prompts.asked)
  const close = () => {
    setLarge(false)
    prompts.done()
  }
  const untried = useMemo(() => untriedFrom(shelf ?? [], analysis), [shelf, analysis])
  const attempts = readingsOf(analysis.record, 'motors')
  const oddities = useOddities().filter(({ at }) => attempts.some(({ id }) => id === at.entry))
  const together = [...trendsOf(analysis.motors.attempts), ...machineWords(analysis)]
  const last = attempts.at(-1)
  return (
    <>
      <StageHead title="Motors">
        <ArmsLengthButton onOpen={() => setLarge(true)} />
      </StageHead>
      {large && (
        <Suspense fallback={null}>
          <CautionsFirst>
            <StartsAtArmsLength untried={untried} onClose={close} />
          </CautionsFirst>
        </Suspense>
      )}
      <p className="mb-2 max-w-4xl">{answerOf(analysis)}</p>
      {together.map((sentence) => (
        <p key={sentence} className="mb-2 max-w-4xl">
          {sentence}
        </p>
      ))}
      <p className="text-quiet mb-2">
        Motors restart by themselves after a trip: keep clear, unplug before touching. From light to heavy,
        and one thing changed between attempts.
      </p>
      <BankForSurge />
      <OddityNotices oddities={oddities} />
      <AttemptTable record={view.record} analysis={analysis} editable />
      {last && (
        <div className="mt-3">
          <AddWave
            belongsTo={{ about: last.id }}
            words={`what was recorded of attempt ${last.reading.number}`}
          />
        </div>
      )}
      <TryNext untried={untried} onTake={setChosen} />
      <AttemptForm key={analysis.record.revision.number} chosen={chosen} />
    </>
  )
}
