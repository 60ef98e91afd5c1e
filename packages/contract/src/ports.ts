import * as z from 'zod/mini'
import { Charge } from './logs'
import { Id, number, oneOf, positive, text, words } from './shared'

const note = { note: text('Note', 1000) }
const Port = words('Port', 60)
const volts = (what: string) => number(what, 0, 1000)
const amps = (what: string) => number(what, 0, 1000)

/** How a port comes back after it cut off. */
export const portReturns = ['by itself', 'by its button', 'by unplugging', 'not at all', 'not tried'] as const

/** V against rising A at one port, read at the end of a lead (docs/method/ports.md). */
const Sweep = z.object({
  test: z.literal('load'),
  port: Port,
  /** V that are asked of it; absent: what it gave at no load. */
  volts: z.optional(positive('Its volts', 1000)),
  points: z
    .array(z.object({ amps: amps('Amps of a point'), volts: volts('Volts of a point') }))
    .check(
      z.minLength(1, 'Points: type at least one, amps and volts.'),
      z.maxLength(500, 'Points: 500 at most.'),
    ),
  /** Ω of the lead between the port and where it was read, both ways. */
  lead: z.optional(number('Lead, Ω', 0, 100)),
  /** A at which it cut off. */
  cutoff: z.optional(positive('It cut off at, A', 1000)),
  returned: z.optional(oneOf('It came back', portReturns)),
  /** What the cable may carry, A: a promise above it is only partly shown. */
  cable: z.optional(positive('The cable carries, A', 1000)),
  charge: z.optional(Charge),
  /** What else was loaded beside it. */
  beside: text('Loaded beside it', 200),
  /** W that its display said. */
  shown: z.optional(number('Its display, W', 0, 1e5)),
  meter: z.optional(Id),
  ...note,
})

/** Fixed volts that a port offers to whoever negotiates. */
const Offered = z.object({
  test: z.literal('offered'),
  port: Port,
  offers: z
    .array(
      z.object({
        volts: positive('Volts offered', 100),
        amps: z.optional(positive('Amps offered', 100)),
        /** Asked for, and given. */
        given: z.optional(z.boolean()),
      }),
    )
    .check(z.minLength(1, 'Offers: at least one.'), z.maxLength(20, 'Offers: 20 at most.')),
  cable: text('Cable', 120),
  ...note,
})

/** Several ports loaded at once. */
const Together = z.object({
  test: z.literal('together'),
  loaded: z
    .array(z.object({ port: Port, volts: volts('Volts'), amps: amps('Amps') }))
    .check(z.minLength(2, 'Ports: two at least.'), z.maxLength(20, 'Ports: 20 at most.')),
  /** All of them held; else which one gave up. */
  held: z.boolean(),
  gaveUp: text('What gave up', 120),
  ...note,
})

/** What loading a neighbour does to a port. */
const Neighbour = z.object({
  test: z.literal('neighbour'),
  port: Port,
  neighbour: words('Its neighbour', 60),
  before: volts('Volts before'),
  after: volts('Volts with the neighbour loaded'),
  amps: z.optional(amps('Amps of the neighbour')),
  ...note,
})

export const PortReading = z.discriminatedUnion(
  'test',
  [Sweep, Offered, Together, Neighbour],
  'Test of a port: one of load, offered, together, neighbour.',
)
export type PortReading = z.infer<typeof PortReading>
export type PortTest = PortReading['test']
export type PortOf<T extends PortTest> = Extract<PortReading, { test: T }>
