import type { Claim } from '@even-watt/contract'
import { revisionOf, trialOf } from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import type { Figure } from '../figures'
import { expanded, uncertain } from '../meters'
import { viewTrial } from '../view'
import { court, hindrance, type Asked, type Evidence, type HindranceCode, type Promised } from '.'

/** The court by itself: what it makes of intervals and what stands in their way, whatever they are of. */

const [analysis] = viewTrial(trialOf([revisionOf()]), []).analyses
if (!analysis) throw new Error('no analysis')

const figure = (value: number, name: string, U = 2, more: Partial<Figure> = {}): Figure => ({
  symbol: 'P',
  unit: 'W',
  x: uncertain(value, `own|${name}`, U / 2),
  grade: 'measured',
  working: { formula: '', inputs: [], notes: [], entries: [name] },
  ...more,
})
const against = (...codes: HindranceCode[]) =>
  codes.map((code) => hindrance(code, () => ({ why: 'so', would: 'more' })))

interface Brings extends Partial<Omit<Evidence, 'figure' | 'hindrances'>> {
  readonly name?: string
  readonly U?: number
  readonly by?: readonly HindranceCode[]
  readonly refused?: true
}
let made = 0
const brings = (value: number, { name, U, by = [], refused, ...more }: Brings = {}): Evidence => {
  made += 1
  return {
    code: `e${value}`,
    bound: 'exact',
    found: () => 'so',
    hindrances: against(...by),
    figure: figure(value, name ?? `n${made}`, U, refused ? { refused: { why: 'so', todo: 'again' } } : {}),
    ...more,
  }
}

interface Question {
  readonly several?: Promised['several']
  readonly comparator?: Claim['comparator']
  readonly limiter?: Asked['limiter']
  readonly covers?: Promised['covers']
}
const judge = (evidence: readonly Evidence[], question: Question = {}) =>
  court(
    {
      units: ['W'],
      usual: { unit: 'W', comparator: 'at least' },
      at: 'ladder',
      several: question.several ?? 'attempts',
      room: 'stated',
      voltsOf: 'steady',
      evidence: () => evidence,
      absent: () => 'nothing',
      ...(question.covers ? { covers: question.covers } : {}),
    },
    {
      claim: claimOf({ value: 100, unit: 'W', comparator: question.comparator ?? 'at least' }),
      analysis,
      settings: { hold: 600 },
      limiter: question.limiter,
    },
  )

describe('several attempts', () => {
  const [good, better, bad, worse] = [brings(110), brings(130), brings(80), brings(60)] as const
  it('to carry: a failure outweighs, and how many kept is counted', () => {
    expect(judge([good, better])).toMatchObject({ outcome: 'met', code: 'e130', tried: { kept: 2, of: 2 } })
    expect(judge([good, bad, worse])).toMatchObject({
      outcome: 'not met',
      code: 'e60',
      tried: { kept: 1, of: 3 },
    })
    expect(judge([worse, good, bad]).code).toBe('e60')
    expect(judge([good])).not.toHaveProperty('tried')
  })
  it('of which the worst counts: the worst is shown', () => {
    expect(judge([good, better], { several: 'worst' }).code).toBe('e110')
    expect(judge([bad, worse, better], { several: 'worst' })).toMatchObject({
      outcome: 'not met',
      code: 'e60',
    })
    expect(judge([bad, worse, better], { several: 'worst' })).not.toHaveProperty('tried')
  })
  it('of which the best counts: one that keeps it is enough, and the nearest miss is shown', () => {
    expect(judge([bad, good, better], { several: 'best' }).code).toBe('e130')
    expect(judge([worse, bad], { several: 'best' }).code).toBe('e80')
    expect(judge([bad, worse], { several: 'best' }).code).toBe('e80')
  })
  it('do not care for their order, even where they are alike', () => {
    const alike = ['c', 'a', 'b'].map((name) => brings(110, { name }))
    for (const order of [alike, [...alike].reverse(), [alike[1], alike[0], alike[2]] as Evidence[]])
      expect(judge(order).figure?.working.entries).toEqual(['a'])
  })
})

