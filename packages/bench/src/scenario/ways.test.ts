import { usualWriting, viewTrial, wordedIn, type Writing } from '@even-watt/core'
import { writtenDemo } from '../written'

const american: Writing = {
  ...usualWriting,
  decimal: ',',
  length: 'ft',
  temperature: '°F',
  gauge: 'AWG',
  mass: 'lb',
  torque: 'lb·in',
  motors: 'hp',
}

describe('the way in which a bench reads its figures', () => {
  it.each(writtenDemo().trials.map((one) => [one.trial.title, one] as const))(
    'decides nothing in %s: verdicts, figures and blame are the same, and only their words differ',
    (_, { trial, entries }) => {
      const decided = (way: Writing) =>
        wordedIn(way, () => {
          // As another page would have it: nothing that was remembered serves.
          const own = structuredClone({ trial, entries })
          const said = viewTrial(own.trial, own.entries).findings.flatMap(({ standing, earlier }) =>
            [standing, ...earlier].map(({ outcome, code, probability, figure, limiter, sentence }) => ({
              decided: { outcome, code, probability, value: figure?.x.value, limiter },
              sentence,
            })),
          )
          return { decided: said.map((one) => one.decided), words: said.map(({ sentence }) => sentence) }
        })
      const [usual, other] = [decided(usualWriting), decided(american)]
      expect(other.decided).toEqual(usual.decided)
      if (usual.words.some((sentence) => /\d\.\d/.test(sentence)))
        expect(other.words).not.toEqual(usual.words)
    },
  )
})
