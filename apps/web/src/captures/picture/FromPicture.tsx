import { say } from '@even-watt/core'
import { faultOfCorners, liftTrace, type Lifted } from '@even-watt/core/waveform/index'
import { analyseCapture } from '@even-watt/core/waveform/index'
import { useEffect, useMemo, useRef, useState } from 'react'
import { capture } from '../../outbox/capture'
import { bytesIn, holdFile } from '../../outbox/files'
import { useTrial } from '../../trials/useTrial'
import { answer } from '../../ui/answers'
import { readNumber, TextField } from '../../ui/form'
import { Notice } from '../../ui/Notice'
import { Belonging, type BelongsTo } from '../Belonging'
import { pictured } from '../instrument'
import { WaveDrawing } from '../WaveDrawing'
import { sayCapture } from '../words'
import { Handle } from './Handle'
import { pixelsOf, type Pixels } from './pixels'
import { coordinate } from '../../ui/coordinate'

interface Props {
  readonly file: File
  readonly belongsTo: BelongsTo
  readonly onDone: () => void
}

const cornerNames = [
  'top left corner',
  'top right corner',
  'bottom right corner',
  'bottom left corner',
] as const

type Spot = { readonly x: number; readonly y: number }

/** A wave lifted from the picture of a scope’s screen: corners of its grid, what it spans, the trace’s colour. */
export function FromPicture({ file, belongsTo, onDone }: Props) {
  const [pixels, setPixels] = useState<Pixels>()
  const [why, setWhy] = useState<string>()
  useEffect(() => {
    let left = false
    void pixelsOf(file).then((read) => {
      if (left) return
      if ('why' in read) setWhy(read.why)
      else setPixels(read)
    })
    return () => {
      left = true
    }
  }, [file])
  return (
    <section className="border-y border-ink py-2" aria-label={`Bring in ${file.name}`}>
      <div className="flex items-baseline gap-4">
        <h2>{file.name}</h2>
        <button type="button" className="plain-link ml-auto" onClick={onDone}>
          Leave it
        </button>
      </div>
      {why !== undefined && <Notice kind="problem">{why}</Notice>}
      {pixels && <Marking file={file} pixels={pixels} belongsTo={belongsTo} onDone={onDone} />}
    </section>
  )
}

