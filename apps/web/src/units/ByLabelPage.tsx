import type { StoredUnit } from '@even-watt/contract'
import { capital, chooseAmong, featuresNoted, formatNumber, say, type Wanted } from '@even-watt/core'
import { Link } from 'react-router'
import { api } from '../api/api'
import { FitTable } from '../ui/FitTable'
import { readNumber, TextField } from '../ui/form'
import { KeptNotice } from '../ui/KeptNotice'
import { Loaded } from '../ui/Loaded'
import { Page } from '../ui/Page'
import { useKept } from '../ui/useKept'
import { sayPrice } from './sayPrice'

const blank = { bank: '', watts: '', surge: '', transfer: '', price: '', features: [] as readonly string[] }
type WantedForm = typeof blank

const numbers = [
  ['bank', 'For a bank of', 'V'],
  ['watts', 'Watts for good', 'W'],
  ['surge', 'For a moment', 'W'],
  ['transfer', 'Passes over within', 'ms'],
  ['price', 'Costs at most', ''],
] as const

/** Units that nobody tested yet, or that were: chosen among by their labels, and by what they have. */
export function ByLabelPage() {
  return (
    <Page title="Choose by the label">
      <p className="text-quiet mb-3 max-w-prose">
        What a label says, not what was measured: a first choice among models. Type what you must have; what
        does not do is set aside, each with why.{' '}
        <Link className="plain-link" to="/needs">
          By what was measured
        </Link>
      </p>
      <Loaded query={api.useUnitsQuery()} what="the units">
        {(units) => (units.length ? <Choose units={units} /> : <p>No unit is described yet.</p>)}
      </Loaded>
    </Page>
  )
}

function Choose({ units }: { readonly units: readonly StoredUnit[] }) {
  const { typed: form, ...kept } = useKept<WantedForm>('by label', blank, { ...blank, features: [''] })
  const read = numbers.map(([key]) => [key, readNumber(form[key])] as const)
  const value = (key: (typeof numbers)[number][0]) => read.find(([one]) => one === key)?.[1].value
  const transfer = value('transfer')
  const wanted: Wanted = {
    bank: value('bank'),
    watts: value('watts'),
    surge: value('surge'),
    transfer: transfer === undefined ? undefined : transfer / 1000,
    price: value('price'),
    features: form.features,
  }
  const choices = chooseAmong(units, wanted)
  const noted = featuresNoted(units)
  return (
    <>
      {kept.restored && <KeptNotice onDiscard={kept.discard} />}
      <div className="no-print mb-3 grid max-w-3xl grid-cols-2 gap-3 md:grid-cols-5">
        {numbers.map(([key, label, unit]) => (
          <TextField
            key={key}
            label={label}
            {...(unit ? { unit } : {})}
            inputMode="decimal"
            value={form[key]}
            error={read.find(([one]) => one === key)?.[1].why}
            onChange={({ target }) => kept.put({ ...form, [key]: target.value })}
          />
        ))}
      </div>
      {noted.length > 0 && (
        <fieldset className="no-print mb-3 flex flex-wrap gap-x-5 gap-y-1">
          <legend className="font-semibold">It must have</legend>
          {noted.map((what) => (
            <label key={what} className="flex items-center gap-2">
              <input
                type="checkbox"
                checked={form.features.includes(what)}
                onChange={({ target }) =>
                  kept.put({
                    ...form,
                    features: target.checked
                      ? [...form.features, what]
                      : form.features.filter((one) => one !== what),
                  })
                }
              />
              {what}
            </label>
          ))}
        </fieldset>
      )}
      <FitTable>
        <thead>
          <tr>
            <th className="right" />
            <th>unit</th>
            <th className="right">rated</th>
            <th className="right">for a moment</th>
            <th className="right">price</th>
            <th className="right">for each rated watt</th>
            <th>what speaks against it</th>
          </tr>
        </thead>
        <tbody>
          {choices.map(({ unit, says, against, open, place }) => (
            <tr key={unit.id} className={place === undefined ? 'text-quiet' : ''}>
              <td className="figures right">{place === undefined ? '–' : `${place}.`}</td>
              <td>
                <Link className="plain-link font-semibold" to={`/units/${unit.id}`}>
                  {unit.name}
                </Link>
              </td>
              <td className="figures right whitespace-nowrap">
                {says.watts === undefined ? '–' : say(says.watts, 'W')}
              </td>
              <td className="figures right whitespace-nowrap">
                {says.surge === undefined ? '–' : say(says.surge, 'W')}
              </td>
              <td className="figures right whitespace-nowrap">{says.price ? sayPrice(says.price) : '–'}</td>
              <td className="figures right whitespace-nowrap">
                {says.perWatt === undefined
                  ? '–'
                  : `${formatNumber(says.perWatt, 3)} ${says.price?.currency ?? ''}/W`}
              </td>
              <td>
                {against.length ? (
                  <span className="text-madder">■ {against.join(' ')}</span>
                ) : open.length ? (
                  <span className="text-ochre">▲ {capital(open.join(', '))}: not known.</span>
                ) : (
                  <span className="text-moss">● nothing</span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </FitTable>
    </>
  )
}
