import type { Answered, Asked, Mark } from '../answer'

const speaksFor: ReadonlySet<Mark> = new Set(['yes'])
const speaksAgainst: ReadonlySet<Mark> = new Set(['no', 'hardly'])

const shortly: Readonly<Record<Exclude<Answered['id'], 'keep'>, string>> = {
  gives: 'what it gives',
  nothing: 'its idle draw',
  reaches: 'what reaches the loads',
  leads: 'the leads',
  battery: 'the battery',
  wave: 'its wave',
  starts: 'what it starts',
  lasts: 'how long and how hot',
  ports: 'its ports',
  charges: 'how it charges',
}

const named = (all: readonly Answered[]) =>
  all.flatMap(({ id }) => (id === 'keep' ? [] : [shortly[id]])).join(', ')

export const keepAsks = 'Do I keep it?'

/** Do I keep it: reasons for it, against it, and what was not read; what the tester says himself stands beside. */
export function keepOf(answered: readonly Answered[], { trial }: Asked): Answered {
  const [good, bad, open] = [
    answered.filter(({ mark }) => speaksFor.has(mark)),
    answered.filter(({ mark }) => speaksAgainst.has(mark)),
    answered.filter(({ open }) => open),
  ]
  const minutes = open.reduce((sum, one) => sum + (one.open?.minutes ?? 0), 0)
  const said = [good.length && `For: ${named(good)}.`, bad.length && `Against: ${named(bad)}.`].filter(
    Boolean,
  )
  return {
    id: 'keep',
    asks: keepAsks,
    place: 'whole',
    page: 'findings',
    said: said.length ? [said.join(' ')] : ['Nothing speaks for it or against it yet.'],
    why: [
      ...(trial.answer?.said.length ? [`You say: ${trial.answer.said.join(' ')}`] : []),
      ...(open.length
        ? [
            `${open.length} ${open.length === 1 ? 'question is' : 'questions are'} open, about ${Math.round(minutes)} minutes.`,
          ]
        : []),
    ],
    mark: !good.length && !bad.length ? 'not read' : bad.length ? 'hardly' : open.length ? 'roughly' : 'yes',
  }
}
