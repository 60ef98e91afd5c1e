import { hindrance, type Asked, type Evidence, type Hindrance } from '../../court'
import { lowInput, nearlyAll, promisedLoad, tooMuch } from '../../facts'
import { isFigure, say, sayFigure, type Derived } from '../../figures'
import { expanded } from '../../meters'
import type { NoLoadFigures } from '../../noLoad'
import { rippleSwing, type StepFigures } from '../step'

/** What a promise over the loads looks at. */
export interface Look {
  /** "the largest deviation from nominal". */
  readonly what: string
  readonly of: (step: StepFigures) => Derived
  /** The same at no load, where that counts too. */
  readonly atNoLoad?: (noLoad: NoLoadFigures) => Derived
}

/**
 * A promise over the loads: what was read at each step that was carried, and at no load. An input at where the unit warns, or a
 * load beyond what the promise is for, breaks none (docs/method/ladder.md).
 */
export function overLoads(look: Look, asked: Asked): Evidence[] {
  const { analysis } = asked
  const atIdle = look.atNoLoad?.(analysis.noLoad.on)
  return [
    ...analysis.ladder.steps
      .filter(({ carried }) => carried)
      .flatMap((step) => evidenceAt(step, look, asked)),
    ...(atIdle && isFigure(atIdle)
      ? [
          {
            code: 'read',
            figure: atIdle,
            bound: 'exact' as const,
            hindrances: [],
            load: 0,
            found: () => `${look.what} is ${sayFigure(atIdle)}, at no load`,
          },
        ]
      : []),
  ]
}

function evidenceAt(step: StepFigures, { of, what }: Look, asked: Asked): Evidence[] {
  const figure = of(step)
  if (!isFigure(figure)) return []
  const { P_C, load, read, step: own } = step
  // Watts that something contradicts say nothing of how heavy the load was.
  const watts = isFigure(P_C) && !P_C.refused ? P_C.x.value : undefined
  const low = lowInput(read.V_B, asked.analysis.record, rippleSwing(own.captures))
  return [
    {
      code: 'read',
      figure,
      bound: 'exact',
      hindrances: [...(low ? [inputWasLow(step)] : []), ...tooHeavy(P_C, asked)],
      load: watts,
      found: () =>
        `${what} is ${sayFigure(figure)}, at ${[load, isFigure(P_C) && sayFigure(P_C)].filter(Boolean).join(', ')}`,
    },
  ]
}

const inputWasLow = ({ read: { V_B } }: StepFigures): Hindrance =>
  hindrance('input low', () => ({
    why: `Its input was down to where it warns or stops${isFigure(V_B) ? `, ${sayFigure(V_B)}` : ''}.`,
    would: 'A stiffer bank or shorter leads would show it.',
  }))

function tooHeavy(P_C: Derived, { claim, analysis }: Asked): Hindrance[] {
  const all = promisedLoad(claim, analysis)
  if (all === undefined || !isFigure(P_C) || P_C.x.value - expanded(P_C.x) <= all * tooMuch) return []
  return [
    hindrance('heavy load', () => ({
      why: `That is more than the ${say(all, 'W')} that it is for.`,
      would: `Read it at ${say(all, 'W')}.`,
    })),
  ]
}

/** Loads that fall short of what a promise of all loads is for; undefined: they do not. */
export function shortOfAll(asked: Asked, kept: readonly Evidence[]): Hindrance | undefined {
  const { claim, analysis } = asked
  const all = promisedLoad(claim, analysis)
  const would = `Read it at ${all === undefined ? 'the largest load there is' : say(all, 'W')}.`
  const short = (why: string) => hindrance('light load', () => ({ why, would }))
  const loaded = kept.filter(({ load }) => load !== 0)
  if (!loaded.length) return short('It was read at no load only.')
  // A load whose watts nobody knows may have been a light one.
  const most = Math.max(0, ...loaded.map(({ load = 0 }) => load))
  if (all === undefined || most >= all * nearlyAll) return undefined
  return short(
    most > 0
      ? `The loads that it was read at went up to ${say(most, 'W')} of ${say(all, 'W')}.`
      : 'How many watts were on is not known.',
  )
}
