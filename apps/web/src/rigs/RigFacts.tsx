import type { StoredRig } from '@even-watt/contract'
import {
  conductorResistance,
  describeBank,
  describeBattery,
  describeElement,
  expectedResistance,
  placed,
  plain,
  say,
  sayBankEnergy,
} from '@even-watt/core'
import { Facts } from '../ui/Facts'
import { HungMeters } from './HungMeters'

/** The rig in words, and which meter reads what. */
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
    ['it holds', sayBankEnergy(bank)],
    ...bank.strings
      .flat()
      .map((battery): [string, string] => [
        battery.name,
        [
          describeBattery(battery),
          battery.rest !== undefined && `rests at ${plain(battery.rest)} V`,
          battery.resistance === undefined ? 'resistance not known' : say(battery.resistance * 1000, 'mΩ'),
          battery.limit !== undefined && `BMS ${plain(battery.limit)} A`,
          battery.age !== undefined && `${battery.age} years`,
          battery.open && 'carries nothing',
        ]
          .filter(Boolean)
          .join(', '),
      ]),
    [
      'support',
      support &&
        `${support.name}, ${support.kind}, ${plain(support.current)} A${support.ownUse ? ` less ${plain(support.ownUse)} A of its own` : ''}`,
    ],
    ['leads', rig.leads === 'not known' ? 'as they came, size and length not known' : undefined],
    ...placed(rig).map(({ side, element }): [string, string] => [
      `${side === 'positive' ? '+' : '−'} ${element.name}`,
      `${describeElement(element)}: ${say(expectedResistance(element, rig.typical).value * 1000, 'mΩ')} expected${
        element.kind === 'cable' && element.conductors.length > 1
          ? ` (${element.conductors.map((one) => say(conductorResistance(one) * 1000, '')).join(' beside ')} mΩ)`
          : ''
      }`,
    ]),
    [
      'ripple correction',
      bank.rippleResistance
        ? `on, ${say(bank.rippleResistance * 1000, 'mΩ')} behind A`
        : 'off: the resistance at ripple frequency is not known',
    ],
    ['note', rig.note],
  ]
  return (
    <>
      <Facts facts={facts.filter(([, said]) => said !== undefined)} />
      <HungMeters rig={rig} meters={meters} />
    </>
  )
}
