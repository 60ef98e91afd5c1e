import { rawKinds, type Instrument, type Recipe } from '@even-watt/contract'
import { farFrom, legVolts, plain, say, shortened } from '@even-watt/core'
import { recipeFits } from '@even-watt/core/waveform/index'
import { useEffect, useMemo, useState } from 'react'
import { api } from '../api/api'
import { capture } from '../outbox/capture'
import { bytesIn, holdFile } from '../outbox/files'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { readNumber, SelectField, TextField, typed } from '../ui/form'
import { Notice } from '../ui/Notice'
import { Belonging, type BelongsTo } from './Belonging'
import { typicalInstrument } from './instrument'
import { formOf, meanings, recipeOf, type RecipeForm } from './recipeForm'
import { useSamples, type Opened } from './samples/useSamples'
import { WaveDrawing } from './WaveDrawing'
import { channelWords, sayCapture, unitOfChannel } from './words'

interface Props {
  readonly file: File
  readonly belongsTo: BelongsTo
  readonly onDone: () => void
}

/** A capture before it is kept: what each column is taken for, what follows from it, and what it belongs to. */
export function Bring({ file, belongsTo, onDone }: Props) {
  const samples = useSamples()
  const [bytes, setBytes] = useState<ArrayBuffer>()
  const [why, setWhy] = useState<string>()
  const [raw, setRaw] = useState<Recipe['raw']>()
  const { open, cancel } = samples
  useEffect(() => {
    let left = false
    void bytesIn(file).then((read) => {
      if (left) return
      if ('why' in read) setWhy(read.why)
      else setBytes(read.bytes)
    })
    return () => {
      left = true
    }
  }, [file])
  useEffect(() => {
    // The worker takes a copy: the bytes are still to be kept.
    if (bytes) open(bytes, raw)
  }, [bytes, raw, open])
  // Without the server nothing is remembered, and the capture is kept all the same.
  const { isLoading } = api.useRecipesQuery(undefined, { refetchOnMountOrArgChange: true })

  return (
    <section className="border-y border-ink py-2" aria-label={`Bring in ${file.name}`}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2>{file.name}</h2>
        {samples.progress !== undefined && (
          <span className="text-quiet" role="status">
            Reading … {Math.round(100 * samples.progress)} %{' '}
            <button type="button" className="plain-link" onClick={cancel}>
              Cancel
            </button>
          </span>
        )}
        <button type="button" className="plain-link ml-auto" onClick={onDone}>
          Leave it
        </button>
      </div>
      {why !== undefined && <Notice kind="problem">{why}</Notice>}
      {samples.fault !== undefined && (
        <>
          <Notice kind="problem">{samples.fault}</Notice>
          <SelectField
            label="Read it as"
            className="max-w-xs"
            value={raw ?? ''}
            options={[
              ['', 'what it is'] as const,
              ...rawKinds.map((kind) => [kind, `bare numbers, ${kind}`] as const),
            ]}
            onChange={({ target }) => setRaw(rawKinds.find((kind) => kind === target.value))}
          />
        </>
      )}
      {samples.opened && !isLoading && bytes && (
        <Preview
          key={raw ?? ''}
          file={file}
          bytes={bytes}
          raw={raw}
          opened={samples.opened}
          samples={samples}
          belongsTo={belongsTo}
          onDone={onDone}
        />
      )}
    </section>
  )
}

interface PreviewProps extends Props {
  readonly bytes: ArrayBuffer
  readonly raw: Recipe['raw']
  readonly opened: Opened
  readonly samples: ReturnType<typeof useSamples>
}

