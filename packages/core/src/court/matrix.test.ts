import { claimQuantities, type Claim, type Comparator } from '@even-watt/contract'
import fc from 'fast-check'
import { claimOf } from '../../test/verdicts'
import { revisionOf, trialOf } from '../../test/makers'
import { shortened, type Figure } from '../figures'
import { promiseOf } from '../judge'
import { uncertain } from '../meters'
import { viewTrial } from '../view'
import {
  court,
  hindrance,
  hindranceCodes,
  spoiledBy,
  type Asked,
  type Bound,
  type Evidence,
  type HindranceCode,
} from '.'

/**
 * Every promise against every hindrance, each cell both ways: a reading that would keep it, and one that would break it. What
 * is expected is written down here by hand, one line a hindrance, and not taken from the code; a hindrance or a promise that
 * is new fails to compile or fails a test until it stands here.
 */
const spoilt: Readonly<Record<HindranceCode, 'kept' | 'broken' | 'both'>> = {
  'ended by protection': 'broken',
  'ended by a joint': 'both',
  'ended by the leads': 'both',
  'ended by the supply': 'both',
  'ended by the machine': 'both',
  'ended by the load': 'broken',
  'ended by a person': 'broken',
  'ended when time was up': 'broken',
  'end not known': 'broken',
  'alarm not named': 'broken',
  'input low': 'broken',
  'room hot': 'broken',
  'store cold': 'broken',
  'other ports loaded': 'broken',
  'load on while charging': 'broken',
  'store low': 'broken',
  'ended by a battery': 'broken',
  'taper only': 'broken',
  'not full': 'broken',
  'fullness not noted': 'broken',
  'source gave no more': 'broken',
  'loud load': 'broken',
  'heavy load': 'broken',
  'read nearer': 'broken',
  'background not read': 'broken',
  'lead not known': 'broken',
  'cable for less': 'broken',
  'the lead takes it': 'broken',
  'label not clear': 'broken',
  'better elsewhere': 'broken',
  'leads included': 'broken',
  clipped: 'broken',
  'room cold': 'kept',
  'room not recorded': 'kept',
  'charger on': 'kept',
  'not from empty': 'kept',
  'soft starter': 'kept',
  'light load': 'kept',
  'read farther': 'kept',
  'not at its loudest': 'kept',
  'still rising': 'kept',
  'few attempts': 'kept',
  'no curve': 'kept',
  'time too short': 'kept',
  warned: 'kept',
  'less than it seems': 'kept',
  'time not noted': 'both',
  'not watched': 'both',
  'meter too slow': 'both',
  'too few cycles': 'both',
  'another unit': 'both',
  'may not decide': 'both',
  'something connected': 'both',
  'wants no more': 'both',
  'beyond what is promised': 'both',
  'not tried closely': 'both',
}

const [analysis] = viewTrial(trialOf([revisionOf()]), []).analyses
if (!analysis) throw new Error('no analysis')

const figureOf = (value: number, u: number, more: Partial<Figure> = {}): Figure => ({
  symbol: 'x',
  unit: '',
  x: uncertain(value, 'own|x|here', u),
  grade: 'measured',
  working: { formula: '', inputs: [], notes: [], entries: ['e'] },
  ...more,
})

const promised = 100
/** A value that keeps a promise of 100, or breaks it, beyond its uncertainty. */
const values: Readonly<Record<Comparator, { kept: number; broken: number }>> = {
  'at least': { kept: 120, broken: 80 },
  'at most': { kept: 80, broken: 120 },
  'within ±': { kept: 20, broken: 120 },
}

const made = (value: number, more: Partial<Evidence> = {}): Evidence => ({
  code: 'made',
  figure: figureOf(value, 1),
  bound: 'exact',
  hindrances: [],
  found: () => 'it was so',
  ...more,
})

