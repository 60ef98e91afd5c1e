import { ladderEntry, noLoadEntry, revisionOf, trialOf } from '../../test/makers'
import { decides, isFigure, type Derived } from '../figures'
import { expanded } from '../meters'
import { viewTrial } from '../view'

const stepsOf = (
  entries: Parameters<typeof viewTrial>[1],
  displayStandsIn: boolean,
  displayCorrected = false,
) => {
  const settings = { displayStandsIn, displayCorrected }
  const [analysis] = viewTrial(trialOf([revisionOf()], settings), entries).analyses
  if (!analysis) throw new Error('no analysis')
  return analysis.ladder.steps
}
/** Of the bench that has only a display: watts it shows read 2.7 % too many. */
const shownOnly = (outputPower: number, inputVoltage: number) =>
  ladderEntry({}, { values: [], display: { outputPower, inputVoltage, outputVoltage: 227 } })
const checked = (outputPower: number, P_C: number) =>
  ladderEntry({ P_C, V_C: 228 }, { display: { outputPower, outputVoltage: 228 } })

describe('a step of which only the display was read', () => {
  it('is kept with what it showed, graded so, and decides nothing', () => {
    const [step] = stepsOf([shownOnly(626, 26)], false)
    const { P_C, read } = step ?? { P_C: { missing: '' }, read: undefined }
    expect(isFigure(P_C) && [P_C.x.value, P_C.grade, decides(P_C)]).toEqual([626, 'display', false])
    expect(read && isFigure(read.V_B) && read.V_B.grade).toBe('display')
  })

  it('does not take the display’s volts where the posts were read', () => {
    const [step] = stepsOf([ladderEntry({ V_A: 26.2 }, { display: { inputVoltage: 27 } })], false)
    expect(step && isFigure(step.read.V_B)).toBe(false)
  })

  it('does not take the display where a meter read the same', () => {
    const [step] = stepsOf([checked(308, 300)], true)
    expect(step && isFigure(step.P_C) && step.P_C.x.value).toBe(300)
  })
})

describe('a checked display that may stand in', () => {
  const P_of = (entries: Parameters<typeof viewTrial>[1], standsIn = true): Derived =>
    stepsOf(entries, standsIn).at(-1)?.P_C ?? { missing: 'no step' }

  it('decides between the checks, with what it was found to be off', () => {
    const P_C = P_of([checked(308, 300), checked(914, 890), shownOnly(626, 26)])
    expect(decides(P_C)).toBe(true)
    // 24 W off at 914 W, and the meter's own 10 W of it, rectangular: at least 24/√3 · 2.
    expect(isFigure(P_C) && expanded(P_C.x)).toBeGreaterThan((2 * 24) / Math.sqrt(3))
    expect(isFigure(P_C) && Math.abs(P_C.x.value - 626 / 1.027)).toBeLessThan(
      isFigure(P_C) ? expanded(P_C.x) : 0,
    )
  })

  it('corrected, gives what a meter would, with what its checks leave open', () => {
    const off = [checked(308, 300), checked(914, 890), shownOnly(626, 26)]
    const [plain, corrected] = [stepsOf(off, true), stepsOf(off, true, true)].map(
      (steps) => steps.at(-1)?.P_C,
    )
    if (!plain || !corrected || !isFigure(plain) || !isFigure(corrected)) throw new Error('Shown.')
    // 8/308 and 24/914 too much: 2.61 % on the mean.
    expect(corrected.x.value).toBeCloseTo(626 * (1 - (8 / 308 + 24 / 914) / 2), 6)
    expect(expanded(corrected.x)).toBeLessThan(expanded(plain.x))
    expect(decides(corrected)).toBe(true)
  })

  it('is corrected by an amount where that fits better', () => {
    const entries = [checked(306, 300), checked(896, 890), shownOnly(626, 26)]
    const P_C = stepsOf(entries, true, true).at(-1)?.P_C
    expect(P_C && isFigure(P_C) && P_C.x.value).toBeCloseTo(620, 9)
  })

  it('does not decide beyond the checks, nor unchecked, nor while the tester does not let it', () => {
    const beyond = P_of([checked(308, 300), checked(914, 890), shownOnly(1222, 25.8)])
    expect(decides(beyond)).toBe(false)
    expect(isFigure(beyond) && beyond.refused?.why).toContain('not checked against a meter near this value')
    expect(decides(P_of([shownOnly(626, 26)]))).toBe(false)
    expect(decides(P_of([checked(626, 610), shownOnly(626, 26)], false))).toBe(false)
  })

  it('is not checked by a reading that nobody trusts', () => {
    const check = checked(626, 610)
    const doubt = {
      id: '00000000-0000-7000-8000-000000999999',
      revision: 1,
      at: '2026-03-12T20:00:00.000Z',
      kind: 'doubt' as const,
      of: { what: 'reading' as const, entry: check.id },
      why: 'clamp slipped',
    }
    expect(decides(P_of([check, shownOnly(626, 26), doubt]))).toBe(false)
  })

  it('has one error at all readings, so that differences between them are better known', () => {
    const steps = stepsOf([checked(600, 590), shownOnly(610, 26), shownOnly(630, 26)], true)
    const [a, b] = steps.slice(1).map(({ P_C }) => (isFigure(P_C) ? [...P_C.x.sources.keys()] : []))
    expect(a?.filter((source) => b?.includes(source))).toHaveLength(1)
  })

  it('stands in without load too', () => {
    const entries = [
      noLoadEntry({ V_C: 230 }, { display: { outputVoltage: 230 } }),
      noLoadEntry({}, { values: [], display: { outputVoltage: 231 }, mode: 'search' }),
    ]
    const view = (on: boolean) => viewTrial(trialOf([revisionOf()], { displayStandsIn: on }), entries)
    expect(
      [true, false].map((on) => decides(view(on).analyses[0]?.noLoad.search.read.V_C ?? { missing: '' })),
    ).toEqual([true, false])
  })
})
