import type { PortOf } from '@even-watt/contract'
import { plain, say } from '../figures'
import { mainsOf } from '../units'

/** mm that a pin and a hole, or two outer diameters, may differ and still hold. */
const fitsBy = 0.15
/** mm of play that goes on but makes poor contact. */
const looseBy = 0.5

/** Round plugs that are sold, outer and inner mm. */
const sold: readonly (readonly [outer: number, inner: number])[] = [
  [2.5, 0.7],
  [3.5, 1.35],
  [4, 1.7],
  [4.8, 1.7],
  [5.5, 1.7],
  [5.5, 2.1],
  [5.5, 2.5],
  [6.3, 3],
  [6.5, 4.4],
  [7.4, 5.1],
  [7.9, 5.5],
]

/** Whether a plug mates with a socket, by diameters in mm: the hole over the pin, the barrel in its ring (docs/method/ports.md). */
export function plugMates(
  socket: { readonly outer: number; readonly pin: number },
  plug: { readonly outer: number; readonly hole: number },
): 'mates' | 'loose' | 'does not' {
  const [around, on] = [socket.outer - plug.outer, plug.hole - socket.pin]
  if (around < -fitsBy || on < -fitsBy || around > looseBy || on > looseBy) return 'does not'
  return Math.abs(around) <= fitsBy && Math.abs(on) <= fitsBy ? 'mates' : 'loose'
}

const size = (outer: number, inner: number) => `${plain(outer)} × ${plain(inner)} mm`

/** A plug and what feeds it, in sentences: its size, whether it mates, its watts, and the mains it is for. */
export function plugSentences(reading: PortOf<'plug'>): string[] {
  const { port, outer, pin, plugOuter, plugHole, volts, amps, from, to = from, hertz, country } = reading
  const usual = sold.find(
    ([o, i]) =>
      outer !== undefined &&
      pin !== undefined &&
      plugMates({ outer, pin }, { outer: o, hole: i }) === 'mates',
  )
  const mains = mainsOf(country)
  const fits = {
    mates: 'It mates.',
    loose: 'It goes on with play and makes poor contact: do not load it.',
    'does not': 'It does not mate: an adapter plug is needed.',
  }
  return [
    ...(outer !== undefined && pin !== undefined
      ? [
          usual
            ? `${port} takes a plug of ${size(...usual)}, which is sold.`
            : `${port} takes ${size(outer, pin)}, which is no usual size.`,
        ]
      : []),
    ...(outer !== undefined && pin !== undefined && plugOuter !== undefined && plugHole !== undefined
      ? [
          `The plug has ${size(plugOuter, plugHole)}. ${fits[plugMates({ outer, pin }, { outer: plugOuter, hole: plugHole })]}`,
          'Look at which of the two is plus before it is plugged in.',
        ]
      : []),
    ...(volts !== undefined && amps !== undefined
      ? [`The adapter gives ${say(volts, 'V')} · ${say(amps, 'A')} = ${say(volts * amps, 'W')}.`]
      : []),
    ...(from !== undefined && to !== undefined && mains && country !== undefined
      ? [onMains({ from, to, hertz }, mains, country)]
      : []),
    ...(outer === undefined && volts === undefined
      ? [`Type the diameters of ${port} and the plug, or what is printed on the adapter.`]
      : []),
  ]
}

/** Mains may stand this share off their nominal volts; an adapter of one voltage is made for that. */
const around = 0.1

function onMains(
  { from, to, hertz }: { readonly from: number; readonly to: number; readonly hertz: string | undefined },
  mains: { readonly volts: number; readonly hertz: number },
  country: string,
): string {
  // Of a split phase an adapter hangs on one leg.
  const volts = country.includes('split') ? mains.volts / 2 : mains.volts
  if (volts < from * (1 - around) || volts > to * (1 + around))
    return `It is made for ${plain(from)} to ${plain(to)} V: not for ${country}.`
  return hertz === undefined || hertz.startsWith('50/60') || hertz.startsWith(String(mains.hertz))
    ? `It may hang on ${country}.`
    : `Its volts suit ${country}, its ${hertz} do not: ask its maker.`
}
