import type { Block, BlockKind, LadderPlanned, RunEvent } from '@even-watt/contract'
import fc from 'fast-check'
import { bankOf, ladderEntry, noLoadEntry, revisionOf, trialOf, uuid } from '../../test/makers'
import { bankDeliverable, full, surgeAbove } from '../supply'
import { stationRig } from '../rigs'
import { viewTrial } from '../view'
import {
  alreadyStanding,
  checkInsOf,
  historyOf,
  lateness,
  leastCharge,
  overdue,
  scheduleOf,
  surgeBelow,
  type Logged,
  type Scheduled,
  type ScheduleQuestion,
} from '.'

const hour = 3_600_000
const minute = 60_000
const nine = Date.UTC(2026, 2, 12, 9)
const day = (n: number) => ({ opens: nine + n * 24 * hour, closes: nine + n * 24 * hour + 8 * hour })

const block = (kind: BlockKind, n: number, more: Partial<Block> = {}): Block => ({
  id: uuid(n),
  kind,
  fixed: false,
  ...more,
})
const inOrder = (...kinds: BlockKind[]) => kinds.map((kind, i) => block(kind, 700 + i))

/** 24 V, 150 Ah, stiff: 1000 W and 100 W lost draw 42.97 A of 25.6 V. */
const questionOf = (patch: Partial<ScheduleQuestion> = {}): ScheduleQuestion => ({
  blocks: inOrder('no load', 'ladder', 'motors', 'findings'),
  start: nine,
  days: [0, 1, 2, 3].map(day),
  steps: [350, 700, 1000].map((watts) => ({ what: `${watts} W`, watts, settle: 0 })),
  motors: [{ what: 'pump', watts: 300, settle: 0 }],
  settle: 60,
  dwell: 120,
  reading: 60,
  hold: 600,
  rated: 1000,
  loss: (P) => 10 + 0.09 * P,
  bank: bankOf(),
  supply: undefined,
  charger: 30,
  charge: 1,
  loaded: [],
  sayTime: (moment) => new Date(moment).toISOString().slice(5, 16),
  ...patch,
})

const kinds = ({ placed }: Scheduled) => placed.map(({ kind, part }) => part ?? kind)
const find = ({ placed }: Scheduled, name: string) => placed.find(({ kind, part }) => (part ?? kind) === name)
const says = ({ remarks }: Scheduled, kind: 'moved' | 'odd') =>
  remarks.filter((remark) => remark.kind === kind).map(({ sentence }) => sentence)