function Marking({ file, pixels, belongsTo, onDone }: Props & { pixels: Pixels }) {
  const { trial, analysis } = useTrial()
  const { width, height } = pixels.picture
  const [corners, setCorners] = useState<readonly [Spot, Spot, Spot, Spot]>([
    { x: 0.1 * width, y: 0.1 * height },
    { x: 0.9 * width, y: 0.1 * height },
    { x: 0.9 * width, y: 0.9 * height },
    { x: 0.1 * width, y: 0.9 * height },
  ])
  const [onTrace, setOnTrace] = useState<Spot>(pixels.likely)
  const [spans, setSpans] = useState({ time: '', volts: '' })
  const [place, setPlace] = useState(belongsTo)
  const [faults, setFaults] = useState<readonly string[]>([])
  const canvas = useRef<HTMLCanvasElement>(null)
  const time = readNumber(spans.time)
  const volts = readNumber(spans.volts)
  const colour = pixels.colourAt(onTrace)
  const spanned = (time.value ?? 0) > 0 && (volts.value ?? 0) > 0
  const lifted = useMemo((): Lifted | { fault: string } | undefined => {
    const fault = faultOfCorners(corners)
    if (fault) return { fault }
    // What it spans is no matter for where the trace lies.
    return liftTrace(pixels.picture, {
      corners,
      colour,
      seconds: (time.value ?? 0) > 0 ? (time.value ?? 1) / 1000 : 1,
      volts: (volts.value ?? 0) > 0 ? (volts.value ?? 1) : 1,
      middle: 0,
    })
    // The colour is that of the spot.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [pixels, corners, onTrace, time.value, volts.value])
  const trace = lifted && 'trace' in lifted ? lifted : undefined
  const analysed = useMemo(
    () => (trace && spanned ? analyseCapture(trace.sampled) : undefined),
    [trace, spanned],
  )
  useEffect(() => {
    const ground = canvas.current?.getContext('2d')
    if (ground) ground.putImageData(pixels.image, 0, 0)
  }, [pixels])

  const keep = async () => {
    const read = await bytesIn(file)
    if (!analysed || 'why' in read) return
    const { figures } = analysed
    const captured = capture(trial.id, {
      revision: analysis.record.revision.number,
      kind: 'capture',
      reading: {
        ...(await holdFile(read.bytes, file)),
        ...place,
        picture: true,
        instrument: pictured,
        recipe: { rate: figures.rate, channels: [{ column: 0, quantity: 'V_C', factor: 1 }] },
        figures,
      },
    })
    if ('faults' in captured) {
      setFaults(captured.faults.map(({ message }) => message))
      return
    }
    await captured.kept
    answer(`${file.name} is kept, as an estimate.`)
    onDone()
  }

  const grid = [...corners, corners[0]].map(({ x, y }) => `${x},${y}`).join(' ')
  return (
    <form
      className="grid gap-x-6 gap-y-3 lg:grid-cols-[1.3fr_1fr]"
      onSubmit={(event) => {
        event.preventDefault()
        void keep()
      }}
    >
      <div className="relative min-w-0 touch-none self-start">
        <canvas
          ref={canvas}
          width={width}
          height={height}
          className="block h-auto w-full border border-rule"
        />
        <svg
          viewBox={`0 0 ${width} ${height}`}
          className="pointer-events-none absolute inset-0 h-full w-full"
          aria-hidden
        >
          <polyline points={grid} fill="none" stroke="var(--copper)" strokeWidth={width / 400} />
          {trace && (
            <polyline
              points={trace.trace.map(({ x, y }) => `${coordinate(x)},${coordinate(y)}`).join(' ')}
              fill="none"
              stroke="var(--madder)"
              strokeWidth={width / 350}
            />
          )}
        </svg>
        {corners.map((spot, i) => (
          <Handle
            key={i}
            name={cornerNames[i] ?? ''}
            shape="corner"
            spot={spot}
            within={{ width, height }}
            onMove={(to) =>
              setCorners(corners.map((one, k) => (k === i ? to : one)) as unknown as typeof corners)
            }
          />
        ))}
        <Handle
          name="spot on the trace"
          shape="spot"
          spot={onTrace}
          within={{ width, height }}
          onMove={setOnTrace}
        />
      </div>
      <div className="grid content-start gap-2">
        <p className="text-quiet">
          Put the four corners on those of the grid, going round, and the ring on the trace. Drag, or step
          through them with Tab and move them with the arrows (Shift: ten at once).
        </p>
        <div className="grid grid-cols-2 gap-2">
          <TextField
            label="The grid spans from left to right"
            unit="ms"
            value={spans.time}
            error={time.why}
            inputMode="decimal"
            placeholder="divisions × ms each"
            onChange={({ target }) => setSpans({ ...spans, time: target.value })}
          />
          <TextField
            label="and from bottom to top"
            unit="V"
            value={spans.volts}
            error={volts.why}
            inputMode="decimal"
            placeholder="divisions × V each"
            onChange={({ target }) => setSpans({ ...spans, volts: target.value })}
          />
        </div>
        {lifted && 'fault' in lifted && <Notice kind="problem">{lifted.fault}</Notice>}
        {analysed && (
          <>
            <p className="font-semibold" role="status">
              {sayCapture(analysed.figures)} <span className="text-ochre">estimated</span>
            </p>
            {analysed.cycles[0] && analysed.figures.channels[0] && (
              <WaveDrawing
                title="One cycle"
                fileName={file.name}
                unit="V"
                period={analysed.figures.frequency && 1 / analysed.figures.frequency.value}
                waves={[
                  { name: file.name, cycle: analysed.cycles[0].mean, rms: analysed.figures.channels[0].rms },
                ]}
              />
            )}
            {trace && (
              <p className="text-quiet">
                Half the trace’s thickness is {say(trace.half, 'V', 2)}: nearer than that nothing is known. It
                shows the class and decides no promise.
              </p>
            )}
          </>
        )}
        <Belonging value={place} onChoose={setPlace} />
        {faults.map((fault) => (
          <Notice key={fault} kind="problem">
            {fault}
          </Notice>
        ))}
        <button type="submit" className="action action-main justify-self-start" disabled={!analysed}>
          Keep this picture
        </button>
      </div>
    </form>
  )
}
