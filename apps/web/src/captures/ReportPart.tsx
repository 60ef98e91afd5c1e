import {
  formatNumber,
  isFigure,
  ratedPower,
  say,
  wattsOf,
  type Analysis,
  type SeenWave,
} from '@even-watt/core'
import type { ReportProps } from '../stage'
import { Section } from '../ui/Section'
import { SagPart } from './SagPart'
import { WaveDrawing } from './WaveDrawing'
import { sayCapture } from './words'
import { FitTable } from '../ui/FitTable'

/** Harmonics that a printed table holds. */
const printed = [2, 3, 4, 5, 7, 9, 11, 13, 15]

/** What was seen of waves: those of a load, those of none, and the two to draw: at no load and nearest to the rating. */
function wavesOf({ captures: { seen }, record }: Analysis) {
  const placed = seen.filter(({ load, volts }) => load !== undefined && volts.wave)
  const loose = seen.filter((one) => !placed.includes(one))
  const rated = ratedPower(record.revision.unit)
  const loaded = placed.filter(({ step }) => step !== undefined)
  const far = (one: SeenWave) => Math.abs(wattsOf(one) - (rated ?? Infinity))
  const nearest =
    rated === undefined
      ? loaded.at(-1)
      : loaded.reduce<SeenWave | undefined>(
          (best, one) => (!best || far(one) < far(best) ? one : best),
          undefined,
        )
  const idle = placed.find(({ step }) => step === undefined)
  return { placed, loose, drawn: [idle, nearest].filter((one): one is SeenWave => one !== undefined) }
}

/** The waves at no load and at the step nearest to rated; the others in a line each. */
export function WavesPart({ state: { trial }, analysis }: ReportProps) {
  if (!analysis.captures.seen.length) return null
  const { placed, loose, drawn } = wavesOf(analysis)
  return (
    <Section title="Waves">
      <ul>
        {placed.map((one) => (
          <li key={one.entry.id}>
            {one.load}
            {isFigure(one.P) && one.step !== undefined ? ` (${say(one.P.x.value, 'W')})` : ''}:{' '}
            {sayCapture(one.entry.reading.figures)}
            {one.entry.reading.picture && ' Estimated, from a picture.'}
          </li>
        ))}
        {loose.map(({ entry }) => (
          <li key={entry.id}>
            {entry.reading.reference ? `Reference, ${entry.reading.reference}` : entry.reading.name}:{' '}
            {sayCapture(entry.reading.figures)}
          </li>
        ))}
      </ul>
      <div className="grid gap-4 md:grid-cols-2 print:grid-cols-2">
        {drawn.map(({ entry, load, volts }) => (
          <WaveDrawing
            key={entry.id}
            title={load ?? ''}
            fileName={`${trial.title} ${load ?? ''}`}
            unit="V"
            period={entry.reading.figures.frequency && 1 / entry.reading.figures.frequency.value}
            waves={[{ name: load ?? '', cycle: volts.wave?.cycle ?? [], rms: volts.rms }]}
          />
        ))}
      </div>
    </Section>
  )
}

/** The harmonics of the waves that are drawn. */
export function HarmonicsPart({ analysis }: ReportProps) {
  const { drawn } = wavesOf(analysis)
  if (!drawn.length) return null
  return (
    <Section title="Harmonics">
      <FitTable className="max-w-4xl">
        <thead>
          <tr>
            <th>% of the fundamental</th>
            <th className="right">THD</th>
            <th className="right">floor</th>
            {printed.map((h) => (
              <th key={h} className="right">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody className="figures">
          {drawn.map(({ entry, load, volts: { wave } }) =>
            wave ? (
              <tr key={entry.id}>
                <td className="font-sans">{load}</td>
                <td className="right">{say(100 * wave.thd, '')}</td>
                <td className="right">{say(100 * wave.floor, '', 2)}</td>
                {printed.map((h) => (
                  <td key={h} className="right">
                    {wave.harmonics[h - 1] === undefined
                      ? '–'
                      : formatNumber((100 * (wave.harmonics[h - 1] ?? 0)) / wave.fundamental, 2)}
                  </td>
                ))}
              </tr>
            ) : null,
          )}
        </tbody>
      </FitTable>
    </Section>
  )
}

export const SagsPart = ({ analysis: { captures } }: ReportProps) =>
  captures.sag && <SagPart sag={captures.sag} />
