import {
  atTheComputer,
  devicesMay,
  shortestPassphrase,
  type LanState,
  type Problem,
} from '@even-watt/contract'
import { useState } from 'react'
import { api, problemOf } from '../api/api'
import { shortDate, shortTime } from '../ui/dates'
import { TextField } from '../ui/form'
import { Loaded } from '../ui/Loaded'
import { Notice, ProblemNotice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { FitTable } from '../ui/FitTable'

/** A phone at the bench: the local network’s door, and who was let in. */
export function PhonePage() {
  const query = api.useLanQuery()
  return (
    <Page title="Phone at the bench">
      <Loaded query={query} what="how the bench stands on the local network">
        {(state) => <Door state={state} />}
      </Loaded>
    </Page>
  )
}

function Door({ state }: { readonly state: LanState }) {
  const [turn, { isLoading }] = api.useSwitchLanMutation()
  const [passphrase, setPassphrase] = useState('')
  const [shutOut, setShutOut] = useState(false)
  const [made, setMade] = useState<string>()
  const [problem, setProblem] = useState<Problem>()
  const own = passphrase.trim()
  const tooShort = own !== '' && own.length < shortestPassphrase
  const set = async (on: boolean) => {
    try {
      const next = await turn({ on, ...(own ? { passphrase: own, shutOut } : {}) }).unwrap()
      setMade(next.madePassphrase)
      setPassphrase('')
      setShutOut(false)
      setProblem(undefined)
    } catch (error) {
      setProblem(problemOf(error))
    }
  }
  return (
    <div className="grid max-w-3xl gap-5">
      <p>
        {state.on
          ? 'Devices of the local network may come in, over TLS and with the passphrase.'
          : 'Only this computer reaches Even Watt now. Let a phone of the same network in, to read with it at the bench. It comes in by a passphrase, over TLS.'}
      </p>
      {problem && <ProblemNotice problem={problem} />}
      {made !== undefined && (
        <Notice kind="good" word="Passphrase">
          <span className="figures text-lg font-semibold">{made}</span> It is shown this once; write it down,
          or set one of your own.
        </Notice>
      )}
      {state.on && (
        <section className="grid gap-4 sm:grid-cols-[auto_1fr]">
          {state.code !== undefined && (
            <img
              className="h-44 w-44 border border-rule"
              alt={`Code to scan: ${state.addresses[0] ?? ''}`}
              src={`data:image/svg+xml,${encodeURIComponent(state.code)}`}
            />
          )}
          <div>
            <p>
              Scan the code, or open{' '}
              <span className="figures font-semibold">
                {state.addresses.join(' or ') || 'no network is there'}
              </span>{' '}
              on the phone.
            </p>
            <p className="mt-2">
              The phone will warn that it does not know the certificate, which was made here. Compare its
              SHA-256 fingerprint before you go on:
            </p>
            <p className="figures break-all">{state.fingerprint}</p>
          </div>
        </section>
      )}
      <section className="flex flex-wrap items-start gap-3">
        <TextField
          label={state.hasPassphrase ? 'A new passphrase' : 'Passphrase'}
          type="password"
          autoComplete="new-password"
          value={passphrase}
          error={tooShort ? `${shortestPassphrase} characters at least.` : undefined}
          hint={state.hasPassphrase ? 'left empty: as it is' : 'left empty: one is made and shown once'}
          onChange={(event) => setPassphrase(event.target.value)}
          className="w-80"
        />
        <button
          type="button"
          className="action action-main mt-5"
          disabled={isLoading || tooShort || (state.on && !own)}
          onClick={() => void set(true)}
        >
          {state.on ? 'Set the passphrase' : 'Let devices in'}
        </button>
        {state.on && (
          <button type="button" className="action mt-5" disabled={isLoading} onClick={() => void set(false)}>
            Shut the door
          </button>
        )}
      </section>
      {own && state.devices.some((device) => !device.shutOut) && (
        <label className="flex items-baseline gap-2">
          <input type="checkbox" checked={shutOut} onChange={(event) => setShutOut(event.target.checked)} />
          Shut out all devices that came in by the passphrase of before
        </label>
      )}
      <section className="grid gap-3 sm:grid-cols-2">
        <Rights title="What a device may do" of={devicesMay} />
        <Rights title="Only at this computer" of={atTheComputer} />
      </section>
      <Devices state={state} />
    </div>
  )
}

function Rights({ title, of }: { readonly title: string; readonly of: readonly string[] }) {
  return (
    <div>
      <h2>{title}</h2>
      <ul className="list-disc pl-5">
        {of.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
    </div>
  )
}

function Devices({ state: { devices } }: { readonly state: LanState }) {
  const [shutOut] = api.useShutOutMutation()
  if (!devices.length) return null
  const when = (at: string) => `${shortDate(at)} ${shortTime(at)}`
  return (
    <section>
      <h2>Devices</h2>
      <FitTable>
        <thead>
          <tr>
            <th>device</th>
            <th>let in</th>
            <th>last seen</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {devices.map(({ id, name, letInAt, seenAt, shutOut: out }) => (
            <tr key={id} className={out ? 'text-quiet' : ''}>
              <td>{name}</td>
              <td className="figures">{when(letInAt)}</td>
              <td className="figures">{when(seenAt)}</td>
              <td>
                {out ? (
                  'shut out'
                ) : (
                  <button type="button" className="plain-link" onClick={() => void shutOut(id)}>
                    Shut out
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </FitTable>
    </section>
  )
}
