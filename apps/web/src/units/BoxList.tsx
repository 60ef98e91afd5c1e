import type { StoredUnit } from '@even-watt/contract'
import { includedLeads, outletMap } from '@even-watt/core'
import { Notice } from '../ui/Notice'

const many = (count: number | undefined) => (count === undefined ? '' : `${count} × `)

/** What came in the box, what must be bought before it works, and whether the leads in it carry what the label promises. */
export function BoxList({ unit }: { unit: StoredUnit }) {
  const leads = includedLeads(unit)
  const map = outletMap(unit)
  const bought = (unit.box ?? []).filter(({ needs }) => needs)
  return (
    <>
      {leads?.faults.map((fault) => (
        <Notice key={fault} kind="odd" word="Leads">
          {fault}
        </Notice>
      ))}
      {leads && !leads.faults.length && (
        <Notice kind="good" word="Leads">
          {leads.fits} Drop and length are the rig’s to tell.
        </Notice>
      )}
      {bought.length > 0 && (
        <Notice kind="odd" word="To be bought">
          {bought.map(({ what, needs }) => `${what}: ${needs}`).join('. ')}.
        </Notice>
      )}
      <Lines title={unit.region ? `In the box, ${unit.region}` : 'In the box'} lines={unit.box ?? []} />
      <Lines
        title="Outlets and ports"
        lines={(unit.outlets ?? []).map((one, i) => ({
          ...one,
          remark: [map.outlets[i]?.sentence, one.remark].filter(Boolean).join('; '),
        }))}
      />
      {map.together.map((sentence) => (
        <p key={sentence} className="max-w-prose">
          {sentence}
        </p>
      ))}
    </>
  )
}

interface Line {
  readonly what: string
  readonly count?: number | undefined
  readonly remark?: string | undefined
}

function Lines({ title, lines }: { title: string; lines: readonly Line[] }) {
  if (!lines.length) return null
  return (
    <div className="mt-2">
      <h3 className="text-quiet text-[0.85rem] font-semibold">{title}</h3>
      <ul>
        {lines.map(({ what, count, remark }, i) => (
          <li key={i}>
            {many(count)}
            {what}
            {remark && <span className="text-quiet">: {remark}</span>}
          </li>
        ))}
      </ul>
    </div>
  )
}
