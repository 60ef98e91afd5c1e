import type { StoredRig } from '@even-watt/contract'
import {
  checkRig,
  conductorResistance,
  describeBank,
  describeElement,
  expectedResistance,
  isFigure,
  placed,
  quantityData,
  type Analysis,
} from '@even-watt/core'
import { useMemo, useState } from 'react'
import { OddityNotices } from '../oddities/OddityNotices'
import { useTrial } from '../trials/useTrial'
import { shortDate, shortTime } from '../trials/WorkOrder'
import { Facts } from '../ui/Facts'
import { ChangeRig } from './ChangeRig'
import { rigToForm } from './form'
import { lossesAt } from './losses'
import { hungMeters } from './hung'
import { Remarks } from './Remarks'
import { RigDrawing } from './RigDrawing'
import { RigHead } from './RigTabs'

/** The rig as frozen into the trial; changing it makes the next revision, with why. */
export function RigStagePage() {
  const { trial, analysis, view } = useTrial()
  const { revision } = analysis.record
  const [changing, setChanging] = useState(false)
  const last = trial.revisions.at(-1)
  const oddities = (view.oddities[view.analyses.indexOf(analysis)] ?? []).filter(
    (oddity) => oddity.at.part === 'rig',
  )
  return (
    <>
      <RigHead>
        <button type="button" className="action" onClick={() => setChanging(true)}>
          Change the rig
        </button>
      </RigHead>
      <p className="text-quiet mb-3">
        Revision {revision.number}, {shortDate(revision.madeAt)} {shortTime(revision.madeAt)}: {revision.why}.
        Readings name the revision they were taken on.
      </p>
      <OddityNotices oddities={oddities} />
      <RigPicture analysis={analysis} />
      <Remarks remarks={checkRig(revision.rig)} name={(at) => nameOf(revision.rig, at)} />
      <RigFacts rig={revision.rig} meters={revision.meters} />
      {changing && last && <ChangeRig rig={last.rig} after={last.number} onDone={() => setChanging(false)} />}
    </>
  )
}

const nameOf = (rig: StoredRig, at: string) =>
  placed(rig).find(({ element }) => element.id === at)?.element.name ??
  rig.bank.strings.flat().find(({ id }) => id === at)?.name ??
  (at === 'bank' ? 'The bank' : `The ${at} side`)

/** The drawing with what each element gives off at a current; else at the highest that was read on it. */
export function RigPicture({ analysis, at }: { analysis: Analysis; at?: number }) {
  const { revision } = analysis.record
  const { rig, meters, unit } = revision
  const form = useMemo(() => rigToForm(rig), [rig])
  const most = Math.max(
    0,
    ...analysis.ladder.steps.map(({ read }) => (isFigure(read.I) ? read.I.x.value : 0)),
  )
  const current = at ?? most
  const survey = analysis.supply.surveys.at(-1)
  const losses = useMemo(
    () => (current > 0 ? lossesAt(rig, current, survey) : undefined),
    [rig, current, survey],
  )
  return (
    <figure>
      <RigDrawing
        rig={form}
        unit={unit.name}
        meters={hungMeters(form, meters)}
        {...(losses ? { losses } : {})}
      />
      {at === undefined && (
        <figcaption className="text-quiet text-[0.85rem]">
          {losses
            ? `Heat of each element at ${most.toFixed(1)} A, the most read on this rig; ${survey ? 'by the drop survey' : 'by what is expected of each: no drop survey yet'}.`
            : 'No current was read on this rig yet.'}
        </figcaption>
      )}
    </figure>
  )
}

export function RigFacts({
  rig,
  meters,
}: {
  rig: StoredRig
  meters: readonly { id: string; name: string }[]
}) {
  const { bank, support } = rig
  const facts: [string, string | undefined][] = [
    [
      'bank',
      `${describeBank(bank)}${bank.usableShare ? `, ${Math.round(bank.usableShare * 100)} % usable` : ''}`,
    ],
    ...bank.strings
      .flat()
      .map((battery): [string, string] => [
        battery.name,
        [
          `${battery.nominal} V ${battery.capacity} Ah ${battery.chemistry}`,
          battery.rest !== undefined && `rests at ${battery.rest} V`,
          battery.resistance === undefined
            ? 'resistance not known'
            : `${(battery.resistance * 1000).toPrecision(3)} mΩ`,
          battery.limit !== undefined && `BMS ${battery.limit} A`,
          battery.age !== undefined && `${battery.age} years`,
          battery.open && 'carries nothing',
        ]
          .filter(Boolean)
          .join(', '),
      ]),
    [
      'support',
      support &&
        `${support.name}, ${support.kind}, ${support.current} A${support.ownUse ? ` less ${support.ownUse} A of its own` : ''}`,
    ],
    ...placed(rig).map(({ side, element }): [string, string] => [
      `${side === 'positive' ? '+' : '−'} ${element.name}`,
      `${describeElement(element)}: ${(expectedResistance(element, rig.typical).value * 1000).toPrecision(3)} mΩ expected${
        element.kind === 'cable' && element.conductors.length > 1
          ? ` (${element.conductors.map((one) => (conductorResistance(one) * 1000).toPrecision(3)).join(' beside ')} mΩ)`
          : ''
      }`,
    ]),
    [
      'ripple correction',
      bank.rippleResistance
        ? `on, ${(bank.rippleResistance * 1000).toPrecision(3)} mΩ behind A`
        : 'off: the resistance at ripple frequency is not known',
    ],
    ['note', rig.note],
  ]
  const conductor = (on: string | undefined) => (on === undefined ? '' : nameOf(rig, on))
  return (
    <>
      <Facts facts={facts.filter(([, said]) => said !== undefined)} />
      <h2 className="mt-4">Meters at the taps</h2>
      {rig.assignments.length ? (
        <table className="list-table max-w-2xl">
          <thead>
            <tr>
              <th>quantity</th>
              <th>tap</th>
              <th>meter</th>
              <th>on</th>
            </tr>
          </thead>
          <tbody>
            {rig.assignments.map(({ quantity, meter, on }, i) => (
              <tr key={i}>
                <td>
                  {quantity}{' '}
                  <span className="text-quiet">
                    {quantity === 'idle I' ? 'input current at idle' : quantityData[quantity].words}
                  </span>
                </td>
                <td>{quantity === 'idle I' ? 'B' : quantityData[quantity].tap}</td>
                <td>{meters.find((candidate) => candidate.id === meter)?.name}</td>
                <td>{conductor(on)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : (
        <p>No meter is hung up: readings carry no uncertainty and settle no claim.</p>
      )}
    </>
  )
}
