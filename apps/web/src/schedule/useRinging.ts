import { useEffect, useRef } from 'react'
import { sound, wants } from './ring'

/** What rings: once when it falls due, and again every minute until it is dealt with. */
export interface Due {
  readonly name: string
  readonly title: string
  readonly body: string
}

const again = 60_000

/** Rings for what is due, in the ways the tester wants. */
export function useRinging(due: readonly Due[], now: number): void {
  const context = useRef<AudioContext>(undefined)
  const rang = useRef(new Map<string, number>())
  useEffect(() => {
    for (const { name, title, body } of due) {
      if (now - (rang.current.get(name) ?? 0) < again) continue
      rang.current.set(name, now)
      if (wants('sound')) {
        context.current ??= new AudioContext()
        void sound(context.current)
      }
      if (
        wants('notification') &&
        typeof Notification !== 'undefined' &&
        Notification.permission === 'granted'
      ) {
        new Notification(title, { body, tag: name })
      }
    }
  }, [due, now])
  useEffect(() => () => void context.current?.close(), [])
}
