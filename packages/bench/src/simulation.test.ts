import {
  commonErrors,
  criteria,
  differenceOf,
  efficiencyAt,
  efficiencyDifference,
  expanded,
  hasFit,
  isFigure,
  named,
  statesAt,
  type Uncertain,
} from '@even-watt/core'
import { benchOf, loads, meters, trialOn } from '../test/plainBench'
import { BenchHand, lossOf, operate, stationUnits, unitModels, type BenchModel } from '.'

/**
 * Benches whose meters err inside their specifications and whose loads drift: how often do the stated intervals hold
 * the truth, and what do shared meters gain in a comparison?
 */
const between = [250, 500, 900, 1200]

const trueEfficiency = (bench: BenchModel, P: number) => P / (P + lossOf(bench.unit, P).watts)

class Coverage {
  private inside = 0
  private all = 0
  count(x: Uncertain, truth: number): void {
    this.all += 1
    if (Math.abs(x.value - truth) <= expanded(x)) this.inside += 1
  }
  get share(): number {
    return this.inside / this.all
  }
}

const kinds = [
  'step',
  'curve',
  'idle',
  'steps apart',
  'revisions apart',
  'trials apart',
  'idle of trials apart',
  'days of trials apart',
] as const

/** Hours of an owner within what was measured, and what a unit loses in them, Wh a day. */
const hours = [
  { hours: 17, load: 0 },
  { hours: 5, load: 300 },
  { hours: 2, load: 1100 },
]
const trial = { id: 'simulated', title: 'simulated', hold: 600, duty: hours }
const trueDay = (bench: BenchModel) =>
  hours.reduce((sum, { hours: h, load }) => sum + h * lossOf(bench.unit, load).watts, 0)
const criterion = (key: string) => {
  const found = criteria.find((one) => one.key === key)
  if (!found) throw new Error(`no criterion ${key}`)
  return found
}

describe.each([
  ['a thousand benches, each reading taken twice', 1000, 2, { counts: 0.2, drift: 0 }],
  ['benches of single readings that flicker, with loads that drift', 300, 1, { counts: 0.5, drift: 0.005 }],
])('%s', (_, benches, repeats, unrest) => {
  const held = Object.fromEntries(kinds.map((kind) => [kind, new Coverage()])) as Record<
    (typeof kinds)[number],
    Coverage
  >
  const narrower: number[] = []
  let curves = 0
  let leaves = 0

  beforeAll(() => {
    const [first, remade] = [benchOf(unitModels.ottrel), benchOf(unitModels.ottrel, 0.004)]
    const second = benchOf(unitModels.ottrelC)
    for (let seed = 1; seed <= benches; seed++) {
      // One hand, one set of meters: their errors are the same for both units.
      const hand = new BenchHand(seed, meters, '2026-03-12T08:00:00.000Z', { unrest })
      const [one, again] = trialOn(hand, [first, remade], stationUnits.ottrel, repeats).analyses
      const [two] = trialOn(hand, [second], stationUnits.ottrelC, repeats).analyses
      if (!one || !again || !two) throw new Error('no analysis')
      const truths = loads.map((load) => operate(first, load))
      const steps = one.ladder.steps.map(({ eta_unit }, i) => {
        const truth = truths[i]
        if (!truth || !isFigure(eta_unit)) throw new Error('no step')
        return { x: eta_unit.x, eta: truth.P_C / truth.P_B }
      })
      steps.forEach(({ x, eta }, i) => {
        held.step.count(x, eta)
        const before = steps[i - 1]
        if (before) held['steps apart'].count(differenceOf(x, before.x).x, eta - before.eta)
        const same = again.ladder.steps[i]?.eta_unit
        const remadeTruth = operate(remade, loads[i] ?? [])
        if (same && isFigure(same) && remadeTruth)
          held['revisions apart'].count(differenceOf(same.x, x).x, remadeTruth.P_C / remadeTruth.P_B - eta)
      })
      const list = named([one, two].map((analysis) => ({ trial, analysis, findings: [] })))
      const [base, other] = list
      const apartBy = (key: string, truthApart: number, kind: (typeof kinds)[number]) => {
        const common = commonErrors(list)
        const [x, y] = [base, other].map((of) => {
          const figure = of && criterion(key).of(of, hours, list)
          return figure && of && isFigure(figure) ? common(of, figure.x) : undefined
        })
        if (x && y) held[kind].count(differenceOf(y, x).x, truthApart)
      }
      const [truth, truthOfOther] = [operate(first, []), operate(second, [])]
      if (truth && truthOfOther) apartBy('idle', truthOfOther.P_B - truth.P_B, 'idle of trials apart')
      apartBy('day', trueDay(second) - trueDay(first), 'days of trials apart')
      if (truth && isFigure(one.noLoad.on.P_idle)) held.idle.count(one.noLoad.on.P_idle.x, truth.P_B)
      const [fitOne, fitTwo] = [one.ladder.unitFit, two.ladder.unitFit]
      if (!hasFit(fitOne) || !hasFit(fitTwo)) continue
      curves += 1
      const far = one.ladder.steps.some(
        ({ P_C, eta_unit }) =>
          isFigure(P_C) &&
          isFigure(eta_unit) &&
          P_C.x.value > 0.2 * 1400 &&
          Math.abs(efficiencyAt(fitOne, P_C.x.value).value - eta_unit.x.value) > 0.01,
      )
      if (far) leaves += 1
      for (const P of between) {
        const [a, b] = [efficiencyAt(fitOne, P), efficiencyAt(fitTwo, P)]
        const apart = efficiencyDifference(fitOne, fitTwo, P)
        held.curve.count(a, trueEfficiency(first, P))
        held['trials apart'].count(apart.x, trueEfficiency(first, P) - trueEfficiency(second, P))
        // Where the fan may be in either state, that and not the meters sets the width.
        const told = [fitOne, fitTwo].every((fit) => statesAt(fit.regimes, P).length === 1)
        if (told) narrower.push(Math.hypot(expanded(a), expanded(b)) / expanded(apart.x))
      }
    }
  }, 240_000)

  it.each(kinds)('hold the truth: %s', (kind) => expect(held[kind].share).toBeGreaterThanOrEqual(0.94))
  it('get their curve', () => expect(curves / benches).toBeGreaterThanOrEqual(0.95))
  it('have curves that stay within a point of what was read above a fifth of the load', () =>
    expect(leaves / curves).toBeLessThanOrEqual(0.01))
  it('know the difference better than independent errors would', () => {
    expect(narrower.sort((a, b) => a - b)[Math.floor(narrower.length / 20)]).toBeGreaterThanOrEqual(2)
  })
  it('say what they found', () => {
    const median = narrower[Math.floor(narrower.length / 2)] ?? 0
    const text = [
      ...kinds.map((kind) => `${kind} ${(100 * held[kind].share).toFixed(1)} %`),
      `curves ${((100 * curves) / benches).toFixed(1)} %, leaving a reading ${((100 * leaves) / curves).toFixed(1)} %, narrower × ${median.toFixed(1)}`,
    ].join(', ')
    expect(text).toMatch(/step \d+/)
    if (process.env['SHOW_SIMULATION']) process.stdout.write(`${text}\n`)
  })
})
