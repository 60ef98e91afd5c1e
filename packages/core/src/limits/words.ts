import type { EntryOf, LimitOf } from '@even-watt/contract'
import { readFigures, nominalNear } from '../evidence'
import { capital, decides, isFigure, plain, say, sayDuration } from '../figures'
import { efficiencyAt, hasFit, reachesOutside } from '../ladder'
import { expanded, subtract } from '../meters'
import { onMeter } from '../motors'
import { scopeOf, type Analysis } from '../trials'
import { ratedPower } from '../units'
import { asCaptured } from './dynamic'
import { capturedSoftStart } from './softStart'

const join = (...parts: readonly (string | false | undefined)[]) => parts.filter(Boolean).join(' ')

/** One test of limits in sentences, with what follows from it on this rig (docs/method/limits.md). */
export function sayTest(entry: EntryOf<'limit'>, analysis: Analysis): string {
  const { reading } = entry
  switch (reading.test) {
    case 'overload':
      return sayOverload(reading, entry, analysis)
    case 'threshold':
      return sayThreshold(reading, analysis)
    case 'start-up':
      return sayStartUp({
        ...reading,
        softStart: capturedSoftStart(entry.id, analysis.record) ?? reading.softStart,
      })
    case 'dynamic':
      return sayDynamic(asCaptured(reading, entry, analysis), analysis)
    case 'input sweep':
      return `${reading.load}: ${say(reading.V_C, 'V', 4)} at the outlet with ${say(reading.V_B, 'V', 4)} at the terminals.`
    case 'interlock':
      return sayInterlock(reading)
    case 'function':
      return `${reading.what}: ${reading.result}.`
  }
}

/** Whether the wiring should let it start, what it did, and which setting it needs. */
function sayInterlock({ wiring, setting, started }: LimitOf<'interlock'>): string {
  const live = wiring === 'ignition wire, with battery on it'
  const should = setting !== 'on' || live
  const expected = should
    ? 'So it should start'
    : 'With the interlock on it starts only with battery on its ignition wire: set it off, or connect the wire'
  const then =
    should === started
      ? ''
      : started
        ? ' Yet it started: read the manual.'
        : ' Yet it did not start: look for its fuse, its plug and the setting.'
  return `${capital(wiring)}, interlock ${setting === 'it has none' ? 'not there' : setting}: it ${started ? 'started' : 'did not start'}. ${expected}.${then}`
}

const endings: Readonly<Record<LimitOf<'overload'>['ended'], string>> = {
  carried: 'carried',
  overload: 'then it gave up by overload',
  heat: 'then it gave up by heat',
  'low input': 'then it stopped for low input',
  BMS: 'then the battery’s own protection opened',
  fuse: 'then the fuse blew',
  breaker: 'then the breaker opened',
  'loads ended': 'and there were no more loads',
  'stopped by hand': 'then it was stopped by hand',
  'not known': 'then it ended, by what is not known',
}

function sayOverload(reading: LimitOf<'overload'>, entry: EntryOf<'limit'>, analysis: Analysis): string {
  const { load, leg, watts, lasted, ended, alarmAt, comeback, comebackAfter, how } = reading
  const time = lasted === undefined ? '' : ` for ${sayDuration(lasted)}`
  return join(
    `${{ raised: 'Raised to', 'timed tier': 'A tier of', ramp: 'A ramp to' }[how]} ${say(watts, 'W', 4)}${time}${leg ? ` on ${leg}` : ''} (${load}), ${endings[ended]}.`,
    sayOver(watts, analysis),
    alarmAt !== undefined && `It warned at ${say(alarmAt, 'W', 4)}.`,
    comeback &&
      comeback !== 'not tried' &&
      `It came back ${comeback}${comebackAfter === undefined ? '' : ` after ${sayDuration(comebackAfter)}`}.`,
    sayBase(reading, entry, analysis),
  )
}

/** How far over its rating it stood at the outlet, and what that asks of the bank by the losses of the ladder. */
function sayOver(watts: number, { record, ladder, supply }: Analysis): string | false {
  const rated = ratedPower(record.revision.unit)
  const { unitFit } = ladder
  const input =
    hasFit(unitFit) && !reachesOutside(unitFit, [watts])
      ? watts / efficiencyAt(unitFit, watts).value
      : undefined
  const volts = isFigure(supply.known.E) ? supply.known.E.x.value : undefined
  const asks =
    input === undefined
      ? ''
      : ` By its losses that asks ${say(input, 'W')}${volts === undefined ? '' : `, over ${say(input / volts, 'A')},`} of the bank.`
  const over =
    rated === undefined || watts <= rated
      ? ''
      : `At the outlet that is ${say(watts - rated, 'W')} (${say((100 * (watts - rated)) / rated, '%', 2)}) over its rating.`
  return `${over}${asks}`.trim() || false
}

