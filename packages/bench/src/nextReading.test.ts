import type { Claim, Entry, Question, StoredRig, StoredUnit, Trial } from '@even-watt/contract'
import { answersOf, tellingRig, viewTrial, weighReadings, type NextReading } from '@even-watt/core'
import { benchOf, meters, rig } from '../test/plainBench'
import { outputVoltage } from './units/unit'
import { BenchHand, seeded, stationUnits, unitModels, type BenchModel } from '.'

const startedAt = '2026-03-12T08:00:00.000Z'

/** A bench of which the truth is known: what the unit is, what its label says, and what hangs on its taps. */
interface Known {
  readonly bench: BenchModel
  readonly unit: StoredUnit
  readonly rig: StoredRig
  readonly seed: number
}

const claim = (n: number, of: Partial<Claim>): Claim =>
  ({
    id: `00000000-0000-7000-8000-00000000000${n}`,
    comparator: 'at most',
    readWhere: 'label',
    ...of,
  }) as Claim

/** Its own loss, leads and promises; on some the volts are read at the posts alone, on some there is no ammeter at all. */
function drawn(seed: number): Known {
  const random = seeded(seed)
  const between = (low: number, high: number) => low + (high - low) * random.next()
  const rating = 100 * Math.round(between(6, 14))
  const p0 = between(4, 16)
  const without = [[], ['V_B'], ['idle I'], ['P_C', 'PF']][seed % 4] ?? []
  return {
    seed,
    bench: benchOf({ ...unitModels.ottrel, p0, p1: between(0.01, 0.05) }, between(0.0001, 0.002)),
    unit: {
      ...stationUnits.ottrel,
      claims: [
        claim(1, {
          quantity: 'continuous power',
          comparator: 'at least',
          value: rating,
          unit: 'W',
          duration: 600,
        }),
        claim(2, { quantity: 'idle draw', value: Math.round(p0 * between(0.7, 1.4)), unit: 'W' }),
      ],
    },
    rig: { ...rig, assignments: rig.assignments.filter(({ quantity }) => !without.includes(quantity)) },
  }
}

/** The trial as it is begun: what wants no load and no look is not asked. */
const asked: Question[] = ['gives', 'nothing', 'reaches', 'leads', 'battery']

function trialOf({ unit, rig }: Known): Trial {
  return {
    id: '00000000-0000-7000-8000-000000000099',
    version: 1,
    startedAt,
    title: 'simulated',
    by: 'R.O.',
    hold: 600,
    duty: [],
    limiters: [],
    questions: asked,
    revisions: [{ number: 1, why: 'simulated', madeAt: startedAt, unit, rig, meters }],
  }
}

const see = (trial: Trial, entries: readonly Entry[]) => {
  const view = viewTrial(trial, entries)
  const analysis = tellingRig(view.analyses) ?? view.analyses[0]
  if (!analysis) throw new Error('No rig.')
  return { on: { analysis }, view, trial }
}
const settled = (trial: Trial, entries: readonly Entry[]) =>
  answersOf(see(trial, entries)).flatMap(({ id, open }) => (open || id === 'keep' ? [] : [id]))

/** The ladder’s ammeter reads idle where no other does. */
const idleToo = ({ assignments }: StoredRig): StoredRig['assignments'] =>
  assignments.some(({ quantity }) => quantity === 'idle I')
    ? assignments
    : [
        ...assignments,
        ...assignments.flatMap((one) =>
          one.quantity === 'I' ? [{ ...one, quantity: 'idle I' as const }] : [],
        ),
      ]

/** What is truly read where a reading is made: the meters’ own errors stay what they were born with. */
function make({ bench, rig, seed }: Known, { open: { load } }: Pick<NextReading, 'open'>): Entry[] {
  if (!load) return []
  // Ids of its own for each reading; the meters are those they always were.
  const hand = new BenchHand(1000 * seed + load.watts + load.seconds, meters, startedAt, {
    bornOf: seed,
    displayOff: 0,
  })
  if (load.watts === 0) return [hand.noLoad(bench, { ...rig, assignments: idleToo(rig) }, 1)]
  // Set so that it takes what was asked for at the volts that the unit then gives.
  const volts = outputVoltage(bench.unit, load.watts)
  const element = { name: 'element', kind: 'element' as const, watts: load.watts, volts }
  const more = { end: 'carried' as const, ...(load.seconds ? { held: load.seconds } : {}) }
  return hand.step(bench, rig, 1, [element], more)
}

/** Costs of the readings that it asks for one after another, until nothing that it knows is open. */
function followed(known: Known): { cost: number; settled: string[]; made: NextReading[] } {
  const trial = trialOf(known)
  let entries: Entry[] = []
  let cost = 0
  const made: NextReading[] = []
  for (let i = 0; i < 8; i++) {
    const [next] = weighReadings(see(trial, entries), entries).order
    if (!next) break
    made.push(next)
    cost += next.cost
    entries = [...entries, ...make(known, next)]
  }
  return { cost, settled: settled(trial, entries), made }
}

