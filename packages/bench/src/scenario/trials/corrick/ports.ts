import type { Entry, PortReading } from '@even-watt/contract'
import { atEndOf, type PortModel } from '../../../ports/port'
import type { BenchHand } from '../../capture'
import { stationMeters as m } from '../../meters'
import { corrickPorts } from '../../station'

/** V against A at the end of a lead of 90 mΩ. */
const sweep = (
  hand: BenchHand,
  port: PortModel,
  amps: readonly number[],
  lead: number,
  more: Partial<Extract<PortReading, { test: 'load' }>> = {},
) => {
  hand.wait(400)
  return hand.entry('port', 1, {
    test: 'load',
    port: port.name,
    volts: Math.round(port.volts),
    points: amps.map((I) => ({
      amps: hand.value('I_port', m.usb.id, I).value,
      volts: hand.value('V_port', m.usb.id, atEndOf(lead, port, I)).value,
    })),
    lead,
    meter: m.usb.id,
    ...more,
  })
}

export function portTests(hand: BenchHand): Entry[] {
  hand.wait(4 * 3600)
  const { usbC, usbA, socket12 } = corrickPorts
  return [
    hand.entry('port', 1, {
      test: 'offered',
      port: usbC.name,
      offers: [
        { volts: 5, amps: 3 },
        { volts: 9, amps: 3 },
        { volts: 15, amps: 3 },
        { volts: 20, amps: 2.25, given: true },
      ],
      cable: 'marked 3 A, 1 m',
    }),
    sweep(hand, usbC, [0, 0.5, 1, 1.5, 1.8, 2, 2.1, 2.2, 2.3, 2.4], 0.09, {
      cutoff: 2.6,
      returned: 'by unplugging',
      cable: 3,
      charge: 0.97,
    }),
    sweep(hand, usbC, [0, 1, 1.5, 2, 2.1, 2.2], 0.09, {
      charge: 0.12,
      cable: 3,
      note: 'Again at low charge.',
    }),
    sweep(hand, usbA, [0, 0.5, 1, 1.5, 2, 2.4, 2.5], 0.09, { charge: 0.95 }),
    sweep(hand, { ...socket12, name: '12 V socket' }, [0, 1, 2, 3, 4, 5, 6], 0.03, {
      volts: 13,
      charge: 0.94,
      shown: 71,
    }),
    hand.entry('port', 1, {
      test: 'neighbour',
      port: 'USB-A',
      neighbour: 'second USB-A',
      before: 5.16,
      after: 5.04,
      amps: 2.4,
    }),
    hand.entry('port', 1, {
      test: 'together',
      loaded: [
        { port: 'USB-C', volts: 19.9, amps: 2 },
        { port: 'USB-A', volts: 5.08, amps: 2.4 },
        { port: '12 V socket', volts: 13, amps: 5.5 },
      ],
      held: true,
    }),
  ]
}

/** What its USB-C takes besides what it gives, and the round plug of its charge input. */
export function plugAndCost(hand: BenchHand): Entry[] {
  hand.wait(600)
  return [
    hand.entry('port', 1, { test: 'cost', port: 'USB-C', volts: 20, amps: 2, before: 9.4, with: 54.8 }),
    hand.entry('port', 1, {
      test: 'plug',
      port: 'charge input',
      outer: 7.9,
      pin: 5.4,
      plugOuter: 5.5,
      plugHole: 2.1,
      volts: 24,
      amps: 5,
      from: 100,
      to: 240,
      hertz: '50/60 Hz',
      country: '230 V 50 Hz',
    }),
  ]
}
