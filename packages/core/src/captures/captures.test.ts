import type { Capture, Claim, Entry, EntryOf } from '@even-watt/contract'
import { clipped, harmonic, sampled, sine, stepped, type Shape } from '../../test/waves'
import { doubtEntry, ladderEntry, noLoadEntry, revisionOf, trialOf, unitOf, uuid } from '../../test/makers'
import { isFigure, viewTrial } from '..'
import { analyseCapture } from '../waveform'

let made = 0

const captureOf = (
  shape: Shape,
  about: string | undefined,
  { amps, picture, after }: { amps?: Shape; picture?: boolean; after?: (v: number) => number } = {},
): EntryOf<'capture'> => {
  made += 1
  const how = { seconds: 0.22, rate: 10_000, start: 0.11, ...(after ? { after } : {}) }
  const channels = [
    { quantity: 'V_C' as const, x: sampled(shape, how) },
    ...(amps ? [{ quantity: 'I_C' as const, x: sampled(amps, how) }] : []),
  ]
  const reading: Capture = {
    sha256: 'a'.repeat(64),
    size: 10,
    name: `wave-${made}.csv`,
    type: 'text/csv',
    instrument: { name: 'Scope', percent: 3 },
    recipe: { rate: 10_000, channels: [{ column: 0, quantity: 'V_C', factor: 1 }] },
    figures: analyseCapture({ dt: 1e-4, times: undefined, channels }).figures,
    ...(about === undefined ? {} : { about }),
    ...(picture ? { picture } : {}),
  }
  return { id: uuid(70_000 + made), revision: 1, at: '2026-03-12T12:00:00.000Z', kind: 'capture', reading }
}

const claim = (quantity: Claim['quantity'], value: number): Claim => ({
  id: uuid(900 + value),
  quantity,
  comparator: 'at most',
  value,
  unit: '%',
  readWhere: 'label',
})

const viewOf = (
  entries: readonly Entry[],
  claims: Claim[] = [],
  wave: 'sine' | 'stepped' | 'unstated' = 'sine',
) => viewTrial(trialOf([revisionOf({ unit: unitOf({ claims, wave }) })]), entries)

const finding = (view: ReturnType<typeof viewOf>) => view.findings[0]?.standing

