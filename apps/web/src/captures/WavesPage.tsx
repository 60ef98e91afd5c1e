import type { EntryOf } from '@even-watt/contract'
import { capturesOf, channelOf, plain, readingsOf, recordedOf, type Analysis } from '@even-watt/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useOnRig } from '../catalogue/useOnRig'
import { Verdict } from '../evidence/Verdict'
import { WhoMinds } from '../minds/WhoMinds'
import { OddityNotices } from '../oddities/OddityNotices'
import { Struck } from '../trials/Struck'
import { StageHead } from '../trials/StageHead'
import { TakingBack } from '../trials/TakingBack'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'
import { AddWave } from './AddWave'
import { useLikelyReading } from './Belonging'
import { MiniWave } from './MiniWave'
import { BesideNoLoad } from './BesideNoLoad'
import { SagPart } from './SagPart'
import { WaveDrawing, WaveLegend } from './WaveDrawing'
import { nameOf, outletOf, sayCapture, sayClass, unitOfChannel } from './words'
import { FitTable } from '../ui/FitTable'

/** What was connected when each capture of a rig was taken; of its input that is said. */
const placesIn = ({ record, ladder }: Analysis): (readonly [string, string])[] => {
  const named = (captures: readonly EntryOf<'capture'>[], load: string) =>
    captures.map(({ id, reading }) => [id, channelOf(reading, 'V_C') ? load : `${load}, its input`] as const)
  return [
    ...named(capturesOf(record, readingsOf(record, 'no load')), 'nothing connected'),
    ...ladder.steps.flatMap(({ step, load }) => named(step.captures, load)),
  ]
}

/** Waves that were captured on this rig: what they are, over each other, and why they sag. */
export function WavesPage() {
  const { trial, analysis, view } = useTrial()
  const likely = useLikelyReading()
  const on = useOnRig(view.analyses, analysis)
  const [takingBack, setTakingBack] = useState<string>()
  const [over, setOver] = useState<ReadonlySet<string>>(new Set())
  const recorded = recordedOf(analysis.record, 'capture')
  const places = new Map(view.analyses.flatMap(placesIn))
  const others = view.analyses.flatMap((other) =>
    other === analysis
      ? []
      : recordedOf(other.record, 'capture').filter(({ id }) => !view.record.struckWhy.has(id)),
  )
  const oddities = useOddities().filter(({ number }) => number === 24 || number === 31 || number === 32)
  const promised = view.findings.filter(({ claim }) => claim.quantity === 'wave' || claim.quantity === 'THD')
  const title = (entry: EntryOf<'capture'>) => {
    const load = places.get(entry.id)
    const own = entry.reading.what ?? load ?? nameOf(entry.reading)
    return entry.revision === analysis.record.revision.number ? own : `rig ${entry.revision}: ${own}`
  }
  const waves = [...recorded, ...others].flatMap((entry) => {
    const channel = channelOf(entry.reading, 'V_C')
    return over.has(entry.id) && channel?.wave
      ? [{ name: title(entry), cycle: channel.wave.cycle, rms: channel.rms }]
      : []
  })
  const toggle = (id: string) => {
    const next = new Set(over)
    if (!next.delete(id)) next.add(id)
    setOver(next)
  }
  return (
    <>
      <StageHead title="Waves" />
      {promised.map(({ claim, standing }) => (
        <p key={claim.id}>
          <Verdict outcome={standing.outcome} /> {standing.sentence}
        </p>
      ))}
      {recorded.length === 0 && (
        <p className="mb-2 max-w-prose">
          No wave on this rig yet. Add what a scope, a logger or a sound card recorded, or a photograph of a
          scope’s screen. What kind of wave it is follows. Never clip an earthed scope’s ground lead to the
          output: differential or isolated probe.
        </p>
      )}
      <AddWave belongsTo={likely} />
      <OddityNotices oddities={oddities} />
      {recorded.length > 0 && (
        <FitTable className="mt-2 min-w-[40rem]">
          <thead>
            <tr>
              <th className="no-print">draw</th>
              <th>at</th>
              <th />
              <th>what it is</th>
              <th>instrument</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {recorded.map((entry) => {
              const why = view.record.struckWhy.get(entry.id)
              const channel = outletOf(entry.reading)
              return (
                <tr key={entry.id}>
                  <td className="no-print">
                    <label className="flex">
                      <input
                        type="checkbox"
                        aria-label={`Draw ${title(entry)} over the others`}
                        checked={over.has(entry.id)}
                        disabled={why !== undefined || !channel?.wave}
                        onChange={() => toggle(entry.id)}
                      />
                    </label>
                  </td>
                  <td className={why === undefined ? '' : 'line-through'}>
                    <Link className="plain-link font-semibold" to={`/trials/${trial.id}/wave?of=${entry.id}`}>
                      {title(entry)}
                    </Link>
                  </td>
                  <td>
                    {channel?.wave && <MiniWave cycle={channel.wave.cycle} label={sayClass(channel.wave)} />}
                  </td>
                  <td className="md:whitespace-nowrap">
                    {sayCapture(entry.reading.figures)}
                    {entry.reading.picture && <span className="text-ochre"> estimated</span>}
                  </td>
                  <td className="text-quiet md:whitespace-nowrap">
                    {entry.reading.instrument.name}, ±{plain(entry.reading.instrument.percent)} %
                    {entry.reading.instrument.typical && ' typical'}
                  </td>
                  <td className="no-print text-right whitespace-nowrap">
                    {why === undefined ? (
                      <button type="button" className="plain-link" onClick={() => setTakingBack(entry.id)}>
                        Take back
                      </button>
                    ) : (
                      <Struck entry={entry.id} why={why} what={title(entry)} />
                    )}
                  </td>
                </tr>
              )
            })}
          </tbody>
        </FitTable>
      )}
      {others.length > 0 && (
        <p className="no-print mt-2 flex flex-wrap gap-x-4">
          <span className="text-quiet">From other rigs of this trial:</span>
          {others.map((entry) => (
            <label key={entry.id} className="flex items-baseline gap-1">
              <input type="checkbox" checked={over.has(entry.id)} onChange={() => toggle(entry.id)} />
              {title(entry)}
            </label>
          ))}
        </p>
      )}
      {waves.length > 0 && (
        <section className="mt-4">
          <WaveDrawing
            title="Over each other"
            fileName={`${trial.title} waves`}
            unit={unitOfChannel('V_C')}
            period={undefined}
            waves={waves}
          />
          <WaveLegend waves={waves} />
        </section>
      )}
      <BesideNoLoad analysis={analysis} />
      {analysis.captures.sag && <SagPart sag={analysis.captures.sag} />}
      <WhoMinds on={on} />
      <TakingBack entry={takingBack} what="this capture" onDone={() => setTakingBack(undefined)} />
    </>
  )
}
