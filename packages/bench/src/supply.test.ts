import type { EntryOf, Revision, Trial } from '@even-watt/contract'
import {
  attributeStep,
  expanded,
  isFigure,
  loadsToPredict,
  placed,
  predictSteps,
  predictSupply,
  viewTrial,
  type Analysis,
} from '@even-watt/core'
import {
  bankTruth,
  BenchHand,
  operate,
  pathTruth,
  shelf,
  stationBanks,
  stationMeters as m,
  stationUnits,
  unitModels,
  type BenchModel,
} from '.'
import { meters, rig } from '../test/plainBench'

/**
 * Three hundred benches whose meters err inside their specifications: do the intervals stated for the supply, for a
 * joint, for what it takes and for what remaking it does hold the truth?
 */
const benches = 300
const loads = [
  [shelf.mat],
  [shelf.plateLow],
  [shelf.plateHigh],
  [shelf.ovenLow, shelf.waxBath],
  [shelf.rod, shelf.plateLow, shelf.mat],
]
const probes = { voltmeter: m.dmm1.id, ammeter: m.shunt.id }
const lug = placed(rig).find(({ element }) => element.name === 'negative lug')?.element.id ?? ''
const badOhms = 0.006

const benchWith = (ohms: number): BenchModel => ({
  bank: bankTruth(stationBanks.l24),
  path: pathTruth(rig, { 'negative lug': ohms }),
  unit: unitModels.ottrel,
})
const total = ({ path }: BenchModel) => [...path.values()].reduce((sum, R) => sum + R, 0)

function measure(hand: BenchHand, bench: BenchModel): { analysis: Analysis; test: EntryOf<'load test'> } {
  const revision: Revision = {
    number: 1,
    why: 'simulated',
    madeAt: '2026-03-12T08:00:00.000Z',
    unit: stationUnits.ottrel,
    rig,
    meters,
  }
  const trial: Trial = {
    id: hand.newId(),
    version: 1,
    startedAt: revision.madeAt,
    title: 'simulated',
    by: 'R.O.',
    hold: 600,
    duty: [],
    limiters: [],
    revisions: [revision],
  }
  const test = hand.loadTest(bench, 1, [shelf.rod], probes)
  const entries = [
    hand.noLoad(bench, rig, 1),
    ...loads.flatMap((load) => hand.step(bench, rig, 1, load)),
    test,
    hand.survey(bench, rig, 1, [shelf.plateHigh], probes),
  ]
  const analysis = viewTrial(trial, entries).analyses[0]
  if (!analysis) throw new Error('no analysis')
  return { analysis, test }
}

class Coverage {
  private inside = 0
  private all = 0
  count(figure: unknown, truth: number): void {
    const known = figure as Parameters<typeof isFigure>[0]
    if (!isFigure(known)) throw new Error(known.missing)
    this.all += 1
    if (Math.abs(known.x.value - truth) <= expanded(known.x)) this.inside += 1
  }
  get share(): number {
    return this.inside / this.all
  }
}

describe('the supply of three hundred benches', () => {
  const [source, path, tenSeconds, joint, heat, predicted] = Array.from(
    { length: 6 },
    () => new Coverage(),
  ) as [Coverage, Coverage, Coverage, Coverage, Coverage, Coverage]
  let blamed = 0
  let cleared = 0

  beforeAll(() => {
    const [bad, sound] = [benchWith(badOhms), benchWith(0.0001)]
    for (let seed = 1; seed <= benches; seed++) {
      const hand = new BenchHand(seed, meters, '2026-03-12T08:00:00.000Z')
      const { analysis } = measure(hand, bad)
      const {
        supply,
        ladder: { steps },
      } = analysis
      if (!('R' in supply.atA)) throw new Error('no fit')
      source.count(supply.atA.R, bad.bank.R)
      path.count(supply.ladderPath, total(bad))
      tenSeconds.count(supply.loadTests[0]?.R_10, bad.bank.R)
      joint.count(supply.surveys[0]?.lines.find(({ element }) => element.id === lug)?.resistance, badOhms)
      const last = steps.at(-1)
      const truth = operate(bad, loads.at(-1) ?? [])
      if (!last || !truth) throw new Error('no step')
      const split = attributeStep(last, supply, rig)
      heat.count(split.parts.find(({ element }) => element === lug)?.watts, badOhms * truth.I ** 2)
      if (split.culprit?.element === lug) blamed += 1
      const after = predictSupply(rig, supply, [{ kind: 'remake', element: lug }])
      const [step] = predictSteps(
        after,
        supply.known,
        loadsToPredict([last], [], () => 0),
      )
      const remade = operate(sound, loads.at(-1) ?? [])
      predicted.count(step?.V_B, remade?.V_B ?? NaN)
      const healthy = measure(hand, sound).analysis
      const other = healthy.ladder.steps.at(-1)
      if (other && attributeStep(other, healthy.supply, rig).culprit?.kind === 'unit') cleared += 1
    }
  })

  it('hold the truth of the bank’s resistance from the ladder', () =>
    expect(source.share).toBeGreaterThanOrEqual(0.94))
  it('hold the truth of the path from the ladder', () => expect(path.share).toBeGreaterThanOrEqual(0.94))
  it('hold the truth of the resistance at 10 s', () => expect(tenSeconds.share).toBeGreaterThanOrEqual(0.94))
  it('hold the truth of a joint from the survey', () => expect(joint.share).toBeGreaterThanOrEqual(0.94))
  it('hold the truth of what the joint takes', () => expect(heat.share).toBeGreaterThanOrEqual(0.94))
  it('hold the truth of the voltage once it is remade', () =>
    expect(predicted.share).toBeGreaterThanOrEqual(0.94))
  it('always blame the bad joint, and never a sound one', () => {
    expect(blamed).toBe(benches)
    expect(cleared).toBe(benches)
  })
})
