import { isMet, isNotMet, outcomeOf, rule } from '../court'
import { capital, isFigure, sayFigure, type Derived, type Figure } from '../figures'
import type { OnRig } from '../held'
import { equipment, type Equipment } from './equipment'
import { larger, suppliedBy, type Supplied } from './supplied'

export type Minds = 'minds' | 'may mind' | 'not known' | 'does not mind'

/** A kind of equipment, and how it stands to what a unit gives. */
export interface Minding {
  readonly kind: string
  readonly says: Minds
  /** Why, the worst first; where it is not known, what to read. */
  readonly why: readonly string[]
}

interface Look {
  readonly says: Minds
  readonly why: string
}

const order: readonly Minds[] = ['minds', 'may mind', 'not known', 'does not mind']

/** How a share stands to a limit: beyond it by more than its uncertainty, too near to tell, or within. */
function standing(figure: Figure, limit: number): Minds {
  const ruling = rule(figure.x, 'exact', 'within ±', limit)
  const outcome = ruling && outcomeOf(ruling)
  if (outcome === undefined) return 'not known'
  if (isNotMet(outcome)) return outcome === 'not met' ? 'minds' : 'may mind'
  return isMet(outcome) && outcome !== 'met' ? 'may mind' : 'does not mind'
}

const missing = (figure: Derived): string => ('missing' in figure ? figure.missing : '')

/** "its volts fall to 8.3 % below the mains here". */
function offset(what: string, figure: Figure, against: string): string {
  const size = { ...figure, x: { ...figure.x, value: Math.abs(figure.x.value) } }
  return `its ${what} stand ${sayFigure(size)} ${figure.x.value < 0 ? 'below' : 'above'} ${against}`
}

function looksAt({ wants: { volts, hertz, distortion, sine } }: Equipment, given: Supplied): Look[] {
  const looks: Look[] = []
  const { lowest, highest, hertzLow, hertzHigh, against } = given
  if (volts) {
    if (!isFigure(lowest) || !isFigure(highest))
      looks.push({ says: 'not known', why: missing(isFigure(lowest) ? highest : lowest) })
    else
      for (const [figure, why] of [
        [lowest, volts.low],
        [highest, volts.high],
      ] as const) {
        const below = figure === lowest ? figure.x.value < 0 : figure.x.value > 0
        if (below)
          looks.push({
            says: standing(figure, volts.within),
            why: `${capital(offset('volts', figure, against))}: ${why}.`,
          })
      }
  }
  if (hertz) {
    if (!isFigure(hertzLow) || !isFigure(hertzHigh))
      looks.push({ says: 'not known', why: missing(isFigure(hertzLow) ? hertzHigh : hertzLow) })
    else {
      const most = larger(hertzLow, hertzHigh)
      looks.push({
        says: standing(most, hertz.within),
        why: `${capital(offset('hertz', most, 'nominal'))}: ${hertz.why}.`,
      })
    }
  }
  if (sine !== undefined) looks.push(waveLook(sine, given))
  // A stepped wave says already why it is distorted.
  if (distortion && given.wave !== 'stepped') {
    const { distortion: read } = given
    looks.push(
      isFigure(read)
        ? {
            says: standing(read, distortion.most),
            why: `Its distortion is ${sayFigure(read)} at most: ${distortion.why}.`,
          }
        : { says: 'not known', why: missing(read) },
    )
  }
  return looks
}

function waveLook(why: string, { wave, waveSeen, distortion }: Supplied): Look {
  if (wave === 'stepped')
    return {
      says: 'minds',
      why: `${waveSeen ? 'Its wave' : 'By its label its wave'} is stepped: ${why}.`,
    }
  // A label is no evidence that all is well.
  if (!waveSeen || (wave === 'unstated' && !isFigure(distortion)))
    return {
      says: 'not known',
      why: `${wave === 'sine' ? 'Only its label says sine' : 'Its wave was not seen'}. Capture it, or read its THD.`,
    }
  return { says: 'does not mind', why: '' }
}

/**
 * Which equipment minds what a unit gives: each kind asks what it wants of the volts, the hertz, the wave and its distortion, over nothing
 * connected and all loads that were carried (docs/method/minds.md). It minds where one of them lies beyond its limit by more
 * than its uncertainty, may mind within it, and is not known while what it asks was not read.
 */
export function whoMinds(on: OnRig, kinds: readonly Equipment[] = equipment): Minding[] {
  const given = suppliedBy(on)
  return kinds
    .map((one): Minding => {
      const looks = looksAt(one, given)
      const says = order.find((level) => looks.some((look) => look.says === level)) ?? 'does not mind'
      return {
        kind: one.kind,
        says,
        why: says === 'does not mind' ? [] : looks.filter((look) => look.says === says).map(({ why }) => why),
      }
    })
    .sort((a, b) => order.indexOf(a.says) - order.indexOf(b.says))
}
