import { ladderOf, workOutAll } from './ladders'
import { medianTime, say } from './report'

/** Deriving and fitting a long ladder, beside the same products and quotients without uncertainty. */
export async function benchDerive(): Promise<void> {
  const steps = 10_000
  const { trial, entries } = ladderOf(steps, 1)
  let sum = 0
  const bare = await medianTime(5, () => {
    for (const entry of entries) {
      if (entry.kind !== 'ladder') continue
      const value = (quantity: string) =>
        entry.reading.values.find((candidate) => candidate.quantity === quantity)?.value ?? 0
      const [V_A, V_B, I, P] = [value('V_A'), value('V_B'), value('I'), value('P_C')]
      sum += P / (V_B * I) + P / (V_A * I) + (V_A - V_B) * I
    }
  })
  const whole = await medianTime(3, () => workOutAll(structuredClone({ trial, entries })))
  say(`derive, fit and judge ${steps} steps, per step`, whole / steps, 'bare arithmetic', bare / steps, 'ms')
  const bench = ladderOf(200, 3)
  say(
    'derive and fit 200 steps × 3 repeats',
    await medianTime(5, () => workOutAll(structuredClone({ trial: bench.trial, entries: bench.entries }))),
    'one frame',
    1000 / 60,
    'ms',
  )
  if (!Number.isFinite(sum)) throw new Error('The yardstick computed nothing.')
}
