import { useSyncExternalStore } from 'react'
import { readBy } from '../outbox/capture'
import { remembered } from './browserStore'

const key = 'initials'
const told = new Set<() => void>()

/** Initials of who reads at this browser now; what is captured carries them. */
export const readerNow = (): string | undefined => remembered.read(key)

function tell(): void {
  readBy(readerNow())
  for (const one of told) one()
}
readBy(readerNow())
// Another tab handed over.
addEventListener('storage', tell)

/** Another one reads from now on. */
export function handTo(initials: string): void {
  remembered.keep(key, initials)
  tell()
}

export const useReader = (): string | undefined =>
  useSyncExternalStore((hear) => {
    told.add(hear)
    return () => told.delete(hear)
  }, readerNow)
