import { useKey } from '../ui/keys'

interface Actions {
  readonly steps: readonly string[]
  readonly chosen: string | undefined
  readonly choose: (step: string) => void
  readonly repeat: () => void
  readonly takeBackLast: () => void
  readonly armsLength: () => void
}

/** Keys of the ladder outside its fields. */
export function useLadderKeys({ steps, chosen, choose, repeat, takeBackLast, armsLength }: Actions): void {
  const move = (by: number) => {
    const at = chosen === undefined ? -1 : steps.indexOf(chosen)
    const next = steps[Math.min(steps.length - 1, Math.max(0, at + by))]
    if (next === undefined) return
    choose(next)
    document.querySelector(`[data-step="${next}"]`)?.scrollIntoView({ block: 'nearest' })
  }
  useKey(
    (event) => event.key === 'ArrowDown',
    () => move(1),
  )
  useKey(
    (event) => event.key === 'ArrowUp',
    () => move(-1),
  )
  useKey((event) => event.key.toLowerCase() === 'r' && !event.ctrlKey && !event.metaKey, repeat)
  useKey((event) => event.key.toLowerCase() === 'z' && (event.ctrlKey || event.metaKey), takeBackLast)
  useKey((event) => event.key.toLowerCase() === 'f' && !event.ctrlKey && !event.metaKey, armsLength)
}
