import type { Conductor, StoredRig } from '@even-watt/contract'
import type { CableChoice } from '@even-watt/core'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, problemOf } from '../api/api'
import { Notice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { CurrentFromDrop } from './CurrentFromDrop'
import { SizingAdvice } from './SizingAdvice'

/** Cable and fuse without a trial; what fits can be put into a rig. */
export function CablePage() {
  const { data: rigs = [] } = api.useRigsQuery()
  const [save] = api.useSaveRigMutation()
  const [rig, setRig] = useState('')
  const [said, setSaid] = useState<{ kind: 'good' | 'problem'; words: string }>()
  const chosen = rigs.find(({ id }) => id === rig)

  const attach = async (choice: CableChoice, conductor: Conductor) => {
    if (!chosen) return
    const { id, version } = chosen
    try {
      await save({ id, editedFrom: version, content: withLeads(chosen, conductor, choice.fuse) }).unwrap()
      setSaid({ kind: 'good', words: `${chosen.name} has these leads and this fuse now.` })
    } catch (error) {
      setSaid({ kind: 'problem', words: problemOf(error).title })
    }
  }
  return (
    <Page title="Cable and fuse">
      <p className="text-quiet mb-2">
        For a unit’s watts at the lowest voltage it must work at. Choose a rig to put the result into; trials
        keep the rig they began with.
      </p>
      <label className="mb-3 flex flex-wrap items-center gap-2">
        <span className="text-quiet">put the result into</span>
        <select className="input w-auto" value={rig} onChange={(event) => setRig(event.target.value)}>
          <option value="">no rig</option>
          {rigs.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {said && <Notice kind={said.kind}>{said.words}</Notice>}
      <SizingAdvice
        power={1400}
        efficiency={0.92}
        nominal={24}
        lowest={21.6}
        ambient={30}
        {...(chosen
          ? {
              action: (choice: CableChoice, conductor: Conductor) => (
                <button type="button" className="plain-link" onClick={() => void attach(choice, conductor)}>
                  Put into the rig
                </button>
              ),
            }
          : {})}
      />
      <CurrentFromDrop />
    </Page>
  )
}

/** The rig with these conductors as its leads and this fuse as its fuse; what it had none of is added. */
function withLeads(rig: StoredRig, conductor: Conductor, fuse: number | undefined) {
  const side = (name: 'positive' | 'negative') => {
    const elements = rig[name].map((element) =>
      element.kind === 'cable'
        ? { ...element, conductors: [conductor] }
        : element.kind === 'fuse' && fuse !== undefined
          ? { ...element, continuous: fuse }
          : element,
    )
    return elements.some(({ kind }) => kind === 'cable')
      ? elements
      : [
          ...elements,
          {
            id: v7(),
            kind: 'cable' as const,
            name: `${name} lead`,
            conductors: [conductor],
            insulation: 105,
          },
        ]
  }
  const positive = side('positive')
  const fused = [...positive, ...rig.negative].some(({ kind }) => kind === 'fuse')
  return {
    ...rig,
    positive:
      fused || fuse === undefined
        ? positive
        : [{ id: v7(), kind: 'fuse' as const, name: 'fuse', continuous: fuse }, ...positive],
    negative: side('negative'),
  }
}
