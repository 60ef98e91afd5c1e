import { furthest, isFigure } from '../../figures'
import { whoMinds } from '../../minds'
import { notRead, type Asking } from '../answer'

const named = { sine: 'A sine', stepped: 'Stepped', unstated: 'Neither a clean sine nor stepped' } as const

/** What wave, and who minds? */
export const wave: Asking = {
  id: 'wave',
  place: 'AC',
  page: 'waves',
  dependsOn: ['unit'],
  asks: 'What wave, and who minds?',
  know: ({ on }) => {
    const { analysis } = on
    const { evidence, captures, noLoad, ladder, record } = analysis
    const THD = furthest(
      'highest',
      [noLoad.on.read.THD, ...ladder.steps.filter(({ carried }) => carried).map(({ read }) => read.THD)],
      'Its distortion was not read.',
    )
    const isSeen = captures.seen.length > 0 || isFigure(THD)
    const open = {
      todo: 'Capture its wave, or photograph a scope’s screen.',
      button: 'Add a wave',
      page: 'waves',
      readings: 1,
      minutes: 5,
      wattHours: 1,
    }
    const by = record.revision.unit.wave
    if (!isSeen) return notRead(open, by === 'unstated' ? [] : [`Its label says ${by}; nobody saw it.`])
    const minding = whoMinds(on)
    const kinds = (says: string) =>
      minding
        .filter((one) => one.says === says)
        .map(({ kind }) => kind.split(',')[0])
        .join(', ')
    const [minds, mayMind, notKnown] = [kinds('minds'), kinds('may mind'), kinds('not known')]
    return {
      said: [
        named[evidence.wave],
        ...(isFigure(THD) ? [', distorted by ', THD] : []),
        minds ? `. Minded by ${minds}.` : notKnown ? '.' : '. Nothing minds it.',
      ],
      why: [
        ...(mayMind ? [`Too near to tell: ${mayMind}.`] : []),
        ...(notKnown ? [`Not known yet: ${notKnown}.`] : []),
      ],
      mark: minds ? 'hardly' : mayMind || notKnown ? 'roughly' : 'yes',
    }
  },
}
