import type { EntryOf } from '@even-watt/contract'
import fc from 'fast-check'
import { cableOf, ladderEntry, noLoadEntry, revisionOf, rigOf, trialOf, uuid } from '../../test/makers'
import { isFigure } from '../figures'
import { viewTrial } from '../view'
import { attributeStep, pathLosses } from '.'

const survey = (volts: Record<string, number>): EntryOf<'survey'> => ({
  id: uuid(90),
  revision: 1,
  at: '2026-03-12T10:00:00.000Z',
  kind: 'survey',
  reading: {
    current: 50,
    method: 'across',
    voltmeter: uuid(1),
    ammeter: uuid(1),
    readings: Object.entries(volts).map(([element, v]) => ({ element, volts: v })),
  },
})

const attributed = (
  V_A: number,
  V_B: number,
  I: number,
  P_C: number,
  surveyed: Record<string, number> | undefined,
) => {
  const entries = [
    noLoadEntry({ V_A: 26.4, V_B: 26.4, I: 0.4 }),
    ladderEntry({ V_A, V_B, I, P_C }),
    ...(surveyed ? [survey(surveyed)] : []),
  ]
  const analysis = viewTrial(trialOf([revisionOf()]), entries).analyses[0]
  const step = analysis?.ladder.steps[0]
  if (!analysis || !step) throw new Error('no step')
  return { step, ...attributeStep(step, analysis.supply, analysis.record.revision.rig) }
}
const whole = { [uuid(51)]: 0.015, [uuid(52)]: 0.0724, [uuid(53)]: 0.5, [uuid(54)]: 0.0724 }

describe('whose fault it was', () => {
  it('is the lug’s when a survey found it, and the watts add up', () => {
    const { step, parts, culprit, sentence } = attributed(25.7, 24.9, 60, 1391, whole)
    expect(culprit?.name).toBe('negative lug')
    expect(culprit?.watts.x.value).toBeCloseTo(36, 6)
    expect(sentence).toContain('went into the negative lug; a sound joint would take 0.4 W.')
    const path = parts
      .filter(({ element }) => element !== undefined)
      .reduce((sum, { watts }) => sum + watts.x.value, 0)
    expect(path).toBeCloseTo(60 * 60 * (0.66 / 50), 1)
    expect(parts.map(({ kind }) => kind)).toEqual(['bank', 'devices', 'leads', 'joints', 'leads', 'unit'])
    expect(isFigure(step.P_loss) && parts.at(-1)?.watts).toBe(step.P_loss)
  })

  it('is the joints’ together when nothing was surveyed', () => {
    const { parts, culprit, sentence } = attributed(25.7, 24.9, 60, 1391, undefined)
    expect(parts.map(({ name }) => name)).toEqual(['bank', 'leads', 'fuse', 'joints', 'unit'])
    expect(culprit?.name).toBe('joints')
    expect(sentence).toContain('went into the joints')
  })

  it('is the unit’s own when nothing in the supply takes much', () => {
    const { culprit, sentence } = attributed(26.3, 26.1, 55, 1200, undefined)
    expect(culprit?.kind).toBe('unit')
    expect(sentence).toContain('are the unit’s own; no part takes much more than it should.')
  })

  it('blames no joint for milliwatts', () => {
    expect(attributed(26.395, 26.34, 3, 60, { [uuid(53)]: 0.5 }).culprit?.kind).toBe('unit')
  })

  it('splits all the volts between rest and terminals, whatever was surveyed', () => {
    const some = fc.subarray([uuid(51), uuid(52), uuid(54)])
    fc.assert(
      fc.property(some, fc.double({ min: 0.3, max: 1, noNaN: true }), (ids, drop) => {
        const V_B = 25.7 - drop
        const surveyed = Object.fromEntries(ids.map((id) => [id, whole[id] ?? 0]))
        const made = attributed(25.7, V_B, 60, 0.9 * V_B * 60, ids.length ? surveyed : undefined)
        const joints = made.parts.find(({ kind }) => kind === 'joints')
        if (joints)
          expect(made.parts.reduce((sum, { volts }) => sum + (volts?.x.value ?? 0), 0)).toBeCloseTo(
            26.4 - V_B,
            2,
          )
      }),
      { numRuns: 40 },
    )
  })

  it('says what is needed when there is nothing to split', () => {
    const analysis = viewTrial(trialOf([revisionOf()]), [ladderEntry({ V_C: 230 })]).analyses[0]
    const step = analysis?.ladder.steps[0]
    if (!analysis || !step) throw new Error('no step')
    const { parts, culprit, sentence } = attributeStep(step, analysis.supply, analysis.record.revision.rig)
    expect([parts, culprit]).toEqual([[], undefined])
    expect(sentence).toContain('volts at A and B and the current are needed')
  })

  it('books nothing to the bank of a step whose input was lowered, whether that is marked or only seen', () => {
    const ladder = [10, 20, 30, 45].map((I, i) =>
      ladderEntry(
        { V_A: 26.4 - 0.0117 * I, V_B: 26.4 - 0.0176 * I, I, P_C: 23 * I },
        { step: uuid(600 + i), position: 10 * i },
      ),
    )
    const last = (volts: number, lowered: boolean) =>
      ladderEntry(
        { V_A: volts, V_B: volts - 0.35, I: 60, P_C: 1300 },
        { step: uuid(700), position: 90, ...(lowered ? { lowered } : {}) },
      )
    const splitOf = (entry: EntryOf<'ladder'>) => {
      const analysis = viewTrial(trialOf([revisionOf()]), [
        noLoadEntry({ V_A: 26.4, V_B: 26.4, I: 0.4 }),
        ...ladder,
        entry,
      ]).analyses[0]
      const step = analysis?.ladder.steps.at(-1)
      if (!analysis || !step) throw new Error('no step')
      return attributeStep(step, analysis.supply, analysis.record.revision.rig)
    }
    const kinds = (entry: EntryOf<'ladder'>) => splitOf(entry).parts.map(({ kind }) => kind)
    expect(kinds(last(25.7, false))).toContain('bank')
    expect(kinds(last(22.7, false))).not.toContain('bank')
    expect(kinds(last(25.2, true))).not.toContain('bank')
    expect(splitOf(last(22.7, false)).sentence).toContain('3.00 V under the line of the other steps')
    expect(splitOf(last(25.2, true)).sentence).toContain('lowered on purpose: nothing of that is booked')
  })

  it('counts only the bank’s own current against it when a charger helps', () => {
    const support = { kind: 'charger' as const, name: 'Charger', current: 30, ownUse: 0 }
    const entries = [
      noLoadEntry({ V_A: 26.4, V_B: 26.4, I: 0.4 }),
      ladderEntry({ V_A: 26.05, V_B: 25.8, I: 60, P_C: 1400 }),
    ]
    const analysis = viewTrial(trialOf([revisionOf({ rig: rigOf({ support }) })]), entries).analyses[0]
    const step = analysis?.ladder.steps[0]
    if (!analysis || !step) throw new Error('no step')
    const { parts, sentence } = attributeStep(step, analysis.supply, analysis.record.revision.rig)
    expect(parts[0]?.watts.x.value).toBeCloseTo(0.35 * 30, 6)
    expect(parts[0]?.watts.grade).toBe('estimated')
    expect(sentence).toContain('The Charger carried 30.0 A of it, the bank the rest.')
  })
})