describe('a schedule', () => {
  it('lays each step for settling, dwell and reading, and takes its energy from the bank', () => {
    const plan = scheduleOf(
      questionOf({ blocks: inOrder('ladder'), dwell: 3480, steps: [{ what: 'x', watts: 1000, settle: 0 }] }),
    )
    const [ladder] = plan.placed
    expect((ladder?.to ?? 0) - (ladder?.from ?? 0)).toBe(hour)
    // (P + P_loss)·t = 1100 Wh of 25.6 V × 150 Ah.
    expect(ladder?.pieces[0]?.charge[1]).toBeCloseTo(1 - 1100 / (25.6 * 150), 9)
    expect(plan.ends).toBe(nine + hour)
  })

  it('gives an element the time that it needs to settle', () => {
    const plan = scheduleOf(
      questionOf({ blocks: inOrder('ladder'), steps: [{ what: 'x', watts: 500, settle: 300 }] }),
    )
    expect(plan.ends).toBe(nine + (300 + 120 + 60) * 1000)
  })

  it('takes the tester’s own length, each piece in proportion', () => {
    const plan = scheduleOf(questionOf({ blocks: [block('ladder', 1, { minutes: 36 })] }))
    expect(plan.placed[0]?.pieces.map(({ from, to }) => (to - from) / minute)).toEqual([12, 12, 12])
  })

  it('drains a lead-acid bank faster by Peukert than a lithium one', () => {
    const [string = []] = bankOf().strings
    const lead = bankOf({
      strings: [string.map((one) => ({ ...one, chemistry: 'AGM' as const, peukert: 1.2 }))],
    })
    const blocks = inOrder('ladder')
    const end = (bank = bankOf()) =>
      scheduleOf(questionOf({ blocks, bank })).placed.at(-1)?.pieces.at(-1)?.charge[1] ?? 0
    expect(end(lead)).toBeLessThan(end())
    // The first step alone, 391.5 W at 25.6 V: 15.3 A for 240 s of what the bank gives at that current.
    const first = scheduleOf(questionOf({ blocks, bank: lead })).placed[0]?.pieces[0]
    const I = (350 + 41.5) / 25.6
    expect(1 - (first?.charge[1] ?? 0)).toBeCloseTo((I * 240) / 3600 / (bankDeliverable(lead, I) ?? NaN), 9)
  })

  it('takes from the bank just what its steps take, in any order, half of it from twice the bank', () => {
    const watts = fc.array(fc.integer({ min: 0, max: 1000 }), { minLength: 1, maxLength: 8 })
    fc.assert(
      fc.property(watts, fc.integer({ min: 0, max: 600 }), fc.boolean(), (list, dwell, double) => {
        const [string = []] = bankOf().strings
        const capacity = double ? 300 : 150
        const bank = bankOf({ strings: [string.map((one) => ({ ...one, capacity }))] })
        const end = (of: readonly number[]) =>
          scheduleOf(
            questionOf({
              blocks: inOrder('ladder'),
              bank,
              dwell,
              steps: of.map((P) => ({ what: 'x', watts: P, settle: 0 })),
            }),
          )
            .placed.at(-1)
            ?.pieces.at(-1)?.charge[1] ?? 0
        const joules = list.reduce((sum, P) => sum + (P + 10 + 0.09 * P) * (120 + dwell), 0)
        expect(end(list)).toBeCloseTo(1 - joules / (25.6 * capacity * 3600), 9)
        expect(end([...list].reverse())).toBeCloseTo(end(list), 9)
      }),
    )
  })

  it('lets a support source carry what it can', () => {
    const supply = { bank: { E: 26.4, R: 0.0117 }, path: 0.005, support: 30 }
    const charge = (s: ScheduleQuestion['supply']) =>
      scheduleOf(questionOf({ blocks: inOrder('ladder'), supply: s })).placed[0]?.pieces.at(-1)?.charge[1] ??
      0
    expect(charge(supply)).toBeGreaterThan(charge({ ...supply, support: 0 }))
  })
})

