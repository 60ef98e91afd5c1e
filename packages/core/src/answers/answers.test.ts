import type { Claim, Entry, Revision, Trial } from '@even-watt/contract'
import fc from 'fast-check'
import {
  ladderEntry,
  meterOf,
  motorEntry,
  noLoadEntry,
  revisionOf,
  rigOf,
  stationOf,
  trialOf,
  unitOf,
  uuid,
} from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { isFigure, sayFigure } from '../figures'
import { tellingRig } from '../draft'
import { viewTrial } from '../view'
import {
  answersOf,
  askable,
  mustKnowWave,
  neededOf,
  readingOrder,
  questionsOf,
  wishes,
  type Answered,
} from '.'

const rated = claimOf({ quantity: 'continuous power', comparator: 'at least', value: 1000, unit: 'W' })

function ask(
  entries: readonly Entry[],
  claims: readonly Claim[] = [rated],
  patch: Partial<Trial> = {},
  unit = unitOf({ claims: [...claims] }),
) {
  const trial = trialOf([revisionOf({ unit })], patch)
  const view = viewTrial(trial, entries)
  const analysis = tellingRig(view.analyses)
  if (!analysis) throw new Error('No rig.')
  const asked = { on: { analysis }, view, trial }
  const answers = answersOf(asked)
  const of = (id: Answered['id']) => {
    const found = answers.find((one) => one.id === id)
    if (!found) throw new Error(`It is not asked: ${id}.`)
    return found
  }
  return { asked, answers, of }
}

const told = ({ said }: Answered) =>
  said.map((part) => (typeof part === 'string' ? part : sayFigure(part))).join('')

/** 26.4 V at rest, 25 V and 24.5 V under 1000 W: 2 % on the way. */
const whole = [
  noLoadEntry({ V_A: 26.4, V_B: 26.4, I: 2, V_C: 230, f: 50, THD: 0.01 }),
  ladderEntry({ V_A: 26, V_B: 25.9, I: 9, V_C: 229, f: 50, P_C: 200, THD: 0.012 }),
  ladderEntry(
    { V_A: 25, V_B: 24.5, I: 46, V_C: 227, f: 50, P_C: 1005, THD: 0.015 },
    { held: 700, end: 'carried' },
  ),
]

describe('the questions of a trial', () => {
  it('are all of its unit where none were chosen: no leads and battery of a station, no ports of an inverter', () => {
    const inverter = ask([]).answers.map(({ id }) => id)
    expect(inverter).toEqual([
      'gives',
      'nothing',
      'reaches',
      'leads',
      'battery',
      'wave',
      'starts',
      'lasts',
      'keep',
    ])
    const station = ask([], [], {}, stationOf()).answers.map(({ id }) => id)
    expect(station).toEqual(['gives', 'nothing', 'wave', 'starts', 'lasts', 'ports', 'charges', 'keep'])
  })

  it('are those that were chosen; what was not asked is not there, and nobody keeps it open', () => {
    const { answers, asked } = ask([], [rated], { questions: [...wishes['an afternoon']] })
    expect(answers.map(({ id }) => id)).toEqual([...wishes['an afternoon']])
    expect(answers.at(-1)?.why.join(' ')).toContain('5 questions are open')
    expect(questionsOf(asked)).not.toContain('starts')
    expect(askable(asked).map(({ id }) => id)).toContain('starts')
  })

  it('are asked of this unit', () => {
    expect(ask([]).of('gives').asks).toBe('Does it give its 1000 W?')
    expect(ask([], []).of('gives').asks).toBe('Does it give what it says?')
  })

  it('say each what to read while nothing is known, and never that it is bad', () => {
    for (const { id, mark, open, said } of ask([]).answers) {
      expect([id, mark]).toEqual([id, 'not read'])
      if (id === 'keep') expect(said).toEqual(['Nothing speaks for it or against it yet.'])
      else expect(open?.todo).toMatch(/\.$/)
    }
  })
})

