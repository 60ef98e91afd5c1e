import type { CaptureFigures } from '@even-watt/contract'
import { exact, formatNumber, plateauShare, say } from '@even-watt/core'
import { analyseCapture, imagine, reasonsFor, type Imagined } from '@even-watt/core/waveform/index'
import { useMemo, useState } from 'react'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { readNumber, TextField } from '../ui/form'
import { Notice } from '../ui/Notice'
import { figuresOf, powerFigures } from './figures'
import { FigureTable } from './FigureTable'
import { HarmonicBars } from './HarmonicBars'
import { MeterTable } from './MeterTable'
import { Slider } from './Slider'
import { WaveDrawing, WaveLegend } from './WaveDrawing'
import { sayCapture } from './words'

type Kind = 'sine' | 'stepped'

const begin = { plateau: 70, droop: 0, clip: 100, third: 0, fifth: 0, degrees: 0, load: 0 }

/** A wave made by hand, to learn what meters make of it, or to explain two readings that differ. */
export function TryPage() {
  const { trial, analysis } = useTrial()
  const { unit, number } = analysis.record.revision
  // Those that hang on the rig, without what captured.
  const meters = trial.revisions.find((revision) => revision.number === number)?.meters ?? []
  const [kind, setKind] = useState<Kind>(unit.wave === 'stepped' ? 'stepped' : 'sine')
  const [set, setSet] = useState(begin)
  const [halfWave, setHalfWave] = useState(false)
  const [rms, setRms] = useState(unit.outputVoltage)
  const wave = useMemo(
    (): Imagined => ({
      rms,
      frequency: unit.outputFrequency,
      halfWave,
      ...(kind === 'stepped'
        ? { plateau: set.plateau / 100, droop: set.droop / 100 }
        : {
            clip: set.clip / 100,
            harmonics: [
              { h: 3, share: set.third / 100, degrees: set.degrees },
              { h: 5, share: set.fifth / 100, degrees: set.degrees },
            ],
          }),
      ...(set.load > 0 ? { electronicLoad: set.load } : {}),
    }),
    [kind, set, halfWave, rms, unit.outputFrequency],
  )
  const { figures, cycles } = useMemo(() => analyseCapture(imagine(wave)), [wave])
  const [volts, amps] = figures.channels
  const sound = { name: 'imagined', percent: 0 }
  const slide = (key: keyof typeof begin) => (value: number) => setSet({ ...set, [key]: value })
  return (
    <>
      <StageHead title="Try a wave" revisions={false} />
      <p className="text-quiet mb-2 max-w-prose">
        Not a reading: a wave to play with. It shows what a bent wave does to figures and to meters.
      </p>
      <p className="min-h-6 text-[1.1rem] font-semibold" role="status">
        {sayCapture(figures)}
      </p>
      <p className="min-h-12 max-w-prose">
        {volts?.wave && reasonsFor(volts.wave, { ...volts, crest: crestOf(volts) }).join(' ')}
      </p>
      <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[1fr_1.4fr]">
        <div className="grid content-start gap-2">
          <div className="flex gap-4" role="group" aria-label="Kind of wave">
            {(['sine', 'stepped'] as const).map((one) => (
              <label key={one} className="flex items-baseline gap-1">
                <input type="radio" name="kind" checked={kind === one} onChange={() => setKind(one)} />
                {one}
              </label>
            ))}
            <label className="flex items-baseline gap-1">
              <input
                type="checkbox"
                checked={halfWave}
                onChange={(event) => setHalfWave(event.target.checked)}
              />
              half wave only
            </label>
          </div>
          {kind === 'stepped' ? (
            <>
              <Slider
                label="Plateau’s share of the half cycle"
                unit="%"
                low={20}
                high={100}
                value={set.plateau}
                onSlide={slide('plateau')}
              />
              <Slider
                label="Droop of the plateau"
                unit="%"
                low={0}
                high={40}
                value={set.droop}
                onSlide={slide('droop')}
              />
            </>
          ) : (
            <>
              <Slider
                label="Cut off at this share of the peak"
                unit="%"
                low={50}
                high={100}
                value={set.clip}
                onSlide={slide('clip')}
              />
              <Slider
                label="Third harmonic"
                unit="%"
                low={0}
                high={40}
                value={set.third}
                onSlide={slide('third')}
              />
              <Slider
                label="Fifth harmonic"
                unit="%"
                low={0}
                high={40}
                value={set.fifth}
                onSlide={slide('fifth')}
              />
              <Slider
                label="Their phase"
                unit="°"
                low={0}
                high={360}
                value={set.degrees}
                onSlide={slide('degrees')}
              />
            </>
          )}
          <Slider
            label="Electronic load"
            unit="W"
            low={0}
            high={500}
            value={set.load}
            onSlide={slide('load')}
          />
          <TwoReadings
            onFit={(share, volts_) => {
              setKind('stepped')
              setHalfWave(false)
              setRms(volts_)
              setSet({ ...set, plateau: Math.round(1000 * share) / 10, droop: 0 })
            }}
          />
        </div>
        <div className="min-w-0">
          {volts && cycles[0] && (
            <Picture figures={figures} index={0} cycle={cycles[0].mean} title="Volts" unit="V" />
          )}
          {amps && cycles[1] && (
            <Picture figures={figures} index={1} cycle={cycles[1].mean} title="Current" unit="A" />
          )}
        </div>
      </div>
      {volts?.wave && <MeterTable channel={volts} frequency={unit.outputFrequency} meters={meters} />}
      <div className="mt-4 grid gap-x-8 gap-y-4 lg:grid-cols-[1.4fr_1fr]">
        <div>
          {volts?.wave && (
            <HarmonicBars wave={volts.wave} fileName="imagined harmonics" claimed={undefined} />
          )}
        </div>
        <div>
          {volts && <FigureTable title="Figures" figures={figuresOf(volts, figures, sound)} />}
          <FigureTable title="Power" figures={powerFigures(figures, sound)} />
        </div>
      </div>
    </>
  )
}

