import type { Repeating } from '@even-watt/contract'
import { plain, say, shortened } from '@even-watt/core'
import { paper, tickStep } from './drawing'
import { Drawn } from './Drawn'

interface Props {
  readonly wave: Repeating
  readonly fileName: string
  /** THD that the label promises, a share. */
  readonly claimed: number | undefined
}

const height = 220
const bottom = height - paper.bottom

/** Harmonics from the second up against the fundamental, over the noise that would show as one. */
export function HarmonicBars({ wave, fileName, claimed }: Props) {
  const { harmonics, fundamental, floor } = wave
  const shares = harmonics.slice(1).map((one) => (fundamental > 0 ? one / fundamental : 0))
  if (!shares.length) return null
  const noise = floor / Math.sqrt(shares.length)
  const top = 1.1 * Math.max(0.01, noise, ...shares, ...(claimed === undefined ? [] : [claimed]))
  const step = tickStep(100 * top, 5)
  const y = (share: number) => bottom - (share / top) * (bottom - paper.top)
  const slot = (paper.width - paper.left - paper.right) / shares.length
  const ticks = Array.from({ length: Math.floor((100 * top) / step) + 1 }, (_, i) => i * step)
  return (
    <Drawn
      title="Harmonics"
      fileName={fileName}
      height={height}
      description={`Harmonics in per cent of the fundamental: the largest are ${largest(shares)}. The noise floor is ${say(100 * noise, '%')}.`}
      csv={() =>
        ['harmonic,RMS,% of the fundamental,phase [°]']
          .concat(
            harmonics.map(
              (one, i) =>
                `${i + 1},${one},${(100 * one) / fundamental},${((wave.phases[i] ?? 0) * 180) / Math.PI}`,
            ),
          )
          .join('\r\n')
      }
    >
      {ticks.map((tick) => (
        <g key={tick}>
          <line
            x1={paper.left}
            x2={paper.width - paper.right}
            y1={y(tick / 100)}
            y2={y(tick / 100)}
            stroke="var(--rule)"
            strokeWidth={0.7}
          />
          <text x={paper.left - 6} y={y(tick / 100) + 4} textAnchor="end" fill="var(--quiet)">
            {plain(shortened(tick, 3))}
          </text>
        </g>
      ))}
      <text x={6} y={paper.top + 8} fill="var(--quiet)">
        %
      </text>
      {shares.map((share, i) => (
        <rect
          key={i}
          x={paper.left + (i + 0.2) * slot}
          width={0.6 * slot}
          y={y(share)}
          height={bottom - y(share)}
          fill="var(--plum)"
        >
          <title>{`${i + 2}: ${say(100 * share, '%')} of the fundamental`}</title>
        </rect>
      ))}
      {shares.map((_, i) =>
        (i + 2) % (shares.length > 25 ? 4 : 2) === 1 || (shares.length <= 25 && i === 0) ? (
          <text
            key={i}
            x={paper.left + (i + 0.5) * slot}
            y={bottom + 15}
            textAnchor="middle"
            fill="var(--quiet)"
          >
            {i + 2}
          </text>
        ) : null,
      )}
      <line
        x1={paper.left}
        x2={paper.width - paper.right}
        y1={y(noise)}
        y2={y(noise)}
        stroke="var(--quiet)"
        strokeDasharray="2 3"
      />
      <text x={paper.width - paper.right} y={paper.top + 8} textAnchor="end" fill="var(--quiet)">
        dotted: noise floor {say(100 * noise, '%')}
      </text>
      {claimed !== undefined && (
        <>
          <line
            x1={paper.left}
            x2={paper.width - paper.right}
            y1={y(claimed)}
            y2={y(claimed)}
            stroke="var(--madder)"
            strokeDasharray="8 3"
          />
          <text x={paper.width - paper.right} y={y(claimed) + 14} textAnchor="end" fill="var(--madder)">
            promised of all together: {say(100 * claimed, '%')}
          </text>
        </>
      )}
    </Drawn>
  )
}

const largest = (shares: readonly number[]) =>
  shares
    .map((share, i) => ({ share, h: i + 2 }))
    .sort((a, b) => b.share - a.share)
    .slice(0, 3)
    .map(({ share, h }) => `${h} with ${say(100 * share, '%')}`)
    .join(', ')