describe('what the path took', () => {
  const lossesOf = (entries: Parameters<typeof viewTrial>[1], revision = revisionOf()) => {
    const analysis = viewTrial(trialOf([revision]), entries).analyses[0]
    const step = analysis?.ladder.steps[0]
    if (!analysis || !step) throw new Error('no step')
    const { leads, joints } = pathLosses(step, analysis.supply, revision.rig)
    const watts = [leads, joints, { watts: step.P_path }].map(({ watts }) =>
      isFigure(watts) ? watts.x.value : 0,
    )
    return { leads, joints, watts }
  }

  it('is the leads by their own resistance with the fuse in them, and the joints: the worked example', () => {
    const { leads, joints, watts } = lossesOf([ladderEntry({ V_A: 25.92, V_B: 25.61, I: 41.3, P_C: 964 })])
    expect([leads.words, joints.words]).toEqual(['leads, fuse', 'joints'])
    // 2.897 mΩ of leads and 0.3 mΩ of a sound fuse of 7.5 mΩ at 41.3 A.
    expect(watts[0]).toBeCloseTo((2.897e-3 + 3e-4) * 41.3 ** 2, 1)
    expect((watts[0] ?? 0) + (watts[1] ?? 0)).toBeCloseTo(12.8, 2)
  })

  it('names the joint that takes most of it', () => {
    const entries = [ladderEntry({ V_A: 25.7, V_B: 24.9, I: 60, P_C: 1391 }), survey(whole)]
    const { joints, watts } = lossesOf(entries)
    expect(joints.words).toBe('joints (negative lug)')
    // 0.8 V at 60 A, less 72.4 mV at 50 A in either lead and 15 mV in the fuse.
    expect(watts[1]).toBeCloseTo(48 - 60 ** 2 * ((2 * 0.0724 + 0.015) / 50), 6)
  })

  it('loses not a watt of the path, whatever the leads', () => {
    const lead = fc.record({
      area: fc.double({ min: 4, max: 120, noNaN: true }),
      length: fc.double({ min: 0.2, max: 5, noNaN: true }),
      drop: fc.double({ min: 0.05, max: 2, noNaN: true }),
      I: fc.double({ min: 1, max: 150, noNaN: true }),
    })
    fc.assert(
      fc.property(lead, ({ area, length, drop, I }) => {
        const cable = cableOf('lead', 70, { gauge: { unit: 'mm²', area }, length })
        const rig = rigOf({ positive: [cable], negative: [cable] })
        const { watts } = lossesOf([ladderEntry({ V_A: 26, V_B: 26 - drop, I })], revisionOf({ rig }))
        const [leads = 0, joints = 0, path = 0] = watts
        expect(leads).toBeGreaterThan(0)
        expect(leads + joints).toBeCloseTo(path, 6)
      }),
      { numRuns: 30 },
    )
  })

  it('is missing, with what would tell, where one end was not read', () => {
    const { joints } = lossesOf([ladderEntry({ V_B: 25.6, I: 41 })])
    expect(isFigure(joints.watts)).toBe(false)
  })
})
