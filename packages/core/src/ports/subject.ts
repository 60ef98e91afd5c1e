import type { Subject } from '../subject'
import { port } from './promise'
import { noticePorts } from './oddities'
import { portFigures } from './catalogued'

/** Sockets that give direct current, and what they share. */
export const ports = {
  kinds: { port: 'as declared' },
  promises: { port },
  figures: portFigures,
  oddities: [noticePorts],
} satisfies Subject
