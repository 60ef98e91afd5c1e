import { safeParse } from 'zod/mini'
import { Comparison, mostCompared, sentences } from '.'

const id = (n: number) => `0192e4a0-0000-7000-8000-${String(n).padStart(12, '0')}`
const of = (n: number, revision = 1) => ({ trial: id(n), revision })
const why = (value: unknown): string | undefined => {
  const result = safeParse(Comparison, value)
  return result.success ? undefined : sentences(result.error)[0]?.message
}

describe('a comparison', () => {
  it.each([
    ['two trials', { of: [of(1), of(2)] }],
    ['two rigs of one trial', { of: [of(1), of(1, 2)] }],
    ['as many as there may be', { of: Array.from({ length: mostCompared }, (_, i) => of(i)) }],
    ['weights of 0', { of: [of(1), of(2)], weights: { idle: 0, duty: 5 } }],
  ])('is of %s', (_, value) => expect(why({ name: 'a', ...value })).toBeUndefined())

  it.each([
    ['one trial', { of: [of(1)] }, 'Compared: choose at least two.'],
    [
      'a trial with itself',
      { of: [of(1), of(2), of(1)] },
      'Compared: one rig of one trial stands there twice; it does not differ from itself.',
    ],
    ['too many', { of: Array.from({ length: mostCompared + 1 }, (_, i) => of(i)) }, 'Compared: 8 at most.'],
    ['a weight below 0', { of: [of(1), of(2)], weights: { idle: -1 } }, /^Weight: /],
    [
      'weights without end',
      { of: [of(1), of(2)], weights: Object.fromEntries(Array.from({ length: 21 }, (_, i) => [`w${i}`, 1])) },
      'Weights: 20 at most.',
    ],
    ['no name', { of: [of(1), of(2)], name: '' }, 'Enter a name.'],
  ])('is not of %s', (_, value, sentence) =>
    expect(why({ name: 'a', ...value })).toEqual(
      typeof sentence === 'string' ? sentence : expect.stringMatching(sentence),
    ),
  )
})
