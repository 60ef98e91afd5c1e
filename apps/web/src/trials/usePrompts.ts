import { useCallback } from 'react'
import { useSearchParams } from 'react-router'

/** What an answer asked for: a load of so many watts, held for so many seconds. */
export interface Wanted {
  readonly watts: number | undefined
  readonly seconds: number | undefined
}

export interface Prompts {
  /** The page was opened to be read at arm’s length, at once. */
  readonly asked: boolean
  readonly wanted: Wanted
  readonly done: () => void
}

const key = 'prompts'
const numberOf = (text: string | null): number | undefined =>
  text !== null && /^\d{1,7}$/.test(text) ? Number(text) : undefined

/** The address of a page that is to open with its prompts. */
export function promptsAt(page: string, load: { watts: number; seconds: number } | undefined): string {
  const wanted = load?.watts ? `&watts=${Math.round(load.watts)}&held=${Math.round(load.seconds)}` : ''
  return `${page}?${key}=1${wanted}`
}

/** Whether the address asks for prompts, and for which load. */
export function usePrompts(): Prompts {
  const [parameters, setParameters] = useSearchParams()
  const done = useCallback(
    () =>
      setParameters(
        (now) => {
          for (const name of [key, 'watts', 'held']) now.delete(name)
          return now
        },
        { replace: true },
      ),
    [setParameters],
  )
  return {
    asked: parameters.has(key),
    wanted: { watts: numberOf(parameters.get('watts')), seconds: numberOf(parameters.get('held')) },
    done,
  }
}
