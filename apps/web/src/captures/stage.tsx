import { many, reportParts, type Stage } from '../stage'
import { sayClass } from './words'

export const waveform: Stage = {
  words: 'Waves',
  pages: [
    {
      path: 'waves',
      tab: 'Captured',
      load: async () => ({ default: (await import('./WavesPage')).WavesPage }),
    },
    { path: 'wave', load: async () => ({ default: (await import('./WavePage')).WavePage }) },
    {
      path: 'try-a-wave',
      tab: 'Try a wave',
      load: async () => ({ default: (await import('./TryPage')).TryPage }),
    },
  ],
  state: ({ analysis }) => {
    const { seen } = analysis.captures
    const [worst] = [...seen]
      .filter(({ load, volts }) => load !== undefined && volts.wave)
      .sort((a, b) => (b.volts.wave?.thd ?? 0) - (a.volts.wave?.thd ?? 0))
    if (!seen.length) return { said: 'not captured', done: 'none' }
    return {
      said: `${many(seen.length, 'capture')}${worst?.volts.wave ? `, ${sayClass(worst.volts.wave)}` : ''}`,
      done: 'whole',
    }
  },
  report: [
    ...reportParts('rig', () => import('./ReportPart'), [
      ['Waves', 'WavesPart'],
      ['Harmonics', 'HarmonicsPart'],
      ['Why it sags', 'SagsPart'],
    ]),
    ...reportParts('rig', () => import('../minds/ReportPart'), [['Which equipment minds', 'MindsPart']]),
  ],
  names: { capture: ({ what, name }) => `capture ${what ?? name}` },
}
