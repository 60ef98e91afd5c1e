import type { ClaimQuantity, Entry, EntryOf, Remark, StoredRig, StoredUnit } from '@even-watt/contract'
import { claimOf, placed } from '@even-watt/core'
import { keepPhotograph } from '../photographs/keep'
import { boxPicture, insidePicture, labelPicture, lugPicture } from '../photographs/scenes'
import { seeded } from '../random'
import type { Files } from './waves'

/** A minute of the day on which something was looked at. */
const on = (day: string, clock: string) => `${day}T${clock}:00.000Z`

const label = (unit: StoredUnit, marking: string, seed: number) =>
  labelPicture(
    'OTTREL 1400-24',
    [
      'INPUT 24 V DC',
      'OUTPUT 230 V 50 HZ, SINE',
      'CONTINUOUS 1400 W',
      'PEAK 2700 W FOR 2 S',
      'THD < 3 %',
      `REV ${unit.revision ?? ''}   ${marking}`,
    ],
    seed,
  )

/** On the label: where it says its watts. */
const watts = { shape: 'ring', from: { x: 0.405, y: 0.475 }, to: { x: 0.585, y: 0.56 } } as const

const peak = { shape: 'ring', from: { x: 0.258, y: 0.565 }, to: { x: 0.635, y: 0.645 } } as const
const thd = { shape: 'ring', from: { x: 0.135, y: 0.65 }, to: { x: 0.39, y: 0.73 } } as const

/** The promise of a quantity that a mark stands at. */
const claimed = (unit: StoredUnit, quantity: ClaimQuantity) => {
  const claim = claimOf(unit, quantity)
  return claim ? { about: claim.id } : {}
}

function remark(at: string, seed: number, reading: Remark): EntryOf<'remark'> {
  return { id: seeded(seed).id(Date.parse(at)), revision: 1, at, kind: 'remark', reading }
}

function linkRead(at: string, seed: number, reading: EntryOf<'opened'>['reading']): EntryOf<'opened'> {
  return { id: seeded(seed).id(Date.parse(at)), revision: 1, at, kind: 'opened', reading }
}

/** What was seen of the Ottrel before it was switched on, and its lug when it was found. */
export function ottrelLookedOver(files: Files, unit: StoredUnit, rig: StoredRig): Entry[] {
  const day = '2026-03-12'
  const lug = placed(rig).find(({ element }) => element.name === 'negative lug')
  return [
    keepPhotograph(
      files,
      label(unit, 'DATE CODE 2547', 1),
      { at: on(day, '08:01'), revision: 1, seed: 9101, name: 'label.png' },
      {
        shows: 'label',
        note: 'On the side, under the fan.',
        alt: 'The label: Ottrel 1400-24, continuous 1400 W, peak 2700 W for 2 s, revision B, date code 2547.',
        marks: [
          { ...watts, ...claimed(unit, 'continuous power') },
          { ...peak, ...claimed(unit, 'surge power') },
          { ...thd, ...claimed(unit, 'THD') },
        ],
      },
    ),
    keepPhotograph(
      files,
      boxPicture(2),
      { at: on(day, '08:02'), revision: 1, seed: 9102, name: 'box.png' },
      {
        shows: 'box',
        note: 'Unit, a pair of 16 mm² leads, a wired switch, a manual of twelve pages.',
        alt: 'On the bench: the unit, a red and a black lead with lugs, a small switch on a wire, a manual.',
      },
    ),
    linkRead(on(day, '08:03'), 9103, {
      link: 1.2,
      waited: 1200,
      note: 'Across the three large capacitors.',
    }),
    keepPhotograph(
      files,
      insidePicture({ fins: 6, fan: 'large' }, 3),
      { at: on(day, '08:04'), revision: 1, seed: 9104, name: 'inside.png' },
      {
        shows: 'inside',
        note: 'Joints are clean; the heat sink is short for 1400 W.',
        alt: 'The board of revision B: input on the left, a large fan, a transformer, three capacitors, a heat sink of six fins.',
        marks: [
          { shape: 'arrow', from: { x: 0.86, y: 0.16 }, to: { x: 0.79, y: 0.3 }, words: 'six fins' },
          { shape: 'ring', from: { x: 0.08, y: 0.35 }, to: { x: 0.27, y: 0.62 } },
        ],
      },
    ),
    remark(on(day, '09:20'), 9105, {
      kind: 'complaint',
      words: 'The lamp on the front lights the whole cabin and cannot be switched off.',
      settled: 'A dot of black varnish.',
    }),
    keepPhotograph(
      files,
      lugPicture({ hot: true }, 4),
      { at: on(day, '09:05'), revision: 1, seed: 9106, name: 'negative lug.png' },
      {
        shows: 'joints',
        ...(lug ? { about: lug.element.id } : {}),
        note: 'The negative lug after it passed 90 °C: not crimped, only pressed.',
        alt: 'A cable lug on a post; its barrel is dark and the sleeve has shrunk back from bare strands.',
        marks: [
          { shape: 'ring', from: { x: 0.42, y: 0.38 }, to: { x: 0.66, y: 0.62 }, words: 'was hot' },
          { shape: 'arrow', from: { x: 0.8, y: 0.22 }, to: { x: 0.69, y: 0.44 }, words: 'sleeve shrunk' },
        ],
      },
    ),
    remark(on(day, '13:40'), 9107, {
      kind: 'open question',
      words: 'Does the 2700 W for 2 s hold on a bank that is cold?',
    }),
  ]
}

/** The later revision, opened beside the picture of the first. */
export function ottrelCLookedOver(files: Files, unit: StoredUnit): Entry[] {
  const day = '2026-05-06'
  return [
    keepPhotograph(
      files,
      label(unit, 'NOT FOR SALE', 5),
      { at: on(day, '08:00'), revision: 1, seed: 9201, name: 'label, rev C.png' },
      {
        shows: 'label',
        note: 'The same promises as on revision B.',
        alt: 'The label: Ottrel 1400-24, continuous 1400 W, peak 2700 W for 2 s, revision C, not for sale.',
        marks: [{ ...watts, ...claimed(unit, 'continuous power') }],
      },
    ),
    linkRead(on(day, '08:01'), 9202, { link: 0.9, waited: 1500 }),
    keepPhotograph(
      files,
      insidePicture({ fins: 12, fan: 'small' }, 6),
      { at: on(day, '08:02'), revision: 1, seed: 9203, name: 'inside, rev C.png' },
      {
        shows: 'inside',
        note: 'Twice the fins, and a smaller fan.',
        alt: 'The board of revision C: the same parts, with a heat sink of twelve fins and a smaller fan.',
        marks: [
          { shape: 'arrow', from: { x: 0.93, y: 0.08 }, to: { x: 0.87, y: 0.25 }, words: 'twelve fins' },
        ],
      },
    ),
  ]
}
