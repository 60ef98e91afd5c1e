import { readingsOf } from '@even-watt/core'
import { lazy } from 'react'
import { reportParts, type Stage } from '../stage'

const SafetyStrip = lazy(async () => ({ default: (await import('./SafetyStrip')).SafetyStrip }))

export const makeSafe: Stage = {
  words: 'Make safe',
  pages: [
    {
      path: 'make-safe',
      load: async () => ({ default: (await import('./MakeSafePage')).MakeSafePage }),
    },
  ],
  state: ({ view, analysis }) => {
    const last = readingsOf(view.record, 'make safe').at(-1)
    if (!last) return { said: 'not read yet', done: 'none' }
    return last.revision < analysis.record.revision.number
      ? { said: 'rig changed since', done: 'part' }
      : { said: 'acknowledged', done: 'whole' }
  },
  strip: {
    when: ({ view, analysis }) => {
      const last = readingsOf(view.record, 'make safe').at(-1)
      return !last || last.revision < analysis.record.revision.number
    },
    Part: SafetyStrip,
  },
  report: reportParts('end', () => import('./ReportPart'), [['Safety', 'SafetyPart']]),
  works: ['make safe'],
}
