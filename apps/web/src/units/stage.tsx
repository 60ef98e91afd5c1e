import { lazy } from 'react'
import { many, type Stage } from '../stage'

export const lookOver: Stage = {
  words: 'Look over',
  pages: [
    {
      path: 'look-over',
      load: async () => ({ default: (await import('./LookOverPage')).LookOverPage }),
    },
  ],
  state: ({ trial }) => {
    const unit = trial.revisions.at(-1)?.unit
    const claims = unit?.claims.length ?? 0
    return {
      said: unit?.provenance ? many(claims, 'claim') : `${many(claims, 'claim')}, not disclosed`,
      done: claims && unit?.provenance ? 'whole' : 'part',
    }
  },
  report: {
    place: 'unit',
    Part: lazy(async () => ({ default: (await import('./ReportPart')).ReportPart })),
  },
  works: ['look over'],
}
