import { plain, say, shortened } from '@even-watt/core'
import { useId } from 'react'
import { bandOf, lineOf, paper, scaleFor, sineOf } from './drawing'
import { Drawn } from './Drawn'

/** A cycle to be drawn over others, from the rising zero of its fundamental. */
export interface DrawnWave {
  readonly name: string
  readonly cycle: ArrayLike<number>
  readonly rms: number
  /** Between what all its cycles moved. */
  readonly low?: ArrayLike<number>
  readonly high?: ArrayLike<number>
}

interface Props {
  readonly title: string
  readonly fileName: string
  readonly unit: 'V' | 'A'
  /** s a cycle; undefined where they differ. */
  readonly period: number | undefined
  readonly waves: readonly DrawnWave[]
}

const dashes = ['', '7 3', '2 3', '10 3 2 3', '1 2', '5 5']
const inks = ['var(--ink)', 'var(--petrol)', 'var(--copper)', 'var(--moss)', 'var(--ochre)', 'var(--madder)']

/**
 * A wave as one mean cycle in ink over a faint band of all its cycles, with the sine of the same RMS as a hairline; what is
 * not sine is hatched. Several waves lie over each other, told apart by dash and hue.
 */
export function WaveDrawing({ title, fileName, unit, period, waves }: Props) {
  const hatch = useId()
  const [first] = waves
  if (!first) return null
  const alone = waves.length === 1
  const sine = sineOf(first.rms, first.cycle.length)
  const all = waves.flatMap(({ cycle, low = [], high = [] }) =>
    [cycle, low, high].flatMap((values) => Array.from(values)),
  )
  const scale = scaleFor(
    [...all, ...sine].reduce((least, v) => Math.min(least, v), 0),
    [...all, ...sine].reduce((most, v) => Math.max(most, v), 0),
  )
  const times = [0, 0.25, 0.5, 0.75, 1]
  const csv = () =>
    [
      [
        'share of the cycle',
        ...waves.map(({ name }) => `"${name.replace(/"/g, '""').replace(/^[=+\-@]/, "'$&")} [${unit}]"`),
      ].join(','),
      ...Array.from({ length: first.cycle.length }, (_, i) =>
        [
          (i + 0.5) / first.cycle.length,
          ...waves.map(({ cycle }) => cycle[Math.floor((i * cycle.length) / first.cycle.length)]),
        ].join(','),
      ),
    ].join('\r\n')
  return (
    <Drawn
      title={title}
      fileName={fileName}
      description={`One cycle of ${waves.map(({ name, rms }) => `${name}, ${say(rms, unit)} RMS`).join('; ')}, beside the sine of the same RMS.`}
      csv={csv}
    >
      <defs>
        <pattern id={hatch} width={5} height={5} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1={0} y1={0} x2={0} y2={5} stroke="var(--plum)" strokeWidth={1.2} opacity={0.7} />
        </pattern>
      </defs>
      {scale.ticks.map((tick) => (
        <g key={tick}>
          <line
            x1={paper.left}
            x2={paper.width - paper.right}
            y1={scale.y(tick)}
            y2={scale.y(tick)}
            stroke="var(--rule)"
            strokeWidth={tick === 0 ? 1.4 : 0.7}
          />
          <text x={paper.left - 6} y={scale.y(tick) + 4} textAnchor="end" fill="var(--quiet)">
            {plain(tick)}
          </text>
        </g>
      ))}
      <text x={6} y={paper.top + 8} fill="var(--quiet)">
        {unit}
      </text>
      {times.map((share) => (
        <text
          key={share}
          x={scale.x(share)}
          y={paper.height - 10}
          textAnchor={share === 1 ? 'end' : share === 0 ? 'start' : 'middle'}
          fill="var(--quiet)"
        >
          {period === undefined
            ? `${360 * share}°`
            : `${plain(shortened(1000 * period * share, 3))}${share === 1 ? ' ms' : ''}`}
        </text>
      ))}
      {alone && (
        <path d={bandOf(first.cycle, sine, scale)} fill={`url(#${hatch})`} fillRule="evenodd" stroke="none" />
      )}
      {alone && first.low && first.high && (
        <path d={bandOf(first.high, first.low, scale)} fill="var(--petrol)" opacity={0.16} stroke="none" />
      )}
      <path d={lineOf(sine, scale)} fill="none" stroke="var(--quiet)" strokeWidth={0.8} />
      {waves.map(({ name, cycle }, i) => (
        <path
          key={name}
          d={lineOf(cycle, scale)}
          fill="none"
          stroke={inks[i % inks.length]}
          strokeWidth={1.8}
          strokeDasharray={dashes[i % dashes.length]}
          strokeLinejoin="round"
        />
      ))}
    </Drawn>
  )
}

/** What the lines of a drawing stand for. */
export function WaveLegend({ waves }: { waves: readonly Pick<DrawnWave, 'name'>[] }) {
  return (
    <ul className="flex flex-wrap gap-x-4 text-[0.9rem]">
      {waves.map(({ name }, i) => (
        <li key={name} className="flex items-center gap-1.5">
          <svg width={30} height={8} aria-hidden>
            <line
              x1={0}
              x2={30}
              y1={4}
              y2={4}
              stroke={inks[i % inks.length]}
              strokeWidth={2}
              strokeDasharray={dashes[i % dashes.length]}
            />
          </svg>
          {name}
        </li>
      ))}
      <li className="text-quiet flex items-center gap-1.5">
        <svg width={30} height={8} aria-hidden>
          <line x1={0} x2={30} y1={4} y2={4} stroke="var(--quiet)" strokeWidth={0.8} />
        </svg>
        sine of the same RMS
      </li>
      {waves.length === 1 && (
        <li className="text-quiet flex items-center gap-1.5">
          <svg width={30} height={10} aria-hidden>
            {[0, 6, 12, 18, 24].map((x) => (
              <line key={x} x1={x} x2={x + 6} y1={10} y2={0} stroke="var(--plum)" />
            ))}
          </svg>
          hatched: what is not sine
        </li>
      )}
    </ul>
  )
}
