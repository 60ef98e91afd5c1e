import type { Subject } from '../subject'
import { port } from './promise'
import { noticePorts } from './oddities'

/** Sockets that give direct current, and what they share. */
export const ports = {
  kinds: { port: 'as declared' },
  promises: { port },
  oddities: [noticePorts],
} satisfies Subject
