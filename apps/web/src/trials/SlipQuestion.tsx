import type { Slip } from './useSlips'

interface Props {
  readonly slip: Slip
  /** What was meant, or that it stands as it was typed; either goes on. */
  readonly onMeant: () => void
  readonly onTyped: () => void
}

/** Before it is captured: was the point meant elsewhere? One tap answers. */
export const SlipQuestion = ({ slip: { words, unit, typed, meant }, onMeant, onTyped }: Props) => (
  <div role="alert" className="text-ochre flex flex-wrap items-baseline gap-x-4 gap-y-2 py-2">
    <span>
      ▲ {typed} {unit}, {words}? That does not stand on this bench.
    </span>
    <button type="button" className="action action-main" onClick={onMeant}>
      It is {meant} {unit}
    </button>
    <button type="button" className="action" onClick={onTyped}>
      It is {typed} {unit} all the same
    </button>
  </div>
)
