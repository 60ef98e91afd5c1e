import { compareRevisions, derive, sayFigure, type Analysis, type Change } from '@even-watt/core'
import { useMemo } from 'react'
import { Fig } from '../ui/Fig'

interface Props {
  readonly analyses: readonly Analysis[]
  readonly analysis: Analysis
}

/** What the last change of the rig did to the voltage at B and to both efficiencies, in one sentence. */
export function AgainstBefore({ analyses, analysis }: Props) {
  const change = useMemo(() => {
    const at = analyses.indexOf(analysis)
    const after = at > 0 ? analysis : analyses[1]
    const before = analyses[Math.max(0, at - 1)]
    return before && after && before !== after
      ? { found: compareRevisions(before, after), why: after.record.revision.why }
      : undefined
  }, [analyses, analysis])
  if (!change?.found) return null
  const { before, after, load, changes } = change.found
  return (
    <div className="mt-2 flex gap-2" data-testid="against-before">
      <span className="text-ochre font-bold whitespace-nowrap">
        ▲ Rig {before} → {after}
      </span>
      <p>
        {change.why}: at {sayFigure(load)}{' '}
        {changes.map((item, i) => (
          <span key={item.words}>
            {i > 0 && '; '}
            {item.words} <Moved change={item} />
          </span>
        ))}
        .
      </p>
    </div>
  )
}

function Moved({ change }: { change: Change }) {
  const { before, after, difference } = change
  const figure = derive(
    `change of ${change.words}`,
    after.unit,
    'after − before',
    [after, before],
    difference.x,
    ['The specification of a meter that read both is common to them and cancels as far as it is.'],
  )
  return (
    <>
      {difference.significant ? (
        <>
          {difference.x.value > 0 ? 'up' : 'down'} by <Fig of={figure} className="font-bold" />{' '}
          {after.unit === '%' ? 'points' : after.unit}
        </>
      ) : (
        <>
          unchanged (<Fig of={figure} /> {after.unit === '%' ? 'points' : after.unit}: no difference shown)
        </>
      )}
    </>
  )
}
