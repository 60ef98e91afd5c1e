import type { Block } from '@even-watt/contract'
import { afterBetween } from './course'
import { historyOf, type Begun } from './history'
import { orderBlocks, surgeFirst } from './order'
import { surgeAbove } from '../supply'
import { percent } from './parts'
import { placedKey, type Logged, type Remark, type ScheduleQuestion, type Stretch } from './question'
import { Walk } from './walk'

export interface Scheduled {
  /** In order of time. */
  readonly placed: readonly Stretch[]
  readonly remarks: readonly Remark[]
  readonly skipped: readonly Block[]
  readonly ends: number
  /** When it would end if the first day had no closing time. */
  readonly endsInOneGo: number
  /** Whether that is before that day closes. */
  readonly fitsFirstDay: boolean
  /** When the day closes on which it begins, or goes on. */
  readonly closes: number | undefined
  readonly days: number
}

const unhurried = (question: ScheduleQuestion): ScheduleQuestion => {
  const opens = question.days[0]?.opens ?? question.start
  return { ...question, days: [{ opens, closes: Infinity }] }
}

/**
 * The blocks as they lie in time (docs/method/schedule.md): ordered by the rules, each explained where it moves something, with
 * recharges, cool-downs and nights where they are needed, and the state of charge along it. What was begun lies where it
 * really happened; what was not moves behind it and behind now.
 */
export function scheduleOf(
  asked: ScheduleQuestion,
  log: readonly Logged[] = [],
  now = asked.start,
): Scheduled {
  // What is read later than now says nothing of it.
  const question = { ...asked, loaded: asked.loaded.filter(({ from }) => from < now) }
  const { begun, skipped } = historyOf(log, now)
  const touched = new Set(begun.flatMap(({ block, part }) => (part ? [] : [block])))
  const open = question.blocks.filter(({ id }) => !touched.has(id) && !skipped.has(id))
  const ordered = withSurgeFirst(question, begun, skipped, now, orderBlocks(open))
  const walk = laid(question, begun, skipped, now, ordered.blocks)
  // What is left of a schedule that is taken up again later is to fit the day on which it goes on.
  const from = begun.length && ordered.blocks.length ? Math.max(now, question.start) : question.start
  const first = question.days.find(({ closes }) => closes > from)
  const endsInOneGo = laid(unhurried(question), begun, skipped, now, ordered.blocks).end
  return {
    placed: walk.placed,
    remarks: [...ordered.remarks, ...walk.remarks],
    skipped: question.blocks.filter(({ id }) => skipped.has(id)),
    ends: walk.end,
    endsInOneGo,
    closes: first?.closes,
    fitsFirstDay: first !== undefined && endsInOneGo <= first.closes,
    days: new Set(
      walk.placed
        .filter(({ part }) => part !== 'overnight')
        .map(({ from }) => question.days.findIndex(({ closes }) => closes > from)),
    ).size,
  }
}

/** What happened, then the blocks still open, in the order given. */
function laid(
  question: ScheduleQuestion,
  begun: readonly Begun[],
  skipped: ReadonlySet<string>,
  now: number,
  open: readonly Block[],
): Walk {
  const { start, charge, loaded } = question
  // The charge is stated for the start; how warm the unit is then follows from what was on before.
  const { rise } = afterBetween(question, { charge, rise: 0 }, loaded[0]?.from ?? start, start)
  const walk = new Walk(question, start, { charge, rise }, skipped)
  for (const { block: id, part, state, from, to, worked } of begun) {
    const block = question.blocks.find((one) => one.id === id)
    if (!block) continue
    walk.rest(from)
    const left = Math.max(0, walk.lengthOf(block, part) - worked)
    walk.relive(block, part, state, from, to ?? now + left)
  }
  if (begun.length && open.length) walk.resume(now)
  for (const block of open) walk.lay(block)
  return walk
}

/** Surge tests that the bank would be too low for go before the first load, if the tester did not fix them. */
function withSurgeFirst(
  question: ScheduleQuestion,
  begun: readonly Begun[],
  skipped: ReadonlySet<string>,
  now: number,
  { blocks, remarks }: ReturnType<typeof orderBlocks>,
): ReturnType<typeof orderBlocks> {
  const { met } = laid(question, begun, skipped, now, blocks)
  return blocks
    .filter(({ kind, fixed }) => kind === 'motors' && !fixed)
    .reduce<{ blocks: readonly Block[]; remarks: readonly Remark[] }>(
      (ordered, surge) => {
        const charge = met.get(surge.id) ?? 1
        const moved = charge < surgeAbove ? surgeFirst(ordered.blocks, surge) : undefined
        const next = moved?.[moved.indexOf(surge) + 1]?.kind
        if (!moved) return ordered
        const sentence = `Motors moved before ${next ?? 'the rest'}: there the bank would stand at ${percent(charge)}, and surge tests need more than ${percent(surgeAbove)}.`
        return { blocks: moved, remarks: [...ordered.remarks, { block: surge.id, kind: 'moved', sentence }] }
      },
      { blocks, remarks },
    )
}

/** How late each planned block lies against the schedule as it was made, ms by key; only what is late. */
export function lateness(made: Scheduled, now: Scheduled): Map<string, number> {
  const planned = new Map(made.placed.map((placed) => [placedKey(placed), placed.from]))
  return new Map(
    now.placed.flatMap((placed) => {
      const late = placed.from - (planned.get(placedKey(placed)) ?? placed.from)
      return late >= 60_000 ? [[placedKey(placed), late] as const] : []
    }),
  )
}