/** The base step before and after an overload: what is common to the meter cancels in it. */
function sayBase(
  { baseBefore, baseAfter }: LimitOf<'overload'>,
  entry: EntryOf<'limit'>,
  analysis: Analysis,
): string | undefined {
  if (baseBefore === undefined || baseAfter === undefined) return undefined
  const { record, ladder } = analysis
  const [before, after] = [baseBefore, baseAfter].map((volts, i) => {
    const where = `${entry.id} ${i}|${scopeOf(record)}`
    const values = [onMeter('V_C', volts, record.revision)]
    return readFigures([{ entry: entry.id, values }], ladder.context, ladder.context.spreads, where).V_C
  })
  if (!before || !after || !decides(before) || !decides(after))
    return `The base step read ${say(baseBefore, 'V', 4)} before and ${say(baseAfter, 'V', 4)} afterwards.`
  const change = subtract(after.x, before.x)
  return Math.abs(change.value) <= expanded(change)
    ? `Afterwards the base step read ${say(baseAfter, 'V', 4)}, as before.`
    : `Afterwards the base step read ${say(baseAfter, 'V', 4)}, ${say(change.value, 'V', 2)} from before: it is not as it was.`
}

function sayThreshold({ which, V_B, watts }: LimitOf<'threshold'>, analysis: Analysis): string {
  const verb = { alarm: 'It warns', cutoff: 'It stops', reconnect: 'It comes back' }[which]
  const { R_path } = analysis.supply.known
  const { unitFit } = analysis.ladder
  const input =
    watts !== undefined && watts > 0 && hasFit(unitFit)
      ? watts / efficiencyAt(unitFit, watts).value
      : undefined
  const posts =
    input !== undefined && isFigure(R_path)
      ? ` On this rig that is ${say(V_B + (input / V_B) * R_path.x.value, 'V', 4)} at the posts.`
      : ''
  return `${verb} with ${say(V_B, 'V', 4)} at the terminals${watts === undefined ? '' : `, carrying ${say(watts, 'W')}`}.${posts}`
}

function sayStartUp({ load, watts, outcome, seen, startUp, softStart }: LimitOf<'start-up'>): string {
  const into = load
    ? ` into ${load}${watts === undefined ? '' : ` (${say(watts, 'W')})`}`
    : ' with nothing connected'
  const how = {
    started: 'It started',
    'started after tries': 'It started after several tries',
    'did not start': 'It did not start',
  }[outcome]
  const by = { watch: 'by a watch', capture: 'in a capture', 'by eye': 'by eye' }[seen]
  return join(
    `${how}${into}.`,
    startUp !== undefined && `90 % of its volts after ${sayDuration(startUp)}, ${by}.`,
    softStart !== undefined && `Soft start ${sayDuration(softStart)}.`,
  )
}

/** Share of nominal that computers ride through for half a second, and what a lamp shows as a blink. */
const computers = 0.7
const blink = 0.03
/** Share of the volts by which lamps are seen to flicker, where they swing again and again. */
const flicker = 0.005

function sayDynamic(reading: LimitOf<'dynamic'>, { record }: Analysis): string {
  const { from, to, lowest, highest, back, pulses, hunts, blanks, lamps } = reading
  const nominal = nominalNear(record.revision.unit, lowest ?? highest)
  const dip = lowest === undefined ? undefined : lowest / nominal
  const rides = dip !== undefined && (dip >= 0.9 || (dip >= computers && (back ?? Infinity) <= 0.5))
  const moved = [
    lowest !== undefined && `down to ${say(lowest, 'V', 4)}`,
    highest !== undefined && `up to ${say(highest, 'V', 4)}`,
  ].filter(Boolean)
  const volts = [moved.join(' and '), back !== undefined && `steady again after ${sayDuration(back)}`]
  const went = volts.filter(Boolean).join(', ')
  return join(
    `From ${plain(from)} to ${plain(to)} W${went ? `: ${went}` : ''}.`,
    pulses !== undefined &&
      `With a load that pulsates its volts swing by ${plain(pulses)} %${pulses > 100 * flicker ? ': lamps flicker' : ''}.`,
    hunts && 'It hunts: the volts swing at a steady load.',
    blanks && 'Its output blanks when the load is released: computers drop out.',
    dip !== undefined &&
      !blanks &&
      (rides ? 'Tools and computers bear it.' : 'Computers may drop out; tools bear it.'),
    lamps === 'flickers'
      ? 'Lamps flicker, as seen.'
      : lamps === 'steady'
        ? 'Lamps stay steady, as seen.'
        : dip !== undefined && 1 - dip > blink && 'A lamp shows it as a blink.',
  )
}
