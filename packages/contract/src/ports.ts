import * as z from 'zod/mini'
import { Charge } from './logs'
import { mainsSystems } from './mains'
import { Id, number, positive, words } from './shared'
import {
  above0,
  choice,
  figure,
  from0,
  lines,
  perhaps,
  readingOf,
  someText,
  someWords,
  testOf,
  yesOrNo,
} from './tests'

const port = someWords('Port', 60, 'USB-C')
const volts = (what: string) => number(what, 0, 1000)
const amps = (what: string) => number(what, 0, 1000)

/** How a port comes back after it cut off. */
const portReturns = ['by itself', 'by its button', 'by unplugging', 'not at all', 'not tried'] as const

/** Tests of sockets of direct current: what each cannot do without stands first. */
export const testsOfPorts = {
  /** V against rising A at one port, read at the end of a lead (docs/method/ports.md). */
  load: testOf(
    'Volts against amps',
    {
      port,
      /** V that are asked of it; absent: what it gave at no load. */
      volts: perhaps(above0('Its volts', 'V', 1000)),
      points: lines(
        'Amps and volts, a pair a line',
        '0.5 5.08\n1.0 5.02\n2.0 4.71',
        { amps: 'A', volts: 'V' },
        z
          .array(z.object({ amps: amps('Amps of a point'), volts: volts('Volts of a point') }))
          .check(
            z.minLength(1, 'Points: type at least one, amps and volts.'),
            z.maxLength(500, 'Points: 500 at most.'),
          ),
      ),
      /** Between the port and where it was read, both ways. */
      lead: perhaps(figure('Lead, both ways', 'mΩ', number('Lead, both ways, Ω', 0, 100), 0.001)),
      /** Of copper, where its ohms are not known. */
      leadSize: someText('Size of the lead', 20, '24 AWG'),
      leadLength: perhaps(above0('Lead, one way', 'm', 100)),
      /** V under which it is no use; absent: as far off as its volts may usually be. */
      floor: perhaps(above0('Volts that will do', 'V', 1000)),
      cutoff: perhaps(above0('It cut off at', 'A', 1000)),
      returned: perhaps(choice('It came back', portReturns)),
      /** A promise above it is only partly shown. */
      cable: perhaps(above0('The cable carries', 'A', 1000)),
      charge: perhaps(figure('Charge left', '%', Charge, 0.01)),
      shown: perhaps(from0('Its display said', 'W', 1e5)),
      /** What else was loaded beside it. */
      beside: someText('Loaded beside it', 200, 'USB-A at 2 A'),
    },
    { apart: { meter: z.optional(Id) } },
  ),
  /** Fixed volts that a port offers to whoever negotiates; given: asked for, and it came. */
  offered: testOf('Volts offered', {
    port,
    offers: lines(
      'Volts and amps offered, a pair a line',
      '5 3\n9 3\n20 2.25 given',
      { volts: 'V', amps: 'A' },
      z
        .array(
          z.object({
            volts: positive('Volts offered', 100),
            amps: z.optional(positive('Amps offered', 100)),
            given: z.optional(z.boolean()),
          }),
        )
        .check(z.minLength(1, 'Offers: at least one.'), z.maxLength(20, 'Offers: 20 at most.')),
    ),
    cable: someText('Cable', 120, 'marked 3 A'),
  }),
  /** Several ports loaded at once: all of them held, else which one gave up. */
  together: testOf('Ports together', {
    loaded: lines(
      'Port, volts, amps; one a line',
      'USB-C 20 1.5\nUSB-A 5.1 2',
      { port: '', volts: 'V', amps: 'A' },
      z
        .array(z.object({ port: words('Port', 60), volts: volts('Volts'), amps: amps('Amps') }))
        .check(z.minLength(2, 'Ports: two at least.'), z.maxLength(20, 'Ports: 20 at most.')),
    ),
    held: yesOrNo('All of them held'),
    /** W that they may give together, as printed. */
    limit: perhaps(above0('They share', 'W', 1e5)),
    gaveUp: someText('What gave up', 120, 'USB-C'),
  }),
  /** What a port takes besides what it gives: W into the unit without it and with it. */
  cost: testOf('What a port costs', {
    port,
    volts: above0('At the port', 'V', 1000),
    amps: above0('At the port', 'A', 1000),
    before: from0('Into the unit without it', 'W', 1e5),
    with: above0('Into the unit with it', 'W', 1e5),
  }),
  /** A round plug and its socket, by their diameters; and what feeds it. */
  plug: testOf('Plug and adapter', {
    port: someWords('Socket', 60, 'charge input'),
    outer: perhaps(above0('Socket takes, outer', 'mm', 50)),
    pin: perhaps(above0('Its pin', 'mm', 20)),
    plugOuter: perhaps(above0('Plug, outer', 'mm', 50)),
    plugHole: perhaps(above0('Hole of the plug', 'mm', 20)),
    volts: perhaps(above0('Adapter', 'V', 1000)),
    amps: perhaps(above0('Adapter', 'A', 1000)),
    from: perhaps(above0('Its mains from', 'V', 1000)),
    to: perhaps(above0('Its mains to', 'V', 1000)),
    hertz: perhaps(choice('Its hertz', ['50/60 Hz', '50 Hz', '60 Hz'])),
    country: perhaps(choice('To be used on', mainsSystems)),
  }),
  /** What loading a neighbour does to a port. */
  neighbour: testOf('Neighbours', {
    port: someWords('Port', 60, 'USB-A'),
    neighbour: someWords('Its neighbour', 60, 'second USB-A'),
    before: from0('Volts before', 'V', 1000),
    after: from0('Volts with it loaded', 'V', 1000),
    amps: perhaps(from0('The neighbour takes', 'A', 1000)),
  }),
}

export const PortReading = readingOf('Test of a port', testsOfPorts)
export type PortReading = z.infer<typeof PortReading>
export type PortTest = PortReading['test']
export type PortOf<T extends PortTest> = Extract<PortReading, { test: T }>
