import type { Stage } from '../stage'

export const report: Stage = {
  words: 'Report',
  pages: [
    {
      path: 'report',
      load: async () => ({ default: (await import('./ReportPage')).ReportPage }),
    },
  ],
  state: () => ({ said: 'to print', done: 'none' }),
}
