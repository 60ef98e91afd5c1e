import { useEffect, useRef } from 'react'
import { NavLink, useLocation } from 'react-router'
import { pathOf } from '../stage'
import { shortDate } from '../ui/dates'
import { useStages } from './stageContext'
import type { TrialState } from './useTrial'

const halfDisc = 'M6 1a5 5 0 0 0 0 10z'
const markWords = { none: 'not begun', part: 'part done', whole: 'done', unknown: 'being worked out' }
// A space of its own line, so that nothing jumps when the words come.
const notYet = { said: '\u00a0', done: 'unknown' } as const

/** The stages of a trial in the order they are worked: navigation and progress at once. */
export function WorkOrder({ state }: { state: TrialState }) {
  const stages = useStages()
  const { pathname } = useLocation()
  const strip = useRef<HTMLElement>(null)
  const { trial, worked, analysis } = state
  const known = worked && {
    ...state,
    view: worked,
    analysis:
      worked.analyses.find(({ record }) => record.revision.number === analysis.record.revision.number) ??
      analysis,
  }
  const wordsAreThere = known !== undefined
  // On a phone the strip stands at the stage on screen.
  useEffect(() => {
    strip.current?.querySelector('[aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest' })
  }, [pathname, wordsAreThere])
  return (
    <nav
      ref={strip}
      aria-label="Work order"
      className="no-print flex shrink-0 gap-1 overflow-x-auto border-b border-rule px-3 py-2 md:block md:w-[180px] md:border-r md:border-b-0 md:px-0 md:py-4"
    >
      <div className="hidden px-5 pb-4 md:block">
        <p className="font-bold break-words">{trial.title}</p>
        <p className="text-quiet text-[0.85rem]">
          {trial.by} · <time dateTime={trial.startedAt}>{shortDate(trial.startedAt)}</time>
        </p>
      </div>
      {stages.map((stage) => {
        const { said, done } = known ? stage.state(known) : notYet
        return (
          <NavLink
            key={stage.words}
            to={`/trials/${trial.id}/${pathOf(stage)}`}
            className={({ isActive }) =>
              `flex shrink-0 gap-3 px-2 py-1 md:border-l-4 md:py-1.5 md:pl-4 ${isActive ? 'border-ink bg-raised font-bold' : 'border-transparent hover:bg-raised'}`
            }
          >
            <svg width="12" height="12" className="mt-1.5 shrink-0" role="img" aria-label={markWords[done]}>
              <circle
                cx="6"
                cy="6"
                r="5"
                fill={done === 'whole' ? 'currentColor' : 'none'}
                stroke="currentColor"
              />
              {done === 'part' && <path d={halfDisc} fill="currentColor" />}
            </svg>
            <span>
              {stage.words}
              <span className="text-quiet block text-[0.85rem] font-normal">{said}</span>
            </span>
          </NavLink>
        )
      })}
    </nav>
  )
}
