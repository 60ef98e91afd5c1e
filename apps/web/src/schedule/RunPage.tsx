import type { RunEvent } from '@even-watt/contract'
import { alreadyStanding, placedKey, type Stretch } from '@even-watt/core'
import { Link } from 'react-router'
import { pathOf } from '../stage'
import { useStages } from '../trials/stageContext'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { useKey } from '../ui/keys'
import { Notice } from '../ui/Notice'
import { eventOf, recordRun } from './run'
import { SchedulePicture } from './SchedulePicture'
import { useNow } from './useNow'
import { useSchedule, type ScheduleState } from './useSchedule'
import { Ways } from './Ways'
import { percent, sayLength, sayPart, sayStretch } from './words'

/** The schedule while it is worked: what runs, what is next, what is due. */
export function RunPage() {
  const now = useNow()
  const state = useSchedule(useTrial(), now)
  const { trial } = useTrial()
  return (
    <>
      <StageHead />
      {state ? (
        <Running state={state} now={now} />
      ) : (
        <p>
          There is no schedule to run.{' '}
          <Link className="plain-link" to={`/trials/${trial.id}/plan/schedule`}>
            Make one
          </Link>
          .
        </p>
      )}
    </>
  )
}

function Running({ state, now }: { state: ScheduleState; now: number }) {
  const { stands, clock, late, checkIns, log } = state
  const open = stands.placed.filter((stretch) => stretch.state === 'running' || stretch.state === 'paused')
  const ahead = stands.placed.filter((stretch) => stretch.state === 'planned')
  const { trial, view, analysis } = useTrial()
  // Only a run that has not begun is asked: what was skipped or left in one was the tester's to say.
  const standing = log.length ? [] : alreadyStanding(stands.placed, view.record, analysis, trial.plan)
  const next = ahead[standing.length]
  return (
    <>
      {open.map((stretch) => (
        <Current key={placedKey(stretch)} stretch={stretch} state={state} now={now} />
      ))}
      {next ? (
        <Next stretch={next} state={state} idle={!open.length} standing={standing} />
      ) : (
        !open.length && <Notice kind="good">Everything in the schedule is done or skipped.</Notice>
      )}
      <SchedulePicture placed={stands.placed} clock={clock} now={log.length ? now : undefined} />
      <div className="mt-2 grid gap-6 md:grid-cols-2">
        <section>
          <h2>Check-ins</h2>
          <Ways />
          {checkIns.length === 0 && <p>No block here is long enough to need one.</p>}
          <ul>
            {checkIns.map(({ placed, number, due, made }) => (
              <li key={`${placedKey(placed)} ${placed.from} ${number}`}>
                <span className="figures">{clock.time(due)}</span> {sayStretch(placed)}, {number}
                {made !== undefined && (
                  <span className={made - due >= 60_000 ? 'text-ochre' : 'text-moss'}>
                    {' '}
                    ● made {clock.time(made)}
                    {made - due >= 60_000 && `, ${sayLength(made - due)} late`}
                  </span>
                )}
              </li>
            ))}
          </ul>
        </section>
        <section>
          <h2>Still to come</h2>
          <ol>
            {ahead.map((stretch, i) => {
              const minutesLate = late.get(placedKey(stretch))
              return (
                <li key={i}>
                  <span className="figures">{clock.time(stretch.from)}</span> {sayStretch(stretch)},{' '}
                  {sayLength(stretch.to - stretch.from)}
                  {minutesLate !== undefined && (
                    <span className="text-ochre"> ▲ {sayLength(minutesLate)} late</span>
                  )}
                </li>
              )
            })}
          </ol>
          {stands.skipped.length > 0 && (
            <p className="text-quiet">Skipped: {stands.skipped.map(({ kind }) => kind).join(', ')}.</p>
          )}
        </section>
      </div>
      {stands.remarks.map(({ sentence }, i) => (
        <Notice key={i} kind="odd">
          {sentence}
        </Notice>
      ))}
    </>
  )
}

