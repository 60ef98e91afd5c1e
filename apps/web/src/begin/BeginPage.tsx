import type { Settings } from '@even-watt/contract'
import { mainsSystems, waves, type Problem } from '@even-watt/contract'
import { meterKinds, quantityData, voltsAt } from '@even-watt/core'
import { useId, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { v7 } from 'uuid'
import { api, problemOf } from '../api/api'
import { ChooseWish } from '../answers/ChooseWish'
import { readerNow } from '../ui/reader'
import { SelectField, TextField, same } from '../ui/form'
import { Loaded } from '../ui/Loaded'
import { ProblemNotice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { useKept } from '../ui/useKept'
import { beginningOf, blankBegin, type BeginForm, type Beginning } from './begin'
import { useBegin } from './useBegin'

const benchMeters = ['multimeter 0.5 % + 2', 'clamp 400 A 2 % + 3']
const stationMeters = ['plug wattmeter', 'USB meter']

/** From nothing to the first reading: a unit, a rig and meters in one line each; all else can be filled in later. */
export function BeginPage() {
  const settings = api.useSettingsQuery()
  return (
    <Page title="Begin in a minute">
      <p className="text-quiet mb-3 max-w-prose">
        A line each is enough to read; everything can be filled in later. With all that is known of unit, rig
        and meters:{' '}
        <Link className="plain-link" to="/trials/new">
          start a trial
        </Link>{' '}
        from what stands in the lists.
      </p>
      <Loaded query={settings} what="what the bench was asked before">
        {(known) => <Begin known={known} />}
      </Loaded>
    </Page>
  )
}

function Begin({ known }: { readonly known: Settings | null }) {
  const { data: here = [] } = api.useMetersQuery()
  const { data: rigs = [] } = api.useRigsQuery()
  const { typed: form, ...kept } = useKept<BeginForm>(
    'begin',
    { ...blankBegin, mains: known?.mains ?? '', by: readerNow() ?? '' },
    { ...blankBegin, meters: [''] },
  )
  const [insisted, setInsisted] = useState(false)
  const [problem, setProblem] = useState<Problem>()
  const [ids] = useState(makeIds)
  const { begin, busy } = useBegin()
  const navigate = useNavigate()
  const kinds = useId()
  const beginning = beginningOf(form, here, ids, rigs)
  const faultAt = (name: string) => (insisted ? beginning.faults[name] : undefined)
  const change = (patch: Partial<BeginForm>) => kept.put({ ...form, ...patch })
  const text = (name: 'name' | 'volts' | 'watts' | 'Wh' | 'rig' | 'by') => ({
    value: form[name],
    error: faultAt(name),
    onChange: (event: { target: { value: string } }) => change({ [name]: event.target.value }),
  })
  const station = form.kind === 'power station'
  const submit = async () => {
    setInsisted(true)
    if (Object.keys(beginning.faults).length || !beginning.rig) return
    try {
      const trial = await begin(form, beginning, ids, known)
      kept.saved(form, form)
      await navigate(`/trials/${trial}/answers`)
    } catch (error) {
      setProblem(problemOf(error))
    }
  }
  return (
    <form
      noValidate
      className="grid max-w-3xl gap-5"
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
    >
      {problem && <ProblemNotice problem={problem} />}
      <section className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <div className="col-span-full flex flex-wrap items-baseline gap-x-5">
          <h2>The unit</h2>
          <span role="group" aria-label="What kind of unit it is" className="flex gap-4">
            {(['inverter', 'power station'] as const).map((kind) => (
              <button
                key={kind}
                type="button"
                aria-pressed={form.kind === kind}
                className={form.kind === kind ? 'font-bold' : 'plain-link'}
                onClick={() => change({ kind })}
              >
                {kind === 'inverter' ? 'an inverter' : 'a power station'}
              </button>
            ))}
          </span>
        </div>
        <TextField label="Name" {...text('name')} className="col-span-2" autoFocus />
        {station ? (
          <TextField label="Its store, on the label" unit="Wh" {...text('Wh')} inputMode="decimal" />
        ) : (
          <TextField label="Nominal input" unit="V DC" {...text('volts')} inputMode="decimal" />
        )}
        <TextField label="On the label" unit="W" {...text('watts')} inputMode="decimal" />
        <SelectField
          label="Its wave, as the label says"
          value={form.wave}
          onChange={(event) => change({ wave: event.target.value as BeginForm['wave'] })}
          options={waves.map((wave) => [wave, wave === 'unstated' ? 'not said' : wave] as const)}
          className="col-span-2"
        />
        {known === null && (
          <>
            <SelectField
              label="Mains of your place"
              value={form.mains}
              error={faultAt('mains')}
              onChange={(event) => change({ mains: event.target.value })}
              options={[['', 'choose once'], ...same(mainsSystems)]}
              className="col-span-2"
            />
            <TextField
              label="Currency"
              value={form.currency}
              maxLength={3}
              error={faultAt('currency')}
              onChange={(event) => change({ currency: event.target.value })}
            />
            <SelectField
              label="Units"
              value={form.units}
              onChange={(event) => change({ units: event.target.value })}
              options={[
                ['metric', 'm, °C, mm², kg'],
                ['american', 'ft, °F, AWG, lb'],
              ]}
            />
          </>
        )}
      </section>
      {!station && (
        <section>
          <h2>The rig</h2>
          <TextField
            label="Bank, leads, fuse"
            placeholder="12 V 100 Ah AGM, leads as supplied, fuse 100 A"
            list={`${kinds} rigs`}
            {...text('rig')}
          />
          <datalist id={`${kinds} rigs`}>
            {[...new Set(rigs.map(({ name }) => name))].map((name) => (
              <option key={name} value={name} />
            ))}
          </datalist>
          {beginning.rigLine.understood.length > 0 && (
            <p className="text-quiet">
              Understood: {beginning.rigLine.understood.join(' · ')}
              {beginning.sameRig !== undefined && ' · a rig that is here already, with the same meters'}
            </p>
          )}
        </section>
      )}
      <section className="grid gap-2">
        <h2>The meters</h2>
        <p className="text-quiet">
          One of yours by its name, one in a few words with what its manual says (“clamp 400 A 2 % + 3”), or
          just its kind: then what is usual for the kind is taken, wide, and marked so.
        </p>
        <datalist id={kinds}>
          {[...here.map(({ name }) => name), ...meterKinds].map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
        {form.meters.map((line, i) => (
          <TextField
            key={i}
            label={`Meter ${i + 1}`}
            list={kinds}
            placeholder={(station ? stationMeters : benchMeters)[i] ?? 'plug wattmeter'}
            value={line}
            error={faultAt(`meters.${i}`)}
            hint={readsOf(beginning, i, form)}
            onChange={(event) =>
              change({ meters: form.meters.map((one, at) => (at === i ? event.target.value : one)) })
            }
          />
        ))}
        <div className="flex flex-wrap items-center gap-4">
          {form.meters.length < 8 && (
            <button
              type="button"
              className="plain-link"
              onClick={() => change({ meters: [...form.meters, ''] })}
            >
              One more meter
            </button>
          )}
          {!station && (
            <label className="flex items-center gap-1">
              <span className="text-quiet">DC volts are read at</span>
              <select
                className="input w-auto"
                value={form.voltsAt}
                onChange={(event) => change({ voltsAt: event.target.value as BeginForm['voltsAt'] })}
              >
                {voltsAt.map((one) => (
                  <option key={one}>{one}</option>
                ))}
              </select>
            </label>
          )}
        </div>
      </section>
      <section className="flex flex-wrap items-end gap-3">
        <ChooseWish
          value={form.wanted}
          otherwise="all that such a unit is asked"
          onChange={(wanted) => change({ wanted })}
        />
        <TextField label="Your initials" {...text('by')} maxLength={20} className="w-32" />
        <button type="submit" className="action action-main" disabled={busy}>
          {busy ? 'Setting up …' : 'Begin'}
        </button>
      </section>
    </form>
  )
}

/** What a meter will be asked for, in words, and whether its accuracy is only typical. */
function readsOf({ meters, rig }: Beginning, at: number, form: BeginForm): string | undefined {
  const line = form.meters[at]?.trim()
  const place = form.meters.slice(0, at + 1).filter((one) => one.trim()).length - 1
  const named = line ? meters[place] : undefined
  if (!named || !rig) return undefined
  const reads = rig.assignments
    .filter(({ meter }) => meter === named.id)
    .flatMap(({ quantity }) => (quantity === 'idle I' ? [] : quantityData[quantity].words))
  const typical = named.meter.typical ? '; typical of its kind, not from its manual' : ''
  return reads.length
    ? `Reads ${reads.join(', ')}${typical}.`
    : 'Another one reads all that it could: it stays in the list.'
}

function makeIds() {
  const made = new Map<string, string>()
  return {
    part: (place: string): string => {
      const id = made.get(place) ?? v7()
      made.set(place, id)
      return id
    },
  }
}
