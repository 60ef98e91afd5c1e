import fc from 'fast-check'
import { safeParse, type ZodMiniType } from 'zod/mini'
import {
  Acknowledged,
  Bank,
  Battery,
  LadderPlanned,
  Load,
  LoadTest,
  PathElement,
  Prediction,
  Rig,
  RigChange,
  sentences,
  ShelfDocument,
  Support,
  Survey,
} from '.'

const id = '00000000-0000-7000-8000-000000000001'
const battery = { id, name: 'B', chemistry: 'AGM', nominal: 12, capacity: 95, open: false }
const oneString = { kind: 'in line', positive: [], negative: [], positiveAt: 0, negativeAt: 0 }
const bank = { name: 'Bank', strings: [[battery]], join: oneString }
const conductor = {
  gauge: { unit: 'mm²', area: 16 },
  length: 1.2,
  runs: 1,
  material: 'copper',
  strandingFactor: 1.12,
}
const cable = { id, name: 'lead', kind: 'cable', conductors: [conductor], insulation: 105 }
const fuse = { id, name: 'fuse', kind: 'fuse', continuous: 100 }
const rig = { name: 'Rig', bank, positive: [fuse, cable], negative: [cable], ambient: 25, assignments: [] }
const survey = { current: 50, method: 'across', readings: [{ element: id, volts: 0.05 }] }
const test = { restVoltage: 12.7, restCurrent: 0, loadedVoltage: 12.1, loadedCurrent: 30 }
const load = {
  name: 'kettle',
  kind: 'element',
  volts: 230,
  settings: [{ id, name: '', watts: 1750 }],
  loud: false,
}
const plan = { outlets: 4, excluded: [], steps: [{ target: 350, uses: [], expected: 0, locked: false }] }

const first = (schema: ZodMiniType, value: unknown): string => {
  const result = safeParse(schema, value)
  return result.success ? 'accepted' : (sentences(result.error)[0]?.message ?? '')
}

describe('rigs, supplies, plans and shelves as they are meant to be', () => {
  it.each([
    ['a rig', Rig, rig],
    [
      'a rig with a charger',
      Rig,
      { ...rig, support: { kind: 'charger', name: 'C', current: 30, ownUse: 0 } },
    ],
    ['a path without any element yet', Rig, { ...rig, positive: [], negative: [] }],
    ['usual resistances of its own', Rig, { ...rig, typical: { lug: 0.0002, fuse: 0.0005 } }],
    [
      'an open link',
      Bank,
      {
        ...bank,
        strings: [[battery], [battery]],
        join: { ...oneString, positive: [null], negative: [0.0003] },
      },
    ],
    [
      'busbars',
      Bank,
      { ...bank, strings: [[battery], [battery]], join: { kind: 'busbars', leads: [0.001, 0.001] } },
    ],
    ['a battery of which little is known', Battery, battery],
    [
      'unlike runs in one cable',
      PathElement,
      { ...cable, conductors: [conductor, { ...conductor, length: 2, ends: 0.0003 }] },
    ],
    ['a joint without a rating', PathElement, { id, name: 'lug', kind: 'lug' }],
    ['a survey', Survey, survey],
    ['a load test', LoadTest, test],
    ['a load', Load, load],
    ['a plan', LadderPlanned, plan],
    ['cautions', Acknowledged, { by: 'M.K.', cautions: [{ name: 'fuse', because: 'there is one' }] }],
    [
      'a prediction',
      Prediction,
      {
        changes: [{ kind: 'remake', element: id }],
        words: 'lug remade',
        steps: [{ power: 700, V_B: 26, u: 0.03 }],
      },
    ],
  ] as const)('%s is accepted', (_words, schema, value) => expect(first(schema, value)).toBe('accepted'))
})