describe('an answer', () => {
  const { of } = ask(whole)

  it('gives its figures in a sentence', () => {
    expect(told(of('nothing'))).toMatch(/^53 ± [\d.]+ W\. A night left on takes .* % of the battery\.$/)
    expect(told(of('reaches'))).toMatch(
      /^Of what leaves the battery, 85\.\d .* at 200\.0.* and 87\.\d.* at 1005/,
    )
    expect(told(of('leads'))).toMatch(/^They take 0\.50.* V, 2\.0.* % at 1005.* W: 23\.0.* W of heat\.$/)
    expect(told(of('battery'))).toMatch(/^24\.5.* V at 1005.* above its alarm\./)
    expect(told(of('wave'))).toMatch(/^A sine, distorted by 1\.5/)
  })

  it('stands as the court says where something is promised of it', () => {
    expect(of('gives').mark).toMatch(/^(yes|roughly)$/)
    expect(of('nothing').mark).toBe('answered')
    const idle = (value: number) =>
      ask(whole, [rated, claimOf({ quantity: 'idle draw', comparator: 'at most', value, unit: 'W' })]).of(
        'nothing',
      )
    expect(idle(90).mark).toBe('yes')
    expect(idle(25).mark).toBe('no')
    expect(idle(25).why[0]).toBe('Not met: idle draw (≤ 25 W).')
  })

  it('calls leads too thin from 5 % on, and says what that is held against', () => {
    const thin = ask([ladderEntry({ V_A: 25, V_B: 23, I: 46, V_C: 227, P_C: 950 })]).of('leads')
    expect(thin.mark).toBe('no')
    expect(thin.why[0]).toMatch(/^Over 5 % is too much/)
  })

  it('tells leads roughly by their size where one end was read, and asks for it where nobody said it', () => {
    const one = ask([ladderEntry({ V_A: 25, I: 46, V_C: 227, P_C: 950 })]).of('leads')
    expect(one).toMatchObject({ mark: 'roughly', open: { button: 'Read both ends' } })
    expect(told(one)).toMatch(/^By their size they should take \d/)
    const rig = rigOf({ leads: 'not known', positive: [], negative: [] })
    const trial = trialOf([revisionOf({ rig, unit: unitOf({ claims: [rated] }) })])
    const view = viewTrial(trial, [ladderEntry({ V_A: 25, I: 46, V_C: 227, P_C: 950 })])
    const [analysis] = view.analyses
    const known = analysis && answersOf({ on: { analysis }, view, trial }).find(({ id }) => id === 'leads')
    expect(known).toMatchObject({ mark: 'not read', unknown: 'leads' })
  })

  it('says what a battery has left over the alarm, and that it has none', () => {
    const alarm = claimOf({ quantity: 'alarm voltage', comparator: 'at least', value: 22, unit: 'V' })
    const at = (volts: object, claims = [rated, alarm]) =>
      ask([ladderEntry({ I: 46, V_C: 227, P_C: 950, ...volts })], claims).of('battery')
    expect(at({ V_B: 20 }).mark).toBe('no')
    expect(told(at({ V_B: 20 }))).toContain('below its alarm')
    expect(at({ V_B: 26 }).mark).toBe('yes')
    // What is assumed, or read before the leads, decides nothing.
    expect([at({ V_B: 26 }, [rated]).mark, at({ V_B: 20 }, [rated]).mark]).toEqual(['roughly', 'hardly'])
    expect(at({ V_A: 26 })).toMatchObject({ mark: 'roughly', open: { button: 'Read them' } })
  })

  it('names what it starts, sometimes starts, and does not', () => {
    const starts = ask([
      motorEntry({ number: 1 }),
      motorEntry({ number: 2, load: 'saw', outcome: 'stalled' }),
      motorEntry({ number: 3, load: 'winch' }),
      motorEntry({ number: 4, load: 'winch', outcome: 'tripped' }),
    ]).of('starts')
    expect(told(starts)).toBe('It starts pump; sometimes winch; not saw.')
  })

  it('has nothing to show but figures that are told', () => {
    for (const { said } of ask(whole).answers)
      for (const part of said) if (typeof part !== 'string') expect(isFigure(part)).toBe(true)
  })
})

describe('what to read next', () => {
  it('is what settles most for its time, of the readings that settle all at the least cost together', () => {
    const { answers } = ask([])
    const [first, second] = readingOrder(answers).order
    expect(first?.settles).toEqual(['nothing'])
    // One load that is held long enough for its promise settles what a short one would, too.
    expect(second?.settles).toEqual(['gives', 'reaches', 'leads', 'battery'])
    expect(second?.open).toMatchObject({ page: 'ladder', readings: 1, minutes: 10 })
  })

  it('is nothing where all is answered', () => {
    const { answers } = ask(whole, [rated], { questions: ['nothing', 'reaches', 'leads', 'battery'] })
    expect(readingOrder(answers).order).toEqual([])
  })

  it('settles every open question once, what settles most for its cost first, whatever the costs', () => {
    const { answers } = ask([])
    const costs = fc.array(
      fc.record({ minutes: fc.integer({ min: 1, max: 200 }), wattHours: fc.integer({ min: 0, max: 500 }) }),
      {
        minLength: answers.length,
        maxLength: answers.length,
      },
    )
    fc.assert(
      fc.property(costs, (drawn) => {
        const open = answers.map((one, i) =>
          one.open ? { ...one, open: { ...one.open, ...drawn[i] } } : one,
        )
        const { order } = readingOrder(open)
        const settled = order.flatMap(({ settles }) => settles)
        expect(new Set(settled).size).toBe(settled.length)
        expect(new Set(settled)).toEqual(new Set(open.flatMap(({ id, open }) => (open ? [id] : []))))
        for (const [i, { settles, cost }] of order.entries())
          expect(
            (order[i - 1]?.settles.length ?? Infinity) / (order[i - 1]?.cost ?? 1),
          ).toBeGreaterThanOrEqual(settles.length / cost - 1e-9)
      }),
    )
  })
})

