import { safeParse, type ZodMiniType } from 'zod/mini'
import { Block, blockKinds, RunEvent, Schedule, sentences } from '.'

const id = '019ce113-d7e0-79b5-aa93-87f96dd6b180'
const block = { id, kind: 'ladder', fixed: false }
const schedule = {
  startsAt: '2026-03-12T08:00:00.000Z',
  timeZone: 'Europe/London',
  opens: '09:00',
  closes: '17:00',
  charge: 1,
  settle: 60,
  dwell: 60,
  reading: 60,
  checkEvery: 10,
  blocks: [block],
}
const first = (schema: ZodMiniType, value: unknown) => {
  const read = safeParse(schema, value)
  return read.success ? undefined : sentences(read.error)[0]?.message
}

describe('a schedule as it crosses the wire', () => {
  it('is taken whole: nights, long blocks, no charger, an empty day', () => {
    for (const patch of [
      {},
      { opens: '22:00', closes: '04:00' },
      { charge: 0, charger: 30 },
      { blocks: [] },
      { blocks: blockKinds.map((kind, i) => ({ id: id.slice(0, -2) + String(10 + i), kind, fixed: true })) },
      { settle: 0, dwell: 0, reading: 0, timeZone: 'UTC' },
    ]) {
      expect([patch, first(Schedule, { ...schedule, ...patch })]).toEqual([patch, undefined])
    }
  })

  it.each([
    ['a charge over full', { charge: 1.2 }, 'State of charge, share: a number from 0 to 1.'],
    ['a charge that is none', { charge: NaN }, 'State of charge, share: a number from 0 to 1.'],
    ['a clock that is none', { closes: '25:00' }, 'Bench closes: a time of day like 17:00.'],
    ['a clock without its zero', { opens: '9:00' }, 'Bench opens: a time of day like 17:00.'],
    [
      'a place that has no clock',
      { timeZone: 'Withy Reach' },
      'Time zone: a name like Europe/London or UTC.',
    ],
    [
      'a start without a zone',
      { startsAt: '2026-03-12 08:00' },
      'Starts: a date and time in UTC, like 2026-03-12T09:12:00Z.',
    ],
    ['no charger at all', { charger: 0 }, 'Charger, A: must be above 0; up to 10000 is accepted'],
    [
      'check-ins without end',
      { checkEvery: 0 },
      'Check-in every, min: must be above 0; up to 1440 is accepted',
    ],
    ['a dwell of days', { dwell: 100_000 }, 'Dwell, s: a number from 0 to 86400.'],
    ['a block twice', { blocks: [block, block] }, 'Blocks: one stands there twice.'],
    [
      'blocks without end',
      { blocks: Array.from({ length: 61 }, (_, i) => ({ ...block, id: id.slice(0, -2) + String(i + 10) })) },
      'Blocks: 60 at most.',
    ],
  ])('%s is refused in a sentence', (_words, patch, sentence) => {
    expect(first(Schedule, { ...schedule, ...patch })).toContain(sentence)
  })

  it.each([
    ['a stage of its own', { kind: 'tea' }, /^Block: one of look over, rig, make safe/],
    ['a length below nothing', { minutes: -5 }, /^Minutes: must be above 0/],
    ['a length of a week', { minutes: 10_080 }, /^Minutes: a number above 0 and up to 4320/],
    ['a start in words', { startsAt: 'after lunch' }, /^Starts at: a date and time in UTC/],
    ['a hold of a megawatt and more', { watts: 2e6 }, /^Watts: a number above 0/],
  ])('of a block, %s is', (_words, patch, sentence) => {
    expect(first(Block, { ...block, ...patch })).toMatch(sentence)
  })
})

describe('what happens to it', () => {
  const event = { block: id, action: 'start' }
  it('is one of a few actions, of a block or of a part that a rule placed', () => {
    expect(first(RunEvent, event)).toBeUndefined()
    expect(first(RunEvent, { ...event, part: 'recharge' })).toBeUndefined()
    expect(first(RunEvent, { ...event, action: 'explode' })).toMatch(/^Action: one of start, pause/)
    expect(first(RunEvent, { ...event, part: 'lunch' })).toMatch(/^Part: one of recharge, cool-down/)
    expect(first(RunEvent, { ...event, block: 'ladder' })).toBe('This id is not a UUID.')
  })
  it('holds check-ins counted from 1, with when they were due and what was seen', () => {
    const check = {
      ...event,
      action: 'check-in',
      check: 1,
      due: '2026-03-12T10:27:00.000Z',
      note: 'Lug 38 °C',
    }
    expect(first(RunEvent, check)).toBeUndefined()
    expect(first(RunEvent, { ...check, check: 0 })).toBe('Check-in: a whole number from 1 to 10000.')
    expect(first(RunEvent, { ...check, due: 'half past' })).toMatch(/^Due: a date and time/)
    expect(first(RunEvent, { ...check, note: 'x'.repeat(1001) })).toBe('Note: 1000 characters at most.')
  })
})
