import { useState } from 'react'
import { Link, NavLink, Outlet } from 'react-router'
import { OutboxMark } from '../outbox/OutboxMark'
import { KeyList } from './KeyList'
import { useKey } from './keys'
import { Palette } from './Palette'
import { setTheme, useTheme } from './theme'

const sections = [
  ['/', 'Bench'],
  ['/units', 'Units'],
  ['/rigs', 'Rigs'],
  ['/loads', 'Loads'],
  ['/meters', 'Meters'],
  ['/cable', 'Cable and fuse'],
] as const

/** The frame of every screen: sections, what is unsent, ways to get anywhere. */
export function Shell() {
  const [open, setOpen] = useState<'palette' | 'keys' | undefined>()
  const theme = useTheme()
  const close = () => setOpen(undefined)
  useKey(
    (event) => (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k',
    () => setOpen('palette'),
    true,
  )
  useKey(
    (event) => event.key === '?',
    () => setOpen('keys'),
  )
  return (
    <div className="flex min-h-screen flex-col">
      <a href="#main" className="sr-only focus:not-sr-only focus:p-2">
        To the content
      </a>
      <header className="no-print flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-rule px-5 py-2">
        <Link to="/" className="flex items-center gap-2 text-[1.15rem] font-bold">
          <svg width="22" height="14" aria-hidden="true">
            <rect width="22" height="4" y="1" fill="var(--copper)" />
            <rect width="22" height="4" y="8" fill="var(--petrol)" />
          </svg>
          Even Watt
        </Link>
        <nav className="flex gap-4" aria-label="Sections">
          {sections.map(([to, words]) => (
            <NavLink
              key={to}
              to={to}
              className={({ isActive }) => (isActive ? 'font-bold' : 'text-quiet hover:text-ink')}
            >
              {words}
            </NavLink>
          ))}
        </nav>
        <div className="ml-auto flex items-center gap-4">
          <OutboxMark />
          <button type="button" className="text-quiet hover:text-ink" onClick={() => setOpen('palette')}>
            Go anywhere <span className="kbd">Ctrl K</span>
          </button>
          <button type="button" className="text-quiet hover:text-ink" onClick={() => setOpen('keys')}>
            Keys <span className="kbd">?</span>
          </button>
          <button
            type="button"
            className="text-quiet hover:text-ink"
            onClick={() => setTheme(theme === 'day' ? 'night' : 'day')}
          >
            {theme === 'day' ? 'Night' : 'Day'}
          </button>
        </div>
      </header>
      <main id="main" className="flex min-h-0 flex-1 flex-col">
        <Outlet />
      </main>
      <Palette open={open === 'palette'} onClose={close} />
      <KeyList open={open === 'keys'} onClose={close} />
    </div>
  )
}

/** A page without a work order beside it. */
export function Page({
  title,
  actions,
  children,
}: {
  title: string
  actions?: React.ReactNode
  children: React.ReactNode
}) {
  return (
    <div className="mx-auto w-full max-w-[1100px] px-5 py-4">
      <div className="mb-3 flex flex-wrap items-baseline justify-between gap-3">
        <h1>{title}</h1>
        <div className="flex flex-wrap gap-2">{actions}</div>
      </div>
      {children}
    </div>
  )
}
