import { useSyncExternalStore } from 'react'
import { remembered } from './browserStore'

export type Theme = 'day' | 'night'

const listeners = new Set<() => void>()
const current = (): Theme => (document.documentElement.dataset['theme'] === 'night' ? 'night' : 'day')

export function setTheme(theme: Theme): void {
  document.documentElement.dataset['theme'] = theme
  remembered.keep('theme', theme)
  for (const listener of listeners) listener()
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export const useTheme = (): Theme => useSyncExternalStore(subscribe, current)

/** A token of the current theme, for what cannot read CSS variables, such as charts. */
export const token = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim()