describe('rules of a day', () => {
  it('idle first: moved, and said', () => {
    const plan = scheduleOf(questionOf({ blocks: inOrder('ladder', 'no load', 'findings') }))
    expect(kinds(plan)).toEqual(['no load', 'ladder', 'findings'])
    expect(says(plan, 'moved')).toEqual([
      'No load moved before ladder: idle draw is read while the unit is cold.',
    ])
  })

  it('what the tester fixed stays, and what speaks against it is said', () => {
    const plan = scheduleOf(
      questionOf({
        blocks: [
          block('ladder', 1),
          block('no load', 2, { fixed: true }),
          block('run-down', 3, { fixed: true }),
          block('checks', 4),
        ],
      }),
    )
    expect(kinds(plan).filter((kind) => kind !== 'recharge' && kind !== 'overnight')).toEqual([
      'ladder',
      'no load',
      'run-down',
      'checks',
    ])
    expect(says(plan, 'odd')).toEqual([
      'No load stays after ladder, where you fixed it: idle draw is read while the unit is cold.',
      'Run-down stays before checks, where you fixed it: a run-down ends the day.',
    ])
    // A run-down ends the day: what needs power comes on the next.
    expect(find(plan, 'checks')?.from).toBeGreaterThanOrEqual(day(1).opens)
  })

  it('surge tests move before the ladder that would spend the bank', () => {
    const plan = scheduleOf(questionOf({ dwell: 1800 }))
    expect(kinds(plan)).toEqual(['no load', 'motors', 'ladder', 'findings'])
    expect(says(plan, 'moved')[0]).toMatch(
      /^Motors moved before ladder: there the bank would stand at \d+ %, and surge tests need more than 80 %\.$/,
    )
  })

  it('or a recharge is placed where the tester fixed them', () => {
    const blocks = questionOf().blocks.map((one) => (one.kind === 'motors' ? { ...one, fixed: true } : one))
    const plan = scheduleOf(questionOf({ blocks, dwell: 1800 }))
    expect(kinds(plan)).toEqual(['no load', 'ladder', 'recharge', 'motors', 'findings'])
    expect(find(plan, 'recharge')?.because).toContain('surge tests need more than 80 %')
    expect(find(plan, 'motors')?.pieces[0]?.charge[0]).toBeCloseTo(0.9, 9)
    // Without a charger there is none, and that is said.
    const without = scheduleOf(questionOf({ blocks, dwell: 1800, charger: 0 }))
    expect(kinds(without)).toEqual(['no load', 'ladder', 'motors', 'findings'])
    expect(says(without, 'odd')[0]).toContain('no charger is stated')
  })

  it('surge tests that are early enough stay', () => {
    expect(kinds(scheduleOf(questionOf()))).toEqual(['no load', 'ladder', 'motors', 'findings'])
  })

  it('their repeat waits until the bank is low', () => {
    const plan = scheduleOf(questionOf({ blocks: inOrder('motors, bank low', 'ladder') }))
    expect(kinds(plan)).toEqual(['ladder', 'draw down', 'motors, bank low'])
    expect(find(plan, 'motors, bank low')?.pieces[0]?.charge[0]).toBeLessThan(surgeBelow)
  })

  it('a rated hold starts cool', () => {
    const plan = scheduleOf(questionOf({ blocks: inOrder('ladder', 'rated hold') }))
    expect(kinds(plan)).toEqual(['ladder', 'cool-down', 'rated hold'])
    expect(find(plan, 'cool-down')?.because).toContain('within 5 K of ambient')
    expect(kinds(scheduleOf(questionOf({ blocks: inOrder('no load', 'rated hold') })))).toEqual([
      'no load',
      'rated hold',
    ])
  })

  it('a rated hold starts cool after loads that no block of the schedule ran, too', () => {
    const hot = (from: number) => [
      { from: nine + from * minute, to: nine + (from + 40) * minute, watts: 1000 },
    ]
    const before = scheduleOf(questionOf({ blocks: inOrder('rated hold'), loaded: hot(-45) }))
    expect(kinds(before)).toEqual(['cool-down', 'rated hold'])
    // Hours ago is cool again, and what is read after now plays no part.
    for (const from of [-300, 10])
      expect(kinds(scheduleOf(questionOf({ blocks: inOrder('rated hold'), loaded: hot(from) })))).toEqual([
        'rated hold',
      ])
    // Typed in while another block had been run: the hold waits, and the bank is emptier.
    const blocks = inOrder('no load', 'rated hold')
    const log = [0, 5].map((at, i) => ({
      at: nine + at * minute,
      event: { block: blocks[0]?.id ?? '', action: i ? ('finish' as const) : ('start' as const) },
    }))
    const after = (loaded: ReturnType<typeof hot>) =>
      scheduleOf(questionOf({ blocks, loaded }), log, nine + 50 * minute)
    expect(kinds(after(hot(10)))).toEqual(['no load', 'cool-down', 'rated hold'])
    const chargeAt = (plan: Scheduled) => find(plan, 'rated hold')?.pieces[0]?.charge[0] ?? NaN
    // 40 min of 1100 W from 25.6 V × 150 Ah, 19 %.
    expect(chargeAt(after([])) - chargeAt(after(hot(10)))).toBeCloseTo((1100 * (40 / 60)) / (25.6 * 150), 2)
  })

  it('a run-down starts full and stops at what is usable', () => {
    const plan = scheduleOf(questionOf({ blocks: inOrder('run-down'), charge: 0.7 }))
    expect(kinds(plan)).toEqual(['recharge', 'run-down'])
    const run = find(plan, 'run-down')
    expect(run?.pieces[0]?.charge[0]).toBeCloseTo(full, 9)
    expect(run?.pieces[0]?.charge[1]).toBeCloseTo(leastCharge(questionOf()), 9)
    expect(((run?.to ?? 0) - (run?.from ?? 0)) / hour).toBeCloseTo(((full - 0.1) * 25.6 * 150) / 1100, 9)
  })
})

