import type { ReactNode } from 'react'
import { NavLink, useLocation } from 'react-router'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'

const tabs = [
  ['rig', 'Drawing'],
  ['rig/supply', 'Supply'],
  ['rig/load-test', 'Load test'],
  ['rig/survey', 'Drop survey'],
  ['rig/what-if', 'What if'],
] as const

/** The head of every page of the rig stage, with the way between them. */
export function RigHead({ children }: { children?: ReactNode }) {
  const { trial } = useTrial()
  const { search } = useLocation()
  return (
    <>
      <StageHead title="Rig">{children}</StageHead>
      <nav
        className="no-print mb-3 flex flex-wrap gap-x-5 gap-y-1 border-b border-rule pb-1"
        aria-label="Parts of the rig stage"
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
    </>
  )
}
