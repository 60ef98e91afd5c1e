import type { Entry, SuitNeed, SuitRule } from '@even-watt/contract'
import { cleanLadder, motorEntry, noLoadEntry, revisionOf, trialOf, unitOf, uuid } from '../../test/makers'
import { viewTrial } from '../view'
import { suitMeasures, suitsOf, usualRules, type SuitAsked } from '.'

const rated = {
  id: uuid(700),
  quantity: 'continuous power' as const,
  comparator: 'at least' as const,
  value: 1000,
  unit: 'W' as const,
  readWhere: 'label',
}
const asked = (entries: readonly Entry[], duty = [{ hours: 24, load: 352 }]): SuitAsked => {
  const trial = trialOf([revisionOf({ unit: unitOf({ claims: [rated] }) })], { duty })
  const [analysis] = viewTrial(trial, entries).analyses
  if (!analysis) throw new Error('no analysis')
  return { trial, analysis }
}
const rule = (...needs: SuitNeed[]): SuitRule => ({ name: 'a use', needs })
const whole = asked([noLoadEntry({ V_B: 26, I: 0.4, V_C: 230 }), ...cleanLadder()])
const bare = asked([])
const only = (of: SuitRule, from: SuitAsked) => {
  const [found] = suitsOf([of], from)
  if (!found) throw new Error('no use')
  return found
}

