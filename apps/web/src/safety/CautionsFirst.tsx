import { authority, capital } from '@even-watt/core'
import type { ReactNode } from 'react'
import { useTrial } from '../trials/useTrial'
import { FootButton, ReadFirst } from '../ui/atArmsLength/AtArmsLength'
import { useReader } from '../ui/reader'
import { useAcknowledge } from './useAcknowledge'
import { useSafety } from './useSafety'

interface Props {
  /** What is asked once they were read. */
  readonly children: ReactNode
}

/** Before anything is connected at arm’s length: the cautions that nobody read yet, as they stand for this rig. */
export function CautionsFirst({ children }: Props) {
  const state = useTrial()
  const { cautions, open, ofEarlierRig } = useSafety(state)
  const acknowledge = useAcknowledge()
  const reader = useReader() ?? state.trial.by
  const asking = ofEarlierRig ? cautions : open
  const first = asking.length > 0 && {
    title: 'First: make safe',
    beside: asking.length,
    under: authority,
    foot: (
      <FootButton main onClick={() => acknowledge(reader, asking)}>
        I have read these, {reader}
      </FootButton>
    ),
    children: (
      <ul className="max-w-3xl">
        {asking.map(({ name, sentence, because }) => (
          <li key={name} className="border-b border-rule py-2 text-lg">
            <strong>▲ {capital(name)}.</strong> {sentence}{' '}
            <span className="text-quiet">Here: {because}.</span>
          </li>
        ))}
      </ul>
    ),
  }
  return <ReadFirst value={first || undefined}>{children}</ReadFirst>
}