describe('a change of the rig', () => {
  const first = revisionOf({ unit: unitOf({ claims: [rated] }) })
  const changed = (touched?: Revision['touched'], patch: Partial<Revision> = {}) => ({
    ...first,
    number: 2,
    why: 'changed',
    ...(touched ? { touched } : {}),
    ...patch,
  })
  const on = (second: Revision, entries: readonly Entry[] = whole) => {
    const trial = trialOf([first, second])
    const view = viewTrial(trial, entries)
    const analysis = tellingRig(view.analyses)
    if (!analysis) throw new Error('No rig.')
    const answers = answersOf({ on: { analysis }, view, trial })
    return { analysis, of: (id: Answered['id']) => answers.find((one) => one.id === id) }
  }

  it('takes nothing away where only the description was put right, or a meter was added', () => {
    const before = on(first)
    const after = on(
      changed([], { meters: [...first.meters, meterOf({ id: uuid(77), name: 'a second one' })] }),
    )
    expect(after.analysis.record.revision.number).toBe(2)
    for (const id of ['gives', 'nothing', 'reaches', 'leads', 'battery', 'wave'] as const)
      expect([id, after.of(id)?.mark, after.of(id)?.said.length]).toEqual([
        id,
        before.of(id)?.mark,
        before.of(id)?.said.length,
      ])
  })

  it('keeps readings of a meter that hangs no more', () => {
    expect(on(changed([], { meters: [] })).of('nothing')?.mark).toBe('answered')
  })

  it('of a joint leaves what the unit takes for nothing, and asks for the leads anew', () => {
    const later = ladderEntry(
      { V_A: 25, V_B: 24.7, I: 46, V_C: 227, f: 50, P_C: 1005 },
      { revision: 2, held: 60, end: 'carried' },
    )
    const { of } = on(changed(['path']), [...whole, later])
    expect(of('nothing')?.mark).toBe('answered')
    expect(told(of('leads') as Answered)).toMatch(/^They take 0\.30/)
  })

  it('takes over what rests on nothing that was touched, and says from which rig', () => {
    const later = noLoadEntry({ V_A: 26.4, V_B: 26.4, I: 2.1 }, { revision: 2 })
    const bank = on(changed(['bank']), [...whole, later])
    expect(bank.of('leads')?.why.join(' ')).toContain(
      'Read on rig 1; nothing that it rests on changed since.',
    )
    const path = on(changed(['path']), [...whole, later])
    expect(path.of('leads')?.mark).toBe('not read')
    expect(path.of('leads')?.why.join(' ')).toContain(
      'It was read on rig 1; the leads or a joint changed since.',
    )
  })

  it('does not carry what was touched, nor what nobody said was not', () => {
    expect(on(changed(['unit'])).analysis.record.revision.number).toBe(1)
    expect(on(changed()).analysis.record.revision.number).toBe(1)
  })
})

describe('what is asked for', () => {
  it('is what a question needs: watts at the outlet stand for amps and power factor', () => {
    expect(neededOf(['V_A', 'V_B', 'I', 'V_C', 'I_C', 'P_C', 'PF', 'f', 'THD'])).toEqual([
      'V_A',
      'V_B',
      'I',
      'V_C',
      'P_C',
    ])
    expect(neededOf(['V_A', 'V_C', 'I_C', 'PF', 'f'])).toEqual(['V_A', 'V_C', 'I_C', 'PF'])
  })

  it('is the wave of the label only while a meter hangs on it that nothing else tells of', () => {
    const plain = meterOf({
      ranges: meterOf().ranges.map((range) => ({ ...range, standsSteppedWave: false })),
    })
    const known = (wave: 'sine' | 'unstated', meter = plain, entries: readonly Entry[] = []) => {
      const rig = rigOf({ assignments: [{ quantity: 'V_C', meter: meter.id }] })
      const trial = trialOf([revisionOf({ unit: unitOf({ wave }), rig, meters: [meter] })])
      const [analysis] = viewTrial(trial, entries).analyses
      return analysis && mustKnowWave(analysis)
    }
    expect(known('unstated')).toBe(true)
    expect(known('sine')).toBe(false)
    expect(known('unstated', meterOf())).toBe(false)
    expect(known('unstated', plain, [noLoadEntry({ V_C: 230, THD: 0.02 })])).toBe(false)
  })
})
