import { NavLink, useLocation } from 'react-router'
import { useTrial } from './useTrial'

/** The way between the pages of one stage; each tab is a path below the trial, and its words. */
export function StageTabs({
  label,
  tabs,
}: {
  label: string
  tabs: readonly (readonly [path: string, words: string])[]
}) {
  const { trial } = useTrial()
  const { search } = useLocation()
  return (
    <nav
      className="no-print mb-3 flex flex-wrap gap-x-5 gap-y-1 border-b border-rule pb-1"
      aria-label={label}
    >
      {tabs.map(([path, words]) => (
        <NavLink
          key={path}
          end
          to={`/trials/${trial.id}/${path}${search}`}
          className={({ isActive }) => (isActive ? 'font-bold' : 'text-quiet hover:text-ink')}
        >
          {words}
        </NavLink>
      ))}
    </nav>
  )
}