describe('what stands in the way', () => {
  it('leaves the other outcome alone', () => {
    expect(judge([brings(130, { by: ['input low'] })]).outcome).toBe('met')
    expect(judge([brings(80, { by: ['charger on'] })]).outcome).toBe('not met')
    expect(judge([brings(80, { by: ['input low'] })])).toMatchObject({ outcome: 'not shown', by: 'supply' })
  })
  it('is named by what stopped a test before what was missing in it, in whatever order', () => {
    const both: HindranceCode[] = ['time too short', 'ended by a joint']
    expect(judge([brings(130, { by: both })]).code).toBe('ended by a joint')
    expect(judge([brings(130, { by: [...both].reverse() })]).code).toBe('ended by a joint')
    const apart = [brings(130, { by: ['time too short'] }), brings(120, { by: ['ended by a joint'] })]
    expect(judge(apart).code).toBe('ended by a joint')
    expect(judge([...apart].reverse()).code).toBe('ended by a joint')
  })
  it('of alike reasons is that of the attempt that came nearest', () => {
    const near = (value: number, more: Brings = {}) => brings(value, { by: ['ended by the supply'], ...more })
    expect(judge([near(60), near(80)]).figure?.x.value).toBe(80)
    expect(judge([near(80), near(60)]).figure?.x.value).toBe(80)
    expect(judge([near(60), near(80)], { several: 'worst' }).figure?.x.value).toBe(60)
    expect(judge([near(80), near(60)], { several: 'worst' }).figure?.x.value).toBe(60)
    expect(judge([near(130), near(140)]).figure?.x.value).toBe(140)
  })
  it('of a bound that shows nothing is who ended it, else what it brings, else that the load wanted no more', () => {
    const least = { bound: 'at least' } as const
    expect(judge([brings(80, { ...least, by: ['ended by a person'] })]).code).toBe('ended by a person')
    expect(judge([brings(80, { ...least, by: ['end not known'] })]).code).toBe('end not known')
    expect(judge([brings(80, { ...least, by: ['room cold'] })]).code).toBe('wants no more')
    expect(judge([brings(80, { ...least, open: against('time too short')[0] as never })]).code).toBe(
      'time too short',
    )
    expect(judge([brings(130, { bound: 'at most' })]).code).toBe('beyond what is promised')
  })
  it('is what the tester says, who then breaks no promise', () => {
    const limiter = { claim: '', revision: 1, limiter: 'joint', wouldShow: 'Remake it.' } as const
    expect(judge([brings(80)], { limiter })).toMatchObject({ outcome: 'not shown' })
    expect(judge([brings(80, { by: ['ended by a person'] })], { limiter })).toMatchObject({
      outcome: 'not shown',
      by: 'joint',
      own: 'Remake it.',
    })
    expect(judge([brings(130)], { limiter }).outcome).toBe('met')
  })
  it('against all that kept it together shows nothing', () => {
    const covers = () => against('light load')[0]
    expect(judge([brings(110), brings(130)], { several: 'worst', covers })).toMatchObject({
      outcome: 'not shown',
      code: 'light load',
      figure: { x: { value: 110 } },
    })
    expect(judge([brings(80)], { several: 'worst', covers }).outcome).toBe('not met')
  })
})

describe('what the gate refused', () => {
  it('is said where there is nothing else, the same one whatever the order', () => {
    const [a, b] = [brings(110, { name: 'a', refused: true }), brings(130, { name: 'b', refused: true })]
    expect(judge([a, b])).toMatchObject({
      outcome: 'not tested',
      code: 'refused',
      figure: { x: { value: 110 } },
    })
    expect(judge([b, a]).figure?.x.value).toBe(110)
    const same = [130, 110].map((value) => brings(value, { name: 'a', refused: true }))
    expect(judge(same).figure?.x.value).toBe(110)
    expect(judge([...same].reverse()).figure?.x.value).toBe(110)
  })
  it('stands in the way only where it would have decided', () => {
    const short = brings(80, { bound: 'at least' })
    expect(judge([short, brings(130, { refused: true })]).code).toBe('may not decide')
    expect(judge([short, brings(90, { refused: true, bound: 'at least' })]).code).toBe('wants no more')
    expect(judge([short, brings(130, { refused: true, by: ['not watched'] })]).code).toBe('wants no more')
    const limiter = { claim: '', revision: 1, limiter: 'joint', wouldShow: 'Remake it.' } as const
    expect(judge([short, brings(60, { refused: true })], { limiter }).code).toBe('wants no more')
    expect(judge([short, brings(60, { refused: true })]).code).toBe('may not decide')
  })
  it('is nothing where nothing was brought', () => {
    expect(judge([])).toEqual({ outcome: 'not tested', code: 'no evidence', absent: 'nothing' })
  })
})

