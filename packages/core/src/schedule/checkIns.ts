import { placedKey, type Logged, type Stretch } from './question'

/** One moment at which a long block is to be looked at. */
export interface CheckIn {
  readonly placed: Stretch
  /** Counted from 1 in its block. */
  readonly number: number
  readonly due: number
  /** When it was made; undefined: not yet. */
  readonly made: number | undefined
}

/** Stretches that need nobody beside them at every moment, but somebody now and then; nobody is rung up at night. */
const watched = ({ kind, part }: Stretch): boolean =>
  part === undefined
    ? kind === 'rated hold' || kind === 'run-down' || kind === 'soak' || kind === 'charge'
    : part === 'recharge' || part === 'draw down'

/**
 * Check-ins of every long block: each so many minutes from its beginning, and one at its end. Those made carry their
 * real time. Blocks shorter than the interval have the one at the end.
 */
export function checkInsOf(placed: readonly Stretch[], every: number, log: readonly Logged[]): CheckIn[] {
  const made = new Map(
    log.flatMap(({ at, event }) =>
      event.action === 'check-in' && event.check !== undefined
        ? [[`${placedKey(event)} ${event.check}`, { at, due: event.due }] as const]
        : [],
    ),
  )
  return placed.filter(watched).flatMap((one) => {
    const step = every * 60_000
    const count = Math.max(1, Math.ceil((one.to - one.from) / step - 1e-9))
    return Array.from({ length: count }, (_, i) => {
      const done = made.get(`${placedKey(one)} ${i + 1}`)
      const due = Math.min(one.to, one.from + (i + 1) * step)
      return {
        placed: one,
        number: i + 1,
        // Once made, it stays due when it was due: the block may have ended otherwise since.
        due: done?.due === undefined ? due : Date.parse(done.due),
        made: done?.at,
      }
    })
  })
}

/** Those of begun blocks that are due and not made, the oldest first. */
export const overdue = (checkIns: readonly CheckIn[], now: number): CheckIn[] =>
  checkIns.filter(({ placed, due, made }) => placed.state === 'running' && made === undefined && due <= now)
