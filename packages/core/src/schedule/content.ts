import type { Block, BlockKind, Unit } from '@even-watt/contract'
import { bankNominal, full, secondsToCharge } from '../supply'
import { leastCharge, secondsDownTo, type Course } from './course'
import type { Piece, ScheduleQuestion } from './question'

const minute = 60

/** Stages at the desk or with the unit off: their usual length, s. */
const unpowered: Partial<Record<BlockKind, number>> = {
  'look over': 20 * minute,
  rig: 30 * minute,
  'make safe': 10 * minute,
  findings: 30 * minute,
}

/** Stages that switch the unit on. */
export const isPowered = (kind: BlockKind): boolean => unpowered[kind] === undefined

/** Stages that load the unit, and so warm it. */
export const isLoaded = (kind: BlockKind): boolean =>
  isPowered(kind) && kind !== 'no load' && kind !== 'charge'

const startUp = 2 * minute
const idle = 13 * minute
const motorRuns = minute
const motorRests = 3 * minute
const overload = 1.2
const soak = 30 * minute
/** W of a port, where none are said. */
const soakWatts = 20

/** A into the store while a block of charging runs: by the watts of its charger, else the charger of the rig. */
export const chargeAmps = (
  { watts }: Pick<Block, 'watts'>,
  { bank, charger }: Pick<ScheduleQuestion, 'bank' | 'charger'>,
): number => (watts === undefined ? charger : watts / bankNominal(bank))

/** What a block consists of, in order, when it is begun in a state (docs/method/schedule.md: step = settle + dwell + reading). */
export function contentOf(block: Block, question: ScheduleQuestion, course: Course): Piece[] {
  return stretched(piecesOf(block, question, course), block.minutes)
}

/** A bank that never falls is not run down: a minute shows it. */
const finite = (seconds: number) => (Number.isFinite(seconds) ? seconds : minute)

function piecesOf({ kind, watts }: Block, question: ScheduleQuestion, { charge }: Course): Piece[] {
  const { rated, hold, reading, settle } = question
  const P = watts ?? rated
  switch (kind) {
    case 'no load':
      return [
        { what: 'start-up', seconds: startUp, watts: 0 },
        { what: 'idle', seconds: idle, watts: 0 },
      ]
    case 'ladder':
      return question.steps.map((step) => ({
        what: step.what,
        seconds: Math.max(step.settle, settle) + question.dwell + reading,
        watts: step.watts,
      }))
    case 'limits':
      return [
        { what: 'to rated', seconds: settle + reading, watts: rated },
        { what: 'raised until it trips', seconds: 5 * minute, watts: overload * rated },
        { what: 'recovery', seconds: 8 * minute, watts: rated / 4 },
      ]
    case 'motors':
    case 'motors, bank low':
      return question.motors.flatMap((motor) => [
        { what: motor.what, seconds: motorRuns, watts: motor.watts },
        { what: `rest after ${motor.what}`, seconds: motorRests, watts: 0 },
      ])
    case 'rated hold':
      return [{ what: 'hold', seconds: settle + hold + reading, watts: P }]
    case 'run-down':
      return [
        {
          what: `down to ${Math.round(100 * leastCharge(question))} %, the share that is usable, or to cutoff before`,
          seconds: finite(Math.max(minute, secondsDownTo(question, P, charge, leastCharge(question)))),
          watts: P,
        },
      ]
    case 'soak':
      return [{ what: 'soak of a port', seconds: soak, watts: watts ?? soakWatts }]
    case 'charge':
      return [
        {
          what: 'charge until full',
          seconds: finite(
            Math.max(minute, secondsToCharge(question.bank, chargeAmps({ watts }, question), charge, full)),
          ),
          watts: undefined,
        },
      ]
    case 'ports':
      return [{ what: 'ports and charging', seconds: 40 * minute, watts: 0.1 * rated }]
    case 'checks':
      return [{ what: 'function checks', seconds: 15 * minute, watts: 0 }]
    case 'look over':
    case 'rig':
    case 'make safe':
    case 'findings':
      return [{ what: kind, seconds: unpowered[kind] ?? 0, watts: undefined }]
  }
}

/** The same content over the tester's own length, each piece in proportion. */
function stretched(pieces: Piece[], minutes: number | undefined): Piece[] {
  const length = pieces.reduce((sum, { seconds }) => sum + seconds, 0)
  if (minutes === undefined || !(length > 0)) return pieces
  return pieces.map((piece) => ({ ...piece, seconds: (piece.seconds * minutes * minute) / length }))
}

/** The stages of a unit's day, in the order of work (docs/method/schedule.md). */
export function usualKinds(unit: Pick<Unit, 'kind' | 'claims'>): BlockKind[] {
  const energy = unit.claims.some(({ quantity }) => quantity === 'energy')
  return [
    'look over',
    'rig',
    'make safe',
    'no load',
    'ladder',
    'limits',
    'motors',
    'rated hold',
    ...(unit.kind === 'power station' ? (['ports', 'charge'] as const) : []),
    'checks',
    ...(energy ? (['run-down'] as const) : []),
    'findings',
  ]
}
