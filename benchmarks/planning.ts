import { seeded } from '@even-watt/bench'
import { choosePlan, type PlanLoad, type Question } from '@even-watt/core'
import { medianTime, say } from './report'

const kinds = ['element', 'filament', 'electronic'] as const

/** A shelf of 30 loads with 4 settings each and 12 targets, by chance from a seed. */
export function largeQuestion(seed: number): Question {
  const random = seeded(seed)
  const loads = Array.from({ length: 30 }, (_, i): PlanLoad => ({
    id: String(i),
    kind: kinds[i % 3] ?? 'element',
    volts: 230,
    settings: Array.from({ length: 4 }, () => Math.round(20 + 1200 * random.next())),
  }))
  const targets = [5, 10, 20, 25, 30, 40, 50, 60, 75, 90, 100, 110].map((share) => 36 * share)
  return { loads, targets, voltage: { noLoad: 231, fall: 0.002 }, outlets: 12, mostPower: 4500 }
}

/** Choosing a whole ladder, proved best, beside what is promised. */
export async function benchPlanning(): Promise<void> {
  const times: number[] = []
  let proved = 0
  const seeds = 12
  for (let seed = 1; seed <= seeds; seed++) {
    const question = largeQuestion(seed)
    let plan: ReturnType<typeof choosePlan> | undefined
    times.push(
      await medianTime(1, () => {
        plan = choosePlan(question)
      }),
    )
    if (plan?.proved) proved += 1
  }
  times.sort((a, b) => a - b)
  const what = `choose 30 loads × 4 settings × 12 steps, ${proved} of ${seeds} proved best`
  say(`${what}, median`, times[Math.floor(times.length / 2)] ?? 0, 'what is promised', 1000, 'ms')
  say(`${what}, slowest`, times.at(-1) ?? 0, 'what is promised', 1000, 'ms')
}
