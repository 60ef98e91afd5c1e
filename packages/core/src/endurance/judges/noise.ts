import { decides, plain, say, sayLength, type Figure } from '../../figures'
import {
  judgeFigure,
  nearlyAll,
  notShown,
  notTested,
  promisedLoad,
  tooMuch,
  undecided,
  type Evidence,
  type Judge,
  type Verdict,
} from '../../findings'
import { claimValue } from '../../units'
import { noisesOf, type Noise } from '../noise'

/** m that a promise of dB(A) is for (docs/method/endurance.md); a tape held by hand is right within a tenth. */
const promisedAt = 1
const byHand = 0.1

interface Heard {
  readonly noise: Noise
  readonly level: Figure
}

const nearer = ({ noise }: Heard) => noise.entry.reading.distance < promisedAt * (1 - byHand)
const farther = ({ noise }: Heard) => noise.entry.reading.distance > promisedAt * (1 + byHand)

/**
 * Noise. Nearer than 1 m it is louder and farther it is quieter, so that a near reading never breaks a promise and a far
 * one never shows it; a background that nobody read may be all of it; quiet counts with the fan running, or the load on.
 */
export const judgeNoise: Judge = (evidence) => {
  const noises = noisesOf(evidence.analysis)
  const told = noises.flatMap((noise) => (noise.level ? [{ noise, level: noise.level }] : []))
  const heard = told.filter(({ level }) => decides(level)).sort((a, b) => b.level.x.value - a.level.x.value)
  if (heard[0]) return ofHeard(heard, evidence)
  if (told[0]) return undecided(told[0].level)
  if (noises.length)
    return notShown(
      evidence,
      'meter',
      'It could not be told from the room.',
      'Read it nearer, or in a quieter room.',
    )
  return notTested('The noise was not read.')
}

function ofHeard(heard: readonly Heard[], evidence: Evidence): Verdict {
  const promised = claimValue(evidence.claim)
  const loud = heard.filter(
    (one) => one.level.x.value > promised && !nearer(one) && !perhapsOver(one, evidence),
  )
  const broken = loud.find(({ noise }) => noise.entry.reading.background !== undefined)
  if (broken) return decided(broken, evidence)
  if (loud[0])
    return notShown(
      evidence,
      'meter',
      `It was ${said(loud[0])}, and how loud the room was without it is not noted.`,
      'Read the background with the unit off, and note it.',
      loud[0].level,
    )
  const quiet = heard.filter((one) => one.level.x.value <= promised && !farther(one))
  const shown = quiet.find((one) => atItsLoudest(one, evidence))
  if (shown) return decided(shown, evidence)
  const [first] = [...quiet, ...heard]
  if (!first) return notTested('The noise was not read.')
  const { why, would } = whatIsMissing(first, first.level.x.value <= promised, evidence)
  return notShown(evidence, 'meter', `It was ${said(first)}${why}`, would, first.level)
}

function whatIsMissing(one: Heard, quiet: boolean, evidence: Evidence): { why: string; would: string } {
  const { load } = evidence.claim
  const there = sayLength(promisedAt)
  if (quiet ? farther(one) : nearer(one))
    return { why: `; a level is promised for ${there}.`, would: `Read it at ${there}.` }
  if (load !== undefined)
    return {
      why:
        (one.noise.entry.reading.watts ?? 0) > load
          ? `, with more than ${plain(load)} W on it.`
          : `; no note says that it carried ${plain(load)} W.`,
      would: `Read it at ${plain(load)} W, and note the load.`,
    }
  return {
    why: '; no note says that its fan ran or that its rated load was on.',
    would: 'Read it with its fan running, or at its rated load, and note which.',
  }
}

/** With more than the load that the promise is for, or for all that is noted. */
const perhapsOver = ({ noise }: Heard, { claim }: Evidence): boolean =>
  claim.load !== undefined && (noise.entry.reading.watts ?? Infinity) > claim.load * tooMuch

function atItsLoudest({ noise }: Heard, evidence: Evidence): boolean {
  const { fan, watts = 0 } = noise.entry.reading
  const loaded = watts >= (promisedLoad(evidence) ?? Infinity) * nearlyAll
  return loaded || (evidence.claim.load === undefined && (fan === 'on' || fan === 'speed'))
}

const said = ({ noise, level }: Heard) =>
  `${say(level.x.value, 'dB(A)')} at ${sayLength(noise.entry.reading.distance)}`

function decided({ noise, level }: Heard, evidence: Evidence): Verdict {
  const verdict = judgeFigure(evidence, level, 'Its noise')
  return {
    ...verdict,
    sentence: `${verdict.sentence.slice(0, -1)}, at ${sayLength(noise.entry.reading.distance)}.`,
  }
}
