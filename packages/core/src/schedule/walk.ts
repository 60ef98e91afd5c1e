import type { Block, PlacedPart } from '@even-watt/contract'
import { sayDuration } from '../figures'
import { chargedAfter, full, secondsToCharge, taperFrom } from '../supply'
import { chargeAmps, contentOf, isPowered } from './content'
import { after, afterBetween, drainRate, leastCharge, secondsDownTo, type Course } from './course'
import { needsOf, percent, rechargeTo, type Need, type Part } from './parts'
import {
  placedKey,
  type Day,
  type Piece,
  type Remark,
  type ScheduleQuestion,
  type Stretch,
  type StretchState,
  type TimedPiece,
} from './question'

/** A recharge cools the unit meanwhile; a cool-down after it is as much shorter, so each need is asked for in turn. */
const mostNeeds = 4

/** Blocks that want the bank low: nothing is charged in the midst of them. */
const emptying: readonly Block['kind'][] = ['run-down', 'motors, bank low']

/** Blocks of hours, over which somebody may go home. */
const alone: readonly Block['kind'][] = ['run-down', 'soak', 'charge', 'rated hold']

/** Lays blocks one after another, with what must come before each, in the hours of the bench. */
export class Walk {
  readonly placed: Stretch[] = []
  readonly remarks: Remark[] = []
  /** Charge that each block would have begun with, before anything was put in front of it. */
  readonly met = new Map<string, number>()
  private today: number
  private begunToday = false
  private dayIsOver = false

  constructor(
    private readonly question: ScheduleQuestion,
    private at: number,
    private course: Course,
    /** Keys of parts that the tester does without. */
    private readonly skipped: ReadonlySet<string> = new Set(),
  ) {
    const { days } = question
    const first = days.findIndex(({ closes }) => closes > at)
    this.today = first < 0 ? days.length - 1 : first
  }

  get end(): number {
    return this.at
  }

  /** Lays a block where it comes to lie, on a later day if it does not fit this one. */
  lay(block: Block): void {
    if (block.startsAt !== undefined) this.toDayOf(Date.parse(block.startsAt), block)
    this.toOpening(block)
    this.met.set(block.id, this.course.charge)
    const over = this.dayIsOver && isPowered(block.kind)
    if (over || this.at >= this.day.closes || (this.begunToday && this.endOf(block) > this.day.closes)) {
      this.night(block)
    }
    this.layHere(block)
    if (this.at > this.day.closes) {
      this.odd(
        block,
        `${capital(block.kind)} does not fit a day at the bench: it would end at ${this.say(this.at)}.`,
      )
    }
    if (block.kind === 'run-down') this.dayIsOver = true
  }

  /** Lays what really happened over its real time, which may reach beyond now while it runs. */
  relive(block: Block, part: PlacedPart | undefined, state: StretchState, from: number, to: number): void {
    this.rest(from)
    const charges = part === 'recharge' || part === 'overnight'
    const watts = part === 'draw down' ? this.question.rated : undefined
    const pieces = part ? [{ what: part, seconds: 1, watts }] : contentOf(block, this.question, this.course)
    const planned = pieces.reduce((sum, { seconds }) => sum + seconds, 0)
    const scale = planned > 0 ? (to - from) / 1000 / planned : 0
    const timed = pieces.map((piece) =>
      this.pass(
        { ...piece, seconds: piece.seconds * scale },
        charges ? this.question.charger : this.fed(block),
      ),
    )
    this.push(block, part, undefined, timed, state)
    this.catchUp()
    if (block.kind === 'run-down' && !part) this.dayIsOver = true
  }

  /** Goes on at a later moment, which may be of a later day. */
  resume(at: number): void {
    this.rest(at)
    this.catchUp()
  }

  /** How long a block, or a part before it, would take if it began now, ms. */
  lengthOf(block: Block, part: PlacedPart | undefined): number {
    const pieces = part
      ? needsOf(this.question, block, this.course).flatMap((need) =>
          'part' in need && need.part.part === part ? [need.part.piece] : [],
        )
      : contentOf(block, this.question, this.course)
    return 1000 * pieces.reduce((sum, { seconds }) => sum + seconds, 0)
  }

  /** Time that passes without a block. */
  rest(until: number): void {
    if (!(until > this.at)) return
    this.course = afterBetween(this.question, this.course, this.at, until)
    this.at = until
  }

  private get day(): Day {
    return this.question.days[this.today] ?? { opens: -Infinity, closes: Infinity }
  }

  private say(moment: number): string {
    return this.question.sayTime(moment)
  }

  private odd(block: Block, sentence: string): void {
    this.remarks.push({ block: block.id, kind: 'odd', sentence })
  }

  /** To the day that the clock has come to; another day begins afresh. */
  private catchUp(): void {
    const reached = this.question.days.findIndex(({ closes }) => closes > this.at)
    if (reached <= this.today) return
    this.today = reached
    this.begunToday = false
    this.dayIsOver = false
  }

  private toOpening(block: Block): void {
    if (this.at >= this.day.opens) return
    this.rest(this.opening(this.day, block))
    this.begunToday = false
  }

  /** When a day begins for a block: the tester may have set it for before the bench opens. */
  private opening({ opens }: Day, { startsAt }: Block): number {
    const wanted = startsAt === undefined ? Infinity : Date.parse(startsAt)
    return wanted < this.at ? opens : Math.min(opens, wanted)
  }

