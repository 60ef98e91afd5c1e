import { NavLink, useLocation } from 'react-router'
import type { Stage } from '../stage'
import { useTrial } from './useTrial'

/** The way between the pages of one stage; nothing where it has but one. */
export function StageTabs({ stage }: { stage: Stage }) {
  const { trial, analysis } = useTrial()
  const { search } = useLocation()
  const tabs = stage.pages.filter(
    ({ tab, suits }) => tab !== undefined && (suits?.(analysis.record.revision.unit) ?? true),
  )
  if (tabs.length < 2) return null
  return (
    <nav
      className="no-print mb-3 flex flex-wrap gap-x-5 gap-y-1 border-b border-rule pb-1"
      aria-label={`Parts of the ${stage.words.toLowerCase()} stage`}
    >
      {tabs.map(({ path, tab }) => (
        <NavLink
          key={path}
          end
          to={`/trials/${trial.id}/${path}${search}`}
          className={({ isActive }) => (isActive ? 'font-bold' : 'text-quiet hover:text-ink')}
        >
          {tab}
        </NavLink>
      ))}
    </nav>
  )
}
