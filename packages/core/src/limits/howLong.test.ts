import type { Load } from '@even-watt/contract'
import fc from 'fast-check'
import { ladderEntry, revisionOf, trialOf, unitOf, uuid } from '../../test/makers'
import { claimOf } from '../../test/verdicts'
import { viewTrial } from '../view'
import { howLong, sayPermitted, shelfPlaces } from '.'

const claims = [
  claimOf({ quantity: 'continuous power', value: 1400, unit: 'W' }),
  claimOf({ id: uuid(31), quantity: 'surge power', value: 2000, unit: 'W', duration: 30 }),
  claimOf({ id: uuid(32), quantity: 'surge power', value: 2.8, unit: 'kW', duration: 2 }),
]
const analysisOf = (own = claims) => {
  const [analysis] = viewTrial(trialOf([revisionOf({ unit: unitOf({ claims: own }) })]), [
    ladderEntry({ P_C: 700 }),
  ]).analyses
  if (!analysis) throw new Error('no analysis')
  return analysis
}

it('is for good within the rating, for the time of the tier above it, and not beyond all of them', () => {
  const analysis = analysisOf()
  const at = (watts: number) => howLong(watts, analysis).permitted
  expect([at(700), at(1400), at(1401), at(2000), at(2500), at(2801)]).toEqual([
    Infinity,
    Infinity,
    30,
    30,
    2,
    0,
  ])
  expect(howLong(1750, analysis).sentences[0]).toBe(
    'By its label 1750 W may run for 30 s at most. It is 350 W (25 %) over its rating.',
  )
  expect(howLong(3000, analysis).sentences[0]).toContain('it shuts down at once')
  expect(sayPermitted(howLong(2500, analysis))).toBe('2 s at most')
})
it('is below, near or beyond the rating; a label without one says nothing', () => {
  const analysis = analysisOf()
  expect([1000, 1300, 1500].map((watts) => howLong(watts, analysis).place)).toEqual([
    'below',
    'near',
    'beyond',
  ])
  expect(howLong(500, analysisOf([]))).toMatchObject({
    place: undefined,
    permitted: undefined,
    left: undefined,
  })
})
it('a heavier load is never permitted longer', () => {
  const analysis = analysisOf()
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 4000 }), fc.integer({ min: 0, max: 500 }), (watts, more) => {
      const [lighter, heavier] = [howLong(watts, analysis), howLong(watts + more, analysis)]
      expect(heavier.permitted ?? 0).toBeLessThanOrEqual(lighter.permitted ?? 0)
    }),
  )
})
it('the shelf stands from light to heavy', () => {
  const shelf = [
    { name: 'kettle', settings: [{ id: uuid(1), name: 'on', watts: 2200 }] },
    {
      name: 'plate',
      settings: [
        { id: uuid(2), name: 'high', watts: 1350 },
        { id: uuid(3), name: 'low', watts: 600 },
      ],
    },
  ] as unknown as Load[]
  expect(shelfPlaces(shelf, analysisOf()).map(({ name, place, left }) => [name, place, left])).toEqual([
    ['plate, low', 'below', 800],
    ['plate, high', 'near', 50],
    ['kettle', 'beyond', -800],
  ])
})
