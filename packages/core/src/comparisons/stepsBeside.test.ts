import { ladderEntry, noLoadEntry, revisionOf, trialOf, unitOf } from '../../test/makers'
import { isFigure } from '../figures'
import { viewTrial } from '../view'
import { named, stepsBeside } from '.'

const one = (name: string, steps: readonly (readonly [P_C: number, V_C: number, f: number])[]) => {
  const trial = trialOf([revisionOf({ unit: unitOf({ name, outputVoltage: 230, outputFrequency: 50 }) })])
  const view = viewTrial(trial, [
    noLoadEntry({ V_B: 26, I: 0.4, V_C: 231, f: 50 }),
    ...steps.map(([P_C, V_C, f]) =>
      ladderEntry({ V_B: 25.5, I: P_C / 22, P_C, V_C, f }, { load: `${P_C} W` }),
    ),
  ])
  const [analysis] = view.analyses
  if (!analysis) throw new Error('no rig')
  return { trial, analysis, findings: view.findings }
}
const share = (figure: Parameters<typeof isFigure>[0] | undefined) =>
  figure && isFigure(figure) ? figure.x.value : undefined

describe('steps beside each other', () => {
  const list = named([
    one('Inverter', [
      [350, 230, 50],
      [700, 229.77, 50.02],
      [1400, 227.7, 50.05],
    ]),
    one('Generator', [
      [340, 236.9, 51.5],
      [1430, 218.5, 49],
    ]),
  ])
  const rows = stepsBeside(list)

  it('stand at like loads, nothing connected first; what only one was given is left out', () => {
    expect(rows.map(({ watts }) => watts)).toEqual([0, 340, 1400])
    expect(rows.every(({ cells }) => cells.every(Boolean))).toBe(true)
  })

  it('tell how far volts and hertz are off nominal', () => {
    // 218.5 of 230 V are 5 % less, 51.5 of 50 Hz 3 % more.
    expect(share(rows[2]?.cells[1]?.volts)).toBeCloseTo(-0.05, 9)
    expect(share(rows[1]?.cells[1]?.hertz)).toBeCloseTo(0.03, 9)
    expect(share(rows[2]?.cells[0]?.volts)).toBeCloseTo(-0.01, 9)
  })

  it('are none of one alone', () => {
    expect(stepsBeside(list.slice(0, 1))).toEqual([])
  })
})