describe('a failure past a promise', () => {
  const gaveUp = (value: number, more: Brings = {}) => brings(value, { bound: 'at most', about: 2, ...more })
  it('is one at it, within uncertainty, as far as loads come in steps', () => {
    expect(judge([gaveUp(102)])).toMatchObject({ outcome: 'not met, within uncertainty' })
    expect(judge([gaveUp(102)])).not.toHaveProperty('probability')
    expect(judge([gaveUp(102.1)]).code).toBe('beyond what is promised')
    expect(judge([gaveUp(102, { surely: true })]).outcome).toBe('not met')
    expect(judge([gaveUp(80)])).toMatchObject({ outcome: 'not met', probability: expect.any(Number) })
  })
  it('is none for what carried, or for what names no such step', () => {
    expect(judge([brings(102, { bound: 'at least', about: 2 })]).outcome).toBe('met, within uncertainty')
    expect(judge([brings(102, { bound: 'at most' })]).code).toBe('beyond what is promised')
  })
  it('names the step that ended it, and what was met names none', () => {
    expect(judge([gaveUp(80, { step: 's' })])).toMatchObject({ step: 's' })
    expect(judge([brings(130, { step: 's' })])).not.toHaveProperty('step')
    expect(judge([gaveUp(80)])).not.toHaveProperty('step')
    expect(judge([gaveUp(102.5, { step: 's' })])).toMatchObject({ outcome: 'not shown', step: 's' })
    expect(judge([gaveUp(102.5)])).not.toHaveProperty('step')
  })
})

describe('attempts that are alike', () => {
  const alike = (value: number, more: Brings = {}) => brings(value, { alike: 'at 300 W', U: 0, ...more })
  const pooled = { several: 'pooled' } as const
  it('are one figure, their mean with what they scatter', () => {
    const { figure: mean, outcome } = judge([alike(104), alike(98), alike(107)], pooled)
    expect(mean?.x.value).toBeCloseTo(103, 9)
    expect(outcome).toBe('met, within uncertainty')
    // s = 4.583 over two degrees of freedom: 4.53 · s/√3.
    expect(mean && expanded(mean.x)).toBeCloseTo((4.527 * Math.sqrt(21)) / Math.sqrt(3), 1)
    expect(mean?.working.entries).toHaveLength(3)
    expect(mean?.working).toMatchObject({ formula: 'mean of 3', notes: [] })
    expect(mean?.working.inputs).toHaveLength(3)
  })
  it('stay apart where they are of another kind, are bounds, or something stands against them', () => {
    expect(judge([alike(104), alike(98, { alike: 'at 900 W' })], pooled).figure?.x.value).toBe(104)
    expect(judge([alike(104), alike(90, { bound: 'at least' })], pooled).figure?.x.value).toBe(104)
    expect(judge([alike(104), alike(90, { by: ['charger on'] })], pooled).figure?.x.value).toBe(104)
    const alone = [104, 98].map((value) => brings(value, { U: 0 }))
    expect(judge(alone, pooled).figure?.x.value).toBe(104)
    expect(judge([alike(104)], pooled).figure?.working.formula).toBe('')
  })
  it('of a promise that is not pooled stay apart', () => {
    expect(judge([alike(104), alike(98)]).outcome).toBe('not met')
  })
})

describe('"at most" and "within ±"', () => {
  it('are judged from their own side', () => {
    const most = { comparator: 'at most', several: 'worst' } as const
    expect(judge([brings(80), brings(90)], most)).toMatchObject({ outcome: 'met', code: 'e90' })
    expect(judge([brings(80), brings(120)], most)).toMatchObject({ outcome: 'not met', code: 'e120' })
    expect(judge([brings(120, { bound: 'at least' })], most).outcome).toBe('not met')
    expect(judge([brings(120, { bound: 'at most' })], most).outcome).toBe('not shown')
    const within = { comparator: 'within ±', several: 'worst' } as const
    expect(judge([brings(-120), brings(40)], within)).toMatchObject({ outcome: 'not met', code: 'e-120' })
    expect(judge([brings(-90), brings(40)], within).code).toBe('e-90')
  })
})