describe('days', () => {
  it('one day that is long enough is said to fit, another is not', () => {
    expect(scheduleOf(questionOf()).fitsFirstDay).toBe(true)
    const long = scheduleOf(questionOf({ dwell: 3 * 3600, charger: 60 }))
    expect(long.fitsFirstDay).toBe(false)
    expect(long.endsInOneGo).toBeGreaterThan(day(0).closes)
  })

  it('what does not fit goes to the next day, the bank recharged overnight', () => {
    const plan = scheduleOf(
      questionOf({ blocks: inOrder('ladder', 'limits', 'checks'), dwell: 9000, charger: 60 }),
    )
    expect(plan.days).toBe(2)
    const night = find(plan, 'overnight')
    expect(night?.from).toBeLessThan(day(1).opens)
    expect(find(plan, 'limits')?.from).toBe(day(1).opens)
    expect(find(plan, 'limits')?.pieces[0]?.charge[0]).toBeCloseTo(full, 9)
  })

  it('a short night charges what it can: the clocks going forward cost an hour of it', () => {
    const usual = questionOf({
      blocks: inOrder('run-down', 'checks').map((one) => ({ ...one, fixed: true })),
      charger: 5,
    })
    const short = {
      ...usual,
      days: [day(0), { opens: day(1).opens - hour, closes: day(1).closes - hour }, day(2)],
    }
    const night = (question: ScheduleQuestion) => find(scheduleOf(question), 'overnight')
    const length = (question: ScheduleQuestion) => (night(question)?.to ?? 0) - (night(question)?.from ?? 0)
    expect(length(usual) - length(short)).toBe(hour)
    expect(night(usual)?.pieces[0]?.charge[1]).toBeGreaterThan(night(short)?.pieces[0]?.charge[1] ?? 1)
  })

  it('a start after closing time goes to the next day', () => {
    const plan = scheduleOf(questionOf({ start: day(0).closes + hour }))
    expect(plan.placed[0]?.from).toBe(day(1).opens)
  })

  it('a block that no day can hold is laid all the same, and said', () => {
    const plan = scheduleOf(questionOf({ blocks: [block('checks', 1, { minutes: 600 })] }))
    expect(kinds(plan)).toEqual(['checks'])
    expect(says(plan, 'odd')[0]).toContain('does not fit a day')
  })

  it('a bank smaller than one step says for how long it would do', () => {
    const plan = scheduleOf(
      questionOf({ blocks: inOrder('ladder'), dwell: 4 * 3600, days: [{ opens: nine, closes: Infinity }] }),
    )
    expect(says(plan, 'odd').join()).toMatch(
      /"700 W" takes 8\d % of this bank.*it can be held for about 3 h 5\d min\./,
    )
    expect(plan.placed.filter(({ part }) => part === 'recharge').length).toBeGreaterThan(0)
  })

  it('a block set for a time waits for it, or says that it cannot be kept', () => {
    const at = (startsAt: number) => [
      block('no load', 1),
      block('ladder', 2, { startsAt: new Date(startsAt).toISOString() }),
    ]
    expect(find(scheduleOf(questionOf({ blocks: at(nine + 2 * hour) })), 'ladder')?.from).toBe(
      nine + 2 * hour,
    )
    const late = scheduleOf(questionOf({ blocks: at(nine) }))
    expect(says(late, 'odd')[0]).toContain(
      'You set ladder for 03-12T09:00; what comes before it takes until 03-12T09:15.',
    )
    const dayAfter = scheduleOf(questionOf({ blocks: at(day(1).opens + hour) }))
    expect(find(dayAfter, 'ladder')?.from).toBe(day(1).opens + hour)
    const night = scheduleOf(questionOf({ blocks: at(day(1).opens - hour) }))
    expect(says(night, 'odd')[0]).toContain('outside the hours of the bench')
  })

  const anyBlocks = fc
    .array(
      fc.tuple(
        fc.constantFrom<BlockKind>(
          'look over',
          'no load',
          'ladder',
          'limits',
          'motors',
          'motors, bank low',
          'rated hold',
          'run-down',
          'checks',
          'findings',
        ),
        fc.boolean(),
      ),
      { minLength: 1, maxLength: 10 },
    )
    .map((list) => list.map(([kind, fixed], i) => block(kind, 800 + i, { fixed })))

  it('never overlap, never lose a block, keep the bank and the hours or say why not', () => {
    fc.assert(
      fc.property(
        anyBlocks,
        fc.constantFrom(0, 10, 60),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: 0, max: 3000 }),
        (blocks, charger, charge, dwell) => {
          const question = questionOf({ blocks, charger, charge, dwell })
          const plan = scheduleOf(question)
          expect(new Set(plan.placed.filter(({ part }) => !part).map((one) => one.block))).toEqual(
            new Set(blocks.map(({ id }) => id)),
          )
          plan.placed.forEach((one, i) => {
            expect(one.to).toBeGreaterThanOrEqual(one.from)
            expect(one.from).toBeGreaterThanOrEqual((plan.placed[i - 1]?.to ?? nine) - 1)
            expect(one.pieces.reduce((sum, { from, to }) => sum + to - from, 0)).toBeCloseTo(
              one.to - one.from,
              3,
            )
            const odd = plan.remarks.some((remark) => remark.block === one.block && remark.kind === 'odd')
            if (one.kind === 'motors' && !one.part && !odd)
              expect(one.pieces[0]?.charge[0]).toBeGreaterThanOrEqual(surgeAbove)
            for (const { charge: ends } of one.pieces) {
              expect(Math.min(...ends)).toBeGreaterThanOrEqual(0)
              expect(Math.max(...ends)).toBeLessThanOrEqual(1)
            }
            if (
              one.part ||
              odd ||
              question.days.some(({ opens, closes }) => one.from >= opens && one.to <= closes + 1)
            )
              return
            throw new Error(`${one.kind} lies outside the hours of the bench, and nothing is said`)
          })
          const fixed = blocks.filter((one) => one.fixed).map(({ id }) => id)
          const lie = [...new Set(plan.placed.filter(({ part }) => !part).map((one) => one.block))].filter(
            (id) => fixed.includes(id),
          )
          expect(lie).toEqual(fixed)
        },
      ),
      { numRuns: 300 },
    )
  })
})

