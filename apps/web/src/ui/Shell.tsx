import { lazy, Suspense, useEffect, useState } from 'react'
import { Link, NavLink, Outlet, useNavigation } from 'react-router'
import { api } from '../api/api'
import { OutboxMark } from '../outbox/OutboxMark'
import { type Stage } from '../stage'
import { AnswerBar } from './AnswerBar'
import { printDrawn } from './drawn'
import type { Fetched } from './fetched'
import { useEnterRule } from './enterRule'
import { Guarded } from './Guarded'
import { useKey } from './keys'
import { chooseUnits, useWriting } from './units'
import { setTheme, useTheme } from './theme'

// Opened by a key: fetched once the screen stands, so that they are there when asked for.
const loadKeyList = async () => ({ default: (await import('./KeyList')).KeyList })
const KeyList = lazy(loadKeyList)

const sections = [
  ['/', 'Bench'],
  ['/units', 'Units'],
  ['/rigs', 'Rigs'],
  ['/loads', 'Loads'],
  ['/meters', 'Meters'],
  ['/compare', 'Compare'],
  ['/sums', 'Sums'],
  ['/cable', 'Cable and fuse'],
] as const

export interface PaletteProps {
  readonly stages: readonly Stage[]
  readonly onClose: () => void
}

interface Props {
  readonly stages: readonly Stage[]
  /** The way anywhere, by a few letters. */
  readonly palette: Fetched<PaletteProps>
}

/** The frame of every screen: sections, what is unsent, ways to get anywhere. */
export function Shell({ stages, palette: { Part: Palette, fetch: fetchPalette } }: Props) {
  const [open, setOpen] = useState<'palette' | 'keys' | 'sections' | undefined>()
  const theme = useTheme()
  const close = () => setOpen(undefined)
  // The screen that is left stands until the next one is there; where that takes a while it is seen to.
  const leaving = useNavigation().state === 'loading'
  const { data: settings } = api.useSettingsQuery()
  // What is on screen is drawn again where this browser did not know them yet.
  const drawn = useWriting()
  useEffect(() => {
    if (settings) chooseUnits(settings)
  }, [settings])
  useEnterRule()
  useEffect(() => {
    const waiting = setTimeout(
      () => void Promise.all([loadKeyList(), fetchPalette()]).catch(() => undefined),
      300,
    )
    return () => clearTimeout(waiting)
  }, [fetchPalette])
  useKey(
    (event) => (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k',
    () => setOpen('palette'),
    true,
  )
  useKey(
    (event) => (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'p',
    () => void printDrawn(),
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
      <header className="no-print flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-rule px-5 py-2 max-sm:px-3 max-sm:py-0.5">
        <Link to="/" className="flex items-center gap-2 text-[1.15rem] font-bold">
          <svg width="22" height="14" aria-hidden="true">
            <rect width="22" height="4" y="1" fill="var(--copper)" />
            <rect width="22" height="4" y="8" fill="var(--petrol)" />
          </svg>
          Even Watt
        </Link>
        <nav
          id="sections"
          className={`flex flex-wrap gap-x-4 max-sm:order-last max-sm:w-full ${open === 'sections' ? '' : 'max-sm:hidden'}`}
          aria-label="Sections"
        >
          {sections.map(([to, words]) => (
            <NavLink
              key={to}
              to={to}
              onClick={close}
              className={({ isActive }) =>
                isActive ? 'font-bold whitespace-nowrap' : 'text-quiet hover:text-ink whitespace-nowrap'
              }
            >
              {words}
            </NavLink>
          ))}
        </nav>
        <div className="ml-auto flex items-center gap-4">
          <OutboxMark />
          <button
            type="button"
            className="text-quiet sm:hidden"
            aria-expanded={open === 'sections'}
            aria-controls="sections"
            onClick={() => setOpen(open === 'sections' ? undefined : 'sections')}
          >
            Sections
          </button>
          <button type="button" className="text-quiet hover:text-ink" onClick={() => setOpen('palette')}>
            Go anywhere <span className="kbd">Ctrl K</span>
          </button>
          <button
            type="button"
            className="text-quiet hover:text-ink max-sm:hidden"
            onClick={() => setOpen('keys')}
          >
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
      <main
        id="main"
        aria-busy={leaving}
        className="flex min-h-0 flex-1 flex-col transition-opacity aria-busy:opacity-60 aria-busy:delay-200"
      >
        <Outlet key={drawn} />
      </main>
      <AnswerBar />
      <Guarded what="This">
        <Suspense>
          {open === 'palette' && <Palette stages={stages} onClose={close} />}
          {open === 'keys' && <KeyList onClose={close} />}
        </Suspense>
      </Guarded>
    </div>
  )
}
