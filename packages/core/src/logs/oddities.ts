import { say, sayDuration } from '../figures'
import type { Notice, Oddity } from '../oddities'
import { seriesFor, type Log } from './log'

const places = ({ entry }: Log, revision: number) => ({ revision, entry: entry.id })

/** Looks at each log of a revision by itself. */
const eachLog =
  (look: (log: Log, context: Parameters<Notice>[0]) => Omit<Oddity, 'at'> | undefined): Notice =>
  (context) =>
    context.analysis.logs.flatMap((log) => {
      const found = look(log, context)
      return found ? [{ ...found, at: places(log, context.analysis.record.revision.number) }] : []
    })

/** K by which the room may move under a thermal run. */
const roomMoves = 3

/** 33: the room moved while a temperature was watched. */
export const noticeRoomMoved: Notice = eachLog((log) => {
  const room = seriesFor(log, 'T_room')?.points.map(({ value }) => value) ?? []
  const moved = Math.max(...room) - Math.min(...room)
  const watched = log.series.some(({ quantity }) => quantity === 'T')
  if (!watched || room.length < 2 || moved <= roomMoves) return undefined
  return {
    number: 33,
    odd: `The room moved by ${say(moved, 'K', 2)} during the ${log.entry.reading.what}.`,
    why: 'A case that follows the room seems to settle elsewhere than it would.',
    todo: 'Its temperatures are counted above the room, reading by reading; keep the room steady, or watch longer.',
  }
})

/** Share of a log that a gap may take. */
const gapShare = 0.1
const fewReadings = 4

/** 34: a gap longer than a tenth of it. */
export const noticeGap: Notice = eachLog((log) => {
  const times = [...new Set(log.checkIns.map(({ at }) => at))]
  const own = times.map((at, i) => ({ from: times[i - 1] ?? 0, seconds: at - (times[i - 1] ?? 0) }))
  const inFiles = log.files.map(({ reading }) => reading.gap)
  const gaps = log.files.length ? inFiles : times.length >= fewReadings ? own : []
  const longest = gaps.reduce((most, gap) => (gap.seconds > most.seconds ? gap : most), {
    from: 0,
    seconds: 0,
  })
  // Check-ins that lie evenly are no gap, however few they are.
  const usual = log.seconds / Math.max(1, times.length)
  if (
    longest.seconds <= gapShare * log.seconds &&
    !(log.files.length && longest.seconds > sparse * perRow(log))
  )
    return undefined
  if (!log.files.length && longest.seconds < 2.5 * usual) return undefined
  const share = longest.seconds / log.seconds
  if (share < leastShare) return undefined
  return {
    number: 34,
    odd: `Nothing was logged for ${sayDuration(longest.seconds)} from ${sayDuration(longest.from)} on: ${say(100 * share, '%', 2)} of the log.`,
    why: 'What happened in it is not known; energy added up over it rests on its two ends.',
    todo: 'A counter that ran on tells what went through; log without the gap if it decides.',
  }
})

/** Rows that lack in a row before a short gap is told, and the share it must take at least. */
const sparse = 10
const leastShare = 0.05
const perRow = ({ seconds, files }: Log) => seconds / Math.max(1, ...files.map(({ reading }) => reading.rows))

/** 35: a counter that is fed by the outlet it measures: it went dark with it. */
export const noticeDarkCounter: Notice = eachLog((log) => {
  const counter = seriesFor(log, 'E_C')
  const last = counter?.points.at(-1)
  if (!log.ended || !counter || !last || log.ended.why === 'by hand') return undefined
  if (log.ended.at - last.at < 60 && counter.rise.restarts === 0) return undefined
  return {
    number: 35,
    odd:
      counter.rise.restarts > 0
        ? 'The counter at the outlet began again in the midst of it.'
        : `The counter at the outlet was last read ${sayDuration(log.ended.at - last.at)} before the end.`,
    why: 'A meter that is fed by the outlet it measures goes dark with it, and may forget.',
    todo: 'Its last reading is kept; what came after is added up from the watts.',
  }
})

/** 38: a charger on during a run-down, or a load on during a charge. */
export const noticeBothWays: Notice = eachLog((log, { analysis }) => {
  const { what } = log.entry.reading
  const { rig } = analysis.record.revision
  const most = (quantity: 'P_C' | 'P_wall' | 'P_in') => seriesFor(log, quantity)?.largest ?? 0
  const fed = Math.max(most('P_wall'), most('P_in'))
  if (what === 'run-down' && (rig.support || fed > 0))
    return {
      number: 38,
      odd: rig.support
        ? `${rig.support.name} is on the rig during a run-down.`
        : `${say(fed, 'W')} went into it during a run-down.`,
      why: 'What comes out is then not what the store held.',
      todo: 'Take the charger off, and run it down again; or count what it gave.',
    }
  if (what === 'charge' && most('P_C') > 0)
    return {
      number: 38,
      odd: `A load of ${say(most('P_C'), 'W')} ran during a charge.`,
      why: 'What went in did not all stay there.',
      todo: 'Charge it without a load; a test with both is a test of pass-through.',
    }
  return undefined
})

/** 34 beside it: readings that stand outside their log. */
export const noticeAstray: Notice = eachLog((log) =>
  log.astray.length
    ? {
        number: 34,
        odd: `${log.astray.length === 1 ? 'A reading or file stands' : `${log.astray.length} readings or files stand`} outside the time of this log, and ${log.astray.length === 1 ? 'is' : 'are'} not counted.`,
        why: 'It was read before the log began, or days away: it may belong to another.',
        todo: 'Look at its time, or put it into the log that it belongs to.',
      }
    : undefined,
)
