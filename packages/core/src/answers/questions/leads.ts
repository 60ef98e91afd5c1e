import { answerOf } from '../../answer'
import { catalogue } from '../../catalogue'
import { outcomeOf, rule } from '../../court'
import { isFigure, type Figure } from '../../figures'
import { isStation } from '../../units'
import type { StepFigures } from '../../ladder'
import type { Analysis } from '../../trials'
import { notRead, type Asking, type Known, type Mark } from '../answer'
import { aStep, heaviestWatts } from '../cost'
import { atLoad, heaviestWith } from '../heaviest'

/** Share of the volts at the posts that leads may take (docs/method/conductors.md), and from which they are too thin. */
const good = 0.03
const tooThin = 0.05

const within = (share: Figure, limit: number) => {
  const ruling = rule(share.x, 'exact', 'at most', limit)
  return ruling && outcomeOf(ruling)
}

function markFor(share: Figure): Mark {
  if (within(share, good) === 'met') return 'yes'
  if (within(share, tooThin) === 'not met') return 'no'
  return share.x.value <= good ? 'roughly' : 'hardly'
}

const means: Readonly<Partial<Record<Mark, string>>> = {
  yes: 'Leads may take 3 %.',
  roughly: 'Leads may take 3 %.',
  hardly: 'Leads may take 3 %, and 5 % is too much.',
  no: 'Over 5 % is too much: shorter or thicker leads, or a better joint.',
}

/** Are the leads good enough? */
export const leads: Asking = {
  id: 'leads',
  place: 'DC',
  page: 'rig/survey',
  dependsOn: ['path', 'tap'],
  asks: 'Are the leads good enough?',
  suits: ({ on: { analysis } }) => !isStation(analysis.record.revision.unit),
  know: ({ on: { analysis }, view: { findings, analyses } }) => {
    const share = (step: StepFigures) => of('drop share', step, analysis)
    const read = heaviestWith(analysis, share)
    if (!read) return unread(analysis, heaviestWith(analysis, share, isFigure))
    const { step, figure, P } = read
    // Little may be lost in all, and a joint take more of it than it should.
    const isFaulty = answerOf([], [analysis]).bench.length > 0
    const mark = isFaulty && markFor(figure) === 'yes' ? 'roughly' : markFor(figure)
    const drop = of('drop', step, analysis)
    return {
      said: [
        'They take ',
        ...(isFigure(drop) ? [drop, ', '] : []),
        figure,
        ...atLoad(P, step.load),
        ...(isFigure(step.P_path) ? [': ', step.P_path, ' of heat.'] : ['.']),
      ],
      why: [means[mark] ?? '', ...answerOf(findings, analyses).bench].filter(Boolean),
      mark,
    }
  },
}

/** Not read at both ends: by their size they can be told roughly, where somebody said it. */
function unread(analysis: Analysis, bySize: ReturnType<typeof heaviestWith>): Known {
  const open = {
    todo: 'Read the volts at the posts and at the terminals, and the amps, at your heaviest load.',
    button: 'Read both ends',
    page: 'ladder',
    ...aStep(heaviestWatts(analysis)),
  }
  if (bySize) {
    const { step, figure, P } = bySize
    return {
      said: ['By their size they should take ', figure, ...atLoad(P, step.load), '.'],
      why: ['That is with sound joints: only volts at both ends tell what they do take.'],
      mark: figure.x.value <= good ? 'roughly' : 'hardly',
      open,
    }
  }
  const isOneEnd = analysis.ladder.steps.some((one) => isFigure(one.read.V_A) || isFigure(one.read.V_B))
  return notRead(
    open,
    isOneEnd ? ['Volts were taken at one end only, or no amps beside them.'] : [],
    analysis.record.revision.rig.leads === 'not known' ? 'leads' : undefined,
  )
}

function of(id: string, ...at: Parameters<NonNullable<ReturnType<typeof catalogue.step>>['of']>) {
  return catalogue.step(id)?.of(...at) ?? { missing: `There is no figure ${id}.` }
}