function outcomeOf(quantity: Claim['quantity'], evidence: readonly Evidence[], limiter?: Asked['limiter']) {
  const kind = promiseOf(quantity)
  const { unit, comparator } = kind.usual
  const claim = claimOf({ quantity, comparator, value: promised, unit })
  const asked: Asked = { claim, analysis: analysis as Asked['analysis'], settings: { hold: 600 }, limiter }
  const rest = { ...kind }
  delete (rest as { covers?: unknown }).covers
  const verdict = court(
    {
      ...rest,
      evidence: () => evidence,
      wanted: () => promised,
      comparator: () => comparator,
      room: 'stated',
    },
    asked,
  )
  return { ...verdict, comparator }
}

const cells = claimQuantities.flatMap((quantity) => hindranceCodes.map((code) => [quantity, code] as const))

describe('the matrix of promises and what may spoil them', () => {
  it('has a line for every hindrance, as the court has it', () => {
    expect(Object.keys(spoilt).sort()).toEqual([...hindranceCodes].sort())
    for (const code of hindranceCodes) {
      const says = { kept: 'met', broken: 'not met', both: 'both' }[spoilt[code]]
      expect([code, spoiledBy(code)]).toEqual([code, says])
    }
  })

  it.each(cells)('%s: %s', (quantity, code) => {
    const kind = promiseOf(quantity)
    const { kept, broken } = values[kind.usual.comparator]
    const against = [hindrance(code, () => ({ why: 'so', would: 'more' }))]
    const keeps = outcomeOf(quantity, [made(kept, { hindrances: against })])
    const breaks = outcomeOf(quantity, [made(broken, { hindrances: against })])
    expect(keeps.outcome).toBe(spoilt[code] === 'broken' ? 'met' : 'not shown')
    expect(breaks.outcome).toBe(spoilt[code] === 'kept' ? 'not met' : 'not shown')
    // What does not show hides nothing that does.
    expect(outcomeOf(quantity, [made(broken, { hindrances: against }), made(kept)]).outcome).toBe(
      spoilt[code] !== 'kept'
        ? 'met'
        : kind.several === 'best' || kind.several === 'pooled'
          ? 'met'
          : 'not met',
    )
    if (keeps.outcome === 'not shown') expect(keeps).toMatchObject({ code, by: expect.any(String) as string })
  })

  const refusals: readonly (readonly [string, Partial<Figure>])[] = [
    ['estimated', { grade: 'estimated' }],
    ['observed', { grade: 'observed' }],
    ['refused by the gate', { refused: { why: 'so.', todo: 'Again.' } }],
  ]
  it.each(
    claimQuantities.flatMap((quantity) => refusals.map(([words, more]) => [quantity, words, more] as const)),
  )('%s, %s: decides nothing, and hides nothing that does', (quantity, _words, more) => {
    const { kept, broken } = values[promiseOf(quantity).usual.comparator]
    const refused = (value: number) => made(value, { figure: figureOf(value, 1, more) })
    expect(outcomeOf(quantity, [refused(kept)])).toMatchObject({ outcome: 'not tested', code: 'refused' })
    expect(outcomeOf(quantity, [refused(broken)])).toMatchObject({ outcome: 'not tested', code: 'refused' })
    expect(outcomeOf(quantity, [refused(broken), made(kept)]).outcome).toBe('met')
    expect(outcomeOf(quantity, [refused(kept), made(broken)]).outcome).toBe('not met')
  })

  it.each(claimQuantities)(
    '%s: what would decide and was refused is named before what shows nothing',
    (quantity) => {
      const { kept, broken } = values[promiseOf(quantity).usual.comparator]
      const bars = { why: 'so.', todo: 'Again.' }
      const refused = (value: number) => made(value, { figure: figureOf(value, 1, { refused: bars }) })
      const idle = made(kept, {
        hindrances: [hindrance('not watched', () => ({ why: 'so', would: 'more' }))],
      })
      for (const value of [kept, broken])
        expect(outcomeOf(quantity, [refused(value), idle])).toMatchObject({
          outcome: 'not shown',
          code: 'may not decide',
          by: 'meter',
        })
    },
  )

  it.each(claimQuantities)('%s: a bound shows only its own side', (quantity) => {
    const { comparator } = promiseOf(quantity).usual
    const { kept, broken } = values[comparator]
    const at = (value: number, bound: Bound) => outcomeOf(quantity, [made(value, { bound })]).outcome
    const [upper, lower]: readonly Bound[] = ['at most', 'at least']
    if (comparator === 'at least') {
      expect([at(kept, lower as Bound), at(broken, lower as Bound)]).toEqual(['met', 'not shown'])
      expect([at(kept, upper as Bound), at(broken, upper as Bound)]).toEqual(['not shown', 'not met'])
    } else if (comparator === 'at most') {
      expect([at(kept, upper as Bound), at(broken, upper as Bound)]).toEqual(['met', 'not shown'])
      expect([at(kept, lower as Bound), at(broken, lower as Bound)]).toEqual(['not shown', 'not met'])
    } else {
      expect(at(broken, lower as Bound)).toBe('not met')
      expect(at(kept, lower as Bound)).toBe('not shown')
    }
  })
})

