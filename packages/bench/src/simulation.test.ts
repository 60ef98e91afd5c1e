import type { Revision, Trial } from '@even-watt/contract'
import {
  differenceOf,
  efficiencyAt,
  expanded,
  fitTogether,
  hasFit,
  isFigure,
  statesAt,
  viewTrial,
  type Analysis,
} from '@even-watt/core'
import {
  bankTruth,
  BenchHand,
  lossOf,
  operate,
  pathTruth,
  shelf,
  stationBanks,
  stationMeters as m,
  stationRigs,
  stationUnits,
  unitModels,
  type BenchModel,
} from '.'

/**
 * A thousand benches whose meters err inside their specifications: how often do the stated intervals hold the
 * truth, and what do shared meters gain in a comparison?
 */
const benches = 1000
const meters = [m.dmm1, m.dmm2, m.shunt, m.ammeter, m.wattmeter]
const rig = {
  ...stationRigs.l24,
  assignments: stationRigs.l24.assignments.filter(({ quantity }) => quantity !== 'T' && quantity !== 'THD'),
}
const loads = [
  [shelf.mat],
  [shelf.lamps(2)],
  [shelf.plateLow],
  [shelf.plateHigh],
  [shelf.ovenLow, shelf.waxBath],
  [shelf.rod, shelf.plateLow, shelf.mat],
]
const between = [250, 500, 900, 1200]

const benchOf = (unit: BenchModel['unit']): BenchModel => ({
  bank: bankTruth(stationBanks.l24),
  path: pathTruth(rig, { 'negative lug': 0.0002 }),
  unit,
})

function trialOn(hand: BenchHand, bench: BenchModel, unit: Revision['unit']): Analysis {
  const revision: Revision = {
    number: 1,
    why: 'simulated',
    madeAt: '2026-03-12T08:00:00.000Z',
    unit,
    rig,
    meters,
  }
  const trial: Trial = {
    id: hand.newId(), version: 1, startedAt: revision.madeAt, title: 'simulated', by: 'R.O.', hold: 600, duty: [], limiters: [], revisions: [revision],
  } // prettier-ignore
  const entries = [hand.noLoad(bench, rig, 1), ...loads.flatMap((load) => hand.step(bench, rig, 1, load))]
  const analysis = viewTrial(trial, entries).analyses[0]
  if (!analysis) throw new Error('no analysis')
  return analysis
}

const trueEfficiency = (bench: BenchModel, P: number) => P / (P + lossOf(bench.unit, P).watts)

class Coverage {
  private inside = 0
  private all = 0
  count(x: Parameters<typeof expanded>[0], truth: number): void {
    this.all += 1
    if (Math.abs(x.value - truth) <= expanded(x)) this.inside += 1
  }
  get share(): number {
    return this.inside / this.all
  }
}

describe('a thousand benches', () => {
  const atStep = new Coverage()
  const onCurve = new Coverage()
  const idle = new Coverage()
  const difference = new Coverage()
  const narrower: number[] = []

  beforeAll(() => {
    const [first, second] = [benchOf(unitModels.ottrel), benchOf(unitModels.ottrelC)]
    for (let seed = 1; seed <= benches; seed++) {
      // One hand, one set of meters: their errors are the same for both units.
      const hand = new BenchHand(seed, meters, '2026-03-12T08:00:00.000Z')
      const one = trialOn(hand, first, stationUnits.ottrel)
      const two = trialOn(hand, second, stationUnits.ottrelC)
      one.ladder.steps.forEach((step, i) => {
        const truth = operate(first, loads[i] ?? [])
        if (truth && isFigure(step.eta_unit)) atStep.count(step.eta_unit.x, truth.P_C / truth.P_B)
      })
      const truth = operate(first, [])
      if (truth && isFigure(one.noLoad.on.P_idle)) idle.count(one.noLoad.on.P_idle.x, truth.P_B)
      if (!hasFit(one.ladder.unitFit) || !hasFit(two.ladder.unitFit)) throw new Error('no curve')
      const [oneOfTwo, twoOfTwo] = fitTogether([one.ladder.unitCurve, two.ladder.unitCurve])
      if (!oneOfTwo || !twoOfTwo || !hasFit(oneOfTwo) || !hasFit(twoOfTwo)) throw new Error('no curve')
      for (const P of between) {
        const [a, b] = [efficiencyAt(one.ladder.unitFit, P), efficiencyAt(two.ladder.unitFit, P)]
        const apart = differenceOf(efficiencyAt(oneOfTwo, P), efficiencyAt(twoOfTwo, P))
        onCurve.count(a, trueEfficiency(first, P))
        difference.count(apart.x, trueEfficiency(first, P) - trueEfficiency(second, P))
        // Where the fan may be in either state, that and not the meters sets the width.
        const told = [one.ladder.unitFit, two.ladder.unitFit].every(
          (fit) => statesAt(fit.regimes, P).length === 1,
        )
        if (told) narrower.push(Math.hypot(expanded(a), expanded(b)) / expanded(apart.x))
      }
    }
  }, 120_000)

  it('hold the truth of η at a step', () => expect(atStep.share).toBeGreaterThanOrEqual(0.94))
  it('hold the truth of the curve between steps', () => expect(onCurve.share).toBeGreaterThanOrEqual(0.94))
  it('hold the truth of idle draw', () => expect(idle.share).toBeGreaterThanOrEqual(0.94))
  it('hold the truth of the difference of two units', () =>
    expect(difference.share).toBeGreaterThanOrEqual(0.94))
  it('know the difference at least three times better than independent errors would', () => {
    expect(narrower.sort((a, b) => a - b)[Math.floor(narrower.length / 20)]).toBeGreaterThanOrEqual(3)
  })
  it('say what they found', () => {
    const share = (coverage: Coverage) => `${(100 * coverage.share).toFixed(1)} %`
    const median = narrower[Math.floor(narrower.length / 2)] ?? 0
    const text = `step ${share(atStep)}, curve ${share(onCurve)}, idle ${share(idle)}, difference ${share(difference)}, narrower × ${median.toFixed(1)}`
    expect(text).toMatch(/step \d+/)
    if (process.env['SHOW_SIMULATION']) process.stdout.write(`${text}\n`)
  })
})