function Preview({ file, bytes, raw, opened, samples, belongsTo, onDone }: PreviewProps) {
  const { trial, analysis } = useTrial()
  const { data: remembered = [] } = api.useRecipesQuery()
  const [newest] = remembered.filter(({ recipe }) => recipeFits(recipe, opened.columns.length))
  const [instrument, setInstrument] = useState<Instrument>(newest?.instrument ?? typicalInstrument)
  const [percent, setPercent] = useState(typed((newest?.instrument ?? typicalInstrument).percent))
  const [form, setForm] = useState<RecipeForm>(() => laid(opened, newest?.recipe, raw))
  const [place, setPlace] = useState(belongsTo)
  const [what, setWhat] = useState('')
  const [faults, setFaults] = useState<readonly string[]>([])
  const { recipe, faults: wrong } = useMemo(() => recipeOf(form), [form])
  const { work, worked } = samples
  useEffect(() => {
    if (recipe) work(recipe)
  }, [recipe, work])

  const change = (i: number, part: Partial<RecipeForm['columns'][number]>) =>
    setForm({
      ...form,
      columns: form.columns.map((column, k) => (k === i ? { ...column, ...part } : column)),
    })
  const { unit } = analysis.record.revision
  const nominal = legVolts(unit)
  const accuracy = readNumber(percent)

  const keep = async () => {
    if (!worked || !recipe) return
    const held = await holdFile(bytes, file)
    const captured = capture(trial.id, {
      revision: analysis.record.revision.number,
      kind: 'capture',
      reading: {
        ...held,
        ...place,
        recipe,
        figures: worked.figures,
        instrument: {
          name: instrument.name,
          percent: accuracy.value ?? NaN,
          ...(accuracy.value === typicalInstrument.percent ? { typical: true } : {}),
        },
        ...(what.trim() ? { what: what.trim() } : {}),
      },
    })
    if ('faults' in captured) {
      setFaults(captured.faults.map(({ message }) => message))
      return
    }
    await captured.kept
    answer(`${file.name} is kept.`)
    onDone()
  }

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        void keep()
      }}
    >
      {[...opened.notes, ...(worked?.notes ?? [])].map((note) => (
        <Notice key={note} kind="odd" word="Said of it">
          {note}
        </Notice>
      ))}
      <div className="grid gap-x-6 gap-y-3 lg:grid-cols-[1.1fr_1fr]">
        <div>
          <p className="font-semibold" role="status">
            {worked
              ? sayCapture(worked.figures)
              : recipe
                ? 'Working it out …'
                : 'Something is still to be said.'}
          </p>
          {worked && <Factor worked={worked.figures} nominal={nominal} form={form} onChange={change} />}
          {worked?.figures.channels[0] && worked.cycles[0] && (
            <WaveDrawing
              title="One cycle"
              fileName={file.name}
              unit={unitOfChannel(worked.figures.channels[0].quantity)}
              period={worked.figures.frequency && 1 / worked.figures.frequency.value}
              waves={[
                {
                  name: file.name,
                  cycle: worked.cycles[0].mean,
                  rms: worked.figures.channels[0].rms,
                  ...worked.cycles[0],
                },
              ]}
            />
          )}
        </div>
        <div>
          <div className="grid gap-2">
            {opened.columns.map(({ heading, first }, i) => (
              <fieldset key={i} className="grid grid-cols-[1.4fr_1fr] items-start gap-2">
                <legend className="text-[0.9rem]">
                  Column {i + 1}
                  {heading && <span className="font-semibold"> “{heading}”</span>}{' '}
                  <span className="text-quiet figures">
                    {first.map((value) => plain(value)).join(' · ')} …
                  </span>
                </legend>
                <SelectField
                  label="holds"
                  value={form.columns[i]?.meaning ?? ''}
                  error={wrong[i]}
                  options={meanings.map(
                    (meaning) =>
                      [
                        meaning,
                        meaning === '' ? 'not used' : meaning === 'time' ? 'the time' : channelWords[meaning],
                      ] as const,
                  )}
                  onChange={({ target }) =>
                    change(i, { meaning: meanings.find((meaning) => meaning === target.value) ?? '' })
                  }
                />
                {form.columns[i]?.meaning ? (
                  <TextField
                    label={opened.ofFullScale ? 'full scale stands for' : 'one of its units is'}
                    unit={
                      form.columns[i]?.meaning === 'time'
                        ? 's'
                        : unitOfChannel(form.columns[i]?.meaning as 'V_C')
                    }
                    value={form.columns[i]?.factor ?? ''}
                    inputMode="decimal"
                    onChange={({ target }) => change(i, { factor: target.value })}
                  />
                ) : (
                  <span />
                )}
              </fieldset>
            ))}
            {wrong['columns'] !== undefined && <Notice kind="problem">{wrong['columns']}</Notice>}
            {!form.columns.some(({ meaning }) => meaning === 'time') && (
              <TextField
                label="Samples a second"
                value={form.rate}
                error={wrong['rate']}
                inputMode="decimal"
                onChange={({ target }) => setForm({ ...form, rate: target.value })}
              />
            )}
            <Belonging value={place} onChoose={setPlace} />
            <div className="grid grid-cols-2 gap-2">
              <TextField
                label="Instrument"
                value={instrument.name}
                list="instruments"
                onChange={({ target }) => {
                  const known = remembered.find((one) => one.instrument.name === target.value)
                  setInstrument(known?.instrument ?? { ...instrument, name: target.value })
                  if (known) setPercent(typed(known.instrument.percent))
                  if (known && recipeFits(known.recipe, opened.columns.length))
                    setForm(laid(opened, known.recipe, raw))
                }}
              />
              <datalist id="instruments">
                {remembered.map(({ instrument: { name } }) => (
                  <option key={name} value={name} />
                ))}
              </datalist>
              <TextField
                label="Accuracy with probe"
                unit="%"
                value={percent}
                error={accuracy.why}
                hint={
                  percent === typed(typicalInstrument.percent) ? 'typical, not from its manual' : undefined
                }
                inputMode="decimal"
                onChange={({ target }) => setPercent(target.value)}
              />
            </div>
            <TextField
              label="What it shows"
              value={what}
              placeholder="in a word or two, or nothing"
              onChange={({ target }) => setWhat(target.value)}
            />
          </div>
          {faults.map((fault) => (
            <Notice key={fault} kind="problem">
              {fault}
            </Notice>
          ))}
          <button type="submit" className="action action-main mt-3" disabled={!worked}>
            Keep this capture
          </button>
        </div>
      </div>
    </form>
  )
}

