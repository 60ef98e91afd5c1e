import { overlaysOf, say, banksOf, type Compared, type Overlay } from '@even-watt/core'
import { useMemo } from 'react'
import { LazyChart } from '../ui/chart/LazyChart'
import { Fig } from '../ui/Fig'
import { BesideTable } from './BesideTable'
import { curveHeight } from './curveChart'
import { linesChart, linesLegend } from './lines'

interface Props {
  readonly list: readonly Compared[]
  /** Names the files that a chart is saved as. */
  readonly title: string
}

/** Surge, waves, run-downs and noise over each other, where two or more have them. */
export function Overlays({ list, title }: Props) {
  const overlays = useMemo(() => overlaysOf(list), [list])
  if (!overlays.length) return null
  return (
    <section className="mt-5">
      <h2>Over each other</h2>
      <div className="mt-2 grid gap-6 lg:grid-cols-2 print:grid-cols-2">
        {overlays.map((overlay) => (
          <Drawn key={overlay.kind} overlay={overlay} title={title} />
        ))}
      </div>
    </section>
  )
}

function Drawn({ overlay, title }: { overlay: Overlay; title: string }) {
  const { kind, lines, x, y, logarithmic, note } = overlay
  const build = useMemo(() => {
    const all = lines.flatMap(({ points }) => points)
    const ys = all.map((point) => point.y)
    return linesChart(lines, {
      x: { name: x, most: kind === 'waves' ? 100 : Math.max(...all.map((point) => point.x)), logarithmic },
      y: {
        name: y,
        most: Math.max(...ys) * 1.05,
        ...(Math.min(...ys) < 0 ? { least: Math.min(...ys) * 1.05 } : {}),
      },
      marked: kind !== 'waves',
    })
  }, [kind, lines, x, y, logarithmic])
  const legend = useMemo(() => linesLegend(lines), [lines])
  return (
    <div>
      <LazyChart
        title={overlay.title}
        description={lines
          .map(({ name, points }) => `${name}: ${points.length} points, ${points.at(-1)?.said ?? ''}`)
          .join('; ')}
        fileName={`${title} ${kind}`}
        height={curveHeight}
        build={build}
        legend={legend}
      />
      {note && <p className="text-quiet text-[0.9rem]">{note}</p>}
    </div>
  )
}

/** Banks by their resistance. */
export function BankTable({ list }: { readonly list: readonly Compared[] }) {
  const banks = useMemo(() => banksOf(list), [list])
  if (!banks) return null
  return (
    <section className="mt-5">
      <h2>Their banks, by resistance</h2>
      <p className="text-quiet max-w-4xl">
        How far a bank sagged is of the amps that its unit drew; its resistance is its own.
      </p>
      <BesideTable list={list}>
        <tr>
          <th scope="row">bank</th>
          {banks.cells.map(({ bank }, i) => (
            <td key={i}>{bank}</td>
          ))}
        </tr>
        <tr>
          <th scope="row">its resistance</th>
          {banks.cells.map(({ R }, i) => (
            <td key={i}>
              <Fig of={R} withUnit />
            </td>
          ))}
        </tr>
        <tr>
          <th scope="row">kept by it at {say(banks.load, 'W')}</th>
          {banks.cells.map(({ kept }, i) => (
            <td key={i} className="figures">
              {kept === undefined ? '–' : say(100 * kept, '%', 2)}
            </td>
          ))}
        </tr>
      </BesideTable>
    </section>
  )
}
