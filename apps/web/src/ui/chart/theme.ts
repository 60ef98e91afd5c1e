import { token, type Theme } from '../theme'

/** Colours and type of the charts, read from the same tokens as everything else. */
export interface ChartTheme {
  readonly name: Theme
  readonly ink: string
  readonly quiet: string
  readonly rule: string
  readonly ground: string
  readonly copper: string
  readonly copperSoft: string
  readonly petrol: string
  readonly petrolSoft: string
  readonly plum: string
  readonly plumSoft: string
  readonly madder: string
  readonly words: string
  readonly figures: string
}

/** The colours of the theme that is on now. */
export const chartTheme = (name: Theme): ChartTheme => ({
  name,
  ink: token('ink'),
  quiet: token('quiet'),
  rule: token('rule'),
  ground: token('ground'),
  copper: token('copper'),
  copperSoft: token('copper-soft'),
  petrol: token('petrol'),
  petrolSoft: token('petrol-soft'),
  plum: token('plum'),
  plumSoft: token('plum-soft'),
  madder: token('madder'),
  words: 'Atkinson Hyperlegible Next, sans-serif',
  figures: 'Atkinson Hyperlegible Mono, monospace',
})
