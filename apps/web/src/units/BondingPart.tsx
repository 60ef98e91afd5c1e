import { bondingOf, type Analysis } from '@even-watt/core'
import { Notice } from '../ui/Notice'

/** What joins neutral and earth, as far as it is known; two bonds stand out. */
export function BondingPart({ analysis }: { analysis: Analysis }) {
  const { unit, rig } = analysis.record.revision
  const { kind, sentences } = bondingOf(unit, rig)
  if (kind === 'two bonds' || kind === 'may be two')
    return (
      <Notice
        kind={kind === 'two bonds' ? 'problem' : 'odd'}
        word={kind === 'two bonds' ? 'Two bonds' : 'Perhaps two bonds'}
      >
        {sentences.join(' ')}
      </Notice>
    )
  return <p className="max-w-prose">{sentences.join(' ')}</p>
}