describe('what is refused of them, and how', () => {
  it.each([
    ['no battery', Bank, { ...bank, strings: [] }, 'Batteries: a bank has at least one.'],
    ['an empty string', Bank, { ...bank, strings: [[]] }, 'String: a string has at least one battery.'],
    [
      'links that do not fit',
      Bank,
      { ...bank, strings: [[battery], [battery]] },
      'Links: one is needed between each two neighbours, or leads for each string to the busbars.',
    ],
    [
      'a take-off beyond the batteries',
      Bank,
      { ...bank, join: { ...oneString, positiveAt: 3 } },
      'Take-off: it names a battery that is not there.',
    ],
    [
      'negative ohms',
      Battery,
      { ...battery, resistance: -0.01 },
      'Internal resistance, Ω: must be above 0; up to 10 is accepted',
    ],
    [
      'no ohms at all',
      Battery,
      { ...battery, resistance: 0 },
      'Internal resistance, Ω: must be above 0; up to 10 is accepted',
    ],
    [
      'an unknown chemistry',
      Battery,
      { ...battery, chemistry: 'magic' },
      'Chemistry: one of lithium iron phosphate, other lithium, AGM, gel, flooded lead-acid, not known.',
    ],
    [
      'a fuse without rating',
      PathElement,
      { id, name: 'fuse', kind: 'fuse' },
      'Rating, A: a number above 0 and up to 100000',
    ],
    [
      'a cable without conductor',
      PathElement,
      { ...cable, conductors: [] },
      'Cable: at least one conductor.',
    ],
    [
      'an insulation that is none',
      PathElement,
      { ...cable, insulation: 10 },
      'Insulation, °C: a number from 40 to 300.',
    ],
    [
      'a thing that is no element',
      PathElement,
      { id, name: 'x', kind: 'magnet' },
      'Element: one of cable, lug, jaw clamp, terminal, connector, fuse, breaker, shunt, isolator.',
    ],
    [
      'a charger of nothing',
      Support,
      { kind: 'charger', name: 'C', current: 0, ownUse: 0 },
      'Its current, A: must be above 0; up to 10000 is accepted',
    ],
    ['a survey of nothing', Survey, { ...survey, readings: [] }, 'Survey: at least one element is read.'],
    [
      'a survey without current',
      Survey,
      { ...survey, current: 0 },
      'Current, A: must be above 0; up to 100000 is accepted',
    ],
    [
      'a load test without load',
      LoadTest,
      { ...test, loadedCurrent: 0 },
      'Amps at 10 s: must be above 0; up to 10000 is accepted',
    ],
    [
      'a change of nothing',
      RigChange,
      { kind: 'paint' },
      'Change: one of remake, cable, battery, support, take-off.',
    ],
    [
      'a load without watts',
      Load,
      { ...load, settings: [{ id, name: '', watts: 0 }] },
      'Label watts: must be above 0; up to 20000 is accepted',
    ],
    [
      'a 100 kW kettle',
      Load,
      { ...load, settings: [{ id, name: '', watts: 100_000 }] },
      'Label watts: a number above 0 and up to 20000',
    ],
    ['a load without settings', Load, { ...load, settings: [] }, 'Settings: a load has at least one.'],
    [
      'a plan without outlets',
      LadderPlanned,
      { ...plan, outlets: 0 },
      'Outlets: a whole number from 1 to 60.',
    ],
    [
      'cautions read by no one',
      Acknowledged,
      { by: '', cautions: [{ name: 'fuse', because: 'x' }] },
      'Enter the initials.',
    ],
    [
      'another format',
      ShelfDocument,
      { format: 'x', formatVersion: 1, loads: [] },
      'Format: this is not an Even Watt load shelf ("even-watt-loads").',
    ],
  ] as const)('%s', (_words, schema, refused, sentence) => {
    expect(first(schema, refused).replace(/\.$/, '')).toBe(sentence.replace(/\.$/, ''))
  })

  it('never takes a bank whose links and strings do not belong together', () => {
    const count = fc.integer({ min: 1, max: 6 })
    fc.assert(
      fc.property(count, fc.integer({ min: 0, max: 6 }), (strings, links) => {
        const made = {
          ...bank,
          strings: Array.from({ length: strings }, () => [battery]),
          join: {
            ...oneString,
            positive: new Array(links).fill(0.0003),
            negative: new Array(links).fill(0.0003),
          },
        }
        expect(first(Bank, made) === 'accepted').toBe(links === strings - 1)
      }),
    )
  })
})
