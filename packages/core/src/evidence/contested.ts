import { formatNumber, isFigure, sayFigure, type Derived, type Figure } from '../figures'
import { disagreement, methodSource, uncertain, add } from '../meters'

/** E_n from which a contradiction widens U to cover both, and from which neither decides (docs/method/evidence.md). */
const widens = 1.5
const decidesNothing = 3

/** Another way to the same quantity, in words that a sentence can hold: "volts times amps". */
export interface OtherWay {
  readonly figure: Derived
  readonly words: string
  /** Only more of the one than of the other contradicts: watts are never more than volt-amperes. */
  readonly atMost?: boolean
}

/**
 * A figure beside another way to it. Over 1 the contradiction is said; over 1.5 U is widened to cover both; over 3 it decides
 * nothing until one of the two is doubted. What is refused already contradicts nothing.
 */
export function contested(derived: Derived, other: OtherWay): Derived {
  const { figure: second, words, atMost = false } = other
  if (!isFigure(derived) || !isFigure(second) || derived.refused || second.refused) return derived
  const apart = derived.x.value - second.x.value
  const E_n = disagreement(derived.x, second.x)
  if (E_n <= 1 || (atMost && apart <= 0)) return derived
  const said = `By ${words} it is ${sayFigure(second)}: they contradict (E_n ${formatNumber(Math.min(E_n, 999), 1)}).`
  const noted = withNote(derived, said)
  if (E_n <= widens) return noted
  if (E_n <= decidesNothing) {
    const scope = derived.working.entries.join(' ')
    const covers = uncertain(
      0,
      methodSource('contradiction', `${derived.symbol} ${scope}`),
      Math.abs(apart) / 2,
    )
    return { ...noted, x: add(noted.x, covers) }
  }
  return {
    ...noted,
    refused: {
      why: `by ${words} it is ${sayFigure(second)}, and the reading says ${sayFigure(derived)}: one of them is wrong.`,
      todo: 'Find out which, doubt that one, or read both again.',
    },
  }
}

const withNote = (figure: Figure, note: string): Figure => ({
  ...figure,
  working: { ...figure.working, notes: [...figure.working.notes, note] },
})
