import { seeded, stationBanks } from '@even-watt/bench'
import { choosePlan, scheduleOf, type PlanLoad, type Question, type ScheduleQuestion } from '@even-watt/core'
import { medianTime, say } from './report'

const kinds = ['element', 'filament', 'electronic'] as const

/** A shelf of 30 loads with 4 settings each and 12 targets, by chance from a seed. */
function largeQuestion(seed: number): Question {
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

const hour = 3_600_000

/** As many blocks as a schedule may have, a ladder of 40 steps among them, over weeks. */
function longSchedule(): ScheduleQuestion {
  const kinds = ['ladder', 'limits', 'motors', 'rated hold', 'checks'] as const
  return {
    blocks: Array.from({ length: 60 }, (_, i) => ({
      id: String(i),
      kind: kinds[i % 5] ?? 'checks',
      fixed: false,
    })),
    start: 0,
    days: Array.from({ length: 42 }, (_, day) => ({ opens: day * 24 * hour, closes: (day * 24 + 8) * hour })),
    steps: Array.from({ length: 40 }, (_, i) => ({ what: String(i), watts: 40 * i, settle: 60 })),
    motors: [{ what: 'pump', watts: 300, settle: 0 }],
    settle: 60,
    dwell: 60,
    reading: 60,
    hold: 600,
    rated: 1400,
    loss: (P) => 10 + 0.06 * P,
    bank: stationBanks.l24,
    supply: { bank: { E: 26.4, R: 0.0117 }, path: 0.005, support: 0 },
    charger: 30,
    charge: 1,
    loaded: [],
    sayTime: String,
  }
}

/** Laying the longest schedule that is taken, beside what a change on the screen may take. */
export async function benchSchedule(): Promise<void> {
  const question = longSchedule()
  const time = await medianTime(5, () => void scheduleOf(question))
  say('lay a schedule of 60 blocks with ladders of 40 steps', time, 'a change on the screen', 100, 'ms')
}
