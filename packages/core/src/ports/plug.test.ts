import { plugMates, plugSentences } from './plug'

it('a plug mates by its barrel and its hole, goes on with play, or does not go on', () => {
  const socket = { outer: 5.5, pin: 2.1 }
  expect(plugMates(socket, { outer: 5.5, hole: 2.1 })).toBe('mates')
  expect(plugMates(socket, { outer: 5.5, hole: 2.5 })).toBe('loose')
  expect(plugMates({ outer: 5.5, pin: 2.5 }, { outer: 5.5, hole: 2.1 })).toBe('does not')
  expect(plugMates(socket, { outer: 7.9, hole: 5.5 })).toBe('does not')
})
it('an adapter has its watts, and its mains are held against a country', () => {
  const adapter = { test: 'plug', port: 'charge input', volts: 24, amps: 5, from: 100, to: 240 } as const
  expect(plugSentences({ ...adapter, hertz: '50/60 Hz', country: '230 V 50 Hz' })).toEqual([
    'The adapter gives 24.0 V · 5.00 A = 120 W.',
    'It may hang on 230 V 50 Hz.',
  ])
  const one = { ...adapter, from: 120, to: 120, hertz: '60 Hz' } as const
  expect(plugSentences({ ...one, country: '230 V 50 Hz' }).at(-1)).toContain('not for 230 V 50 Hz')
  expect(plugSentences({ ...one, country: '120/240 V 60 Hz, split phase' }).at(-1)).toContain('It may hang')
  expect(plugSentences({ ...one, country: '100 V 50 Hz' }).at(-1)).toContain('not for')
  expect(plugSentences({ ...adapter, hertz: '60 Hz', country: '230 V 50 Hz' }).at(-1)).toContain(
    'ask its maker',
  )
})
it('a socket is looked up among the plugs that are sold', () => {
  const socket = { test: 'plug', port: 'charge input', outer: 7.9, pin: 5.4 } as const
  expect(plugSentences(socket)[0]).toBe(
    'Charge input takes a plug of 7.9 × 5.5 mm, which is sold.'.replace('Charge', 'charge'),
  )
  expect(plugSentences({ ...socket, outer: 9, pin: 1 })[0]).toContain('no usual size')
  expect(plugSentences({ ...socket, plugOuter: 5.5, plugHole: 2.1 })[1]).toContain('does not mate')
})
