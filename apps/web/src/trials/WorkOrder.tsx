import { useState } from 'react'
import { Link, useLocation } from 'react-router'
import { pathOf, type Progress, type Stage, type StageGroup } from '../stage'
import type { TrialState } from './useTrial'

const halfDisc = 'M6 1a5 5 0 0 0 0 10z'
const markWords = { none: 'not begun', part: 'part done', whole: 'done', unknown: 'being worked out' }
// A space of its own line, so that nothing jumps when the words come.
const notYet = { said: '\u00a0', done: 'unknown' } as const

interface Place {
  readonly said: string
  readonly done: Progress['done'] | 'unknown'
}

/** How far a few stages are: as the one that they open with, or as the first that is begun; what is half done is said besides. */
function gathered(group: StageGroup, states: ReadonlyMap<Stage, Place>): Place {
  const all = [...states.values()]
  const [opens = group.stages[0]] = [group.opens, ...states.keys()].filter((one) => one && states.has(one))
  const own = states.get(opens) ?? notYet
  if (all.some(({ done }) => done === 'unknown')) return notYet
  const main = own.done === 'none' ? (all.find(({ done }) => done !== 'none') ?? own) : own
  const half = all.filter((one) => one !== main && one.done === 'part').map(({ said }) => said)
  return {
    said: [main.said, ...half].join(', '),
    done: all.every(({ done }) => done === 'whole')
      ? 'whole'
      : all.every(({ done }) => done === 'none')
        ? 'none'
        : 'part',
  }
}

interface Props {
  readonly state: TrialState
  readonly groups: readonly StageGroup[]
}

/** What a trial is worked through, in order: navigation and progress at once. The part on screen shows its stages. */
export function WorkOrder({ state, groups }: Props) {
  const { pathname } = useLocation()
  const { trial, worked, analysis } = state
  const known = worked && {
    ...state,
    view: worked,
    analysis:
      worked.analyses.find(({ record }) => record.revision.number === analysis.record.revision.number) ??
      analysis,
  }
  const { unit } = analysis.record.revision
  const page = pathname.slice(`/trials/${trial.id}/`.length)
  const [more, setMore] = useState(false)
  const isHere = (stage: Stage) => stage.pages.some(({ path }) => path === page)
  // Some units have no use for some of them; who tests that all the same finds them.
  const isMore = !more && groups.some((group) => group.stages.some(({ suits }) => suits && !suits(unit)))
  const to = (stage: Stage) => `/trials/${trial.id}/${pathOf(stage)}`
  return (
    <nav
      aria-label="Work order"
      className="no-print flex shrink-0 flex-wrap border-b border-rule px-1 md:block md:w-[180px] md:border-r md:border-b-0 md:px-0 md:py-4"
    >
      {groups.map((group) => {
        const stages = group.stages.filter(
          (stage) =>
            more ||
            !stage.suits ||
            stage.suits(unit) ||
            isHere(stage) ||
            (known && stage.state(known).done !== 'none'),
        )
        const [first] = stages
        if (!first) return null
        const states = new Map(stages.map((stage) => [stage, known ? stage.state(known) : notYet]))
        const opens = group.opens ?? first
        const isOpen = group.stages.some(isHere)
        const alone = stages.length === 1
        return (
          <div key={group.words} className="contents md:block">
            <Step
              to={to(opens)}
              words={group.words}
              place={isOpen && !alone ? { ...gathered(group, states), said: '' } : gathered(group, states)}
              current={isOpen && alone}
              open={isOpen}
            />
            {isOpen && !alone && (
              <div className="flex flex-wrap border-rule max-md:order-last max-md:w-full max-md:border-t md:block">
                {stages.map((stage) => (
                  <Step
                    key={stage.words}
                    inner
                    to={to(stage)}
                    words={stage.words}
                    place={states.get(stage) ?? notYet}
                    current={isHere(stage)}
                    open={isHere(stage)}
                  />
                ))}
              </div>
            )}
          </div>
        )
      })}
      {isMore && (
        <button
          type="button"
          className="text-quiet shrink-0 px-2 text-left underline md:ml-5 md:px-0"
          onClick={() => setMore(true)}
        >
          More tests
        </button>
      )}
    </nav>
  )
}

interface StepProps {
  readonly to: string
  readonly words: string
  readonly place: Place
  /** The page on screen is its own. */
  readonly current: boolean
  readonly open: boolean
  /** Below a part of the work order. */
  readonly inner?: boolean
}

function Step({ to, words, place: { said, done }, current, open, inner = false }: StepProps) {
  return (
    <Link
      to={to}
      {...(current ? { 'aria-current': 'page' as const } : {})}
      className={`flex shrink-0 items-center gap-1.5 px-2 md:items-start md:gap-3 md:border-l-4 md:py-1.5 ${inner ? 'md:pl-8' : 'md:pl-4'} ${current ? 'border-ink bg-raised font-bold' : `border-transparent hover:bg-raised ${open ? 'font-bold' : ''}`}`}
    >
      <svg width="12" height="12" className="shrink-0 md:mt-1.5" role="img" aria-label={markWords[done]}>
        <circle cx="6" cy="6" r="5" fill={done === 'whole' ? 'currentColor' : 'none'} stroke="currentColor" />
        {done === 'part' && <path d={halfDisc} fill="currentColor" />}
      </svg>
      <span>
        {words}
        {said && <span className="text-quiet block text-[0.85rem] font-normal max-md:hidden">{said}</span>}
      </span>
    </Link>
  )
}