describe('a use', () => {
  it('is suited where every need is cleared by more than its uncertainty', () => {
    const found = only(rule({ figure: 'efficiency over the hours', is: 'at least', value: 80 }), whole)
    expect(found.says).toBe('suits')
    expect(found.reasons[0]).toMatch(
      /^efficiency over a usual day: at least 80 % is needed\. It is 9\d\.?\d* ± .* %\.$/,
    )
  })
  it('tells uses apart by how long the output is gone when a load is released', () => {
    const released = (blanks: boolean, back?: number): Entry => ({
      id: uuid(7100),
      revision: 1,
      at: '2026-03-12T11:00:00.000Z',
      kind: 'limit',
      reading: {
        test: 'dynamic',
        from: 1000,
        to: 0,
        lamps: 'not looked at',
        hunts: false,
        blanks,
        ...(back === undefined ? {} : { back }),
      },
    })
    const within = (ms: number, ...entries: Entry[]) =>
      only(rule({ figure: 'dropout', is: 'at most', value: ms }), asked(entries)).says
    // 80 ms stop a computer, and no drill.
    expect([within(20, released(true, 0.08)), within(500, released(true, 0.08))]).toEqual([
      'does not suit',
      'suits',
    ])
    expect(within(20, released(false))).toBe('suits')
    expect(within(20)).toBe('not known')
    // Gone for over half a cycle, and for how long nobody saw.
    expect(within(20, released(true))).toBe('not known')
  })
  it('asks for what a unit has, as it was noted with it', () => {
    const of = (says?: string) => {
      const unit = unitOf({
        claims: [rated],
        ...(says === undefined ? {} : { features: [{ what: 'hardwiring terminals', says }] }),
      })
      const trial = trialOf([revisionOf({ unit })])
      const [analysis] = viewTrial(trial, []).analyses
      if (!analysis) throw new Error('no analysis')
      return only({ name: 'built in', needs: [], features: ['Hardwiring terminals'] }, { trial, analysis })
    }
    expect([of('yes, 6 mm²'), of('none'), of()].map(({ says }) => says)).toEqual([
      'suits',
      'does not suit',
      'not known',
    ])
    expect(of('none').reasons).toEqual(['Needed: Hardwiring terminals. It has none.'])
  })
  it('is not where one is missed by more, whatever the others say', () => {
    const found = only(
      rule(
        { figure: 'efficiency over the hours', is: 'at least', value: 80 },
        { figure: 'efficiency over the hours', is: 'at least', value: 99.5 },
        { figure: 'noise', is: 'at most', value: 40 },
      ),
      whole,
    )
    expect(found.says).toBe('does not suit')
    // What decides stands first.
    expect(found.reasons[0]).toContain('99.5 %')
  })
  it('is not known within the uncertainty, nor without a figure, and says what to do', () => {
    const near = only(rule({ figure: 'efficiency over the hours', is: 'at least', value: 94.1 }), whole)
    expect(near.says).toBe('not known')
    expect(near.reasons[0]).toContain('too near to tell')
    for (const { name, needs } of usualRules) {
      const found = only({ name, needs }, bare)
      expect(found.says).toBe('not known')
      expect(found.reasons).toHaveLength(needs.length)
    }
    expect(only(rule({ figure: 'noise', is: 'at most', value: 40 }), bare).reasons[0]).toBe(
      'loudest beside it: at most 40 dB(A) is needed. The noise was not read. Read its noise with silent loads, and the room without it.',
    )
  })
  it('is never refused for what nobody tried', () => {
    // 1400 W were carried, and nothing more was asked of it.
    const found = only(rule({ figure: 'surge', is: 'at least', value: 2 }), whole)
    expect(found.says).toBe('not known')
  })
  it('is not suited by a light load, nor by a fan that stood still; what is missed is missed all the same', () => {
    const volts = (value: number) => rule({ figure: 'volts', is: 'at most', value })
    const light = asked(cleanLadder([72, 141, 352]))
    expect(only(volts(20), light)).toMatchObject({ says: 'not known' })
    expect(only(volts(20), light).reasons[0]).toContain('went up to 352 W of 1000 W.')
    expect(only(volts(20), whole).says).toBe('suits')
    const noise = (fan: 'on' | 'off', level = 35, distance = 1): Entry => ({
      id: uuid(901),
      revision: 1,
      at: '2026-03-12T12:00:00.000Z',
      kind: 'noise',
      reading: { level, background: 20, distance, silent: true, fan, meter: uuid(1) },
    })
    const quiet = rule({ figure: 'noise', is: 'at most', value: 40 })
    expect(only(quiet, asked([noise('off')])).says).toBe('not known')
    expect(only(quiet, asked([noise('on')])).says).toBe('suits')
    expect(only(quiet, asked([noise('off', 60)])).says).toBe('does not suit')
    // With an ear at its fan nothing is missed, from the next room nothing is shown.
    expect(only(quiet, asked([noise('on', 50, 0.3)])).says).toBe('not known')
    expect(only(quiet, asked([noise('on', 35, 4)])).reasons[0]).toMatch(/A level is promised for 1 m/)
  })
  it('asks of machines the lowest volts of those that started', () => {
    const starts = (outcome: 'started' | 'stalled') => asked([motorEntry({ outcome, lowestOutput: 161 })])
    const need = rule({ figure: 'start', is: 'at least', value: 80 })
    expect(only(need, starts('stalled')).says).toBe('not known')
    expect(suitMeasures.start.words).toContain('machine')
    expect(only(need, starts('started')).reasons[0]).toContain('80 % of nominal')
  })
  it('can be overruled by the tester, who then stands beside what the rule says', () => {
    const need = rule({ figure: 'noise', is: 'at most', value: 40 })
    const [found] = suitsOf([need], bare, [
      { rule: 'a use', says: 'suits', why: 'It hung in the next room.' },
    ])
    expect(found).toMatchObject({ says: 'suits', drafted: 'not known', why: 'It hung in the next room.' })
    expect(suitsOf([need], bare, [{ rule: 'another', says: 'suits', why: 'x' }])[0]?.why).toBeUndefined()
  })
  it('has a measure for each figure that a rule may ask, and the usual ones ask only such', () => {
    const names = usualRules.map(({ name }) => name)
    expect(new Set(names).size).toBe(names.length)
    for (const { needs } of usualRules)
      for (const { figure } of needs) expect(suitMeasures[figure].todo).toMatch(/\.$/)
  })
})
