import { plain } from '../figures'
import type { LadderPlanned, Rig, StoredLoad, Unit } from '@even-watt/contract'
import { hasFuse, placed } from '../rigs'
import { bankNominal, isLithium } from '../supply'
import { bondingOf } from '../units'

export interface Caution {
  /** Names it in the record. */
  readonly name: string
  readonly sentence: string
  /** Why it applies to this unit, rig and plan; a change of it asks again. */
  readonly because: string
}

export interface SafetyQuestion {
  readonly unit: Pick<Unit, 'outputVoltage' | 'wave' | 'phase' | 'inputVoltage'> &
    Partial<Pick<Unit, 'kind' | 'bonding'>>
  readonly rig: Pick<Rig, 'bank' | 'positive' | 'negative' | 'support' | 'bond'>
  readonly plan?: LadderPlanned | undefined
  readonly loads?: readonly StoredLoad[]
  /** Links of the rig with little margin at the plan's largest step, by name. */
  readonly nearLimit?: readonly string[]
}

/** Reminders of docs/method/safety.md, chosen by rig, unit and plan. Local codes and a licensed electrician decide. */
export const cautionsFor = (question: SafetyQuestion): Caution[] =>
  question.unit.kind === 'power station' ? ofStation(question) : ofInverter(question)

/** Of a station too: what its outlet and its loads can do. */
const atItsOutlet: ReadonlySet<string> = new Set([
  'mains voltage',
  'building wiring',
  'floating output',
  'one leg',
  'two bonds',
  'stepped wave',
  'heat',
  'motors',
])

/** A station has its store inside: posts and cables do not arise, its inputs and its store do. */
const ofStation = (question: SafetyQuestion): Caution[] => [
  ...ofInverter(question).filter(({ name }) => atItsOutlet.has(name)),
  {
    name: 'store inside',
    sentence:
      'Never open it: its store cannot be switched off, and its link stays charged. Swollen, dented or wet: leave it outside and do not charge it.',
    because: 'a store that nobody can disconnect',
  },
  {
    name: 'solar input',
    sentence:
      'Panels give their full volts in any light, and more when it is cold. Over the volts of the input they destroy it. Cover them before plugging or unplugging.',
    because: 'a charge input for panels',
  },
  {
    name: 'unattended',
    sentence:
      'Runs of hours: on stone, nothing that burns within a metre, a smoke alarm that is heard. Leave no heater and no charge alone.',
    because: 'run-downs and charges take hours',
  },
]

