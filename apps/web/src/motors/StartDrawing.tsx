import type { Course } from '@even-watt/contract'
import { plain, say, shortened } from '@even-watt/core'
import { tickStep } from '../captures/drawing'
import { Drawn } from '../captures/Drawn'
import { coordinate } from '../ui/coordinate'

interface Strip {
  readonly key: 'V_C' | 'I_C' | 'P' | 'V_B'
  readonly words: string
  readonly unit: string
  readonly ink: string
}

const strips: readonly Strip[] = [
  { key: 'V_C', words: 'outlet', unit: 'V', ink: 'var(--petrol)' },
  { key: 'I_C', words: 'outlet', unit: 'A', ink: 'var(--petrol)' },
  { key: 'P', words: 'outlet', unit: 'W', ink: 'var(--petrol)' },
  { key: 'V_B', words: 'terminals', unit: 'V', ink: 'var(--copper)' },
]

const width = 640
const left = 96
const right = 16
const tall = 74
const gap = 14
const foot = 26

interface Props {
  readonly course: Course
  readonly title: string
  readonly fileName: string
  /** V RMS of nominal, of which 90 % is marked. */
  readonly nominal: number
  /** s from the first sample at which it was switched on: time is counted from there. */
  readonly begins: number
}

/** A start in time, strips over one another: volts, amperes and watts of the outlet, volts at the terminals. */
export function StartDrawing({ course, title, fileName, nominal, begins }: Props) {
  const drawn = strips.flatMap((strip) => {
    const values = course[strip.key]
    return values ? [{ ...strip, values }] : []
  })
  const count = drawn[0]?.values.length ?? 0
  const height = drawn.length * (tall + gap) + foot
  const first = course.from - begins
  const last = first + (count - 1) * course.step
  const x = (t: number) => left + ((t - first) / (last - first || 1)) * (width - left - right)
  const step = tickStep(last - first, 6)
  const times = Array.from(
    { length: Math.floor(last / step) - Math.ceil(first / step) + 1 },
    (_, i) => (Math.ceil(first / step) + i) * step,
  )
  const csv = () =>
    [
      ['t [s]', ...drawn.map(({ key, unit }) => `${key} [${unit}]`)].join(','),
      ...Array.from({ length: count }, (_, i) =>
        [shortened(first + i * course.step, 6), ...drawn.map(({ values }) => values[i] ?? '')].join(','),
      ),
    ].join('\r\n')
  return (
    <Drawn
      title={title}
      fileName={fileName}
      height={height}
      csv={csv}
      description={`${title}: ${drawn.map(({ words, unit, values }) => `${words} between ${say(Math.min(...values), '')} and ${say(Math.max(...values), unit)}`).join('; ')}.`}
    >
      {drawn.map(({ key, words, unit, ink, values }, row) => {
        const top = row * (tall + gap) + 6
        const high = Math.max(1e-9, ...values) * 1.06
        const y = (value: number) => top + tall - (Math.max(0, value) / high) * tall
        const mark = key === 'V_C' ? 0.9 * nominal : undefined
        return (
          <g key={key}>
            <line x1={left} x2={width - right} y1={top + tall} y2={top + tall} stroke="var(--rule)" />
            <text x={left - 8} y={top + tall} textAnchor="end" fill="var(--quiet)">
              0
            </text>
            <text x={left - 8} y={y(Math.max(...values)) + 9} textAnchor="end" fill="var(--quiet)">
              {say(Math.max(...values), unit)}
            </text>
            <text x={4} y={top + tall / 2 + 4} fill={ink} fontFamily="var(--font-sans)">
              {words}
            </text>
            {mark !== undefined && mark < high && (
              <g>
                <line
                  x1={left}
                  x2={width - right}
                  y1={y(mark)}
                  y2={y(mark)}
                  stroke="var(--quiet)"
                  strokeDasharray="2 3"
                />
                <text x={width - right} y={y(mark) + 12} textAnchor="end" fill="var(--quiet)">
                  90 %
                </text>
              </g>
            )}
            <path
              d={values
                .map(
                  (value, i) =>
                    `${i ? 'L' : 'M'}${coordinate(x(first + i * course.step))} ${coordinate(y(value))}`,
                )
                .join('')}
              fill="none"
              stroke={ink}
              strokeWidth={1.7}
              strokeLinejoin="round"
            />
          </g>
        )
      })}
      <line x1={x(0)} x2={x(0)} y1={4} y2={height - foot} stroke="var(--ink)" strokeWidth={0.7} />
      {times.map((t) => (
        <text key={t} x={x(t)} y={height - 8} textAnchor="middle" fill="var(--quiet)">
          {plain(shortened(t, 3))}
          {t === times.at(-1) ? ' s' : ''}
        </text>
      ))}
    </Drawn>
  )
}
