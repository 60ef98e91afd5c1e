import type { Course } from '@even-watt/contract'
import { longestUnder, lowBounds } from '@even-watt/core'
import { Drawn } from '../captures/Drawn'
import { coordinate } from '../ui/coordinate'

const width = 640
const height = 210
const left = 46
const right = 12
const top = 12
const bottom = 30
const shortest = 0.01
const longest = 20

const x = (seconds: number) =>
  left +
  (Math.log(Math.max(shortest, Math.min(longest, seconds)) / shortest) / Math.log(longest / shortest)) *
    (width - left - right)
const y = (share: number) => top + (1 - Math.min(1, share)) * (height - top - bottom)

/** How long the volts stood under each share of nominal, against how long equipment bears that. */
export function RideDrawing({ course, nominal, title }: { course: Course; nominal: number; title: string }) {
  const shares = Array.from({ length: 40 }, (_, i) => 0.98 - 0.02 * i)
  const seen = shares.flatMap((share) => {
    const lasted = longestUnder(course, nominal, share)
    return lasted > 0 ? [{ share, lasted }] : []
  })
  // What equipment bears ends at a stair: under each share for no longer than its time.
  const stair = [
    `M${x(shortest)} ${y(0)}`,
    `L${x(lowBounds[0]?.longest ?? shortest)} ${y(0)}`,
    ...lowBounds.map(
      ({ share, longest: time }, i) =>
        `L${x(time)} ${y(share)}L${x(lowBounds[i + 1]?.longest ?? longest)} ${y(share)}`,
    ),
    `L${x(longest)} ${y(0)}Z`,
  ].join('')
  return (
    <Drawn
      title={title}
      fileName={title}
      height={height}
      description={`${title}: ${seen.length ? `lowest ${Math.round(100 * (seen.at(-1)?.share ?? 1))} % of nominal` : 'the volts stayed near nominal'}; equipment may drop out in the shaded part.`}
    >
      <path d={stair} fill="var(--madder)" opacity={0.16} />
      {[1, 0.9, 0.8, 0.7, 0.5, 0].map((share) => (
        <g key={share}>
          <line
            x1={left}
            x2={width - right}
            y1={y(share)}
            y2={y(share)}
            stroke="var(--rule)"
            strokeWidth={0.7}
          />
          <text x={left - 6} y={y(share) + 4} textAnchor="end" fill="var(--quiet)">
            {100 * share}
          </text>
        </g>
      ))}
      <text x={4} y={top + 8} fill="var(--quiet)">
        %
      </text>
      {[0.01, 0.1, 1, 10].map((seconds) => (
        <text key={seconds} x={x(seconds)} y={height - 10} textAnchor="middle" fill="var(--quiet)">
          {seconds}
          {seconds === 10 ? ' s' : ''}
        </text>
      ))}
      <text x={x(1.6)} y={y(0.3)} textAnchor="middle" fill="var(--madder)" fontFamily="var(--font-sans)">
        may drop out
      </text>
      <path
        d={seen
          .map(({ share, lasted }, i) => `${i ? 'L' : 'M'}${coordinate(x(lasted))} ${coordinate(y(share))}`)
          .join('')}
        fill="none"
        stroke="var(--petrol)"
        strokeWidth={1.8}
      />
      {seen.map(({ share, lasted }) => (
        <circle key={share} cx={x(lasted)} cy={y(share)} r={2.2} fill="var(--petrol)" />
      ))}
    </Drawn>
  )
}