function useAct() {
  const { trial, analysis } = useTrial()
  return (stretch: Stretch, action: RunEvent['action']) =>
    recordRun(trial.id, analysis.record.revision.number, eventOf(stretch, action))
}

function Current({ stretch, state, now }: { stretch: Stretch; state: ScheduleState; now: number }) {
  const act = useAct()
  const { clock } = state
  const piece = stretch.pieces.find(({ from, to }) => now >= from && now < to) ?? stretch.pieces.at(-1)
  const paused = stretch.state === 'paused'
  return (
    <section className="mb-2 border-l-4 border-copper pl-3" aria-label="What runs now">
      <p className="text-[1.25rem] font-bold">
        {sayStretch(stretch)} <PageLink stretch={stretch} />
      </p>
      <p role="status">
        {paused ? 'Paused. ' : ''}Since {clock.time(stretch.from)}; ends about {clock.time(stretch.to)}
        {piece && !paused && piece.what !== stretch.kind && `; now ${piece.what}`}.
      </p>
      <div className="mt-1 flex flex-wrap gap-3">
        <button type="button" className="action action-main" onClick={() => act(stretch, 'finish')}>
          Finished
        </button>
        <button type="button" className="action" onClick={() => act(stretch, paused ? 'resume' : 'pause')}>
          {paused ? 'Go on' : 'Pause'}
        </button>
      </div>
    </section>
  )
}

interface NextProps {
  readonly stretch: Stretch
  readonly state: ScheduleState
  readonly idle: boolean
  /** What stands in the record already: a run that begins here skips it. */
  readonly standing: readonly Stretch[]
}

function Next({ stretch, state, idle, standing }: NextProps) {
  const record = useAct()
  const act = (one: Stretch, action: RunEvent['action']) => {
    for (const done of standing) record(done, 'skip')
    record(one, action)
  }
  const { clock, late } = state
  const minutesLate = late.get(placedKey(stretch))
  const charge = stretch.pieces[0]?.charge[0]
  useKey(
    (event) => event.key.toLowerCase() === 's' && !event.ctrlKey && !event.metaKey,
    () => {
      if (idle) act(stretch, 'start')
    },
  )
  return (
    <section className="mb-2" aria-label="What is next">
      <p className={idle ? 'text-[1.25rem] font-bold' : 'font-semibold'}>
        Next: {sayStretch(stretch)} <PageLink stretch={stretch} />
      </p>
      <p>
        At {clock.both(stretch.from)}, for {sayLength(stretch.to - stretch.from)}
        {charge !== undefined && `, the bank at ${percent(charge)}`}.
        {minutesLate !== undefined && (
          <span className="text-ochre"> ▲ {sayLength(minutesLate)} later than planned.</span>
        )}
        {stretch.because !== undefined && ` ${sayPart(stretch.part ?? 'recharge')}: ${stretch.because}.`}
      </p>
      {standing.length > 0 && (
        <p className="text-quiet">
          The record has {[...new Set(standing.map(({ kind }) => kind))].join(', ')} already, so the run
          begins here and skips it.
        </p>
      )}
      <div className="mt-1 flex flex-wrap items-center gap-3">
        <button
          type="button"
          className={`action ${idle ? 'action-main' : ''}`}
          onClick={() => act(stretch, 'start')}
        >
          Start {stretch.part ?? stretch.kind}
        </button>
        {idle && <span className="kbd">S</span>}
        <button type="button" className="action" onClick={() => act(stretch, 'skip')}>
          Skip {stretch.part ?? stretch.kind}
        </button>
      </div>
    </section>
  )
}

function PageLink({ stretch }: { stretch: Stretch }) {
  const { trial } = useTrial()
  const stages = useStages()
  const stage = stretch.part ? undefined : stages.find(({ works }) => works?.includes(stretch.kind))
  return stage ? (
    <Link className="plain-link text-base font-normal" to={`/trials/${trial.id}/${pathOf(stage)}`}>
      open it
    </Link>
  ) : null
}
