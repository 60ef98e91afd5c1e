import { useKey } from '../ui/keys'
import { together } from './StepGrid'

interface Actions {
  readonly steps: readonly string[]
  readonly chosen: string | undefined
  readonly choose: (step: string) => void
  readonly repeat: () => void
}

/** Keys of the ladder outside its fields. */
export function useLadderKeys({ steps, chosen, choose, repeat }: Actions): void {
  const move = (by: number) => {
    const at = chosen === undefined ? -1 : steps.indexOf(chosen)
    const to = Math.min(steps.length - 1, Math.max(0, at + by))
    const next = steps[to]
    if (next === undefined) return
    choose(next)
    // A row far away is not drawn yet: its run comes near, and then it is.
    const row =
      document.querySelector(`[data-step="${next}"]`) ??
      document.querySelector(`[data-run="${Math.floor(to / together)}"]`)
    row?.scrollIntoView({ block: 'nearest' })
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
}