describe('benches at random around the matrix', () => {
  const anyCode = fc.constantFrom(...hindranceCodes)
  const anyEvidence = fc
    .record({
      value: fc.double({ min: 1, max: 250, noNaN: true }),
      u: fc.double({ min: 0.01, max: 20, noNaN: true }),
      bound: fc.constantFrom<Bound>('exact', 'at least', 'at most'),
      codes: fc.array(anyCode, { maxLength: 3 }),
      refused: fc.boolean(),
      entry: fc.integer({ min: 1, max: 99 }),
    })
    .map(({ value, u, bound, codes, refused, entry }) =>
      made(value, {
        figure: {
          ...figureOf(value, u, refused ? { grade: 'estimated' } : {}),
          working: { formula: '', inputs: [], notes: [], entries: [String(entry)] },
        },
        bound,
        hindrances: codes.map((code) => hindrance(code, () => ({ why: '', would: '' }))),
      }),
    )
  const any = fc.tuple(fc.constantFrom(...claimQuantities), fc.array(anyEvidence, { maxLength: 6 }))

  it('no order of attempts matters', () => {
    fc.assert(
      fc.property(any, ([quantity, all]) => {
        const one = outcomeOf(quantity, all)
        const other = outcomeOf(quantity, all.toReversed())
        // Attempts that differ in their last bit are one and the same: either may be named.
        const told = ({ outcome, figure }: typeof one) => [outcome, figure && shortened(figure.x.value, 12)]
        expect(told(other)).toEqual(told(one))
      }),
      { numRuns: 500 },
    )
  })
  it('a further attempt that decides nothing changes no verdict that was decided', () => {
    fc.assert(
      fc.property(any, anyEvidence, ([quantity, all], more) => {
        const before = outcomeOf(quantity, all)
        if (before.outcome === 'not shown' || before.outcome === 'not tested') return
        const mute = { ...more, figure: { ...more.figure, grade: 'estimated' as const } }
        expect(outcomeOf(quantity, [...all, mute]).outcome).toBe(before.outcome)
      }),
      { numRuns: 500 },
    )
  })
  it('what the unit broke by itself stays broken, whatever was carried beside it', () => {
    fc.assert(
      fc.property(fc.array(anyEvidence, { maxLength: 6 }), (all) => {
        const fair = made(50, { bound: 'at most' })
        expect(outcomeOf('continuous power', [...all, fair]).outcome).toMatch(/^not met/)
      }),
      { numRuns: 300 },
    )
  })
  it('a probability is that of the outcome named, and what is sure is over 97.7 %', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 150, noNaN: true }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        (value, u) => {
          const { outcome, probability = NaN } = outcomeOf('continuous power', [
            made(value, { figure: figureOf(value, u) }),
          ])
          expect(probability).toBeGreaterThanOrEqual(0.5 - 1e-9)
          expect(probability >= 0.97725).toBe(outcome === 'met' || outcome === 'not met')
        },
      ),
    )
  })
})