/** A remembered recipe over this file's columns, else what is guessed of them; the file's own rate counts. */
function laid(opened: Opened, remembered: Recipe | undefined, raw: Recipe['raw']): RecipeForm {
  const count = opened.columns.length
  // Headings that name their units say more than what another file was.
  const named = opened.columns.some(({ heading }) => /[VA]\b/.test(heading))
  const recipe = remembered && !named && recipeFits(remembered, count) ? remembered : opened.guess
  const rate = opened.rate ?? recipe.rate
  return formOf({ ...recipe, ...(rate === undefined ? {} : { rate }), ...(raw ? { raw } : {}) }, count)
}

interface FactorProps {
  readonly worked: Parameters<typeof sayCapture>[0]
  readonly nominal: number
  readonly form: RecipeForm
  readonly onChange: (column: number, part: { factor: string }) => void
}

/** A probe whose factor was not set shows as a power of ten: offered to be put right in one tap. */
function Factor({ worked, nominal, form, onChange }: FactorProps) {
  const volts = worked.channels.find(({ quantity }) => quantity === 'V_C')
  const column = form.columns.findIndex(({ meaning }) => meaning === 'V_C')
  const far = farFrom({ figures: worked }, undefined, nominal)
  if (!volts || column < 0 || !far) return null
  const old = readNumber(form.columns[column]?.factor).value ?? 1
  const { captured, read, tens } = far
  return (
    <Notice kind="odd">
      {say(captured, 'V')} RMS, where the label says {say(read, 'V')}:{' '}
      {tens
        ? 'the probe’s factor was not set. '
        : `its factor is not known. Read the outlet with a meter meanwhile, and type what gives its volts; for ${say(read, 'V')} it is ${say((old * read) / captured, '', 4)}.`}
      {tens && (
        <button
          type="button"
          className="plain-link"
          onClick={() => onChange(column, { factor: typed(shortened(old * tens, 12)) })}
        >
          Take it times {plain(tens)}
        </button>
      )}
    </Notice>
  )
}
