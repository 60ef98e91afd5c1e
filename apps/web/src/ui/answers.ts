import { useSyncExternalStore } from 'react'

/** What the page answers to an action, for a while: a few words, and perhaps a way back. */
export interface Answer {
  readonly words: string
  readonly undo?: () => void
}

const stays = 6000
const staysWithUndo = 20_000

let current: Answer | undefined
let timer: ReturnType<typeof setTimeout>
const listeners = new Set<() => void>()

function put(answer: Answer | undefined): void {
  clearTimeout(timer)
  current = answer
  for (const listener of listeners) listener()
}

/** Answers an action; a newer answer takes the place of an older one. */
export function answer(words: string, undo?: () => void): void {
  put(undo ? { words, undo } : { words })
  timer = setTimeout(() => put(undefined), undo ? staysWithUndo : stays)
}

export const dismissAnswer = (): void => put(undefined)

function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export const useAnswer = (): Answer | undefined => useSyncExternalStore(subscribe, () => current)
