import type { CheckIn } from '@even-watt/core'
import { placedKey } from '@even-watt/core'
import { useEffect, useRef } from 'react'
import { sound, wants } from './ring'
import { sayStretch } from './words'

/** An overdue check-in rings once when it falls due and again every minute until it is made. */
const again = 60_000

/** Rings for what is due, in the ways the tester wants. */
export function useRinging(due: readonly CheckIn[], now: number): void {
  const context = useRef<AudioContext>(undefined)
  const rang = useRef(new Map<string, number>())
  useEffect(() => {
    for (const check of due) {
      const name = `${placedKey(check.placed)} ${check.number}`
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
        new Notification(`Check-in ${check.number} is due`, { body: sayStretch(check.placed), tag: name })
      }
    }
  }, [due, now])
  useEffect(() => () => void context.current?.close(), [])
}
