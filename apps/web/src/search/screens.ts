import { methodNames } from '../method/pages'

export interface Place {
  readonly words: string
  readonly to: string
  /** Words by which it is looked for, besides its own. */
  readonly looked?: string
}

const screens: readonly Place[] = [
  { words: 'Bench', to: '/' },
  { words: 'Search everything', to: '/search' },
  { words: 'Units', to: '/units' },
  { words: 'Add a unit', to: '/units/new' },
  { words: 'Choose by the label', to: '/units/by-label', looked: 'price sibling models buy rival' },
  { words: 'Rigs', to: '/rigs' },
  { words: 'Add a rig', to: '/rigs/new' },
  { words: 'Loads', to: '/loads' },
  { words: 'Add a load', to: '/loads/new' },
  { words: 'Meters', to: '/meters' },
  { words: 'Add a meter', to: '/meters/new' },
  { words: 'Checklists', to: '/checklists' },
  { words: 'Compare', to: '/compare', looked: 'beside against better ranking' },
  { words: 'Compare trials', to: '/compare/new', looked: 'beside against better ranking' },
  {
    words: 'What would you need',
    to: '/needs',
    looked: 'size sizing which inverter how big battery capacity calculator',
  },
  { words: 'Check a published page', to: '/check', looked: 'edition publish hash proof' },
  {
    words: 'Sums: type what you know',
    to: '/sums',
    looked: 'calculator reckon formula what if wire size amps watts volts run time peukert C-rate',
  },
  {
    words: 'Cable and fuse',
    to: '/cable',
    looked: 'wire gauge fuse breaker ampacity voltage drop calculator',
  },
  { words: 'Start a trial', to: '/trials/new' },
  { words: 'Import a trial', to: '/import', looked: 'file archive ZIP JSON' },
  {
    words: 'Settings: mains, currency, units of this bench',
    to: '/settings',
    looked:
      'temperature Fahrenheit Celsius feet metres pounds AWG decimal comma horsepower torque country voltage',
  },
  { words: 'What a use needs', to: '/settings/uses', looked: 'suits needs fridge sensitive' },
  { words: 'Phone: let one in', to: '/phone', looked: 'QR telephone tablet device' },
  { words: 'Back up and restore', to: '/backup', looked: 'backup save copy stick restore' },
  { words: 'Begin in a minute', to: '/begin', looked: 'start new trial quick' },
  { words: 'Method: how every figure is worked', to: '/method', looked: 'formula help manual' },
]

/** Screens that are always there, and the pages of the method. */
export const fixedPlaces: readonly Place[] = [
  ...screens,
  ...methodNames.map((name) => ({
    words: `Method: ${name.replaceAll('-', ' ')}`,
    to: `/method/${name}`,
    looked: 'formula how it is worked',
  })),
]