describe('a schedule that is run', () => {
  const [noLoad, ladder, motors, findings] = questionOf().blocks as [Block, Block, Block, Block]
  const log = (...lines: [number, Block, RunEvent['action'], Partial<RunEvent>?][]): Logged[] =>
    lines.map(([minutes, { id }, action, more]) => ({
      at: nine + minutes * minute,
      event: { block: id, action, ...more },
    }))

  it('moves the rest behind what is late, and says by how much', () => {
    const made = scheduleOf(questionOf())
    const events = log([10, noLoad, 'start'], [40, noLoad, 'finish'])
    const run = scheduleOf(questionOf(), events, nine + 45 * minute)
    expect(find(run, 'no load')).toMatchObject({
      from: nine + 10 * minute,
      to: nine + 40 * minute,
      state: 'done',
    })
    expect(find(run, 'ladder')?.from).toBe(nine + 45 * minute)
    expect(lateness(made, run).get(ladder.id)).toBe(30 * minute)
    expect(lateness(made, made).size).toBe(0)
  })

  it('what runs ends when its work is done, pauses left out; what is overdue ends now', () => {
    const running = scheduleOf(
      questionOf(),
      log([0, noLoad, 'start'], [5, noLoad, 'pause'], [20, noLoad, 'resume']),
      nine + 22 * minute,
    )
    // 7 of 15 minutes are done: 8 are left.
    expect(find(running, 'no load')).toMatchObject({ state: 'running', to: nine + 30 * minute })
    const overdueNow = scheduleOf(questionOf(), log([0, noLoad, 'start']), nine + hour)
    expect(find(overdueNow, 'no load')?.to).toBe(nine + hour)
    const paused = scheduleOf(questionOf(), log([0, noLoad, 'start'], [5, noLoad, 'pause']), nine + hour)
    expect(find(paused, 'no load')).toMatchObject({ state: 'paused', to: nine + 70 * minute })
  })

  it('what is skipped is not laid, and is named', () => {
    const run = scheduleOf(questionOf(), log([0, ladder, 'skip']))
    expect(kinds(run)).toEqual(['no load', 'motors', 'findings'])
    expect(run.skipped).toEqual([ladder])
    // Started after all, it is laid again.
    expect(
      kinds(scheduleOf(questionOf(), log([0, ladder, 'skip'], [1, ladder, 'start']), nine + minute)),
    ).toContain('ladder')
  })

  it('taken up again days later, it goes on then, and says nothing of days gone by', () => {
    const now = day(3).opens + hour
    const run = scheduleOf(questionOf(), log([0, noLoad, 'start'], [15, noLoad, 'finish']), now)
    expect(find(run, 'ladder')?.from).toBe(now)
    expect(says(run, 'odd')).toEqual([])
  })

  it('once a run-down was made, what needs power waits for the next day', () => {
    const blocks = [block('run-down', 1, { fixed: true }), block('checks', 2)]
    const events = log([0, blocks[0] as Block, 'start'], [200, blocks[0] as Block, 'finish'])
    const sameDay = scheduleOf(questionOf({ blocks }), events, nine + 210 * minute)
    expect(find(sameDay, 'checks')?.from).toBe(day(1).opens)
    const later = day(2).opens + hour
    expect(find(scheduleOf(questionOf({ blocks }), events, later), 'checks')?.from).toBeGreaterThanOrEqual(
      later,
    )
    expect(find(scheduleOf(questionOf({ blocks }), events, later), 'checks')?.from).toBeLessThan(
      day(2).closes,
    )
  })

  it('a part that a rule placed can be skipped too', () => {
    const blocks = [block('ladder', 1), block('rated hold', 2)]
    const skip = log([0, blocks[1] as Block, 'skip', { part: 'cool-down' }])
    expect(kinds(scheduleOf(questionOf({ blocks }), skip))).toEqual(['ladder', 'rated hold'])
  })

  it('a recharge that was made counts', () => {
    const blocks = questionOf().blocks.map((one) => (one.kind === 'motors' ? { ...one, fixed: true } : one))
    const question = questionOf({ blocks, charge: 0.7 })
    const surge = blocks[2] as Block
    const events = log([0, surge, 'start', { part: 'recharge' }], [60, surge, 'finish', { part: 'recharge' }])
    const run = scheduleOf(question, events, nine + hour)
    expect(run.placed[0]).toMatchObject({ part: 'recharge', state: 'done' })
    expect(run.placed[0]?.pieces[0]?.charge[1]).toBeCloseTo(0.7 + (30 * 0.99) / 150, 9)
  })

  it('does not mind in what order its lines come, nor lines that do not fit', () => {
    const lines = log(
      [0, noLoad, 'start'],
      [3, noLoad, 'start'],
      [4, noLoad, 'resume'],
      [5, noLoad, 'pause'],
      [6, noLoad, 'pause'],
      [9, noLoad, 'resume'],
      [20, noLoad, 'finish'],
      [21, noLoad, 'pause'],
      [22, motors, 'pause'],
      [25, ladder, 'start'],
      [26, findings, 'skip'],
    )
    const now = nine + 30 * minute
    const straight = historyOf(lines, now)
    expect(straight.begun).toEqual([
      {
        block: noLoad.id,
        part: undefined,
        state: 'done',
        from: nine,
        to: nine + 20 * minute,
        worked: 16 * minute,
      },
      {
        block: ladder.id,
        part: undefined,
        state: 'running',
        from: nine + 25 * minute,
        to: undefined,
        worked: 5 * minute,
      },
    ])
    fc.assert(
      fc.property(fc.shuffledSubarray(lines, { minLength: lines.length }), (shuffled) => {
        expect(historyOf(shuffled, now)).toEqual(straight)
      }),
    )
  })

  it('rings for long blocks: every so often and at the end, until it is made', () => {
    const blocks = [block('rated hold', 1), block('checks', 2)]
    const events = log([0, blocks[0] as Block, 'start'], [7, blocks[0] as Block, 'check-in', { check: 1 }])
    const now = nine + 11 * minute
    const run = scheduleOf(questionOf({ blocks }), events, now)
    const checkIns = checkInsOf(run.placed, 5, events)
    // 1 + 10 + 1 minutes: at 5, 10 and 12.
    expect(checkIns.map(({ due }) => (due - nine) / minute)).toEqual([5, 10, 12])
    expect(checkIns[0]?.made).toBe(nine + 7 * minute)
    expect(overdue(checkIns, now).map(({ number }) => number)).toEqual([2])
    expect(checkInsOf(run.placed, 60, []).map(({ due }) => (due - nine) / minute)).toEqual([12])
  })
})

