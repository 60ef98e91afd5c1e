import type { RigRemark } from '@even-watt/core'
import { Notice } from '../ui/Notice'

/** What must be said of a rig, each at the name of its part; dangers first and strongly. */
export function Remarks({ remarks, name }: { remarks: readonly RigRemark[]; name: (at: string) => string }) {
  const sorted = [...remarks].sort((a, b) => Number(b.weight === 'danger') - Number(a.weight === 'danger'))
  return sorted.map(({ at, weight, sentence }, i) => (
    <Notice
      key={i}
      kind={weight === 'danger' ? 'problem' : 'odd'}
      word={weight === 'danger' ? 'Danger' : 'Note'}
    >
      <span className="font-semibold">{name(at)}:</span> {sentence}
    </Notice>
  ))
}
