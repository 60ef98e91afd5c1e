import { claimValue, plain, questionFor, ratedPower, say, sayUses, usesOf } from '@even-watt/core'
import { useState } from 'react'
import { useChooser } from '../plan/useChooser'
import { useShelf } from '../plan/useShelf'
import { useTrial } from '../trials/useTrial'

/** Tiers of overload, of rated watts (docs/method/limits.md). */
const tiers = [1.05, 1.25, 1.5] as const
const outlets = 6
/** Sets are looked for up to so much above the highest tier. */
const roomAbove = 1.2

interface Chosen {
  readonly target: number
  readonly words: string
  readonly expected: number
}

/** Heaters and lamps off the shelf for the tiers of overload and for what its surge promises; a tap takes one into the form. */
export function TierLoads({ onTake }: { onTake: (load: string) => void }) {
  const state = useTrial()
  const { loads, shelfWithout } = useShelf(state)
  const chooser = useChooser()
  const [chosen, setChosen] = useState<readonly Chosen[]>()
  const { unit } = state.analysis.record.revision
  const rated = ratedPower(unit)
  const surges = unit.claims.filter(
    ({ quantity, unit: printed }) => quantity === 'surge power' && printed !== 'VA',
  )
  const targets = [
    ...new Set([
      ...(rated === undefined ? [] : tiers.map((tier) => tier * rated)),
      ...surges.map(claimValue),
    ]),
  ].sort((a, b) => a - b)
  if (!targets.length || !loads.length) return null
  const choose = async () => {
    // What pulses, starts hard or follows its own will says nothing of watts.
    const shelf = shelfWithout(
      loads.filter(({ kind }) => kind !== 'element' && kind !== 'filament').map(({ id }) => id),
    )
    const steps = targets.map((target) => ({ target, uses: [], expected: 0, locked: false }))
    const plan = await chooser.choose(
      questionFor(state.analysis, shelf, { outlets, steps }, roomAbove * Math.max(...targets)),
    )
    setChosen(
      plan?.steps.map(({ target, set, power }) => ({
        target,
        words: sayUses(loads, usesOf(shelf, set)),
        expected: power,
      })),
    )
  }
  return (
    <div className="mt-2">
      <button
        type="button"
        className="plain-link"
        disabled={chooser.looked !== undefined}
        onClick={() => void choose()}
      >
        Choose loads for {targets.map((target) => plain(Math.round(target))).join(', ')} W
      </button>
      {chooser.looked !== undefined && <span className="text-quiet"> Looking …</span>}
      {chooser.failed && <span className="text-madder"> The search failed; try again.</span>}
      {chosen && (
        <ul>
          {chosen.map(({ target, words, expected }) => (
            <li key={target}>
              <span className="figures">{say(target, 'W', 4)}</span>:{' '}
              <button type="button" className="plain-link" onClick={() => onTake(words)}>
                {words}
              </button>
              <span className="text-quiet">, about {say(expected, 'W', 4)}</span>
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}