describe('what the supply makes of a schedule', () => {
  const stiff = { bank: { E: 26.4, R: 0.0117 }, path: 0.005, support: 0 }

  it('runs a bank down to what is usable, and says so', () => {
    const plan = scheduleOf(questionOf({ blocks: inOrder('run-down'), supply: stiff }))
    const [piece] = find(plan, 'run-down')?.pieces ?? []
    expect(piece?.what).toBe('down to 10 %, the share that is usable, or to cutoff before')
    expect(piece?.charge[1]).toBeCloseTo(leastCharge(questionOf()), 6)
  })

  it('does not run down, nor draw down, for ever where a support source carries it', () => {
    const helped = { ...stiff, support: 60 }
    const plan = scheduleOf(
      questionOf({ blocks: inOrder('motors, bank low', 'run-down'), supply: helped, steps: [] }),
    )
    expect(Number.isFinite(plan.ends)).toBe(true)
    expect(
      says(plan, 'odd').filter((sentence) => sentence.includes('the support source carries it')),
    ).toHaveLength(2)
  })

  it('charges nothing in the midst of what wants the bank low', () => {
    const motors = Array.from({ length: 20 }, () => ({ what: 'saw', watts: 2500, settle: 0 }))
    const plan = scheduleOf(questionOf({ blocks: inOrder('motors, bank low'), motors, charge: 0.28 }))
    expect(kinds(plan)).toEqual(['motors, bank low'])
    expect(find(plan, 'motors, bank low')?.pieces.every(({ charge }) => charge[0] < surgeBelow)).toBe(true)
  })

  it('says what it cannot give, by itself or by its own protection', () => {
    const hold = (watts: number, bank = bankOf()) =>
      says(
        scheduleOf(questionOf({ blocks: [block('rated hold', 1, { watts })], supply: stiff, bank })),
        'odd',
      )
    expect(hold(15_000)[0]).toContain('more than this supply can deliver at all')
    expect(hold(4500)[0]).toContain('its protection (BMS) carries 150 A')
    expect(hold(1000)).toEqual([])
  })

  it('tapers what a support source has to spare while the unit is off', () => {
    const helped = { ...stiff, support: 30 }
    const plan = scheduleOf(
      questionOf({ blocks: [block('findings', 1, { minutes: 600 })], supply: helped, charge: 0.85 }),
    )
    const charge = plan.placed[0]?.pieces.at(-1)?.charge[1] ?? 0
    expect(charge).toBeGreaterThan(0.9)
    expect(charge).toBeLessThan(1)
  })

  it('that was worked through is as long as it was, however much later it is looked at', () => {
    const blocks = inOrder('no load', 'findings')
    const events: Logged[] = blocks.flatMap(({ id }, i) => [
      { at: nine + i * hour, event: { block: id, action: 'start' } },
      { at: nine + (i + 1) * hour, event: { block: id, action: 'finish' } },
    ])
    const plan = scheduleOf(questionOf({ blocks }), events, nine + 258 * 24 * hour)
    expect(plan).toMatchObject({ ends: nine + 2 * hour, fitsFirstDay: true, days: 1 })
  })
})