const crestOf = ({ max, min, dc, rms }: CaptureFigures['channels'][number]) =>
  Math.max(max - dc, dc - min) / Math.sqrt(Math.max(1e-12, rms ** 2 - dc ** 2))

function Picture({
  figures,
  index,
  cycle,
  title,
  unit,
}: {
  figures: CaptureFigures
  index: number
  cycle: ArrayLike<number>
  title: string
  unit: 'V' | 'A'
}) {
  const channel = figures.channels[index]
  if (!channel) return null
  const waves = [{ name: title, cycle, rms: channel.rms }]
  return (
    <>
      <WaveDrawing
        title={title}
        fileName={`imagined ${title.toLowerCase()}`}
        unit={unit}
        period={figures.frequency && 1 / figures.frequency.value}
        waves={waves}
      />
      <WaveLegend waves={waves} />
    </>
  )
}

/** Two meters that differ: the stepped wave on which both are right. */
function TwoReadings({ onFit }: { onFit: (share: number, volts: number) => void }) {
  const [typed, setTyped] = useState({ average: '', rms: '' })
  const [said, setSaid] = useState<string>()
  const average = readNumber(typed.average)
  const rms = readNumber(typed.rms)
  const fit = () => {
    if (!(average.value && rms.value && average.value > 0 && rms.value > 0)) {
      setSaid('Type what each of the two meters read, in volts above 0.')
      return
    }
    const share = plateauShare(exact(average.value), exact(rms.value))
    if (!share || share.value > 1 || share.value < 0.1) {
      setSaid(
        share && share.value < 0.1
          ? 'No stepped wave makes meters differ so much: one of them stands on another range, or reads something else.'
          : `No stepped wave makes an average-responding meter read ${formatNumber(100 * (average.value / rms.value - 1), 1)} % high: at most 11 % are possible. Look at the meters.`,
      )
      return
    }
    onFit(share.value, rms.value)
    setSaid(
      `Both are right on a stepped wave of ${say(rms.value, 'V')} that stands at its top for ${say(100 * share.value, '%')} of each half cycle. ${Math.abs(average.value / rms.value - 1) < 0.01 ? 'So near each other, a sine explains them as well.' : ''}`,
    )
  }
  return (
    <form
      className="mt-2 border-t border-rule pt-2"
      onSubmit={(event) => {
        event.preventDefault()
        fit()
      }}
    >
      <h2>Two meters that differ</h2>
      <div className="grid grid-cols-2 gap-2">
        <TextField
          label="An average-responding one reads"
          unit="V"
          value={typed.average}
          error={average.why}
          inputMode="decimal"
          onChange={({ target }) => setTyped({ ...typed, average: target.value })}
        />
        <TextField
          label="A true-RMS one reads"
          unit="V"
          value={typed.rms}
          error={rms.why}
          inputMode="decimal"
          onChange={({ target }) => setTyped({ ...typed, rms: target.value })}
        />
      </div>
      <button type="submit" className="action mt-2">
        Make it fit these two
      </button>
      {said !== undefined && (
        <Notice
          kind={said.startsWith('Both') ? 'good' : 'odd'}
          word={said.startsWith('Both') ? 'It fits' : 'Check this'}
        >
          {said}
        </Notice>
      )}
    </form>
  )
}