  private toDayOf(moment: number, block: Block): void {
    while (this.day.closes <= moment && this.today + 1 < this.question.days.length) this.night(block)
  }

  /** On to the next day; the bank is recharged meanwhile, if anything can. */
  private night(block: Block): void {
    const { days, charger, bank } = this.question
    const next = days[this.today + 1]
    if (!next) return
    const needs = secondsToCharge(bank, charger, this.course.charge, full)
    const opens = this.opening(next, block)
    const seconds = Math.min(needs, (opens - this.at) / 1000)
    if (charger > 0 && seconds > 60) {
      const because = `the bank stands at ${percent(this.course.charge)} in the evening; use a charger made for it`
      this.put(block, {
        part: 'overnight',
        because,
        piece: { what: 'recharge overnight', seconds, watts: undefined },
        charger,
      })
    }
    this.today += 1
    this.rest(opens)
    this.begunToday = false
    this.dayIsOver = false
  }

  private layHere(block: Block): void {
    const put = new Set<string>()
    for (let round = 0; round < mostNeeds; round++) {
      const need = needsOf(this.question, block, this.course).find((one) => !put.has(nameOf(one)))
      if (!need) break
      put.add(nameOf(need))
      if ('odd' in need) this.odd(block, need.odd)
      else if (!this.skipped.has(placedKey({ block: block.id, part: need.part.part })))
        this.put(block, need.part)
    }
    this.waitFor(block)
    this.putContent(block)
  }

  /** When a block would end if it were laid now. */
  private endOf(block: Block): number {
    const trial = new Walk(this.question, this.at, this.course, this.skipped)
    trial.layHere(block)
    return trial.end
  }

  private waitFor(block: Block): void {
    if (block.startsAt === undefined) return
    const wanted = Date.parse(block.startsAt)
    if (this.at > wanted + 30_000) {
      this.odd(
        block,
        `You set ${block.kind} for ${this.say(wanted)}; what comes before it takes until ${this.say(this.at)}.`,
      )
    }
    this.rest(wanted)
    if (this.at < this.day.opens || this.at >= this.day.closes) {
      this.odd(block, `${this.say(wanted)}, where you set ${block.kind}, is outside the hours of the bench.`)
    }
  }

  /** The block itself; where the bank cannot carry all of it, with a recharge between two of its pieces. */
  private putContent(block: Block): void {
    const least = leastCharge(this.question)
    let pieces: TimedPiece[] = []
    let said = emptying.includes(block.kind)
    for (const piece of contentOf(block, this.question, this.course)) {
      const takes = () =>
        piece.watts === undefined
          ? 0
          : drainRate(this.question, piece.watts, this.course.charge) * piece.seconds
      const short = () =>
        !emptying.includes(block.kind) && takes() > 0 && this.course.charge - takes() < least - 1e-9
      const between =
        short() && this.course.charge < taperFrom - 1e-9
          ? rechargeTo(
              this.question,
              this.course,
              taperFrom,
              `the bank would fall below ${percent(least)} at "${piece.what}"`,
            )
          : undefined
      if (between) {
        if (pieces.length) this.push(block, undefined, undefined, pieces)
        pieces = []
        this.put(block, between)
      }
      if (short() && !said) {
        said = true
        const can = secondsDownTo(this.question, piece.watts ?? 0, this.course.charge, least)
        this.odd(
          block,
          `"${piece.what}" takes ${percent(takes())} of this bank, which is not to go below ${percent(least)}: it can be held for about ${sayDuration(can > 600 ? 60 * Math.round(can / 60) : can)}. Take a larger bank, or shorten it.`,
        )
      }
      pieces.push(this.pass(piece, this.fed(block)))
    }
    if (alone.includes(block.kind) && this.at > this.day.closes)
      this.odd(
        block,
        `Nobody is at the bench after ${this.say(this.day.closes)}, and ${block.kind} would go on until ${this.say(this.at)}: leave nothing that heats or charges alone.`,
      )
    this.push(block, undefined, undefined, pieces)
  }

  /** A that a block puts into the bank. */
  private fed(block: Block): number {
    return block.kind === 'charge' ? chargeAmps(block, this.question) : 0
  }

  private put(block: Block, { part, because, piece, charger }: Part): void {
    this.push(block, part, because, [this.pass(piece, charger)])
  }

  private pass({ what, seconds, watts }: Piece, charger: number): TimedPiece {
    const { at, course } = this
    const next = after(this.question, course, watts, seconds)
    const charge =
      charger > 0 ? chargedAfter(this.question.bank, charger, course.charge, seconds) : next.charge
    this.at = at + seconds * 1000
    this.course = { ...next, charge }
    return { what, watts, from: at, to: this.at, charge: [course.charge, charge] }
  }

  private push(
    block: Block,
    part: PlacedPart | undefined,
    because: string | undefined,
    pieces: readonly TimedPiece[],
    state: StretchState = 'planned',
  ): void {
    const from = pieces[0]?.from ?? this.at
    this.placed.push({ block: block.id, kind: block.kind, part, from, to: this.at, pieces, state, because })
    this.begunToday = true
  }
}

const nameOf = (need: Need): string => ('odd' in need ? need.odd : need.part.part)

const capital = (words: string) => (words[0]?.toUpperCase() ?? '') + words.slice(1)