describe('a run of work that was done without it', () => {
  const { placed } = scheduleOf(
    questionOf({ blocks: inOrder('look over', 'rig', 'make safe', 'no load', 'ladder', 'findings') }),
  )
  const standing = (entries: Parameters<typeof viewTrial>[1], plan?: LadderPlanned) => {
    const { record, analyses } = viewTrial(trialOf([revisionOf()]), entries)
    const [analysis] = analyses
    return analysis ? alreadyStanding(placed, record, analysis, plan).map(({ kind }) => kind) : []
  }
  const safe = {
    id: uuid(990),
    revision: 1,
    at: '2026-03-12T08:00:00.000Z',
    kind: 'make safe' as const,
    reading: { by: 'M.K.', cautions: [{ name: 'fuse', because: 'x' }] },
  }

  it('begins at the first block whose work does not stand', () => {
    expect(standing([])).toEqual([])
    expect(standing([safe])).toEqual([])
    expect(standing([safe, noLoadEntry({ V_B: 26 })])).toEqual(['look over', 'rig', 'make safe', 'no load'])
    // A caution that nobody read is not passed over because something was read behind it.
    expect(standing([noLoadEntry({ V_B: 26 })])).toEqual(['look over', 'rig'])
  })

  it('does not take a ladder for done while steps of its plan are missing', () => {
    const entries = [safe, noLoadEntry({ V_B: 26 }), ladderEntry({ V_B: 25.6, I: 15, P_C: 350 })]
    expect(standing(entries)).toContain('ladder')
    const step = { target: 1000, expected: 1000, locked: false, uses: [{ load: uuid(1), setting: uuid(2) }] }
    expect(standing(entries, { outlets: 3, excluded: [], steps: [step] })).not.toContain('ladder')
  })
})