describe('a capture at a step', () => {
  const step = ladderEntry({ V_A: 25.9, V_B: 25.6, I: 41, V_C: 230 })
  it('is read like a meter: distortion and frequency, watts and power factor of two channels', () => {
    const view = viewOf([
      step,
      captureOf(harmonic([1, 230, 0], [3, 6, 0]), step.id, { amps: harmonic([1, 4, -25]) }),
    ])
    const read = view.analyses[0]?.ladder.steps[0]?.read
    const of = (quantity: 'THD' | 'f' | 'P_C' | 'PF') =>
      read && isFigure(read[quantity]) ? read[quantity].x.value : NaN
    expect(of('THD')).toBeCloseTo(6 / 230, 5)
    expect(of('f')).toBeCloseTo(50, 4)
    expect(of('P_C')).toBeCloseTo(230 * 4 * Math.cos((25 * Math.PI) / 180), 1)
    expect(of('PF')).toBeCloseTo(Math.cos((25 * Math.PI) / 180), 2)
  })
  it('says where a sine was captured, and where it was none', () => {
    const idle = noLoadEntry({ V_B: 26, V_C: 231 })
    const at = (shape: Shape, more: Entry[] = []) =>
      finding(viewOf([step, captureOf(shape, step.id), ...more], [claim('wave', 5)]))?.sentence
    expect(at(harmonic([1, 230, 0], [3, 6, 0]))).toContain('Captured at plate: a sine.')
    expect(at(harmonic([1, 230, 0], [3, 6, 0]), [idle, captureOf(sine(231), idle.id)])).toMatch(
      /Captured at (plate, no load|no load, plate): a sine\./,
    )
    expect(at(harmonic([1, 230, 0], [3, 20, 0]))).toContain('At plate the wave is a distorted sine.')
  })
  it('that is only a picture decides nothing, and says so', () => {
    const seen = finding(
      viewOf([step, captureOf(stepped(325, 0.7), step.id, { picture: true })], [claim('wave', 5)]),
    )
    expect(seen).toMatchObject({ outcome: 'not tested' })
    expect(seen?.sentence).toContain('Only a picture shows its wave, as stepped')
    expect(finding(viewOf([step], [claim('wave', 5)]))?.sentence).toContain('Its wave was not seen')
  })
  it('in which the load came on shows its factor, and decides nothing by it', () => {
    const late: Shape = (turn) => (turn > 5 ? sine(4.2)(turn) : 0)
    const from = (amps: Shape) =>
      viewOf([step, captureOf(sine(230), step.id, { amps })]).analyses[0]?.ladder.steps[0]?.read.PF
    expect(from(late)).toMatchObject({ refused: { why: expect.stringContaining('came on') } })
    expect(from(sine(4.2))).not.toHaveProperty('refused')
  })
  it('decides the promise of a THD, and of a sine', () => {
    const entries = [step, captureOf(harmonic([1, 230, 0], [3, 6, 0]), step.id)]
    expect(finding(viewOf(entries, [claim('THD', 3)]))?.outcome).toBe('met')
    expect(finding(viewOf(entries, [claim('wave', 5)]))).toMatchObject({ outcome: 'met' })
    const bent = [step, captureOf(harmonic([1, 230, 0], [3, 20, 0]), step.id)]
    expect(finding(viewOf(bent, [claim('wave', 5)]))).toMatchObject({
      outcome: 'not met',
      sentence: expect.stringContaining('a distorted sine'),
    })
  })
  it('without the volts that its probe’s factor spoils: they are left out, and the shape still counts', () => {
    const view = viewOf([step, captureOf(harmonic([1, 2.3, 0], [3, 0.06, 0]), step.id)], [claim('THD', 3)])
    const V_C = view.analyses[0]?.ladder.steps[0]?.read.V_C
    expect(V_C && isFigure(V_C) && V_C.x.value).toBe(230)
    expect(view.oddities[0]?.find(({ number }) => number === 24)?.why).toContain('factor of 100')
    expect(finding(view)?.outcome).toBe('met')
  })
  it('without the amperes and watts that its clamp’s factor spoils, however small their uncertainty', () => {
    const loaded = ladderEntry({ V_B: 25.6, I: 41, V_C: 230, I_C: 4, P_C: 920 })
    const view = viewOf([loaded, captureOf(sine(230), loaded.id, { amps: sine(0.4) })])
    const read = view.analyses[0]?.ladder.steps[0]?.read
    expect(read && isFigure(read.P_C) && read.P_C.x.value).toBe(920)
    expect(read && isFigure(read.I_C) && read.I_C.x.value).toBe(4)
    expect(view.oddities[0]?.find(({ number }) => number === 24)?.why).toContain('clamp was not set')
  })
  it('clipped by its range it tells no distortion', () => {
    const view = viewOf(
      [step, captureOf(sine(230), step.id, { after: (v) => Math.min(290, v) })],
      [claim('THD', 3)],
    )
    expect(finding(view)?.outcome).toBe('not tested')
    expect(view.oddities[0]?.some(({ number }) => number === 31)).toBe(true)
  })
  it('from a picture it shows the class, and decides nothing', () => {
    const view = viewOf([step, captureOf(stepped(300, 0.7), step.id, { picture: true })], [claim('wave', 5)])
    expect(view.analyses[0]?.evidence.wave).toBe('stepped')
    expect(finding(view)?.outcome).toBe('not tested')
  })
  it('at no load only, a sine is not shown', () => {
    const idle = noLoadEntry({ V_C: 230 })
    const view = viewOf([idle, captureOf(sine(230), idle.id)], [claim('wave', 5)])
    expect(finding(view)).toMatchObject({
      outcome: 'not shown',
      wouldShow: expect.stringContaining('the largest load'),
    })
  })
  it('shows a wave against its label, and shuts unfit meters out', () => {
    expect(viewOf([step, captureOf(stepped(325, 0.5), step.id)]).analyses[0]?.evidence.wave).toBe('stepped')
    expect(viewOf([step, captureOf(sine(230), step.id)], [], 'unstated').analyses[0]?.evidence.wave).toBe(
      'sine',
    )
  })
  it('doubted, it shows nothing', () => {
    const capture = captureOf(stepped(325, 0.5), step.id)
    const doubt = doubtEntry({ what: 'reading', entry: capture.id })
    expect(viewOf([step, capture, doubt]).analyses[0]?.evidence.wave).toBe('sine')
  })
  it('counts by what its bytes gave here, not by what it came with; where they give nothing, not at all', () => {
    const capture = captureOf(stepped(325, 0.5), step.id)
    const again = (found: EntryOf<'worked again'>['found']): Entry => ({
      id: uuid(80_002),
      revision: 1,
      at: '2026-03-12T12:30:00.000Z',
      kind: 'worked again',
      entry: capture.id,
      version: 2,
      found,
    })
    const { figures } = captureOf(sine(230), step.id).reading
    const waveBy = (entries: readonly Entry[]) => viewOf(entries).analyses[0]?.evidence.wave
    const trusted = waveBy([step, captureOf(sine(230), step.id)])
    expect(waveBy([step, capture])).not.toBe(trusted)
    expect(waveBy([step, again({ figures }), capture])).toBe(trusted)
    const unread = viewOf([step, capture, again({ fault: 'It ends too early.' })])
    expect(unread.analyses[0]?.evidence.wave).toBe('sine')
    expect(unread.analyses[0]?.record.doubts.readings.get(capture.id)).toBe('its bytes cannot be read')
  })
  it('of which nothing is worked again is the same object, and so is its record', () => {
    const capture = captureOf(sine(230), step.id)
    const trial = trialOf()
    const [a, b] = [1, 2].map(() => viewTrial(trial, [step, capture]).analyses[0]?.record)
    expect(a).toBe(b)
  })
  it('stays with its step when the reading is corrected', () => {
    const corrected = ladderEntry(
      { V_B: 25.6, V_C: 229 },
      { ...step.reading, replaces: { entry: step.id, why: 'misread' } },
    )
    const view = viewOf([step, captureOf(sine(230), step.id), corrected])
    expect(view.analyses[0]?.ladder.steps[0]?.step.captures).toHaveLength(1)
  })
})

