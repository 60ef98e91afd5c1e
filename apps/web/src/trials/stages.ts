import { hasFit, isFigure, sayFigure, readingsOf } from '@even-watt/core'
import type { TrialState } from './useTrial'

export interface Stage {
  readonly path: string
  readonly words: string
  /** Its state in words. */
  readonly state: (trial: TrialState) => { said: string; done: 'none' | 'part' | 'whole' }
}

const many = (count: number, word: string) => `${count} ${word}${count === 1 ? '' : 's'}`

/** The work order: stages in the order they are worked. */
export const stages: readonly Stage[] = [
  {
    path: 'look-over',
    words: 'Look over',
    state: ({ trial }) => {
      const unit = trial.revisions.at(-1)?.unit
      const claims = unit?.claims.length ?? 0
      return {
        said: unit?.provenance ? many(claims, 'claim') : `${many(claims, 'claim')}, not disclosed`,
        done: claims && unit?.provenance ? 'whole' : 'part',
      }
    },
  },
  {
    path: 'rig',
    words: 'Rig',
    state: ({ trial }) => ({ said: many(trial.revisions.length, 'revision'), done: 'whole' }),
  },
  {
    path: 'plan',
    words: 'Plan',
    state: ({ trial }) => {
      const steps = trial.plan?.steps ?? []
      const filled = steps.filter(({ uses }) => uses.length).length
      return {
        said: steps.length ? `${filled} of ${many(steps.length, 'step')}` : 'no ladder yet',
        done: !steps.length ? 'none' : filled === steps.length ? 'whole' : 'part',
      }
    },
  },
  {
    path: 'make-safe',
    words: 'Make safe',
    state: ({ view, analysis }) => {
      const last = readingsOf(view.record, 'make safe').at(-1)
      if (!last) return { said: 'not read yet', done: 'none' }
      return last.revision < analysis.record.revision.number
        ? { said: 'rig changed since', done: 'part' }
        : { said: 'acknowledged', done: 'whole' }
    },
  },
  {
    path: 'no-load',
    words: 'No load',
    state: ({ analysis }) => {
      const { P_idle, weak } = analysis.noLoad.on
      if (!isFigure(P_idle))
        return {
          said: readingsOf(analysis.record, 'no load').length ? 'idle incomplete' : 'not read',
          done: readingsOf(analysis.record, 'no load').length ? 'part' : 'none',
        }
      return {
        said: `${sayFigure({ ...P_idle, x: { ...P_idle.x, sources: new Map() } })} idle${weak ? ', weak' : ''}`,
        done: 'whole',
      }
    },
  },
  {
    path: 'ladder',
    words: 'Ladder',
    state: ({ analysis }) => {
      const count = analysis.ladder.steps.length
      if (!count) return { said: 'no step yet', done: 'none' }
      return {
        said: `${many(count, 'step')}${hasFit(analysis.ladder.unitFit) ? '' : ', no curve yet'}`,
        done: hasFit(analysis.ladder.unitFit) ? 'whole' : 'part',
      }
    },
  },
  {
    path: 'motors',
    words: 'Motors',
    state: ({ analysis }) => {
      const count = readingsOf(analysis.record, 'motors').length
      return { said: count ? many(count, 'attempt') : 'none yet', done: count ? 'whole' : 'none' }
    },
  },
  {
    path: 'findings',
    words: 'Findings',
    state: ({ view }) => {
      const decided = view.findings.filter(
        ({ standing }) => standing.outcome !== 'not tested' && standing.outcome !== 'not shown',
      ).length
      return {
        said: `${decided} of ${many(view.findings.length, 'claim')} decided`,
        done: decided === 0 ? 'none' : decided === view.findings.length ? 'whole' : 'part',
      }
    },
  },
  { path: 'report', words: 'Report', state: () => ({ said: 'to print', done: 'none' }) },
]
