import { machinesOf } from '../../motors'
import { notRead, type Asking } from '../answer'

/** What will it start? */
export const starts: Asking = {
  id: 'starts',
  place: 'whole',
  page: 'motors',
  dependsOn: ['unit', 'bank', 'path'],
  asks: 'What will it start?',
  know: ({ on: { analysis } }) => {
    const machines = machinesOf(analysis)
    if (!machines.length)
      return notRead({
        todo: 'Start your hardest machine, and note the lowest volts.',
        button: 'Try it',
        page: 'motors',
        readings: 1,
        minutes: 5,
        wattHours: 5,
      })
    const of = (is: (one: (typeof machines)[number]) => boolean) =>
      machines
        .filter(is)
        .map(({ load }) => load)
        .join(', ')
    const [always, never] = [
      of(({ started, tried }) => started === tried),
      of(({ started }) => started === 0),
    ]
    const sometimes = of(({ started, tried }) => started > 0 && started < tried)
    const said = [
      always && `It starts ${always}`,
      sometimes && `${always ? 'sometimes' : 'Sometimes it starts'} ${sometimes}`,
      never && `${always || sometimes ? 'not' : 'It did not start'} ${never}`,
    ].filter(Boolean)
    return {
      said: [`${said.join('; ')}.`],
      why: [],
      mark: !never && !sometimes ? 'yes' : always || sometimes ? 'roughly' : 'no',
    }
  },
}
