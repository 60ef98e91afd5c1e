import type { EntryOf } from '@even-watt/contract'
import { besideNoLoad, claimedValue, plain, readingsOf, say, sayExtremes, steadiness } from '@even-watt/core'
import { reasonsFor, skewEffect, powerTerms, type WaveEvent } from '@even-watt/core/waveform/index'
import { useEffect, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { bytesOf } from '../outbox/bytes'
import { OddityNotices } from '../oddities/OddityNotices'
import { StageHead } from '../trials/StageHead'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'
import { shortDate, shortTime } from '../ui/dates'
import { Notice } from '../ui/Notice'
import { figuresOf, powerFigures, rippleImpedance } from './figures'
import { FigureTable } from './FigureTable'
import { HarmonicBars } from './HarmonicBars'
import { MeterTable } from './MeterTable'
import { useSamples, type Worked } from './samples/useSamples'
import { WaveDrawing, WaveLegend } from './WaveDrawing'
import { WholeRecord } from './WholeRecord'
import { channelWords, nameOf, outletOf, sayCapture, unitOfChannel } from './words'

/** One capture: its answer, its wave, harmonics, figures, and what meters make of it. */
export function WavePage() {
  const { analysis, view } = useTrial()
  const [search] = useSearchParams()
  const id = search.get('of')
  const entry = view.analyses
    .flatMap(({ record }) => readingsOf(record, 'capture'))
    .find((capture) => capture.id === id)
  if (!entry)
    return (
      <>
        <StageHead title="Wave" />
        <p>This capture is not here, or was taken back.</p>
      </>
    )
  return <Shown key={`${entry.id} ${analysis.record.revision.number}`} entry={entry} />
}

function Shown({ entry }: { entry: EntryOf<'capture'> }) {
  const { trial, analysis, view } = useTrial()
  const { reading } = entry
  const samples = useSamples()
  const [away, setAway] = useState<string>()
  const [shown, setShown] = useState(0)
  const { open, work, opened, worked } = samples
  // Not the reading itself: with other figures it is another, and its samples, zoomed and marked, are the same.
  const { picture, sha256, recipe } = reading
  useEffect(() => {
    if (picture) return undefined
    let left = false
    bytesOf(sha256)
      .then((bytes) => {
        if (!left) open(bytes, recipe.raw)
      })
      .catch((error: unknown) => {
        if (!left) setAway(error instanceof Error ? error.message : 'Its bytes are not here.')
      })
    return () => {
      left = true
    }
  }, [picture, sha256, recipe, open])
  useEffect(() => {
    if (opened) work(recipe)
  }, [opened, recipe, work])

  const { figures, instrument } = reading
  const { unit, number } = analysis.record.revision
  // Those that hang on the rig, without what captured.
  const meters = trial.revisions.find((revision) => revision.number === number)?.meters ?? []
  const channel = figures.channels[shown]
  const frequency = figures.frequency?.value
  const oddities = useOddities().filter(({ at }) => at.entry === entry.id)
  const seen = analysis.captures.seen.find((one) => one.entry.id === entry.id)
  const load = seen?.load
  const told = seen
    ? [
        sayExtremes(seen),
        steadiness(seen),
        besideNoLoad(analysis.captures.seen).find((one) => one.load === seen.load)?.sentence,
      ]
    : []
  const cycle = worked?.cycles[shown]
  const drawn =
    channel &&
    (cycle
      ? { name: nameOf(reading), cycle: cycle.mean, rms: channel.rms, low: cycle.low, high: cycle.high }
      : channel.wave && { name: nameOf(reading), cycle: channel.wave.cycle, rms: channel.rms })
  const peak = channel && Math.max(channel.max - channel.dc, channel.dc - channel.min)
  const moving = channel && Math.sqrt(Math.max(1e-12, channel.rms ** 2 - channel.dc ** 2))
  const reasons =
    channel?.wave && peak !== undefined && moving !== undefined
      ? reasonsFor(channel.wave, { rms: channel.rms, dc: channel.dc, crest: peak / moving })
      : []
  return (
    <>
      <StageHead title={load ?? nameOf(reading)}>
        <Link className="plain-link" to={`/trials/${trial.id}/waves`}>
          All waves
        </Link>
        <a
          className="plain-link"
          href={`/api/blobs/${reading.sha256}?${new URLSearchParams({ name: reading.name }).toString()}`}
          download
        >
          The file as it came
        </a>
      </StageHead>
      <p className="text-[1.15rem] font-semibold">
        {sayCapture(figures)}{' '}
        {reading.picture && <span className="text-ochre">estimated, from a picture</span>}
      </p>
      <p className="max-w-prose">
        {shown > 0 && reasons.length > 0 && channel && `The ${channelWords[channel.quantity]}: `}
        {reasons.join(' ')}
      </p>
      <p className="max-w-prose">{told.filter(Boolean).join(' ')}</p>
      <p className="text-quiet">
        {reading.name}, {instrument.name}, {shortDate(entry.at)} {shortTime(entry.at)}:{' '}
        {say(figures.rate, '', 4)} samples a second, {say(figures.seconds, 's')}
        {figures.cycles > 0 && `, harmonics from ${figures.cycles} whole cycles`}
        {figures.frequency && figures.frequency.high / figures.frequency.low > 1.006
          ? `; its frequency wanders from ${say(figures.frequency.low, '', 4)} to ${say(figures.frequency.high, 'Hz', 4)}, so each cycle was taken by itself`
          : ''}
        .
      </p>
      <WorkedAgain again={view.record.worked.get(entry.id)} />
      <OddityNotices oddities={oddities} />
      {away !== undefined && <Notice kind="odd">{away} What was kept of it is shown.</Notice>}
      {samples.fault !== undefined && <Notice kind="problem">{samples.fault}</Notice>}
      {figures.channels.length > 1 && (
        <div className="no-print my-1 flex flex-wrap gap-4" role="group" aria-label="Channel shown">
          {figures.channels.map(({ quantity }, i) => (
            <button
              key={quantity}
              type="button"
              aria-pressed={i === shown}
              className={i === shown ? 'font-bold' : 'plain-link'}
              onClick={() => setShown(i)}
            >
              {channelWords[quantity]}
            </button>
          ))}
        </div>
      )}
      <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[1.4fr_1fr]">
        <div className="min-w-0">
          {drawn && channel && (
            <>
              <WaveDrawing
                title={channelWords[channel.quantity]}
                fileName={`${trial.title} ${nameOf(reading)}`}
                unit={unitOfChannel(channel.quantity)}
                period={frequency && 1 / frequency}
                waves={[drawn]}
              />
              <WaveLegend waves={[drawn]} />
            </>
          )}
          {worked && (
            <WholeRecord
              figures={worked.figures}
              samples={samples}
              fileName={`${trial.title} ${nameOf(reading)} record`}
            />
          )}
          {!worked && !reading.picture && away === undefined && (
            <p className="text-quiet" style={{ height: 180 }} role="status">
              Reading the samples …
            </p>
          )}
          {channel?.wave && (
            <HarmonicBars
              wave={channel.wave}
              fileName={`${trial.title} ${nameOf(reading)} harmonics`}
              claimed={
                channel.quantity === 'V_C' && !reading.reference ? claimedValue(unit, 'THD') : undefined
              }
            />
          )}
        </div>
        <div className="min-w-0">
          {channel && (
            <FigureTable
              title="Figures"
              figures={figuresOf(channel, figures, instrument)}
              entry={entry.id}
              grade={reading.picture ? 'estimated' : 'measured'}
            />
          )}
          <FigureTable
            title="Power of both channels"
            figures={powerFigures(figures, instrument)}
            entry={entry.id}
          />
          <Skew figures={figures} />
          <Impedance figures={figures} />
          <Events worked={worked} samples={samples} usual={outletOf(reading)?.rms ?? unit.outputVoltage} />
        </div>
      </div>
      {channel?.wave && frequency !== undefined && (
        <MeterTable channel={channel} frequency={frequency} meters={meters} />
      )}
    </>
  )
}

/** Its bytes gave other figures than it came with, or none. */
function WorkedAgain({ again }: { again: EntryOf<'worked again'> | undefined }) {
  if (!again) return null
  return (
    <Notice kind="odd">
      {'fault' in again.found
        ? `Its bytes cannot be worked: ${again.found.fault} It decides nothing.`
        : `Its bytes were worked again here on ${shortDate(again.at)}. What it came with said otherwise, and does not count.`}
    </Notice>
  )
}

function Skew({ figures }: { figures: EntryOf<'capture'>['reading']['figures'] }) {
  const [volts, amps] = (['V_C', 'I_C'] as const).map((wanted) =>
    figures.channels.find(({ quantity }) => quantity === wanted),
  )
  const terms = volts && amps && figures.P !== undefined ? powerTerms(volts, amps, figures.P) : undefined
  if (!terms || !figures.frequency) return null
  const watts = skewEffect(terms, figures.frequency.value, 1 / figures.rate)
  return (
    <p className="text-quiet mt-1 text-[0.9rem]">
      If one channel lags the other by a sample ({say(1e6 / figures.rate, 'µs')},{' '}
      {say((360 * figures.frequency.value) / figures.rate, '°')}), P is off by {say(watts, 'W')}.
    </p>
  )
}

function Impedance({ figures }: { figures: EntryOf<'capture'>['reading']['figures'] }) {
  const ohms = rippleImpedance(figures)
  return ohms === undefined ? null : (
    <p className="mt-1">
      What lies behind the terminals has {say(1000 * ohms, 'mΩ')} at twice the output’s frequency: ripple of
      the volts over ripple of the amperes.
    </p>
  )
}

const eventWords = { dip: 'dip to', swell: 'swell to', interruption: 'interruption, down to' } as const

/** What was out of the ordinary, by the RMS of half cycles. */
function Events({
  worked,
  samples,
  usual,
}: {
  worked: Worked | undefined
  samples: ReturnType<typeof useSamples>
  usual: number
}) {
  const [events, setEvents] = useState<readonly WaveEvent[]>()
  const channel = worked?.figures.channels.findIndex(({ quantity }) => quantity === 'V_C') ?? -1
  const frequency = worked?.figures.frequency?.value
  const { ask } = samples
  useEffect(() => {
    if (channel < 0 || frequency === undefined) return undefined
    let left = false
    void ask((worker) => worker.halfCycles(channel, frequency, usual)).then((found) => {
      if (!left) setEvents(found)
    })
    return () => {
      left = true
    }
  }, [ask, channel, frequency, usual])
  if (!events?.length) return null
  return (
    <section className="mt-2">
      <h2>Out of the ordinary</h2>
      <ul>
        {events.slice(0, 20).map(({ kind, at, lasts, worst }) => (
          <li key={at}>
            At {say(at, 's')}: {eventWords[kind]} {say(worst, 'V')} (
            {plain(Math.round((100 * worst) / usual))} % of {plain(usual)} V), for {say(lasts, 's')}.
          </li>
        ))}
        {events.length > 20 && <li>and {events.length - 20} more.</li>}
      </ul>
    </section>
  )
}
