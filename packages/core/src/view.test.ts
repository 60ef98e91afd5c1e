import { writtenDemo } from '@even-watt/bench/written'
import { notice } from './notice'
import { viewTrial, workOut } from './view'

describe('working a view out piece by piece', () => {
  it.each(writtenDemo().trials.map((document) => [document.trial.title, document] as const))(
    'leaves nothing for the moment when it is read: %s',
    (_, { trial, entries }) => {
      const view = viewTrial(trial, entries)
      let pauses = 0
      for (const work = workOut(view, trial); !work.next().done;) pauses++
      // More places to pause than parts, so that none of them waits for all others.
      expect(pauses).toBeGreaterThan(20 * view.analyses.length)
      const promised = (whole: object) =>
        Object.entries(Object.getOwnPropertyDescriptors(whole))
          .filter(([name, { get }]) => get && name !== 'record')
          .map(([name]) => name)
      expect(promised(view)).toEqual([])
      for (const analysis of view.analyses)
        for (const part of [analysis, ...Object.values(analysis)])
          expect(promised(part as object)).toEqual([])
    },
  )

  it('may be left half done and taken up again', () => {
    const [document] = writtenDemo().trials
    if (!document) throw new Error('no demo')
    const { trial, entries } = document
    const whole = viewTrial(structuredClone(trial), structuredClone(entries))
    const cut = viewTrial(trial, entries)
    const work = workOut(cut, trial)
    for (let i = 0; i < 17; i++) work.next()
    for (const again = workOut(viewTrial(trial, entries), trial); !again.next().done;);
    expect(cut.oddities).toEqual(whole.analyses.map((analysis) => notice(analysis, trial.plan)))
  })
})
