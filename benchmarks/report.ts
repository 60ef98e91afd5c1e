/** One line a benchmark: the figure, its yardstick, and their ratio. */
export function say(what: string, figure: number, yardstick: string, reference: number, unit: string): void {
  const number = (x: number) => x.toPrecision(3)
  console.log(
    `${what}: ${number(figure)} ${unit}; ${yardstick}: ${number(reference)} ${unit}; ratio ${number(figure / reference)}`,
  )
}

/** Median of several timed runs, ms. */
export async function medianTime(runs: number, work: () => unknown): Promise<number> {
  const times: number[] = []
  for (let i = 0; i < runs; i++) {
    const from = performance.now()
    await work()
    times.push(performance.now() - from)
  }
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)] ?? 0
}