describe('hours of running down and filling again', () => {
  const store = stationRig('Harrow', 1040, uuid(42)).bank
  const station = (blocks: Block[], patch: Partial<ScheduleQuestion> = {}) =>
    scheduleOf(
      questionOf({ blocks, bank: store, loss: (P) => 10 + 0.15 * P, rated: 850, charger: 0, ...patch }),
    )

  it('predict when a store is empty, and when its charger has filled it', () => {
    const [down, up] = station([
      block('run-down', 1, { watts: 300 }),
      block('charge', 2, { watts: 240 }),
    ]).placed
    // 355 W of 1040 Wh.
    expect(((down?.to ?? 0) - (down?.from ?? 0)) / hour).toBeCloseTo(1040 / 355, 1)
    expect(down?.pieces[0]?.charge[1]).toBeCloseTo(0, 6)
    expect(up?.pieces[0]?.charge).toEqual([expect.closeTo(0, 6), expect.closeTo(full, 6)])
  })

  it('may fill it after the run-down that ends the day, and soak a port before', () => {
    const plan = station(inOrder('run-down', 'soak', 'charge'))
    expect(kinds(plan)).toEqual(['soak', 'run-down', 'charge'])
    const soak = find(plan, 'soak')
    expect((soak?.to ?? 0) - (soak?.from ?? 0)).toBe(30 * minute)
  })

  it('say that nobody is there when they go on after the bench has closed', () => {
    const long = station([block('run-down', 1, { watts: 60 })])
    expect(
      says(long, 'odd').some((sentence) => sentence.includes('leave nothing that heats or charges alone')),
    ).toBe(true)
    expect(says(station([block('run-down', 1, { watts: 300 })]), 'odd').join()).not.toContain(
      'Nobody is at the bench',
    )
  })
})
