import { criteria } from '../../comparisons'
import { decides, isFigure, sayFigure, type Derived, type Figure } from '../../figures'
import type { StepFigures } from '../../ladder'
import { isStation } from '../../units'
import { notRead, type Asking, type Said } from '../answer'
import { aStep, farFromHeaviest, heaviestWatts } from '../cost'

interface AtLoad {
  readonly P: Figure
  readonly eta: Figure
}

/** Steps that were carried and tell an efficiency, by their watts. */
function told(steps: readonly StepFigures[], of: (step: StepFigures) => Derived): AtLoad[] {
  return steps
    .flatMap((step) => {
      const eta = of(step)
      return step.carried && decides(eta) && isFigure(step.P_C) ? [{ P: step.P_C, eta }] : []
    })
    .sort((a, b) => a.P.x.value - b.P.x.value)
}

function lines(all: readonly AtLoad[]): Said {
  const [first] = all
  const last = all.at(-1)
  if (!first || !last) return []
  const one = ({ P, eta }: AtLoad): Said => [eta, ' at ', P]
  return first === last ? one(first) : [...one(first), ' and ', ...one(last)]
}

/** Two loads tell how it changes where one is half as much again as the other. */
const isApart = (all: readonly AtLoad[]): boolean =>
  (all.at(-1)?.P.x.value ?? 0) >= 1.5 * (all[0]?.P.x.value ?? Infinity)

/** How much reaches my loads? */
export const reaches: Asking = {
  id: 'reaches',
  place: 'heat',
  page: 'ladder',
  dependsOn: ['unit', 'path', 'tap'],
  asks: 'How much reaches my loads?',
  // What leaves a station’s store is read by nobody: how much it gives of what it promises stands at how long it lasts.
  suits: ({ on: { analysis } }) => !isStation(analysis.record.revision.unit),
  judgedBy: ['efficiency'],
  know: (asked) => {
    const { analysis } = asked.on
    const { steps } = analysis.ladder
    const [whole, alone] = [
      told(steps, ({ eta_system }) => eta_system),
      told(steps, ({ eta_unit }) => eta_unit),
    ]
    const open = {
      todo: 'Read watts out, and volts and amps in, at a light and at your heaviest load.',
      button: 'Read a step',
      page: 'ladder',
      ...aStep(heaviestWatts(analysis)),
    }
    const duty = dutyOf(asked)
    const why = duty ? [duty] : []
    const second = {
      ...open,
      ...aStep(farFromHeaviest(analysis)),
      todo: 'Read a second load, far from the first.',
    }
    if (whole.length) {
      const spans = isApart(whole)
      return {
        said: ['Of what leaves the battery, ', ...lines(whole), '.'],
        why,
        mark: spans ? 'yes' : 'roughly',
        ...(spans ? {} : { open: second }),
      }
    }
    if (alone.length)
      return {
        said: ['Of what reaches the unit, ', ...lines(alone), '.'],
        why: ['The leads are not in it: the battery’s volts were not read beside it.', ...why],
        mark: 'roughly',
        open: { ...open, todo: 'Read the volts at the posts too, at your heaviest load.' },
      }
    return notRead(open)
  },
}

/** What the owner’s hours make of it. */
function dutyOf({ on: { analysis }, trial }: Parameters<Asking['know']>[0]): string | undefined {
  const one = { analysis, trial, findings: [], name: '' }
  const of = (key: string) => criteria.find((criterion) => criterion.key === key)?.of(one, trial.duty, [one])
  const [lost, eta] = ['day', 'duty'].map(of)
  return lost && eta && isFigure(lost) && isFigure(eta)
    ? `Over your usual day ${sayFigure(eta)} reaches the loads, and ${sayFigure(lost)} are lost.`
    : undefined
}
