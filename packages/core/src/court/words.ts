import type { Limiter } from '@even-watt/contract'
import { formatNumber } from '../figures'
import { sayClaim } from '../units'
import type { Asked, Finding } from './asked'
import type { HindranceCode } from './hindrances'
import type { Promised } from './promise'
import { mayNot } from './openEnds'
import { isDecided } from './rule'
import { sourceNeeded } from './sourceNeeded'
import type { Tried, Verdict } from './verdict'

/** What ended a test, or was missing in it, as a tester says it. */
const limitWords: Readonly<Record<Limiter, string>> = {
  supply: 'the supply gave out first',
  load: 'there was no heavier load',
  meter: 'the readings cannot tell',
  protection: 'a protective device opened first',
  joint: 'a bad joint stopped the test',
  leads: 'the leads took too much first',
  machine: 'the machine decided it',
  time: 'it was not tried long enough',
  person: 'it was stopped by hand first',
}

/** The same for what is missing in a test rather than stopped it. */
const missingWords: Readonly<Partial<Record<HindranceCode, string>>> = {
  'time too short': 'it was not carried long enough',
  'time not noted': 'how long it was carried is not noted',
  'not tried closely': 'it was not tried closely enough',
  'beyond what is promised': 'only more than is promised was tried',
  'light load': 'the loads were too light for it',
  'heavy load': 'the loads were too heavy for it',
  'room cold': 'the room was cold',
  'room hot': 'the room was hot',
  'room not recorded': 'the room is not known',
  'store cold': 'the room was cold',
  'not full': 'the store was not full',
  'fullness not noted': 'how full it was is not known',
  'not from empty': 'it did not begin empty',
  'charger on': 'something charged it meanwhile',
  'load on while charging': 'a load was on meanwhile',
  'source gave no more': 'the source may have given no more',
  'taper only': 'only the end of a charge was seen',
  'other ports loaded': 'other ports were loaded beside it',
  'store low': 'its store was low',
  'ended by a battery': 'the bank ended it',
  'loud load': 'its load made noise of its own',
  'few attempts': 'it was tried too few times',
  'input low': 'its input was low',
  'soft starter': 'a soft starter helped',
  'something connected': 'something was connected',
  'alarm not named': 'which alarm came is not noted',
}

/** The sentence of a verdict, made of its figures at the end; and what would show the promise. */
export function wordsOf(
  verdict: Verdict,
  promised: Promised,
  asked: Asked,
): Pick<Finding, 'sentence' | 'wouldShow'> {
  const beside = promised.beside?.(verdict, asked) ?? []
  if (isDecided(verdict.outcome)) return { sentence: joined([...shown(verdict, asked), ...beside]) }
  if (verdict.outcome === 'not tested') return untestedWords(verdict, asked, beside)
  const { evidence, reason, by, own } = verdict
  const said = reason?.say()
  const byHand = asked.limiter?.limiter
  const wouldShow = own ?? said?.would ?? ''
  const found = evidence ? `${capital(evidence.found())}.` : ''
  return {
    sentence: joined([
      `Not shown: ${byHand ? limitWords[byHand] : ((reason && missingWords[reason.code]) ?? (by ? limitWords[by] : 'nothing tells'))}.`,
      found,
      ...(evidence?.beside?.() ?? []),
      said?.why ?? '',
      ...beside,
      wouldShow,
    ]),
    ...(wouldShow ? { wouldShow } : {}),
  }
}

/** What was not tried, and why, where the tester says it: then what it would take. */
function untestedWords(
  verdict: Verdict,
  asked: Asked,
  beside: readonly string[],
): Pick<Finding, 'sentence' | 'wouldShow'> {
  const { limiter } = asked
  const wouldShow =
    limiter?.wouldShow ?? (limiter?.limiter === 'supply' ? sourceNeeded(asked) : undefined) ?? ''
  return {
    sentence: joined([
      untested(verdict),
      limiter ? `It could not be tested: ${limitWords[limiter.limiter]}.` : '',
      ...beside,
      wouldShow,
    ]),
    ...(wouldShow ? { wouldShow } : {}),
  }
}

function shown({ evidence, probability, outcome, tried }: Verdict, { claim }: Asked): string[] {
  const near = outcome === 'met, within uncertainty' || outcome === 'not met, within uncertainty'
  const likely = near && probability !== undefined ? ` (${formatNumber(100 * probability, 0)} % likely)` : ''
  return [
    `${capital(evidence?.found() ?? '')}, against ${sayClaim(claim)}${likely}.`,
    ...(evidence?.beside?.() ?? []),
    ...(tried ? [sayTried(tried)] : []),
  ]
}

const sayTried = ({ kept, of }: Tried): string =>
  kept === of ? '' : `It was kept ${kept || 'none'} of ${of} times.`

/** What was brought and refused, with its reason; else why there is nothing. */
function untested({ figure, absent }: Verdict): string {
  if (!figure) return absent ?? ''
  const { why, would } = mayNot(figure).say()
  return `${capital(why)} ${would}`
}

/** A sentence begins with a capital, a symbol such as η as it is. */
const capital = (words: string) => words.replace(/^[a-z](?=[a-z’ -])/, (first) => first.toUpperCase())

const joined = (parts: readonly string[]) => parts.filter(Boolean).join(' ')
