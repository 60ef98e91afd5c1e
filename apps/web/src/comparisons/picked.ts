import { mostCompared, Picked, type TrialLine } from '@even-watt/contract'
import { safeParse } from 'zod/mini'

/** One more laid beside the others: of a trial that stands there already the newest rig that does not. */
export function beside(
  of: readonly Picked[],
  { id, revisions }: Pick<TrialLine, 'id' | 'revisions'>,
): Picked[] {
  const taken = of.filter(({ trial }) => trial === id).map(({ revision }) => revision)
  const free = Array.from({ length: revisions }, (_, i) => revisions - i).find((n) => !taken.includes(n))
  return [...of, { trial: id, revision: free ?? revisions }]
}

/** What an address asks to be compared: "?of=trial.rig,trial.rig". */
export const pickedIn = (search: string): Picked[] =>
  (new URLSearchParams(search).get('of') ?? '')
    .split(',')
    .slice(0, mostCompared)
    .flatMap((one) => {
      const [trial, revision] = one.split('.')
      const picked = safeParse(Picked, { trial, revision: Number(revision) })
      return picked.success ? [picked.data] : []
    })
