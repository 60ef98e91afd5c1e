import { say, type Analysis } from '@even-watt/core'
import { useMemo } from 'react'
import { stationPath, type PathEnd } from './path'

const full = 44
const thinnest = 3

/**
 * A station’s power path: charge input, store, outlets and ports, each as wide as the most watts that were read there. It has
 * no taps between. Nothing for units that are no station.
 */
export function StationRibbon({ analysis }: { readonly analysis: Analysis }) {
  const path = useMemo(
    () => (analysis.record.revision.unit.kind === 'power station' ? stationPath(analysis) : undefined),
    [analysis],
  )
  if (!path) return null
  const { input, store, outlet, ports } = path
  const widest = Math.max(1, ...[input, outlet, ...ports].map(({ watts }) => watts ?? 0))
  const thick = ({ watts }: PathEnd) =>
    watts === undefined ? 2 : Math.max(thinnest, (watts / widest) * full)
  const lost = store.roundTrip === undefined ? undefined : 1 - store.roundTrip
  const band = (end: PathEnd, colour: string) => (
    <span className="flex min-w-6 flex-1 items-center" aria-hidden="true">
      <span
        className="block w-full"
        style={{
          height: thick(end),
          background: end.watts === undefined ? 'transparent' : `var(--${colour})`,
          borderTop: end.watts === undefined ? `2px dashed var(--${colour})` : undefined,
        }}
      />
    </span>
  )
  const figure = ({ watts }: PathEnd) => (watts === undefined ? '–' : say(watts, 'W'))
  return (
    <section
      className="mb-3 flex max-w-4xl items-stretch gap-2 border-b border-rule pb-3 text-[0.9rem]"
      aria-label="The station’s power path"
      data-testid="station-ribbon"
    >
      <div className="self-center">
        <p className="text-quiet leading-tight">charge input</p>
        <p className="figures text-copper">{figure(input)}</p>
      </div>
      {band(input, 'copper')}
      <div className="flex flex-col justify-center border-l-4 border-copper bg-copper-soft px-3 py-2 leading-tight">
        <span>store</span>
        <span className="figures">
          {store.given === undefined ? '–' : say(store.given, 'Wh')}
          {store.label !== undefined && <span className="text-quiet"> of {say(store.label, 'Wh', 4)}</span>}
        </span>
        {lost !== undefined && <span className="text-plum">round trip loses {say(100 * lost, '%', 2)}</span>}
      </div>
      <ul className="grid flex-[2] content-center gap-1">
        <End end={outlet} colour="petrol" ink="text-petrol" band={band} figure={figure(outlet)} />
        {ports.map((port) => (
          <End
            key={port.name}
            end={port}
            colour="copper"
            ink="text-copper"
            band={band}
            figure={figure(port)}
          />
        ))}
      </ul>
    </section>
  )
}

interface EndProps {
  readonly end: PathEnd
  readonly colour: string
  readonly ink: string
  readonly band: (end: PathEnd, colour: string) => React.ReactNode
  readonly figure: string
}

const End = ({ end, colour, ink, band, figure }: EndProps) => (
  <li className="flex min-h-6 items-center gap-2">
    {band(end, colour)}
    <span className="w-24 leading-tight sm:w-28">{end.name}</span>
    <span className={`figures w-16 text-right ${ink}`}>{figure}</span>
  </li>
)
