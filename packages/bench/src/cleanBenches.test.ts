import { benchOf, meters, trialOn } from '../test/plainBench'
import { BenchHand, stationUnits, unitModels } from '.'

/** Benches on which nothing is wrong: their meters err inside their specifications, and last digits flicker. */
const benches = 500
const bench = benchOf(unitModels.ottrel)

/** Numbers of all that is noticed on one bench, each of its steps read once to three times. */
function noticedOn(seed: number): number[] {
  const hand = new BenchHand(seed, meters, '2026-03-12T08:00:00.000Z', {
    unrest: { counts: 0.5, drift: 0.005 },
    displayOff: 0,
  })
  const view = trialOn(hand, [bench], stationUnits.ottrel, 1 + (seed % 3))
  return view.oddities.flat().map(({ number }) => number)
}

describe('clean benches', () => {
  it('carry an oddity in fewer than one of a hundred', () => {
    const carrying = new Map<number, number>()
    let any = 0
    for (let seed = 1; seed <= benches; seed++) {
      const numbers = new Set(noticedOn(seed))
      if (numbers.size) any += 1
      for (const number of numbers) carrying.set(number, (carrying.get(number) ?? 0) + 1)
    }
    if (process.env['SHOW_SIMULATION'])
      process.stdout.write(`${any} of ${benches}: ${JSON.stringify([...carrying])}\n`)
    expect(any / benches).toBeLessThan(0.01)
  })
})
