import { arrangements } from '@even-watt/contract'
import { bondingOf } from '.'

const said = (
  arrangement: (typeof arrangements)[number],
  bonding: 'floating' | 'neutral bonded inside' = 'floating',
) => bondingOf({ bonding }, { bond: 'in what it feeds', arrangement })

it('what a unit works beside comes before what is joined', () => {
  expect(said('the grid passes through it').sentences[0]).toContain('the bond is that of the building')
  expect(said('in parallel with another unit').sentences[0]).toContain('one alone may bond')
  expect(said('it feeds a panel').sentences[0]).toContain('the unit must float')
})
it('two bonds stay two, whatever the arrangement', () => {
  for (const arrangement of arrangements)
    expect(said(arrangement, 'neutral bonded inside').kind).toBe('two bonds')
})
it('alone nothing is added', () => {
  expect(said('alone').sentences).toEqual(
    bondingOf({ bonding: 'floating' }, { bond: 'in what it feeds' }).sentences,
  )
})