/** The least that any of the readings cost which together settle all that all of them do. */
function best(known: Known, all: readonly NextReading[]): { cost: number; settled: string[] } {
  const trial = trialOf(known)
  const entries = all.map((one) => make(known, one))
  const whole = settled(trial, entries.flat())
  const sets = Array.from({ length: 2 ** all.length }, (_, set) => {
    const chosen = all.flatMap((_, i) => (set & (1 << i) ? [i] : []))
    return { chosen, cost: chosen.reduce((sum, i) => sum + (all[i]?.cost ?? 0), 0) }
  }).sort((a, b) => a.cost - b.cost)
  const least = sets.find(
    ({ chosen }) =>
      settled(
        trial,
        chosen.flatMap((i) => entries[i] ?? []),
      ).length === whole.length,
  )
  return { cost: least?.cost ?? Infinity, settled: whole }
}

/** Every load that could be asked for, and a look. */
function possible(known: Known): NextReading[] {
  const rating = known.unit.claims[0]?.value ?? 0
  return [
    { watts: 0, seconds: 0 },
    ...[0.2, 0.5, 1.02].flatMap((share) => [0, 600].map((seconds) => ({ watts: share * rating, seconds }))),
  ].map((load) => {
    const minutes = load.watts ? Math.max(2, load.seconds / 60) : 3
    const wattHours = load.watts ? (load.watts * minutes) / 60 / 0.85 : 1
    return {
      open: { todo: '', button: '', page: '', readings: 1, minutes, wattHours, load },
      settles: [],
      cost: minutes + wattHours / 25,
    }
  })
}

/** Worked in the method: idle not read, promised at most 12 W, its current on a meter of so many amps either way. */
function idleOn(amps: number) {
  const known = drawn(1)
  const [ammeter] = meters.filter(({ ranges }) => ranges.some(({ reads }) => reads === 'DC current'))
  if (!ammeter) throw new Error('No ammeter.')
  const own = ammeter.ranges.map((range) =>
    range.reads === 'DC current' ? { ...range, percent: 0, counts: 1, count: amps, upTo: 100 } : range,
  )
  const trial = trialOf({
    ...known,
    unit: { ...known.unit, claims: [claim(2, { quantity: 'idle draw', value: 12, unit: 'W' })] },
    rig: {
      ...rig,
      assignments: [
        ...rig.assignments.filter(({ quantity }) => quantity !== 'idle I' && quantity !== 'I'),
        { quantity: 'idle I', meter: ammeter.id },
      ],
    },
  })
  const revisions = trial.revisions.map((revision) => ({
    ...revision,
    meters: [...meters.filter(({ id }) => id !== ammeter.id), { ...ammeter, ranges: own }],
  }))
  return weighReadings(see({ ...trial, revisions }, []), [])
}

describe('the next best reading', () => {
  const benches = Array.from({ length: 20 }, (_, i) => drawn(i + 1))
  const own = benches.map((known) => followed(known))

  it('reaches all answers at no more than 1.2 times the cost of the best order, on nine of ten benches', () => {
    const ratios = benches.map((known, i) => {
      const least = best(known, possible(known))
      const reached = least.settled.every((id) => own[i]?.settled.includes(id))
      return reached ? (own[i]?.cost ?? 0) / least.cost : Infinity
    })
    if (process.env['SHOW_SIMULATION']) process.stdout.write(`${ratios.join(' ')}\n`)
    const good = ratios.filter((ratio) => ratio <= 1.2)
    expect(good.length / ratios.length).toBeGreaterThanOrEqual(0.9)
  })

  it('asks for no more readings than there are questions, and for nothing that settles none', () => {
    for (const { made } of own) {
      expect(made.length).toBeLessThanOrEqual(asked.length)
      for (const { settles } of made) expect(settles.length).toBeGreaterThan(0)
    }
  })

  it('never asks for what the meters there do not read, and says so', () => {
    const outletOnly = { ...rig, assignments: rig.assignments.filter(({ quantity }) => quantity === 'P_C') }
    const { order, beyondMeters } = weighReadings(see(trialOf({ ...drawn(1), rig: outletOnly }), []), [])
    expect(order.flatMap(({ settles }) => settles)).toEqual(['gives'])
    expect(beyondMeters).toEqual(['nothing', 'reaches', 'leads', 'battery'])
  })

  it('asks for no load under which the supply would sag to where the unit warns', () => {
    const weak = drawn(4)
    const bank = {
      ...rig.bank,
      strings: rig.bank.strings.map((string) => string.map((one) => ({ ...one, resistance: 0.04 }))),
    }
    const { order, beyondSupply } = weighReadings(see(trialOf({ ...weak, rig: { ...rig, bank } }), []), [])
    expect(beyondSupply.length).toBeGreaterThan(0)
    for (const { open } of order) expect(beyondSupply).not.toContain(open.load?.watts)
  })

  it('knows what a coarse ammeter leaves open: decided once in five by ± 0.6 A, nearly always by ± 0.01 A', () => {
    const decided = (amps: number) =>
      idleOn(amps)
        .order.find(({ settles }) => settles.includes('nothing'))
        ?.chances?.get('nothing')?.decided ?? 0
    expect(decided(0.6)).toBeLessThan(0.35)
    expect(decided(0.01)).toBeGreaterThan(0.9)
  })
})
