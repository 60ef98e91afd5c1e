import { alarms, ends, fanStates, loadKinds } from '@even-watt/contract'
import type { KeyboardEvent } from 'react'
import { Choice, Short } from './EntryField'
import type { DraftState } from './useDraft'

interface Props {
  readonly state: Pick<DraftState, 'draft' | 'change'>
  readonly onKey: (event: KeyboardEvent) => void
}

/** What is chosen of a step: kind of load, fan, alarm, how it ended and how long it was held. */
export const EntryChoices = ({ state: { draft, change }, onKey }: Props) => (
  <>
    <Choice label="kind" value={draft.kind} options={loadKinds} onChange={(kind) => change({ kind })} />
    <Choice label="fan" value={draft.fan} options={['', ...fanStates]} onChange={(fan) => change({ fan })} />
    <Choice label="alarm" value={draft.alarm} options={alarms} onChange={(alarm) => change({ alarm })} />
    <Choice label="ended" value={draft.end} options={ends} onChange={(end) => change({ end })} />
    <Short label="held, s" value={draft.held} onChange={(held) => change({ held })} onKeyDown={onKey} />
  </>
)
