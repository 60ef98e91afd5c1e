import { memo } from 'react'
import { coordinate } from '../ui/coordinate'

const width = 44
const height = 18

/** A cycle as small as a word: what the wave looks like, beside the figures of its step. */
export const MiniWave = memo(function MiniWave({
  cycle,
  label,
}: {
  cycle: readonly number[]
  label: string
}) {
  const most = cycle.reduce((top, v) => Math.max(top, Math.abs(v)), 1e-12)
  const path = cycle
    .map((v, i) => {
      const x = (i / (cycle.length - 1)) * width
      const y = height / 2 - (v / most) * (height / 2 - 1.5)
      return `${i ? 'L' : 'M'}${coordinate(x)} ${coordinate(y)}`
    })
    .join('')
  return (
    <svg width={width} height={height} role="img" aria-label={label} className="inline-block align-[-4px]">
      <title>{label}</title>
      <line x1={0} x2={width} y1={height / 2} y2={height / 2} stroke="var(--rule)" />
      <path d={path} fill="none" stroke="var(--petrol)" strokeWidth={1.4} strokeLinejoin="round" />
    </svg>
  )
})