function ofInverter({ unit, rig, plan, loads = [], nearLimit = [] }: SafetyQuestion): Caution[] {
  const batteries = rig.bank.strings.flat()
  const bonding = bondingOf(unit, rig)
  const lead = batteries.filter(({ chemistry }) => !isLithium(chemistry))
  const lithium = batteries.filter(({ chemistry }) => isLithium(chemistry))
  const used = new Set(plan?.steps.flatMap(({ uses }) => uses.map(({ load }) => load)) ?? [])
  const motors = loads.filter(
    ({ id, kind }) => used.has(id) && (kind === 'induction motor' || kind === 'brush motor'),
  )
  const bank = `${plain(bankNominal(rig.bank))} V bank of ${batteries.length} ${batteries.length === 1 ? 'battery' : 'batteries'}`
  const names = (list: readonly { name: string }[]) => list.map(({ name }) => name).join(', ')
  return [
    ...placed(rig).flatMap(({ element: { id, name, warning } }) =>
      warning === undefined
        ? []
        : [{ name: `part ${id}`, sentence: warning, because: `noted at ${name}: ${warning}` }],
    ),
    {
      name: 'mains voltage',
      sentence: `The AC output is mains voltage (${plain(unit.outputVoltage)} V): it kills. Insulated leads rated for it, no bare joints, one hand where possible. A GFCI or RCD may not act on a floating output.`,
      because: `the unit gives ${plain(unit.outputVoltage)} V`,
    },
    {
      name: 'short circuit',
      sentence:
        'A battery gives thousands of amps into a short: fuse close to the post, insulated tools, no rings or watch. Fuse and breaker need the DC voltage of the bank.',
      because: bank,
    },
    ...(lithium.length
      ? [
          {
            name: 'breaking capacity',
            sentence:
              'Lithium batteries exceed the breaking capacity of ordinary strip fuses: the fuse must be made for them.',
            because: `lithium: ${names(lithium)}`,
          },
        ]
      : []),
    {
      name: 'fuse',
      sentence: hasFuse(rig)
        ? 'Never run without a fuse. Never work on a lug live or under load.'
        : 'This rig has no fuse. Never run without one. Never work on a lug live or under load.',
      because: hasFuse(rig)
        ? 'there is one in the path: leave it there'
        : 'no fuse or breaker is in the path',
    },
    ...(rig.bank.strings.length > 1
      ? [
          {
            name: 'parallel batteries',
            sentence: 'Never join batteries in parallel at different rest voltages, chemistry or age.',
            because: `${rig.bank.strings.length} strings in parallel`,
          },
        ]
      : []),
    {
      name: 'pre-charge',
      sentence:
        'Pre-charge before connecting. Inside, the high-voltage link (170 to 400 V) stays charged after unplugging: wait, measure, leave it to the qualified.',
      because: `the unit’s input capacitors on ${plain(unit.inputVoltage ?? bankNominal(rig.bank))} V`,
    },
    {
      name: 'building wiring',
      sentence:
        'Never feed a building’s wiring or the grid. Neutral-earth bonding depends on the unit and local rules: read the manual.',
      because: 'an inverter is a source of its own',
    },
    ...(bonding.kind === 'two bonds' || bonding.kind === 'may be two'
      ? [
          {
            name: 'two bonds',
            sentence: bonding.sentences.join(' '),
            because: `the unit: ${unit.bonding ?? 'not known'}; outside it: ${rig.bond ?? 'not said'}`,
          },
        ]
      : []),
    {
      name: 'floating output',
      sentence:
        'The output may float. Never clip an earthed oscilloscope’s ground lead to it: differential or isolated probe, leads of the right measurement category.',
      because:
        unit.phase === 'split' ? 'two legs, neither of which may be earth' : 'its bonding is not known here',
    },
    ...(unit.phase === 'split'
      ? [
          {
            name: 'one leg',
            sentence:
              'A load on one leg alone is limited by that leg, and shifts the other: watch both voltages.',
            because: 'split-phase unit',
          },
        ]
      : []),
    ...(unit.wave === 'sine'
      ? []
      : [
          {
            name: 'stepped wave',
            sentence: 'Plug-in energy meters with capacitive supplies can overheat on a stepped wave.',
            because: `output wave: ${unit.wave}`,
          },
        ]),
    {
      name: 'heat',
      sentence:
        'Heaters and hot cables burn. Clear space, extinguisher, a DC isolator within reach; stay with every loaded run; stop at the insulation’s rating. Software guards are no protective device.',
      because: nearLimit.length ? `little margin: ${nearLimit.join(', ')}` : 'loads that are heaters',
    },
    ...(lead.length
      ? [
          {
            name: 'hydrogen',
            sentence: 'Lead-acid banks give off hydrogen: ventilate.',
            because: `lead-acid: ${names(lead)}`,
          },
        ]
      : []),
    ...(rig.support
      ? [
          {
            name: 'second source',
            sentence:
              'A charger or alternator goes on feeding a fault when the bank is off: both must be cut.',
            because: rig.support.name,
          },
        ]
      : []),
    {
      name: 'motors',
      sentence: 'Motors restart by themselves after a trip: keep clear, unplug before touching.',
      because: motors.length ? `in the plan: ${names(motors)}` : 'any motor on the outlet',
    },
  ]
}

export const authority = 'Reminders only: local codes and a licensed electrician decide.'

/** Cautions that were not acknowledged yet, or that apply for another reason now. */
export const stillToAcknowledge = (
  cautions: readonly Caution[],
  acknowledged: readonly { name: string; because: string }[],
): Caution[] =>
  cautions.filter(
    ({ name, because }) => !acknowledged.some((one) => one.name === name && one.because === because),
  )