describe('why the output sags', () => {
  const at = (V_B: number, P_C: number) =>
    P_C ? ladderEntry({ V_B, P_C, V_C: 225 }) : noLoadEntry({ V_B, V_C: 226 })
  type Load = readonly [V_B: number, P: number, shape: Shape]
  const sagOf = (...loads: readonly Load[]) =>
    viewOf(
      loads.flatMap(([V_B, P, shape]) => {
        const entry = at(V_B, P)
        return [entry, captureOf(shape, entry.id)]
      }),
      [],
      'stepped',
    ).analyses[0]?.captures.sag
  const causes = (...loads: Load[]) => sagOf(...loads)?.causes.map(({ cause }) => cause)

  it('the plateau follows the terminals: supply, and a stiffer one would raise it', () => {
    const sag = sagOf([12.6, 0, stepped(266, 0.72)], [11.6, 800, stepped((266 * 11.6) / 12.6, 0.72)])
    expect(sag?.causes.map(({ cause }) => cause)).toEqual(['supply'])
    expect(sag?.stiffer).toBeCloseTo(266 * Math.sqrt(0.72), 0)
  })
  it('plateaus that slope: weak capacitors', () => {
    expect(causes([12.6, 0, stepped(266, 0.72)], [12.55, 800, stepped(266, 0.72, 0.18)])).toEqual([
      'weak capacitors',
    ])
  })
  it('plateaus that grow no wider while the volts fall: regulation used up', () => {
    const height = (V_B: number) => (266 * V_B) / 12.6
    expect(
      causes(
        [12.6, 0, stepped(266, 0.72)],
        [12, 400, stepped(height(12), 0.8)],
        [11.4, 800, stepped(height(11.4), 0.8)],
      ),
    ).toEqual(['supply', 'regulation used up'])
  })
  it('a plateau that falls while the terminals hold: the unit', () => {
    expect(causes([12.6, 0, stepped(266, 0.72)], [12.58, 800, stepped(240, 0.72)])).toEqual(['unit'])
  })
  it('a sine that is held while the terminals fall is nobody’s fault', () => {
    expect(causes([26.4, 0, sine(231)], [24.8, 1400, sine(230)])).toEqual(['nothing'])
  })
  it('a sine whose tops are cut off as the terminals fall: regulation used up', () => {
    // No unit’s top is as flat as a range that ended.
    const cut: Shape = (turn) => clipped(231, 0.85)(turn) + 0.5 * Math.sin(2 * Math.PI * 37 * turn)
    expect(causes([26.4, 0, sine(231)], [22, 1400, cut])).toContain('regulation used up')
  })
  it('of a load that was captured again, the last one tells', () => {
    const idle = at(12.6, 0)
    const loaded = at(11.6, 800)
    const { sag } = viewOf(
      [
        idle,
        loaded,
        captureOf(stepped(266, 0.72), idle.id),
        captureOf(stepped(266, 0.72), loaded.id),
        captureOf(stepped(240, 0.72), loaded.id),
      ],
      [],
      'stepped',
    ).analyses[0]?.captures ?? { sag: undefined }
    expect(sag?.rows.map(({ height }) => Math.round(height))).toEqual([266, 240])
  })
  it('of one load nothing is said', () => {
    expect(sagOf([26.4, 0, sine(231)])).toBeUndefined()
  })
})
