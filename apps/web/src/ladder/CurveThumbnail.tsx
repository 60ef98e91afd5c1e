import { decides, isFigure, sayFigure, toldBy, type Analysis } from '@even-watt/core'
import { coordinate } from '../ui/coordinate'

const size = { width: 168, height: 56, edge: 6 } as const

/** The efficiency over watts in little: where it rises, where it is best. Nothing where fewer than three steps tell it. */
export function CurveThumbnail({ analysis: { ladder } }: { readonly analysis: Analysis }) {
  const { efficiency } = toldBy(ladder)
  const points = ladder.steps
    .flatMap((step) => {
      const eta = efficiency(step)
      return step.carried && isFigure(step.P_C) && isFigure(eta) && decides(eta)
        ? [{ P: step.P_C.x.value, eta }]
        : []
    })
    .sort((a, b) => a.P - b.P)
  const [first] = points
  const last = points.at(-1)
  if (points.length < 3 || !first || !last) return null
  const etas = points.map(({ eta }) => eta.x.value)
  const [low, high] = [Math.min(...etas), Math.max(...etas)]
  const best = points.find(({ eta }) => eta.x.value === high) ?? first
  const { width, height, edge } = size
  const x = (P: number) => edge + ((width - 2 * edge) * P) / last.P
  const y = (eta: number) => height - edge - ((height - 2 * edge) * (eta - low)) / (high - low || 1)
  return (
    <figure>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Efficiency from ${sayFigure(first.eta)} to ${sayFigure(last.eta)}, best ${sayFigure(best.eta)}.`}
      >
        <path d={`M${edge} ${height - 1}H${width - edge}`} stroke="var(--rule)" />
        <polyline
          points={points.map(({ P, eta }) => `${coordinate(x(P))},${coordinate(y(eta.x.value))}`).join(' ')}
          fill="none"
          stroke="var(--petrol)"
          strokeWidth={2}
        />
        <circle cx={x(best.P)} cy={y(high)} r={3.5} fill="var(--ink)" />
      </svg>
      <figcaption className="text-quiet text-[0.85rem]">best {sayFigure(best.eta)}</figcaption>
    </figure>
  )
}
